import { grouped } from "../ground/grouped";
import { printNumber } from "../ground/quantity";
import { type BodyReading, type KitchenData, learnBody, learnPaces, pairKey } from "../formula";
import { KITCHEN_TESTS, corrected } from "../laws/texture";
import { standardDose } from "./dose";
import type { GroupId } from "./groups";
import { type Standing, counted } from "./marks";
import { LEAST_READINGS, meanOf } from "./mean";
import { LAST, type Learned, type Readings, type TeachingBatch, tastedRight, withCounts } from "./readings";

/** Values that follow their readings by themselves. */

/** Where the sums say so, a learned body is told. */
const BODY_AT = 45;

/** Paces of pots on burners, bodies by family, doses by sauce. */
export const followed = (
  kitchen: KitchenData,
  { batches, body }: Readings,
  standing: (group: GroupId, key: string) => Standing,
): Learned[] => [
  ...paces(kitchen, batches, standing),
  ...bodies(body, standing),
  ...doses(batches, standing),
];

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
