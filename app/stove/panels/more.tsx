import { useState } from "react";
import {
  CLARITY,
  FIX_OUTCOMES,
  type Fix,
  GLOSS,
  INCIDENTS,
  type Instrument,
  MEASURED,
  type RunPayload,
  DARKEST,
  instrumentOf,
} from "~/core/run";
import type { Person } from "~/data";
import { readMass, readWithin } from "../../ui/read";
import { clockTime } from "../../text/format";
import type { Shown } from "../shown";
import { TakeShown } from "../take-shown";
import { Choices, FIELD, Panel } from "./frame";
import { Picture } from "./picture";

/** What is not wanted at every turn: instruments, how it looks, what went wrong, who takes it over. */
export type MoreKind = "instrument" | "touch" | "look" | "went wrong" | "hand over";

interface Common {
  readonly stepId: string;
  readonly onLog: (payload: RunPayload) => void;
  readonly onClose: () => void;
}

const READ_BY: Partial<Record<Instrument, Shown["instrument"]>> = {
  brix: "refractometer",
  ph: "ph meter",
  line: "spread plate",
};

export function InstrumentPanel({ stepId, shown, onLog, onClose }: Common & { shown: readonly Shown[] }) {
  const [what, setWhat] = useState<Instrument>("brix");
  const [text, setText] = useState("");
  const { unit, how, min, max } = instrumentOf(what);
  const read = text.trim() ? readWithin("The reading", unit, min, max)(text) : null;
  return (
    <Panel
      title="What does it read?"
      onClose={onClose}
      submit={{
        label: "Log it",
        run: read?.ok ? () => onLog({ kind: "measured", stepId, what, value: read.value }) : null,
      }}
    >
      <Choices
        label="instrument"
        hideLabel
        of={MEASURED.map(one => [one, instrumentOf(one).label])}
        value={what}
        onChange={setWhat}
      />
      <div className="flex flex-wrap items-center gap-3">
        <input
          aria-label="the reading"
          inputMode="decimal"
          autoComplete="off"
          placeholder={unit || "7.0"}
          value={text}
          onChange={event => setText(event.currentTarget.value)}
          className={`${FIELD} w-40`}
        />
        {READ_BY[what] && <TakeShown shown={shown} instrument={READ_BY[what]} onTake={setText} />}
        <span className={read && !read.ok ? "text-glow" : "text-lamp-faded"}>
          {read && !read.ok ? `✕ ${read.problems[0]?.message ?? ""}` : how}
        </span>
      </div>
    </Panel>
  );
}

export function LookPanel({
  stepId,
  runId,
  timeZone,
  onLog,
  onClose,
}: Common & { runId: string; timeZone: string }) {
  const [photoId, setPhotoId] = useState<string | null>(null);
  const [gloss, setGloss] = useState<(typeof GLOSS)[number] | null>(null);
  const [clarity, setClarity] = useState<(typeof CLARITY)[number] | null>(null);
  const [colour, setColour] = useState<number | null>(null);
  const ready = gloss !== null || clarity !== null || colour !== null || photoId !== null;
  return (
    <Panel
      title="How does it look?"
      onClose={onClose}
      submit={{
        label: "Log it",
        run: ready
          ? () =>
              onLog({
                kind: "looked",
                stepId,
                ...(gloss && { gloss }),
                ...(clarity && { clarity }),
                ...(colour && { colour }),
                ...(photoId && { photoId }),
              })
          : null,
      }}
    >
      <Choices label="gloss" of={GLOSS.map(one => [one, one])} value={gloss} onChange={setGloss} />
      <Choices label="clarity" of={CLARITY.map(one => [one, one])} value={clarity} onChange={setClarity} />
      <Choices
        label="colour"
        of={Array.from({ length: DARKEST }, (_, i) => [
          i + 1,
          `${i + 1}${i === 0 ? " pale" : i + 1 === DARKEST ? " dark" : ""}`,
        ])}
        value={colour}
        onChange={setColour}
      />
      <Picture runId={runId} stepId={stepId} timeZone={timeZone} photoId={photoId} onTaken={setPhotoId} />
      {clarity && clarity !== "clear" && (
        <p className="text-lamp-faded">
          Muslin takes the haze, a paper pass after it the rest; together they cost about 1.5 % of it. Do not
          press.
        </p>
      )}
    </Panel>
  );
}

export function WentWrongPanel({
  stepId,
  fixes,
  costOf,
  onLog,
  onClose,
}: Common & {
  fixes: readonly Fix[];
  /** What so many grams of it had cost, in words; `null` where nothing has a price. */
  costOf: (lostG: number) => string | null;
}) {
  const [what, setWhat] = useState<(typeof INCIDENTS)[number] | null>(null);
  const [lost, setLost] = useState("");
  const [words, setWords] = useState("");
  const mass = lost.trim() ? readMass("What was lost")(lost) : null;
  return (
    <Panel
      title="What went wrong?"
      onClose={onClose}
      submit={{
        label: "Log it",
        run:
          what && (mass === null || mass.ok)
            ? () =>
                onLog({
                  kind: "incident",
                  stepId,
                  what,
                  ...(mass?.ok && { lostG: mass.value }),
                  ...(words.trim() && { words: words.trim() }),
                })
            : null,
      }}
    >
      <Choices label="what" hideLabel of={INCIDENTS.map(one => [one, one])} value={what} onChange={setWhat} />
      <div className="flex flex-wrap gap-3">
        <input
          aria-label="how much was lost"
          inputMode="decimal"
          autoComplete="off"
          placeholder="lost, g or kg"
          value={lost}
          onChange={event => setLost(event.currentTarget.value)}
          className={`${FIELD} w-44`}
        />
        <input
          aria-label="what happened"
          autoComplete="off"
          placeholder="what happened"
          maxLength={300}
          value={words}
          onChange={event => setWords(event.currentTarget.value)}
          className={`${FIELD} min-w-0 grow`}
        />
      </div>
      {mass && !mass.ok && <p className="text-glow">✕ {mass.problems[0]?.message}</p>}
      {mass?.ok && costOf(mass.value) && <p>That had cost about {costOf(mass.value)}.</p>}
      {fixes
        .filter(fix => fix.outcome === null)
        .map(fix => (
          <Choices
            key={fix.eventId}
            label={`“${fix.remedy}”: it`}
            of={FIX_OUTCOMES.map(one => [one, one])}
            value={null}
            onChange={outcome => onLog({ kind: "fix-told", stepId, fixId: fix.eventId, outcome })}
          />
        ))}
    </Panel>
  );
}

export function HandOverPanel({
  stepId,
  people,
  timeZone,
  now,
  proposed,
  onLog,
  onClose,
}: Common & {
  people: readonly Person[];
  timeZone: string;
  now: number;
  /** What is next, as the step itself says it. */
  proposed: string;
}) {
  const [to, setTo] = useState<string | null>(null);
  const [next, setNext] = useState(proposed);
  const [at, setAt] = useState("");
  const when = at.trim() ? readClock(at, now, timeZone) : undefined;
  return (
    <Panel
      title="Who takes it over?"
      onClose={onClose}
      submit={{
        label: "Hand it over",
        run:
          to && next.trim() && when !== null
            ? () =>
                onLog({
                  kind: "handed-over",
                  stepId,
                  toPersonId: to,
                  next: next.trim(),
                  ...(when && { nextAt: new Date(when).toISOString() }),
                })
            : null,
      }}
    >
      <Choices
        label="to"
        hideLabel
        of={people.filter(p => !p.left).map(p => [p.id, p.name])}
        value={to}
        onChange={setTo}
      />
      <div className="flex flex-wrap gap-3">
        <input
          aria-label="what is next"
          autoComplete="off"
          maxLength={300}
          value={next}
          onChange={event => setNext(event.currentTarget.value)}
          className={`${FIELD} min-w-0 grow`}
        />
        <input
          aria-label="at what time"
          autoComplete="off"
          placeholder="at 18:30"
          value={at}
          onChange={event => setAt(event.currentTarget.value)}
          className={`${FIELD} w-36`}
        />
      </div>
      {when === null && <p className="text-glow">✕ Type a time of the clock, such as 18:30.</p>}
    </Panel>
  );
}

const DAY_MIN = 24 * 60;

/** The next time the clock of the kitchen shows this; `null` where it is no time. */
export function readClock(text: string, now: number, timeZone: string): number | null {
  const read = /^\s*(?:at\s*)?([01]?\d|2[0-3])[:.h]([0-5]\d)\s*$/i.exec(text);
  if (!read) return null;
  const [h = 0, m = 0] = clockTime(now, timeZone).split(":").map(Number);
  const ahead = (60 * Number(read[1]) + Number(read[2]) - (60 * h + m) + DAY_MIN) % DAY_MIN;
  return now + ahead * 60_000;
}
