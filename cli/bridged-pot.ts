import { ulid } from "ulid";
import { cookThrough } from "../devices/cook";
import { INSTRUMENTS, shows } from "../devices/instruments";
import { seedOf } from "../devices/random";
import { trueKitchen } from "../devices/true-kitchen";
import { truePot } from "../devices/true-pot";
import { DEMO_FORMULAS } from "../demo/formulas";
import { DEMO_KITCHEN } from "../demo/kitchen";

const SEED = 20;
const WEEK_MS = 7 * 24 * 3_600_000;

/** What an instrument shows of a pot of the demo, cooked from now on the simulated stove: one line at a moment. */
export function showing(kind: string, formulaId: string, speed: number): ((now: number) => string) | null {
  const document = DEMO_FORMULAS[formulaId];
  const instrument = INSTRUMENTS.find(one => one === kind);
  if (!document || !instrument || !(speed > 0)) return null;
  const kitchen = { ...DEMO_KITCHEN, formulas: DEMO_FORMULAS };
  const truth = trueKitchen(kitchen, SEED);
  const { defaultBurnerId: burnerId } = kitchen;
  const startAt = Date.now();
  const events = cookThrough({
    document,
    kitchen,
    truth,
    burnerId,
    personId: "bridge",
    startAt,
    until: startAt + WEEK_MS,
    seed: SEED,
    idAt: at => ulid(at),
  });
  return now => {
    const at = startAt + (now - startAt) * speed;
    const pot = truePot(events, document, truth, burnerId, at);
    const shown = shows(instrument, pot, seedOf(`${SEED} ${Math.floor(at / 1000)}`));
    return shown ? `${shown.value} ${shown.unit}` : `0 ${instrument === "stick" ? "mm" : ""}`.trim();
  };
}
