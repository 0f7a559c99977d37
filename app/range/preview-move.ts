import { ulid } from "ulid";
import type { KitchenData } from "~/core/formula";
import { panChange } from "~/core/laws/reduction";
import type { RunEvent, RunPayload } from "~/core/run";
import { geometryOfVessel } from "~/core/things/vessel";
import { minutesLeft, momentOf } from "../text/format";
import { type PotNow, foldPot, potsAt } from "./pot-now";

export type Moved = Extract<RunPayload, { kind: "moved" }>;

/** What a move would do to the time, and why. */
export function previewOf(pot: PotNow, kitchen: KitchenData, moved: Moved, now: number): string {
  const event: RunEvent = {
    id: ulid(),
    at: new Date(now).toISOString(),
    clockOffsetMs: 0,
    personId: "",
    payload: moved,
  };
  const folded = foldPot({ ...pot.live, events: [...pot.live.events, event] }, kitchen);
  const after = potsAt(folded, now).find(other => other.pan === pot.pan);
  const problem = folded.state.problems.find(p => !pot.state.problems.some(q => q.message === p.message));
  if (problem) return problem.message;
  if (moved.burnerId === null) return "Nothing boils away there; its time stands still until it is back.";
  const [was, is] = [pot.forecast?.endsAt, after?.forecast?.endsAt];
  if (was === undefined || is === undefined) return "Begin the step first: then the time can be said.";
  if (pot.offFire) return `Back on the fire it is there at ${momentOf(is, now, kitchen.timeZone)}.`;
  const gain = was - is;
  const when = `there at ${momentOf(is, now, kitchen.timeZone)} instead of ${momentOf(was, now, kitchen.timeZone)}`;
  const why = whyOf(pot, after ?? null, moved);
  return Math.abs(gain) < 60_000
    ? `It makes no difference to the time: ${when}. ${why}`
    : `${minutesLeft(Math.abs(gain))} ${gain > 0 ? "sooner" : "later"}: ${when}. ${why}`;
}

function whyOf(pot: PotNow, after: PotNow | null, moved: Moved): string {
  if (!moved.vesselId || !pot.vessel || !after?.vessel) return "";
  const kind = pot.state.steps[pot.state.current]?.step.kind;
  const change = panChange(
    1,
    1,
    geometryOfVessel(pot.vessel),
    geometryOfVessel(after.vessel),
    kind === "reduce" ? "boiling" : "held",
  );
  return change.ok ? change.value.why : "";
}
