import { useState } from "react";
import { printNumber } from "~/core/ground/quantity";
import { type Felt, type RunPayload, TOUCHES, touchMap } from "~/core/run";
import { readWithin } from "../../ui/read";
import type { Shown } from "../shown";
import { TakeShown } from "../take-shown";
import { Choices, FIELD, Panel } from "./frame";

/** How it gives under the finger, beside the probe: the hand learns from the kitchen’s own readings. */
export function TouchPanel({
  stepId,
  felt,
  shown,
  onLog,
  onClose,
}: {
  stepId: string;
  /** All that was felt here so far. */
  felt: readonly Felt[];
  shown: readonly Shown[];
  onLog: (payload: RunPayload) => void;
  onClose: () => void;
}) {
  const [touch, setTouch] = useState<Felt["touch"] | null>(null);
  const [text, setText] = useState("");
  const read = text.trim() ? readWithin("The middle", "°C", -30, 320)(text) : null;
  const map = touchMap(felt);
  return (
    <Panel
      title="How does it give?"
      onClose={onClose}
      submit={{
        label: "Log it",
        run:
          touch && read?.ok ? () => onLog({ kind: "felt", stepId, touch, temperatureC: read.value }) : null,
      }}
    >
      <div className="flex flex-wrap items-center gap-3">
        <Choices
          label="touch"
          hideLabel
          of={TOUCHES.map(one => [one, one])}
          value={touch}
          onChange={setTouch}
        />
        <input
          aria-label="the middle, by the probe"
          inputMode="decimal"
          autoComplete="off"
          placeholder="51.5 °C"
          value={text}
          onChange={event => setText(event.currentTarget.value)}
          className={`${FIELD} w-36`}
        />
        <TakeShown shown={shown} instrument="probe" onTake={setText} />
      </div>
      {read && !read.ok && <p className="text-glow">✕ {read.problems[0]?.message}</p>}
      <p className="text-lamp-faded">
        {map.length
          ? `Here so far: ${map
              .map(
                ({ touch: one, count, loC, meanC, hiC }) =>
                  `${one} ${count === 1 ? "" : `${printNumber(loC, 1)}–${printNumber(hiC, 1)}, on average `}${printNumber(meanC, 1)} °C (${count})`,
              )
              .join("; ")}.`
          : "Nobody has logged a touch here yet. The probe decides; the finger learns."}
      </p>
    </Panel>
  );
}
