import { useId, useRef, useState } from "react";
import { placeOf } from "~/core/formula";
import { printMass } from "~/core/ground/quantity";
import type { Probe } from "~/core/kit";
import { type Result, ok, refuse } from "~/core/ground/result";
import { type RunPayload, waitingSalt } from "~/core/run";
import type { PotNow } from "../range/pot-now";
import type { Shown } from "./shown";
import { TakeShown } from "./take-shown";
import { readTemperature } from "../ui/read";
import {
  type Read,
  keepable,
  lastChecked,
  probed,
  readAdded,
  readDip,
  readJug,
  readWeight,
} from "./readings-typed";

export type LogKind = "weigh" | "dip" | "probe" | "jug" | "note" | "give up" | `add:${string}`;

/** One reading: a large field, a pad for wet fingers, the reading read back, one button. */
export function LogPanel({
  kind,
  pot,
  stepId,
  typed = "",
  probes = [],
  shown = [],
  onLog,
  onClose,
}: {
  kind: LogKind;
  pot: PotNow;
  stepId: string;
  /** What stands in the field to begin with. */
  typed?: string;
  /** The probes of this kitchen: what one shows is put right by its offset. */
  probes?: readonly Probe[];
  /** What connected instruments show now. */
  shown?: readonly Shown[];
  onLog: (payload: RunPayload) => void;
  onClose: () => void;
}) {
  const id = useId();
  const input = useRef<HTMLInputElement>(null);
  const [text, setText] = useState(typed);
  const [withPot, setWithPot] = useState(true);
  const [inOven, setInOven] = useState(() => {
    const at = pot.state.steps[pot.state.current];
    return at !== undefined && placeOf(at.step) === "oven";
  });
  const [probeId, setProbeId] = useState(() => lastChecked(probes)?.id ?? "");
  const [bottle, setBottle] = useState(false);
  const [after, setAfter] = useState("");
  const { vessel, state } = pot;
  const inWords = kind === "note" || kind === "give up";
  const line = kind.startsWith("add:")
    ? [...(state.steps[state.current]?.planned.lines ?? []), ...waitingSalt(state)].find(
        l => `add:${l.lineId}` === kind,
      )
    : undefined;

  const read = (): Result<Read> => {
    switch (kind) {
      case "weigh":
        return readWeight(text, withPot ? (vessel?.tareG ?? null) : null, stepId);
      case "dip":
        return readDip(text, pot, stepId);
      case "probe": {
        const t = readTemperature("The probe", -30, 320)(text);
        return t.ok
          ? ok(probed(t.value, inOven ? undefined : probes.find(p => p.id === probeId), inOven, stepId))
          : t;
      }
      case "jug":
        return readJug(text, stepId);
      case "note":
        return text.trim()
          ? ok({ payload: { kind: "noted", stepId, text: text.trim() }, back: "" })
          : refuse({ code: "MISSING", field: "note", message: "Type what you saw." });
      case "give up":
        return ok({
          payload: { kind: "abandoned", reason: text.trim() },
          back: "it goes off the fire; what was logged of it stays",
        });
      default:
        return readAdded(text, bottle ? after : null, line?.lineId ?? "", stepId);
    }
  };
  const result = text.trim() ? keepable(read()) : null;
  const problem = result && !result.ok ? result.problems[0] : null;
  const words = {
    weigh: {
      title:
        withPot && vessel
          ? `What does the scale show, ${vessel.name} and all?`
          : "What is in the pot, without the pot?",
      hint: "g, or type kg or lb",
    },
    dip: {
      title: "How high does it stand on the stick?",
      hint: "mm from the bottom; pull the pot aside first",
    },
    probe: {
      title: inOven ? "What does the oven thermometer show?" : "What does the probe show?",
      hint: "°C, or type F; in the middle, at least 50 mm deep",
    },
    jug: { title: "How much did you pour into the jug?", hint: "ml, or type l; several pours add up" },
    note: { title: "What did you see?", hint: "" },
    "give up": { title: "Why is this pot given up?", hint: "burnt, dropped, not wanted any more …" },
  }[kind as "weigh"] ?? {
    title: bottle
      ? `${line?.name ?? ""}: the bottle before and after`
      : `How much ${line?.name ?? ""} went in?`,
    hint: `planned ${line ? printMass(line.massG as never) : ""}`,
  };

  const press = (key: string) => {
    setText(now => (key === "⌫" ? now.slice(0, -1) : now + key));
    input.current?.focus();
  };
  const submit = () => {
    if (result?.ok) onLog(result.value.payload);
  };

  return (
    <form
      aria-label={words.title}
      className="sticky bottom-0 border-t-2 border-ember bg-night-raised px-4 py-3 sm:px-5"
      onSubmit={event => {
        event.preventDefault();
        submit();
      }}
    >
      <div className="grid gap-x-6 gap-y-2 md:grid-cols-[minmax(0,1fr)_19rem]">
        <div>
          <label htmlFor={id} className="block text-lg font-bold">
            {words.title}
          </label>
          <div className="mt-1.5 flex flex-wrap items-center gap-3">
            <input
              id={id}
              ref={input}
              // The cook asked for this field a moment ago.
              // eslint-disable-next-line jsx-a11y/no-autofocus
              autoFocus
              inputMode={inWords ? "text" : "decimal"}
              autoComplete="off"
              value={text}
              onChange={event => setText(event.currentTarget.value)}
              onKeyDown={event => event.key === "Escape" && onClose()}
              aria-invalid={problem ? true : undefined}
              aria-describedby={`${id}-back`}
              className={`min-h-16 rounded-xl border-2 border-lamp-faded bg-night px-4 font-display text-2xl text-lamp ${inWords ? "w-full" : "w-52"}`}
            />
            {bottle && (
              <input
                aria-label="The bottle after pouring"
                inputMode="decimal"
                autoComplete="off"
                value={after}
                onChange={event => setAfter(event.currentTarget.value)}
                className="min-h-16 w-44 rounded-xl border-2 border-lamp-faded bg-night px-4 font-display text-2xl text-lamp"
              />
            )}
            <span className="text-lamp-faded">{words.hint}</span>
            {kind in READ_BY && (
              <TakeShown
                shown={shown}
                instrument={READ_BY[kind as keyof typeof READ_BY]}
                onTake={typedIn => {
                  if (kind === "weigh") setWithPot(true);
                  setText(typedIn);
                }}
              />
            )}
          </div>
          <p
            id={`${id}-back`}
            role={problem ? "alert" : "status"}
            className={`mt-1.5 min-h-6 ${problem ? "text-glow" : "text-leaf"}`}
          >
            {problem
              ? `✕ ${problem.message}`
              : result?.ok
                ? result.value.back && `= ${result.value.back}`
                : ""}
          </p>
          <div className="flex flex-wrap gap-x-6">
            {kind === "weigh" && vessel && (
              <Check
                label={`weighed with the pot (tare ${printMass(vessel.tareG as never)})`}
                value={withPot}
                onChange={setWithPot}
              />
            )}
            {kind === "probe" && !inOven && probes.length > 0 && (
              <label className="flex min-h-11 items-center gap-2.5">
                read with
                <select
                  value={probeId}
                  onChange={event => setProbeId(event.currentTarget.value)}
                  className="min-h-11 rounded-lg border-2 border-lamp-faded bg-night px-2 text-lamp"
                >
                  {probes.map(probe => (
                    <option key={probe.id} value={probe.id}>
                      {probe.name}
                    </option>
                  ))}
                  <option value="">none of these</option>
                </select>
              </label>
            )}
            {kind === "probe" && (
              <Check label="in the oven, not in the pot" value={inOven} onChange={setInOven} />
            )}
            {line && (
              <Check label="weighed by the bottle, before and after" value={bottle} onChange={setBottle} />
            )}
          </div>
          <div className="mt-2 flex gap-2.5">
            <button
              type="submit"
              disabled={!result?.ok}
              className="min-h-14 grow rounded-xl bg-ember px-6 text-lg font-bold text-night disabled:opacity-45"
            >
              {kind === "give up" ? "Give it up" : "Log it"}
            </button>
            <button
              type="button"
              onClick={onClose}
              className="min-h-14 rounded-xl border-2 border-night-rule px-5 text-lg font-bold"
            >
              Close
            </button>
          </div>
        </div>
        {!inWords && (
          <div className="hidden grid-cols-3 gap-1.5 md:grid" aria-hidden="true">
            {["7", "8", "9", "4", "5", "6", "1", "2", "3", ".", "0", "⌫"].map(key => (
              <button
                key={key}
                type="button"
                tabIndex={-1}
                onClick={() => press(key)}
                className="min-h-14 rounded-lg border border-night-rule bg-night text-xl font-bold"
              >
                {key}
              </button>
            ))}
          </div>
        )}
      </div>
    </form>
  );
}

/** What a panel asks that an instrument can tell. */
const READ_BY = { weigh: "scale", dip: "stick", probe: "probe" } as const;

function Check({
  label,
  value,
  onChange,
}: {
  label: string;
  value: boolean;
  onChange: (value: boolean) => void;
}) {
  return (
    <label className="flex min-h-11 items-center gap-2.5">
      <input
        type="checkbox"
        checked={value}
        onChange={event => onChange(event.currentTarget.checked)}
        className="size-6 accent-ember"
      />
      {label}
    </label>
  );
}
