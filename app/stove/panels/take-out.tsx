import { useState } from "react";
import { g, printMass } from "~/core/ground/quantity";
import type { RunPayload } from "~/core/run";
import { TAKEN_OUT } from "~/core/run";
import { readMass } from "../../ui/read";
import { Choices, FIELD, Panel } from "./frame";

/** Skimmed, ladled or poured off: one tap for the tally, a weight where somebody has one. */
export function TakeOutPanel({
  stepId,
  skims,
  onLog,
  onClose,
}: {
  stepId: string;
  /** How often this step was skimmed. */
  skims: number;
  onLog: (payload: RunPayload) => void;
  onClose: () => void;
}) {
  const [what, setWhat] = useState<(typeof TAKEN_OUT)[number]>("skimmed");
  const [text, setText] = useState("");
  const mass = text.trim() ? readMass("What came out")(text) : null;
  const ready = mass === null ? what === "skimmed" : mass.ok;
  return (
    <Panel
      title="What came out?"
      onClose={onClose}
      submit={{
        label: mass?.ok ? `Log ${printMass(g(mass.value))} ${what}` : "Count one skim",
        run: ready
          ? () => onLog({ kind: "taken-out", stepId, what, ...(mass?.ok && { massG: mass.value }) })
          : null,
      }}
    >
      <Choices label="how" hideLabel of={TAKEN_OUT.map(one => [one, one])} value={what} onChange={setWhat} />
      <div className="flex flex-wrap items-center gap-3">
        <input
          aria-label="weight of what came out"
          inputMode="decimal"
          autoComplete="off"
          placeholder="g, or type kg"
          value={text}
          onChange={event => setText(event.currentTarget.value)}
          className={`${FIELD} w-52`}
        />
        <span className={mass && !mass.ok ? "text-glow" : "text-lamp-faded"}>
          {mass && !mass.ok
            ? `✕ ${mass.problems[0]?.message ?? ""}`
            : what === "skimmed"
              ? `skimmed ${skims === 1 ? "once" : `${skims} times`} in this step; a weight is not needed`
              : "weighed with its tare off"}
        </span>
      </div>
    </Panel>
  );
}
