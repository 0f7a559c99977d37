import { costInWords, currencyOf } from "../text/money";
import { useState } from "react";
import type { FactValues } from "~/core/ground/facts";
import {
  COMPLAINTS,
  COMPLAINT_WORDS,
  type Complaint,
  type FixTarget,
  afterOf,
  remediesFor,
} from "~/core/laws/fix";
import { broughtBy, emulsionOfPot, sauceOf } from "~/core/formula";
import { ALLERGENS, type Ingredient } from "~/core/things/larder";
import { g, printMass, printNumber } from "~/core/ground/quantity";
import type { PotState } from "~/core/things/pot";
import { bandOf } from "~/core/laws/texture";
import { readWithin } from "./read";
import { TypedField } from "./typed-field";

/** What may be aimed at for a complaint, and where it begins. */
interface Aim {
  readonly key: keyof FixTarget;
  readonly label: string;
  readonly unit: string;
  readonly start: number;
  readonly max: number;
  /** Which way the body is to go. */
  readonly goes?: 1 | -1;
}
const AIMS: Partial<Record<Complaint, Aim>> = {
  "too-thin": { key: "thickness", label: "body wanted", unit: "", start: 45, max: 95, goes: 1 },
  watery: { key: "thickness", label: "body wanted", unit: "", start: 45, max: 95, goes: 1 },
  "too-thick": { key: "thickness", label: "body wanted", unit: "", start: 40, max: 95, goes: -1 },
  gluey: { key: "thickness", label: "body wanted", unit: "", start: 70, max: 95, goes: -1 },
  "too-salty": { key: "saltPct", label: "salt wanted", unit: "%", start: 0.9, max: 10 },
  "too-sour": { key: "acidPct", label: "acid wanted", unit: "%", start: 0.25, max: 10 },
  greasy: { key: "fatPct", label: "fat wanted", unit: "%", start: 7, max: 90 },
  "over-reduced": { key: "saltPct", label: "salt wanted", unit: "%", start: 0.9, max: 10 },
};

/** Least that somebody who complains of the body wants it changed by, points: that is twice as thick, or half. */
const LEAST_CHANGE = 6;

/** Where a wish begins: as usual, but always on the side that was complained of. */
function startOf({ start, max, goes }: Aim, thickness: number | null): number {
  if (!goes || thickness === null) return start;
  const moved = Math.round(thickness) + goes * LEAST_CHANGE;
  return Math.min(max, Math.max(2, goes > 0 ? Math.max(start, moved) : Math.min(start, moved)));
}

/** A remedy that was taken. */
export interface Mended {
  readonly fault: string;
  readonly remedy: string;
  /** What went in for it, g by ingredient. */
  readonly brings: Readonly<Record<string, number>>;
}

/** A complaint, and what mends it: small cards with grams, the order, and what it does to everything else. */
export function RemedyCards({
  pot,
  temperatureC,
  facts,
  ingredients,
  onDone,
}: {
  pot: PotState;
  /** It is eaten at. */
  temperatureC: number;
  facts: FactValues;
  /** What the kitchen knows of prices and allergens. */
  ingredients: readonly Ingredient[];
  /** At the Stove: this was done about it. */
  onDone?: (mended: Mended) => void;
}) {
  const [complaint, setComplaint] = useState<Complaint | null>(null);
  const [aims, setAims] = useState<FixTarget>({});
  const state = sauceOf(pot, facts);
  const sauce = { state, temperatureC, emulsion: emulsionOfPot(pot, temperatureC, facts) };
  const now = afterOf(state, { ...sauce, target: {} }, facts);
  const aim = complaint ? AIMS[complaint] : undefined;
  const wanted = aim && (aims[aim.key] ?? startOf(aim, now.thickness));
  const target: FixTarget = aim ? { [aim.key]: wanted } : {};
  const found = complaint ? remediesFor(complaint, { ...sauce, target }, facts) : null;
  return (
    <div className="space-y-4">
      <div role="group" aria-label="What is wrong" className="flex flex-wrap gap-2">
        {COMPLAINTS.map(c => (
          <button
            key={c}
            type="button"
            aria-pressed={complaint === c}
            onClick={() => setComplaint(complaint === c ? null : c)}
            className={
              complaint === c
                ? "rounded-full border border-ink bg-ink px-3 py-1.5 text-sm font-semibold text-paper"
                : "rounded-full border border-rule bg-enamel px-3 py-1.5 text-sm hover:border-copper hover:text-copper"
            }
          >
            {COMPLAINT_WORDS[c]}
          </button>
        ))}
      </div>
      {!complaint && <p className="text-faded">Say what is wrong with it; the cards say what mends it.</p>}
      {complaint && aim && (
        <TypedField
          label={aim.label}
          shown={`${printNumber(wanted ?? aim.start, aim.key === "thickness" ? 0 : 2)} ${aim.unit}`.trim()}
          read={readWithin(aim.label, aim.unit, 0.01, aim.max)}
          onRead={value => setAims({ ...aims, [aim.key]: value })}
          hint={`now ${nowOf(aim.key, now)}`}
          width="w-24"
        />
      )}
      {found && !found.ok && (
        <p role="alert" className="rounded-md bg-saffron-wash p-2 text-sm text-saffron-ink">
          ▲ {found.problems[0]?.message}
        </p>
      )}
      {found?.ok && (
        <ul className="grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
          {found.value.map(r => (
            <li key={r.what} className="rounded-xl border border-rule bg-paper p-4">
              <p className="flex items-baseline justify-between gap-3">
                <span className="font-display text-lg font-semibold">{r.what}</span>
                {Math.abs(r.addG) > 0.05 && (
                  <strong className="font-display text-lg whitespace-nowrap text-copper">
                    {r.addG < 0 ? "−" : "+"}
                    {printMass(g(Math.abs(r.addG)))}
                  </strong>
                )}
              </p>
              <ol className="mt-1 list-inside list-decimal text-sm">
                {r.order.map(step => (
                  <li key={step}>{step}</li>
                ))}
              </ol>
              <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-3 text-sm">
                <Change label="in all" before={printMass(g(now.massG))} after={printMass(g(r.after.massG))} />
                <Change
                  label="salt"
                  before={`${printNumber(now.saltPct, 2)} %`}
                  after={`${printNumber(r.after.saltPct, 2)} %`}
                />
                <Change
                  label="fat"
                  before={`${printNumber(now.fatPct, 1)} %`}
                  after={`${printNumber(r.after.fatPct, 1)} %`}
                />
                <Change label="body" before={bodyWords(now.thickness)} after={bodyWords(r.after.thickness)} />
              </dl>
              <Brings brings={r.brings} ingredients={ingredients} />
              {r.besides.length > 0 && <p className="mt-2 text-sm text-faded">{r.besides.join("; ")}.</p>}
              {onDone && complaint && (
                <button
                  type="button"
                  onClick={() =>
                    onDone({
                      fault: COMPLAINT_WORDS[complaint],
                      remedy: `${r.what}${Math.abs(r.addG) > 0.05 ? `, ${printMass(g(Math.abs(r.addG)))}` : ""}`,
                      brings: r.brings,
                    })
                  }
                  className="mt-3 min-h-14 w-full rounded-lg border border-ink px-4 font-semibold"
                >
                  Done: log it
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** What the additions cost, and the allergens that come with them. */
function Brings({
  brings,
  ingredients,
}: {
  brings: Readonly<Record<string, number>>;
  ingredients: readonly Ingredient[];
}) {
  if (Object.keys(brings).length === 0) return null;
  const { cost, allergens, unrecorded } = broughtBy(brings, ingredients);
  return (
    <p className="mt-2 text-sm">
      {cost === null ? "No price entered" : `Costs ${costInWords(cost, currencyOf(ingredients))}`}
      {allergens.length > 0 && (
        <>
          {" · brings "}
          <strong>{allergens.map(id => ALLERGENS[id]).join(", ")}</strong>
        </>
      )}
      {unrecorded.length > 0 && ` · allergens of ${unrecorded.join(", ")} not recorded`}
    </p>
  );
}

const bodyWords = (h: number | null): string => (h === null ? "–" : `${printNumber(h)}, ${bandOf(h).name}`);

function nowOf(key: keyof FixTarget, now: ReturnType<typeof afterOf>): string {
  switch (key) {
    case "thickness":
      return bodyWords(now.thickness);
    case "saltPct":
      return `${printNumber(now.saltPct, 2)} %`;
    case "acidPct":
      return `${printNumber(now.acidPct, 2)} %`;
    case "fatPct":
      return `${printNumber(now.fatPct, 1)} %`;
    case "massG":
      return printMass(g(now.massG));
  }
}

function Change({ label, before, after }: { label: string; before: string; after: string }) {
  return (
    <>
      <dt className="text-faded">{label}</dt>
      <dd>{before === after ? after : `${before} → ${after}`}</dd>
    </>
  );
}
