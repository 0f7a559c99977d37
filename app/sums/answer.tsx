import type { Answer, AnySum } from "~/core/sums";
import clsx from "clsx";
import type { ReactNode } from "react";
import { calledInAnswer } from "~/core/sums";
import { printNumber } from "~/core/ground/quantity";
import { type Vessel } from "~/core/things/vessel";
import { VesselOutline } from "../kit/vessel-outline";
import { BASIS_WORDS, bandText } from "../text/format";
import { Falling } from "./falling";

interface Est {
  readonly value: number | string;
  readonly lo: number | string;
  readonly hi: number | string | null;
  readonly basis: keyof typeof BASIS_WORDS;
}
const isEstimate = (x: unknown): x is Est => typeof x === "object" && x !== null && "basis" in x && "lo" in x;

const decimalsFor = (x: number): number => (Math.abs(x) >= 100 || x === 0 ? 0 : Math.abs(x) >= 10 ? 1 : 2);

/** The answer: a cook's sentence, every figure with its ±, and a drawing where looking beats reading. */
export function AnswerView({
  sum,
  answer,
  input,
  vessels,
}: {
  sum: AnySum;
  answer: Answer;
  input: Readonly<Record<string, unknown>>;
  vessels: readonly Vessel[];
}) {
  const { warnings, sentence, ...figures } = answer;
  // The course of a cooling or a reduction is drawn; a table of it says nothing more.
  const rows = Object.entries(figures).filter(([key, v]) => v !== null && v !== undefined && key !== "curve");
  return (
    <div aria-live="polite">
      <p className="font-display text-xl leading-snug font-semibold">{sentence}</p>
      {warnings.map(w => (
        <p key={w.code + w.message} className="mt-1 text-sm text-saffron-ink">
          ▲ {w.message}
        </p>
      ))}
      <Drawing sum={sum} figures={figures} input={input} vessels={vessels} />
      {rows.length > 0 && (
        <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-0.5 text-sm">
          {rows.map(([key, value]) => (
            <div key={key} className="contents">
              <dt className={clsx("text-faded", isTable(value) && "col-span-2 mt-2")}>
                {calledInAnswer(key)}
              </dt>
              <dd className={clsx("min-w-0", isTable(value) && "col-span-2")}>
                <Figure value={value} />
              </dd>
            </div>
          ))}
        </dl>
      )}
    </div>
  );
}

/** Whatever a sum answers: a figure, yes or no, several of them, or a table. */
function Figure({ value }: { value: unknown }): ReactNode {
  if (isEstimate(value)) return <EstimateText of={value} />;
  if (typeof value === "number") return printNumber(value, decimalsFor(value));
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (Array.isArray(value)) {
    if (!value.length) return "none";
    return isTable(value) ? (
      <Table rows={value} />
    ) : (
      value.map((one, i) => (
        <span key={i}>
          {i > 0 && (typeof one === "string" ? "; " : ", ")}
          <Figure value={one} />
        </span>
      ))
    );
  }
  if (isRecord(value))
    return Object.entries(value).map(([key, inner], i) => (
      <span key={key}>
        {i > 0 && ", "}
        <span className="text-faded">{calledInAnswer(key)}</span> <Figure value={inner} />
      </span>
    ));
  return value === null || value === undefined ? "–" : inWords(String(value));
}

const isTable = (value: unknown): value is Record<string, unknown>[] =>
  Array.isArray(value) && value.length > 0 && value.every(isRecord) && !value.some(isEstimate);
const isRecord = (x: unknown): x is Record<string, unknown> => typeof x === "object" && x !== null;

/** An estimate where there is no room for what it rests on. */
function Short({ of }: { of: Est }) {
  if (typeof of.value === "string") return of.value;
  const band = { value: of.value, lo: Number(of.lo), hi: of.hi === null ? null : Number(of.hi) };
  return (
    <span className="whitespace-nowrap">
      {printNumber(of.value, decimalsFor(of.value))}{" "}
      <span className="text-faded">{bandText(band, 1, 1)}</span>
    </span>
  );
}

function Table({ rows }: { rows: readonly Record<string, unknown>[] }) {
  const keys = [...new Set(rows.flatMap(row => Object.keys(row)))].filter(key =>
    rows.some(row => row[key] !== null && row[key] !== undefined),
  );
  return (
    <div className="overflow-x-auto">
      <table className="text-sm">
        <thead>
          <tr>
            {keys.map(key => (
              <th key={key} scope="col" className="pr-4 text-left font-normal whitespace-nowrap text-faded">
                {calledInAnswer(key)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <tr key={i}>
              {keys.map(key => (
                <td key={key} className="pr-4 align-top">
                  {isEstimate(row[key]) ? <Short of={row[key]} /> : <Figure value={row[key]} />}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function EstimateText({ of }: { of: Est }) {
  if (typeof of.value === "string")
    return (
      <>
        {of.value}{" "}
        <span className="text-faded">
          ({String(of.lo)} to {String(of.hi)}; {BASIS_WORDS[of.basis]})
        </span>
      </>
    );
  const band = { value: of.value, lo: Number(of.lo), hi: of.hi === null ? null : Number(of.hi) };
  return (
    <>
      {printNumber(of.value, decimalsFor(of.value))}{" "}
      <span className="text-faded">
        {bandText(band, 1, 2)} · {BASIS_WORDS[of.basis]}
      </span>
    </>
  );
}

const number = (x: unknown): number | null => (typeof x === "number" ? x : null);

function Drawing({
  sum,
  figures,
  input,
  vessels,
}: {
  sum: AnySum;
  figures: Readonly<Record<string, unknown>>;
  input: Readonly<Record<string, unknown>>;
  vessels: readonly Vessel[];
}) {
  const level = number(figures.markMm) ?? number(figures.levelMm) ?? number(figures.dipMm);
  const asked = input.vessel as { id?: string; shape?: string } | undefined;
  if (level !== null && asked) {
    const own = asked.id ? vessels.find(v => v.id === asked.id) : undefined;
    const vessel = own ?? (asked.shape ? ({ ...BARE, shape: asked } as unknown as Vessel) : undefined);
    if (vessel)
      return (
        <figure className="mt-3">
          <VesselOutline
            vessel={vessel}
            pxPerMm={0.42}
            levelMm={level}
            markMm={level}
            startMm={number(figures.startMm) ?? undefined}
          />
        </figure>
      );
  }
  const curve = figures.curve as { min: number; c?: number; g?: number }[] | undefined;
  if (sum.name === "cool-time" && curve)
    return <Falling points={curve.map(p => ({ x: p.min, y: p.c ?? 0 }))} gates={[57, 21, 5]} unit="°C" />;
  if (sum.name === "reduce" && curve)
    return <Falling points={curve.map(p => ({ x: p.min, y: p.g ?? 0 }))} gates={[]} unit="g" />;
  const readings = input.readings as { min: number; c: number }[] | undefined;
  if (sum.name === "cooling-check" && readings && readings.length > 1)
    return (
      <Falling points={readings.map(r => ({ x: r.min, y: r.c }))} gates={[57, 21, 5]} unit="°C" marked />
    );
  const abv = number(figures.leftPct);
  if (sum.name === "alcohol-left" && abv !== null) {
    const hi =
      isEstimate(figures.ethanolG) && typeof figures.ethanolG.value === "number" && figures.ethanolG.value > 0
        ? (abv * Number(figures.ethanolG.hi)) / figures.ethanolG.value
        : abv;
    return <Left pct={abv} upTo={Math.min(100, hi)} />;
  }
  return null;
}

const BARE = { id: "bare", name: "This vessel", use: "pot", tareG: 1, metal: "steel", handles: "none" };

/** What stays of the alcohol, and what may stay. */
function Left({ pct, upTo }: { pct: number; upTo: number }) {
  return (
    <svg
      viewBox="0 0 300 34"
      className="mt-3 w-full max-w-80"
      role="img"
      aria-label={`${printNumber(pct, 1)} % of the alcohol stays, possibly ${printNumber(upTo, 0)} %`}
    >
      <rect x={0} y={6} width={300} height={16} rx={4} fill="#ede5d6" />
      <rect x={0} y={6} width={3 * upTo} height={16} rx={4} fill="#d9c7e6" />
      <rect x={0} y={6} width={3 * pct} height={16} rx={4} fill="#7b5a99" />
      <text x={Math.min(240, 3 * upTo + 6)} y={19} fontSize={12} fill="#6a6472">
        {upTo < 80 ? `may be ${printNumber(upTo, 0)} %` : ""}
      </text>
    </svg>
  );
}

/** "pass-marginal" is an id; a sentence keeps its hyphens. */
const inWords = (text: string): string =>
  /^[a-z]+(?:-[a-z]+)+$/.test(text) ? text.replaceAll("-", " ") : text;
