import { useMemo, useState } from "react";
import { g, printMass, printNumber } from "~/core/ground/quantity";
import { type Result, ok, refuse } from "~/core/ground/result";
import { firstDose, scaleClassOf } from "~/core/laws/seasoning";
import { type RunPayload, type Seasoned, checkPayload, pouredFrom } from "~/core/run";
import { type Ingredient, readMeasure } from "~/core/things/larder";
import { readMass } from "../../ui/read";
import { CHOICE, FIELD, Panel } from "./frame";

type PutIn = Extract<RunPayload, { kind: "put-in" }>;

/** Something went in that the formula does not know: typed as a cook says it, or by the jar before and after. */
export function PutInPanel({
  stepId,
  larder,
  wholeG,
  seasoned,
  onLog,
  onClose,
}: {
  stepId: string;
  larder: readonly Ingredient[];
  /** Everything in the pot now, g. */
  wholeG: number;
  /** What has gone in by taste so far. */
  seasoned: readonly Seasoned[];
  onLog: (payload: RunPayload) => void;
  onClose: () => void;
}) {
  const [text, setText] = useState("");
  const [jar, setJar] = useState(false);
  const [before, setBefore] = useState("");
  const [after, setAfter] = useState("");
  const read = useMemo(
    () => (text.trim() ? readPutIn(text, jar ? { before, after } : null, larder, stepId) : null),
    [after, before, jar, larder, stepId, text],
  );
  const [first] = read?.ok ? read.value : [];
  const half = first ? firstDose(first.ingredient, first.massG, wholeG) : null;
  const log = () => {
    if (!read?.ok) return;
    for (const one of read.value) onLog(one);
    // The jar stands where it stood: its weight after this dose is its weight before the next.
    if (jar) {
      setBefore(after);
      setAfter("");
    } else setText("");
  };
  return (
    <Panel title="What went in?" onClose={onClose} submit={{ label: "Log it", run: read?.ok ? log : null }}>
      <div className="flex flex-wrap items-center gap-3">
        <input
          aria-label="what went in"
          // The cook asked for this field a moment ago.
          // eslint-disable-next-line jsx-a11y/no-autofocus
          autoFocus
          autoComplete="off"
          placeholder={jar ? "salt" : "5 g salt, 2 pinches salt, 16 × 8 g juices"}
          value={text}
          onChange={event => setText(event.currentTarget.value)}
          className={`${FIELD} min-w-0 grow sm:max-w-md`}
        />
        {jar && (
          <>
            <input
              aria-label="the jar before"
              placeholder="500 g before"
              inputMode="decimal"
              autoComplete="off"
              value={before}
              onChange={event => setBefore(event.currentTarget.value)}
              className={`${FIELD} w-40`}
            />
            <input
              aria-label="the jar after"
              placeholder="after"
              inputMode="decimal"
              autoComplete="off"
              value={after}
              onChange={event => setAfter(event.currentTarget.value)}
              className={`${FIELD} w-40`}
            />
          </>
        )}
        <label className="flex min-h-14 items-center gap-2.5">
          <input
            type="checkbox"
            checked={jar}
            onChange={event => setJar(event.currentTarget.checked)}
            className="size-6 accent-ember"
          />
          by the jar, before and after
        </label>
      </div>
      <p
        role={read && !read.ok ? "alert" : "status"}
        className={`min-h-6 ${read && !read.ok ? "text-glow" : "text-leaf"}`}
      >
        {read && !read.ok
          ? `✕ ${read.problems[0]?.message ?? ""}`
          : read?.ok
            ? read.value
                .map(
                  one => `= ${one.counted ? "about " : ""}${printMass(g(one.massG))} ${one.ingredient.name}`,
                )
                .join(" ")
            : ""}
      </p>
      {half && (
        <p className="text-glow">
          ▲ {half.why} That is {printMass(g(half.massG))}.
        </p>
      )}
      {seasoned.length > 0 && (
        <ul aria-label="By taste so far" className="flex flex-wrap gap-2">
          {seasoned.map(one => (
            <li key={one.ingredientId}>
              <button
                type="button"
                onClick={() =>
                  setText(jar ? one.name : `${printNumber(one.doses.at(-1)?.massG ?? 1, 1)} g ${one.name}`)
                }
                className={`${CHOICE} text-left font-normal`}
              >
                <b>{one.name}</b> {printMass(g(one.totalG))}{" "}
                <span className="text-sm text-lamp-faded">
                  {one.doses.length > 1 && `${one.doses.map(d => printNumber(d.massG, 1)).join(" + ")} · `}
                  {printNumber(one.pctOfPot, 2)} %
                  {one.perLitreG !== null && ` · ${printNumber(one.perLitreG, 1)} g per litre`}
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </Panel>
  );
}

const WEIGHED = /^\s*[\d.,]+\s*(?:m?g|kg|lb|oz)\b/i;
/** "16 × 8 g juices": so many pieces of so much. */
const PIECES = /^\s*(\d{1,3})\s*[×x*]\s*(\S.*)$/i;
/** Half flour, half butter, kneaded: it goes in as both. */
const KNEADED = /\b(?:kneaded butter|beurre mani[ée])\s*$/i;
const JUICES = "meat-juices";

/** What a cook typed as going in, with what it is made of; kneaded butter is two things. */
export function readPutIn(
  text: string,
  jar: { readonly before: string; readonly after: string } | null,
  larder: readonly Ingredient[],
  stepId: string,
): Result<PutIn[]> {
  const [, pieces = "1", each = text] = PIECES.exec(text) ?? [];
  if (KNEADED.test(each)) {
    const parts = ["wheat flour", "butter"].map(name =>
      readOne(each.replace(KNEADED, name), jar, larder, stepId, Number(pieces) / 2),
    );
    return all(parts);
  }
  return all([readOne(each, jar, larder, stepId, Number(pieces))]);
}

/** All, or the first that could not be read. */
function all(read: readonly Result<PutIn>[]): Result<PutIn[]> {
  const refused = read.find(one => !one.ok);
  return refused && !refused.ok ? refused : ok(read.flatMap(one => (one.ok ? [one.value] : [])));
}

/** @param times of what was typed go in: pieces, or the share of a mixture */
function readOne(
  text: string,
  jar: { readonly before: string; readonly after: string } | null,
  larder: readonly Ingredient[],
  stepId: string,
  times: number,
): Result<PutIn> {
  const measure = readMeasure(jar ? `1 g ${text}` : text, larder, null, "what went in");
  if (!measure.ok) return measure;
  const { ingredient } = measure.value;
  if (!ingredient || measure.value.massG === null)
    return refuse({
      code: "MISSING",
      field: "what went in",
      value: text,
      message: "Say what it was too: 5 g salt, 1 l water, a squeeze of lemon juice.",
    });
  const common = { kind: "put-in" as const, stepId, ingredient, why: whyOf(ingredient) } as const;
  if (jar) {
    const from = readMass("The jar before")(jar.before);
    if (!from.ok) return from;
    const to = readMass("The jar after")(jar.after);
    if (!to.ok) return to;
    const net = pouredFrom(g(from.value), g(to.value));
    return net.ok ? kept({ ...common, massG: times * net.value, fromG: from.value, toG: to.value }) : net;
  }
  return kept({
    ...common,
    massG: times * measure.value.massG,
    ...(!WEIGHED.test(text) && { counted: text.trim().slice(0, 60) }),
  });
}

/** What it is for, as far as what it is tells. */
function whyOf(ingredient: Ingredient): PutIn["why"] {
  if (ingredient.id === JUICES) return "juices";
  const kind = scaleClassOf(ingredient);
  return kind === "salt" || kind === "strong" ? "season" : kind === "liquid" ? "top up" : "other";
}

function kept(payload: PutIn): Result<PutIn> {
  const checked = checkPayload(payload);
  return checked.ok ? ok(payload) : checked;
}
