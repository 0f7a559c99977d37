import { NOMINAL_FACTS } from "../ground/facts";
import { grouped } from "../ground/grouped";
import { printNumber } from "../ground/quantity";
import type { KitchenData } from "../formula";
import { bonesInWords, factsOf, lessonOf } from "./figures";
import { GROUPS, type GroupId } from "./groups";
import { type Standing, counted } from "./marks";
import { LEAST_READINGS, type Mean, meanOf } from "./mean";
import {
  type Evidence,
  LAST,
  type Learned,
  type Readings,
  type TeachingBatch,
  markKey,
  withCounts,
} from "./readings";
import { countedYield, pieceOf, yieldOf } from "./yields";

/** Values that wait until a chef takes them. */

/** A plan this far off is worth changing, share; an oven, K. Our estimate. */
const WORTH = 0.03;
const WORTH_K = 2;

/** A plan of today counts with the pace its pots have shown since; one of weeks ago did not. */
const PACE_BESIDES =
  "The pace of its pots is learned besides and counts already: take this where the latest batches still say so.";

/** A value on its way: its readings, oldest first. */
interface Found {
  readonly group: GroupId;
  readonly key: string;
  readonly title: string;
  readonly before: number | null;
  readonly readings: readonly Omit<Evidence, "counts">[];
}

/** All that is proposed: minutes and yields of sauces, figures of the sums, yields of what is bought. */
export const proposals = (
  kitchen: KitchenData,
  { batches, yields }: Readings,
  standing: (group: GroupId, key: string) => Standing,
): Learned[] =>
  [
    ...bySauce("time", batches, b => ratio(b.actualMin, b.plannedMin)),
    ...bySauce("yield", batches, b => ratio(b.actualG, b.plannedG)),
    ...lessons(kitchen, batches),
    ...yieldsOf(kitchen, yields),
  ].flatMap(one => proposed(one, standing(one.group, one.key)) ?? []);

const ratio = (actual: number | null, planned: number | null): number | null =>
  actual !== null && planned !== null && planned > 0 ? actual / planned : null;

/** A mean that waits until a chef takes it. */
function proposed({ readings, ...of }: Found, standing: Standing): Learned | null {
  const relative = of.group === "extraction" || of.group === "holding";
  // What was read beside older figures does not speak of those taken since.
  const since = relative ? Math.max(standing.since, standing.accepted?.at ?? -Infinity) : standing.since;
  const own = counted(readings, { ...standing, since });
  const mean = meanOf(own.slice(-LAST).map(one => one.value));
  if (!mean && !standing.accepted) return null;
  const value = mean?.value ?? standing.accepted?.value ?? 0;
  const taken = relative ? null : standing.accepted;
  const beside = taken?.value ?? of.before;
  return {
    ...of,
    now: value,
    lo: mean?.lo ?? null,
    hi: mean?.hi ?? null,
    n: mean?.n ?? 0,
    status: statusOf(of.group, mean, beside, standing),
    frozen: standing.frozenAt !== null,
    accepted: standing.accepted,
    note: of.group === "time" ? PACE_BESIDES : null,
    evidence: withCounts(readings, own),
  };
}

function statusOf(
  group: GroupId,
  mean: Mean | null,
  beside: number | null,
  { accepted, frozenAt }: Standing,
): Learned["status"] {
  const settled = accepted ? "counts" : "learning";
  if (frozenAt !== null || !mean || mean.n < LEAST_READINGS) return settled;
  const worth = group === "oven" ? WORTH_K : WORTH * Math.abs(beside ?? 1);
  const off = beside === null || Math.abs(mean.value - beside) >= worth;
  // An interval that holds what counts already asks for nothing.
  const clear = beside === null || mean.lo === null || mean.lo > beside || (mean.hi ?? Infinity) < beside;
  return off && clear ? "proposed" : accepted ? "counts" : "agrees";
}

function bySauce(
  group: "time" | "yield",
  batches: readonly TeachingBatch[],
  of: (batch: TeachingBatch) => number | null,
): Found[] {
  return [...grouped(batches, b => b.formulaId)].map(([key, own]) => ({
    group,
    key,
    title: own.at(-1)?.name ?? "",
    before: 1,
    readings: own.flatMap(batch => {
      const value = of(batch);
      // A pot that boiled over says nothing of how much usually comes out, or when.
      return value === null || batch.incidents > 0
        ? []
        : [{ at: batch.at, value, words: batch.name, runId: batch.runId }];
    }),
  }));
}

function lessons({ facts }: KitchenData, batches: readonly TeachingBatch[]): Found[] {
  const all = batches.flatMap(({ taught, ...batch }) => taught.map(one => ({ batch, one })));
  return [...grouped(all, ({ one }) => markKey(one.what, one.of))].flatMap(([, own]) => {
    const first = own[0]?.one;
    if (!first) return [];
    const [fact] = factsOf(first);
    return [
      {
        group: first.what,
        key: first.of,
        title: first.of ? bonesInWords(first.of) : GROUPS[first.what].label,
        before: first.what === "oven" && fact ? (facts[fact] ?? NOMINAL_FACTS[fact]) : 1,
        readings: own.map(({ batch, one }) => ({
          at: batch.at,
          value: lessonOf(one),
          words: batch.name,
          runId: batch.runId,
        })),
      },
    ];
  });
}

function yieldsOf(kitchen: KitchenData, readings: Readings["yields"]): Found[] {
  return [...grouped(readings, r => markKey(r.what, r.ingredientId))].flatMap(([, own]) => {
    const [first] = own;
    const ingredient = kitchen.ingredients.find(i => i.id === first?.ingredientId);
    if (!first || !ingredient) return [];
    const piece = pieceOf(ingredient)?.name ?? "piece";
    return [
      {
        group: first.what === "trimmed" ? ("trim" as const) : ("piece" as const),
        key: ingredient.id,
        title: first.what === "trimmed" ? ingredient.name : `${ingredient.name}, a ${piece}`,
        before: countedYield(ingredient, first.what),
        readings: own.map(reading => ({
          at: reading.at,
          value: yieldOf(reading),
          words:
            first.what === "trimmed"
              ? `${printNumber(reading.from)} g gave ${printNumber(reading.gotG)} g`
              : `${printNumber(reading.from)} gave ${printNumber(reading.gotG)} g`,
          runId: null,
        })),
      },
    ];
  });
}
