import { g, ml, mm, printLength, printMass, printNumber, printVolume } from "~/core/ground/quantity";
import type { RunEvent } from "~/core/run";
import type { Refused } from "../offline/queue";
import type { LogKind } from "./log-panel";

/** What was logged, in words, and how it is typed again; `null` where nothing was typed. */
function said(payload: RunEvent["payload"]): { words: string; kind: LogKind | null; typed: string } {
  switch (payload.kind) {
    case "weighed":
      return { words: `weighed ${printMass(g(payload.netG))}`, kind: "weigh", typed: `${payload.netG} g` };
    case "dipped":
      return {
        words: `dipped ${printLength(mm(payload.levelMm))}`,
        kind: "dip",
        typed: String(payload.levelMm),
      };
    case "probed":
      return {
        words: `probed ${printNumber(payload.temperatureC, 1)} °C`,
        kind: "probe",
        typed: String(payload.temperatureC),
      };
    case "jugged":
      return {
        words: `jug ${printVolume(ml(payload.volumeMl))}`,
        kind: "jug",
        typed: `${payload.volumeMl} ml`,
      };
    case "noted":
      return { words: `“${payload.text.slice(0, 80)}”`, kind: "note", typed: payload.text };
    case "added":
      return {
        words: `${printMass(g(payload.massG))} weighed in`,
        kind: `add:${payload.lineId}`,
        typed: `${payload.massG} g`,
      };
    default:
      return { words: payload.kind.replace("-", " "), kind: null, typed: "" };
  }
}

/** Readings the server does not take: what they said, why, and what to do. All the others have gone on. */
export function RefusedReadings({
  refused,
  onChange,
  onDrop,
}: {
  refused: readonly Refused[];
  onChange: (id: string, kind: LogKind, typed: string) => void;
  onDrop: (id: string) => void;
}) {
  return (
    <ul aria-label="Readings that were not kept" className="mx-4 mb-2 space-y-2 sm:mx-5">
      {refused.map(({ event, reason }) => {
        const { words, kind, typed } = said(event.payload);
        return (
          <li
            key={event.id}
            role="alert"
            className="flex flex-wrap items-center gap-x-4 gap-y-2 rounded-lg border border-glow px-3 py-2"
          >
            <span className="min-w-48 grow">
              <span className="block font-bold">Not kept: {words}</span>
              <span className="text-glow">✕ {reason}</span>
            </span>
            {kind && (
              <button
                type="button"
                onClick={() => onChange(event.id, kind, typed)}
                className="min-h-14 rounded-xl border-2 border-ember px-5 font-bold hover:bg-night-raised"
              >
                Change it
              </button>
            )}
            <button
              type="button"
              onClick={() => onDrop(event.id)}
              className="min-h-14 rounded-xl border-2 border-night-rule px-5 font-bold hover:border-ember"
            >
              Drop it
            </button>
          </li>
        );
      })}
    </ul>
  );
}
