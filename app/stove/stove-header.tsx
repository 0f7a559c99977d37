import { Link } from "react-router";
import type { KitchenData } from "~/core/formula";
import type { RunEvent } from "~/core/run";
import type { KitchenSnapshot, Person } from "~/data";
import type { LiveRun } from "../range/live-run.server";
import type { PotNow } from "../range/pot-now";
import { clockTime } from "../text/format";
import { MiniPot, OtherPot } from "./mini-pot";

/** Whose readings they are, by first names. */
const namesOf = (events: readonly Pick<RunEvent, "personId">[], people: readonly Person[]): string =>
  [...new Set(events.map(e => e.personId))]
    .map(id => people.find(p => p.id === id)?.name.split(" ")[0] ?? "somebody else")
    .join(" and ");

/** Whether what was logged has arrived. */
export function keptInWords(
  log: {
    readonly waiting: number;
    readonly ofOthers: readonly RunEvent[];
    readonly refused: number;
    readonly connected: boolean;
  },
  people: readonly Person[],
): string {
  if (log.ofOthers.length) return `${log.ofOthers.length} wait for ${namesOf(log.ofOthers, people)}`;
  if (log.waiting) return `${log.waiting} waiting for the network`;
  if (log.refused) return `${log.refused} not kept`;
  return log.connected ? "all readings kept" : "no network: kept on this tablet";
}

/** The way back, the other pots, the clock, and what this pot is at. */
export function StoveHeader({
  pot,
  beside,
  others,
  today,
  kitchen,
  now,
  said,
  kept,
  waits,
}: {
  pot: PotNow;
  /** Second pans of this run, and the other runs on the Range. */
  beside: readonly PotNow[];
  others: readonly LiveRun[];
  today: KitchenSnapshot;
  /** What the run is walked in. */
  kitchen: KitchenData;
  now: number;
  /** Who is cooking. */
  said: string;
  kept: string;
  waits: boolean;
}) {
  const { state, live } = pot;
  const { rehearsal } = live.run;
  const burner = kitchen.burners.find(b => b.id === pot.burnerId);
  const where = [
    pot.name,
    `step ${Math.min(state.current + 1, state.steps.length)} of ${state.steps.length}`,
    pot.place === "fire" ? burner?.name : pot.offFire ? "off the fire" : undefined,
    pot.vessel?.name,
  ];
  return (
    <>
      {rehearsal && (
        <p className="bg-glow px-4 py-1 text-center font-bold tracking-[0.2em] text-night">
          REHEARSAL
          <span className="font-normal tracking-normal">
            {" "}
            on the simulated stove
            {rehearsal.speed > 1 && `, ${rehearsal.speed} times as fast as the clock`}: no batch, no record
          </span>
        </p>
      )}
      <header className="flex min-h-15 items-center gap-4 border-b border-night-rule px-4 sm:px-5">
        <Link to="/" className="flex min-h-14 items-center font-bold whitespace-nowrap hover:text-ember">
          ← Range
        </Link>
        <nav aria-label="Other pots" className="flex min-w-0 gap-3 overflow-x-auto">
          {beside.map(other => (
            <MiniPot key={other.to} pot={other} now={now} timeZone={kitchen.timeZone} />
          ))}
          {others.map(other => (
            <OtherPot key={other.run.id} live={other} today={today} now={now} />
          ))}
        </nav>
        <p className="ml-auto text-right text-sm whitespace-nowrap text-lamp-faded">
          {clockTime(now, kitchen.timeZone)} · {said}
          <span role="status" className={`block ${waits ? "text-glow" : ""}`}>
            {kept}
          </span>
        </p>
      </header>
      <div className="px-4 pt-3 sm:px-5">
        <p className="text-sm text-lamp-faded">{where.filter(Boolean).join(" · ")}</p>
        <h1 className="text-2xl leading-tight sm:text-4xl">{pot.title}</h1>
        {pot.detail && <p className="text-lg text-lamp-faded sm:text-xl">{pot.detail}</p>}
      </div>
    </>
  );
}
