import { useMemo, useState } from "react";
import { type KitchenData, basisFrom } from "~/core/formula";
import { LIDS } from "~/core/laws/reduction";
import type { RunPayload } from "~/core/run";
import { potMass } from "~/core/things/pot";
import { geometryOfVessel } from "~/core/things/vessel";
import type { KitchenSnapshot } from "~/data";
import type { LiveRun } from "../../range/live-run.server";
import { type PotNow, foldPot } from "../../range/pot-now";
import { type Moved, previewOf } from "../../range/preview-move";
import { CHOICE, Choices, Panel } from "./frame";

const FLAMES = [
  [0.25, "a quarter"],
  [0.5, "half"],
  [0.75, "three quarters"],
  [1, "full"],
] as const;

/** Another burner, off the fire, another pan, the lid, the flame. What it does to the time is said before it is done. */
export function MovePanel({
  pot,
  kitchen,
  today,
  beside,
  others,
  stepId,
  now,
  onLog,
  onClose,
}: {
  pot: PotNow;
  /** What it is walked in. */
  kitchen: KitchenData;
  today: KitchenSnapshot;
  /** The other pans of this run, and the other runs: their vessels are in use. */
  beside: readonly PotNow[];
  others: readonly LiveRun[];
  stepId: string;
  now: number;
  onLog: (payload: RunPayload) => void;
  onClose: () => void;
}) {
  const [to, setTo] = useState<Moved | null>(null);
  const preview = useMemo(() => to && previewOf(pot, kitchen, to, now), [pot, kitchen, to, now]);
  // Folding the other runs costs; they are looked at once, when the panel is opened.
  const takenElsewhere = useMemo(
    () => others.map(other => foldPot(other, basisFrom(other.basis, today)).state.vessel?.id),
    [others, today],
  );
  const taken = new Set([...takenElsewhere, ...beside.map(other => other.vessel?.id)]);
  const progress = pot.state.steps[pot.state.current];
  const contents = progress?.legs.at(-1)?.from ?? pot.state.pot;
  const holds = kitchen.vessels.filter(
    v =>
      (v.use === "pot" || v.use === "pan") &&
      v.id !== pot.vessel?.id &&
      !taken.has(v.id) &&
      geometryOfVessel(v).capacityMl > potMass(contents),
  );
  return (
    <Panel
      title="Where does it go?"
      onClose={onClose}
      submit={{ label: "Put it there", run: to ? () => onLog(to) : null }}
    >
      <div role="group" aria-label="burner" className="flex flex-wrap gap-2">
        {kitchen.burners.map(burner => (
          <button
            key={burner.id}
            type="button"
            aria-pressed={to ? to.burnerId === burner.id : pot.burnerId === burner.id}
            onClick={() => setTo({ kind: "moved", stepId, burnerId: burner.id })}
            className={CHOICE}
          >
            {burner.name}
          </button>
        ))}
        <button
          type="button"
          aria-pressed={to ? to.burnerId === null : pot.offFire}
          onClick={() => setTo({ kind: "moved", stepId, burnerId: null })}
          className={CHOICE}
        >
          off the fire
        </button>
        <label className="flex items-center gap-2">
          <span className="text-lamp-faded">over into</span>
          <select
            aria-label="over into another vessel"
            value={to?.vesselId ?? ""}
            onChange={event => {
              const vesselId = event.currentTarget.value;
              setTo(vesselId ? { kind: "moved", stepId, vesselId } : null);
            }}
            className="min-h-14 rounded-xl border-2 border-night-rule bg-night px-2 text-lamp"
          >
            <option value="">the pot it is in</option>
            {holds.map(v => (
              <option key={v.id} value={v.id}>
                {v.name}
              </option>
            ))}
          </select>
        </label>
      </div>
      <div className="flex flex-wrap gap-x-6 gap-y-2">
        <Choices
          label="lid"
          of={LIDS.map(lid => [lid, lid])}
          value={null}
          onChange={lid => onLog({ kind: "lid", stepId, lid })}
        />
        <Choices
          label="flame"
          of={FLAMES}
          value={null}
          onChange={setting => onLog({ kind: "flame", stepId, setting })}
        />
      </div>
      <p role="status" className="min-h-6 text-leaf">
        {preview}
      </p>
    </Panel>
  );
}
