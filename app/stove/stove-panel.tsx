import { usualTimers } from "~/core/run";
import type { KitchenData } from "~/core/formula";
import { type Felt, type RunPayload, costOfLoss, seasonedIn } from "~/core/run";
import { costInWords, currencyOf } from "../text/money";
import { potMass } from "~/core/things/pot";
import type { KitchenSnapshot, Person } from "~/data";
import type { LiveRun } from "../range/live-run.server";
import type { PotNow } from "../range/pot-now";
import { type LogKind, LogPanel } from "./log-panel";
import { HandOverPanel, InstrumentPanel, LookPanel, WentWrongPanel } from "./panels/more";
import { MovePanel } from "./panels/move";
import { PutInPanel } from "./panels/put-in";
import { TakeOutPanel } from "./panels/take-out";
import { TastePanel } from "./panels/taste";
import { TouchPanel } from "./panels/touch";
import { MoreButtons, type StovePanel } from "./stove-buttons";
import type { Shown } from "./shown";
import { TimerPanel } from "./timers";

/** The panel that is open at the foot of the Stove. */
export function OpenPanel({
  panel,
  pot,
  stepId,
  kitchen,
  today,
  people,
  beside,
  others,
  now,
  typed,
  shown,
  felt,
  onLog,
  onStay,
  onOpen,
  onClose,
}: {
  panel: StovePanel;
  pot: PotNow;
  stepId: string;
  /** What the run is walked in, and the kitchen as it is now. */
  kitchen: KitchenData;
  today: KitchenSnapshot;
  people: readonly Person[];
  /** The other pans of this run, and the other runs: their vessels are in use. */
  beside: readonly PotNow[];
  others: readonly LiveRun[];
  now: number;
  /** What stands in the field to begin with. */
  typed: string;
  /** What connected instruments show now. */
  shown: readonly Shown[];
  /** How things gave under the finger in this kitchen. */
  felt: readonly Felt[];
  /** Logs and closes; `onStay` logs and leaves the panel open for the next. */
  onLog: (payload: RunPayload) => void;
  onStay: (payload: RunPayload) => void;
  onOpen: (panel: StovePanel) => void;
  onClose: () => void;
}) {
  const { state } = pot;
  const progress = state.steps[state.current];
  const common = { stepId, onLog, onClose };
  switch (panel) {
    case "more":
      return <MoreButtons onOpen={onOpen} onClose={onClose} />;
    case "timer":
      return (
        <TimerPanel
          {...common}
          usual={
            progress ? usualTimers(progress.step, (progress.foreseen ?? progress.planned).durationS) : []
          }
        />
      );
    case "put in":
      return (
        <PutInPanel
          {...common}
          onLog={onStay}
          larder={today.ingredients}
          wholeG={pot.forecast?.massNowG ?? potMass(state.pot)}
          seasoned={seasonedIn(state)}
        />
      );
    case "take out":
      return (
        <TakeOutPanel
          {...common}
          skims={progress?.turns.filter(turn => / ?skimmed$/.test(turn.words)).length ?? 0}
        />
      );
    case "taste":
      return <TastePanel {...common} before={state.told.tastings} />;
    case "move":
      return (
        <MovePanel
          {...common}
          pot={pot}
          kitchen={kitchen}
          today={today}
          beside={beside}
          others={others}
          now={now}
        />
      );
    case "instrument":
      return <InstrumentPanel {...common} shown={shown} />;
    case "touch":
      return <TouchPanel {...common} shown={shown} felt={[...felt, ...state.told.touches]} />;
    case "look":
      return <LookPanel {...common} runId={pot.live.run.id} timeZone={kitchen.timeZone} />;
    case "went wrong":
      return (
        <WentWrongPanel
          {...common}
          fixes={state.told.fixes}
          costOf={lostG => {
            const cost = costOfLoss(state, stepId, lostG);
            return cost === null ? null : costInWords(cost, currencyOf(today.ingredients));
          }}
        />
      );
    case "hand over":
      return (
        <HandOverPanel
          {...common}
          people={people}
          timeZone={kitchen.timeZone}
          now={now}
          proposed={[pot.title.toLowerCase(), pot.detail].filter(Boolean).join(", ")}
        />
      );
    default:
      return (
        <LogPanel
          {...common}
          kind={panel satisfies LogKind}
          pot={pot}
          typed={typed}
          shown={shown}
          probes={today.appliances.filter(a => a.kind === "probe")}
        />
      );
  }
}
