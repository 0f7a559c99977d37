/** A jump smaller than this is no jump: the two clocks of a device drift a little, ms. */
const JUMP_MS = 2000;

/** Where the offset outlives the page. */
interface Memory {
  readonly keep: (offset: number) => void;
  readonly kept: () => number | null;
}
const NO_MEMORY: Memory = { keep: () => {}, kept: () => null };

/**
 * How far this device's clock is from the server's, at any moment. Somebody may set the clock while the page is open, so
 * what passes between two contacts is counted by the clock that nobody can set.
 *
 * That clock stands still while a tablet sleeps, in which the other runs on. A jump forward is therefore taken for sleep
 * and a jump back for a clock that was set; the next contact, asked for at once, settles either.
 */
export class DeviceClock {
  private last: { readonly server: number; readonly date: number; readonly steady: number } | null = null;

  /**
   * @param date the clock of the device, ms
   * @param steady the one that nobody can set, ms from anywhere
   */
  constructor(
    private readonly date: () => number = Date.now,
    private readonly steady: () => number = () => performance.now(),
    private readonly memory: Memory = NO_MEMORY,
  ) {}

  /** The server has just said its time. */
  heard(server: number): void {
    this.last = { server, date: this.date(), steady: this.steady() };
    this.memory.keep(Math.round(server - this.last.date));
  }

  /** By how much the two clocks have gone apart since the last contact, ms. */
  private jump(): number {
    if (!this.last) return 0;
    return this.date() - this.last.date - (this.steady() - this.last.steady);
  }

  /** Whether the server should be asked for the time. */
  get jumped(): boolean {
    return Math.abs(this.jump()) > JUMP_MS;
  }

  /** What is added to this device's time to give the server's, ms. */
  get offset(): number {
    if (!this.last) return this.memory.kept() ?? 0;
    const asSet = this.last.server - this.last.date;
    const jump = this.jump();
    return Math.round(jump < -JUMP_MS ? asSet - jump : asSet);
  }
}

const KEPT = "hondaro.clock";
const storage = (): Storage | null => (typeof localStorage === "undefined" ? null : localStorage);

/** The clock of this device; begun without a network it counts as it last stood. */
export const deviceClock = new DeviceClock(Date.now, () => performance.now(), {
  keep: offset => storage()?.setItem(KEPT, String(offset)),
  kept: () => {
    const kept = Number(storage()?.getItem(KEPT) ?? Number.NaN);
    return Number.isFinite(kept) ? kept : null;
  },
});
