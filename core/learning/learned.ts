import { NOMINAL_FACTS } from "../ground/facts";
import { grouped } from "../ground/grouped";
import { printNumber } from "../ground/quantity";
import {
  type BodyReading,
  type KitchenData,
  type PaceReading,
  learnBody,
  learnPaces,
  pairKey,
} from "../formula";
import { KITCHEN_TESTS, corrected } from "../laws/texture";
import type { Seasoned, Taught } from "../run";
import { countedYield, pieceOf, type YieldReading, yieldOf } from "./yields";
import { standardDose } from "./dose";
import { bonesInWords, factsOf, lessonOf } from "./figures";
import { GROUPS, GROUP_IDS, type GroupId } from "./groups";
import { type Mark, type Standing, counted, standingOf } from "./marks";
import { LEAST_READINGS, type Mean, meanOf } from "./mean";

/** A reading behind a learned value, in its unit. */
export interface Evidence {
  readonly at: number;
  readonly value: number;
  /** Which sauce or what it was. */
  readonly words: string;
  /** Its batch; `null` where it came from none. */
  readonly runId: string | null;
  readonly counts: boolean;
}

export interface Learned {
  readonly group: GroupId;
  readonly key: string;
  readonly title: string;
  /** What counts without the readings; `null` where there is nothing. */
  readonly before: number | null;
  /** What the readings say. */
  readonly now: number;
  readonly lo: number | null;
  readonly hi: number | null;
  /** Readings that count. */
  readonly n: number;
  /** `learning`: too few yet · `agrees`: nothing to take · `proposed`: waits for a chef · `counts`: the sums use it. */
  readonly status: "learning" | "agrees" | "proposed" | "counts";
  readonly frozen: boolean;
  /** What was taken last; `null` where nothing was. */
  readonly accepted: Standing["accepted"];
  /** More that is to be said of it. */
  readonly note: string | null;
  readonly evidence: readonly Evidence[];
}

/** A finished batch, as far as it teaches. */
export interface TeachingBatch {
  readonly runId: string;
  readonly formulaId: string;
  readonly name: string;
  readonly at: number;
  readonly plannedG: number | null;
  readonly actualG: number | null;
  readonly plannedMin: number | null;
  readonly actualMin: number | null;
  readonly score: number | null;
  /** What went wrong in it, how often. */
  readonly incidents: number;
  readonly seasoned: readonly Seasoned[];
  readonly taught: readonly Taught[];
  readonly paces: readonly PaceReading[];
}

export interface KeptMark extends Mark {
  readonly group: GroupId;
  readonly key: string;
}

export interface Readings {
  readonly batches: readonly TeachingBatch[];
  readonly body: readonly BodyReading[];
  readonly yields: readonly (YieldReading & { readonly at: number })[];
  readonly marks: readonly KeptMark[];
}

/** Where the sums say so, a learned body is told. */
export const BODY_AT = 45;
/** A plan this far off is worth changing, share; an oven, K. Our estimate. */
const WORTH = 0.03;
const WORTH_K = 2;
/** A dish scored under this did not taste right: its doses teach nothing. Common practice, no source. */
const TASTED_RIGHT = 6;
export const tastedRight = ({ score }: { readonly score: number | null }): boolean =>
  score === null || score >= TASTED_RIGHT;
/** The last so many batches say what the next will take. Common practice, no source. */
export const LAST = 8;

/** A value on its way: its readings, oldest first. */
interface Found {
  readonly group: GroupId;
  readonly key: string;
  readonly title: string;
  readonly before: number | null;
  readonly readings: readonly Omit<Evidence, "counts">[];
}

/**
 * Everything a kitchen’s readings teach, group by group, with what each rests on.
 * @param kitchen with its body readings and paces as they count
 * Source: docs/models.md "Learning".
 */
export function learnedOf(kitchen: KitchenData, readings: Readings): Learned[] {
  const marks = grouped(readings.marks, mark => markKey(mark.group, mark.key));
  const standing = (group: GroupId, key: string): Standing =>
    standingOf(marks.get(markKey(group, key)) ?? []);
  const found = [
    ...paces(kitchen, readings.batches, standing),
    ...bodies(readings.body, standing),
    ...doses(readings.batches, standing),
    ...[
      ...bySauce("time", readings.batches, b => ratio(b.actualMin, b.plannedMin)),
      ...bySauce("yield", readings.batches, b => ratio(b.actualG, b.plannedG)),
      ...lessons(kitchen, readings.batches),
      ...yields(kitchen, readings.yields),
    ].flatMap(one => proposed(one, standing(one.group, one.key)) ?? []),
  ];
  return found.sort(
    (a, b) =>
      GROUP_IDS.indexOf(a.group) - GROUP_IDS.indexOf(b.group) || b.n - a.n || a.title.localeCompare(b.title),
  );
}

export const markKey = (group: string, key: string): string => `${group}:${key}`;

const ratio = (actual: number | null, planned: number | null): number | null =>
  actual !== null && planned !== null && planned > 0 ? actual / planned : null;

const withCounts = (
  readings: readonly Omit<Evidence, "counts">[],
  own: readonly Omit<Evidence, "counts">[],
): Evidence[] => readings.map(one => ({ ...one, counts: own.includes(one) }));

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
    note: null,
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

function yields(kitchen: KitchenData, readings: Readings["yields"]): Found[] {
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

function paces(
  { burners, vessels }: KitchenData,
  batches: readonly TeachingBatch[],
  standing: (group: GroupId, key: string) => Standing,
): Learned[] {
  const all = batches.flatMap(batch =>
    batch.paces.map(pace => ({ ...pace, at: batch.at, words: batch.name, runId: batch.runId })),
  );
  return [...grouped(all, r => pairKey(r.burnerId, r.vesselId))].flatMap(([key, own]) => {
    const marks = standing("pace", key);
    const kept = counted(own, marks);
    const pair = learnPaces(kept).get(key);
    const burner = burners.find(b => b.id === own[0]?.burnerId)?.name;
    const vessel = vessels.find(v => v.id === own[0]?.vesselId)?.name;
    if (!burner || !vessel) return [];
    const sd = pair ? Math.sqrt(pair.s2) : null;
    const times = (sds: number): number => Math.exp((pair?.mu ?? 0) + sds * (sd ?? 0));
    return [
      {
        group: "pace" as const,
        key,
        title: `${vessel} on ${burner}`,
        before: 1,
        now: times(0),
        lo: pair ? times(-NINE_IN_TEN_SD) : null,
        hi: pair ? times(NINE_IN_TEN_SD) : null,
        n: pair?.batches ?? 0,
        status: pair ? ("counts" as const) : ("learning" as const),
        frozen: marks.frozenAt !== null,
        accepted: null,
        note: null,
        evidence: own.map(r => ({
          at: r.at,
          value: r.pace * Math.exp(r.muUsed),
          words: r.words,
          runId: r.runId,
          counts: kept.includes(r),
        })),
      },
    ];
  });
}
const NINE_IN_TEN_SD = 1.645;

function bodies(
  readings: readonly BodyReading[],
  standing: (group: GroupId, key: string) => Standing,
): Learned[] {
  return [...grouped(readings, r => r.family)].flatMap(([family, rows]) => {
    const own = rows.map(r => ({ ...r, at: Date.parse(r.at), iso: r.at }));
    const marks = standing("body", family);
    const kept = counted(own, marks);
    const learned = learnBody(kept.map(({ iso, ...r }) => ({ ...r, at: iso }))).get(family);
    const at = learned ? corrected(BODY_AT, learned) : { thickness: BODY_AT, sd: null };
    const half = at.sd === null ? null : NINE_IN_TEN_SD * at.sd;
    const apart = learned?.setAside.length ?? 0;
    return [
      {
        group: "body" as const,
        key: family,
        title: family,
        before: BODY_AT,
        now: at.thickness,
        lo: half === null ? null : at.thickness - half,
        hi: half === null ? null : at.thickness + half,
        n: kept.length,
        status: learned?.trusted ? ("counts" as const) : ("learning" as const),
        frozen: marks.frozenAt !== null,
        accepted: null,
        note:
          [
            apart ? `${apart} of them did not fit and ${apart === 1 ? "is" : "are"} set aside` : "",
            ...testsApart(kept, forecast => (learned ? corrected(forecast, learned).thickness : forecast)),
          ]
            .filter(Boolean)
            .join("; ") || null,
        evidence: own.map(r => ({
          at: r.at,
          value: r.measured,
          words: `${r.formulaName}: the sums said ${printNumber(r.forecast)}`,
          runId: null,
          counts: kept.includes(r),
        })),
      },
    ];
  });
}

/** Tests that read apart from the rest by so many points are named. Our estimate: half of what one reading may be off. */
const TESTS_APART = 3;

/**
 * Tests of body that read thicker or thinner than the family’s own line, each with three readings or more.
 * @param line body the kitchen’s line gives for a forecast
 */
function testsApart(
  readings: readonly Pick<BodyReading, "test" | "forecast" | "measured">[],
  line: (forecast: number) => number,
): string[] {
  const byTest = [...grouped(readings, r => r.test)];
  if (byTest.length < 2) return [];
  return byTest.flatMap(([, own]) => {
    const first = own[0];
    const off = meanOf(own.map(r => r.measured - line(r.forecast)));
    if (!first || !off || off.n < LEAST_READINGS || Math.abs(off.value) < TESTS_APART) return [];
    const { label } = KITCHEN_TESTS[first.test];
    return [
      `the ${label} reads ${printNumber(Math.abs(off.value))} points ${off.value > 0 ? "thicker" : "thinner"} than the others do`,
    ];
  });
}

function doses(
  batches: readonly TeachingBatch[],
  standing: (group: GroupId, key: string) => Standing,
): Learned[] {
  const all = batches
    .filter(tastedRight)
    .flatMap(({ seasoned, ...batch }) => seasoned.map(one => ({ batch, one })));
  return [...grouped(all, ({ batch, one }) => `${batch.formulaId} ${one.ingredientId}`)].flatMap(
    ([key, rows]) => {
      const own = rows.map(({ batch, one }) => ({
        at: batch.at,
        value: 10 * one.pctOfPot,
        words: `${one.doses.length} ${one.doses.length === 1 ? "dose" : "doses"}`,
        runId: batch.runId,
      }));
      const marks = standing("dose", key);
      const kept = counted(own, marks);
      const dose = standardDose(kept.slice(-LAST).map(r => r.value));
      const first = rows.at(-1);
      if (!first) return [];
      return [
        {
          group: "dose" as const,
          key,
          title: `${first.one.name} in ${first.batch.name}`,
          before: null,
          now: dose?.mean.value ?? own.at(-1)?.value ?? 0,
          lo: dose?.mean.lo ?? null,
          hi: dose?.mean.hi ?? null,
          n: kept.length,
          status: dose?.firstShare == null ? ("learning" as const) : ("counts" as const),
          frozen: marks.frozenAt !== null,
          accepted: null,
          note:
            dose?.firstShare == null
              ? null
              : `${dose.status === "standard" ? "standard dose" : "usual dose"}: ${printNumber(dose.firstShare * dose.mean.value, 2)} g on the kilo first, then taste`,
          evidence: withCounts(own, kept),
        },
      ];
    },
  );
}
