import { ulid } from "ulid";
import { cookThrough } from "../devices/cook";
import { chance, seedOf } from "../devices/random";
import { trueKitchen } from "../devices/true-kitchen";
import { type FormulaDocument, type KitchenData, atSize } from "../core/formula";
import { EARLIER_VERSIONS } from "./earlier";
import { type Planned, stepOf } from "./planned";
import { TEN_WEEKS } from "./ten-weeks";
import { FACTS } from "../core/ground/facts";
import { g } from "../core/ground/quantity";
import type { RunEvent } from "../core/run";

/** A kitchen at work: what was cooked in the last days, and three pots on the Range. All invented; their readings come from the simulated kit. */

export interface DemoRun {
  readonly id: string;
  readonly formulaId: string;
  readonly document: FormulaDocument;
  readonly earlier: boolean;
  readonly burnerId: string;
  readonly personId: string;
  readonly startedAt: Date;
  readonly events: readonly RunEvent[];
}

const HOUR_MS = 3_600_000;

const seasoned =
  (score: number, words: string) =>
  (document: FormulaDocument): ReturnType<NonNullable<Planned["besides"]>> => {
    const stepId = stepOf(document, "season");
    return [
      {
        stepId,
        share: 0.4,
        payload: { kind: "tasted", stepId, verdicts: { salt: -1 }, score: score - 1, stop: false },
      },
      {
        stepId,
        share: 0.9,
        payload: { kind: "tasted", stepId, verdicts: { salt: 0 }, score, words, stop: true },
      },
    ];
  };

const DAY = 24;

/** So many batches of one thing, one a day, the last of them a day and a half ago. */
const daily = (
  of: Omit<Planned, "hoursAgo">,
  batches: number,
  besides?: (i: number) => Planned["besides"],
): Planned[] =>
  Array.from({ length: batches }, (_, i) => {
    const more = besides?.(i);
    return { ...of, hoursAgo: DAY * (batches - i) + 12, ...(more && { besides: more }) };
  });

/** °Brix at the end of a simmer: these frames give a little less than the sums say. */
const FUMET_BX = [1.9, 2.0, 1.9, 1.8, 1.9];
const refracted = (i: number): Planned["besides"] => {
  const value = FUMET_BX[i];
  return value === undefined
    ? undefined
    : document => {
        const stepId = stepOf(document, "simmer");
        return [
          {
            stepId,
            share: 0.97,
            payload: { kind: "measured", stepId, what: "brix", value, temperatureC: 20 },
          },
        ];
      };
};

/** Finished by now, the oldest first; then what is on the fire. */
const PLANNED: readonly Planned[] = [
  // What stands behind the signatures: enough of one to be ready, too few of others.
  ...daily({ formulaId: "trout-fumet", burnerId: "open-1", personId: "noor" }, 10, refracted),
  ...daily({ formulaId: "verjus-butter-sauce", burnerId: "open-6", personId: "noor" }, 9),
  ...daily({ formulaId: "buckwheat-brown-gravy", burnerId: "open-3", personId: "petr" }, 4),
  ...daily({ formulaId: "nettle-soup", burnerId: "open-5", personId: "petr" }, 3),
  ...daily({ formulaId: "langoustine-bisque", burnerId: "open-2", personId: "tomas" }, 2),
  { formulaId: "mushroom-barley-stock", burnerId: "plate-cool", personId: "petr", hoursAgo: 6 * DAY },
  { formulaId: "foresters-cream", burnerId: "open-3", personId: "tomas", hoursAgo: 4 * DAY + 2 },
  {
    formulaId: "morel-cream",
    burnerId: "open-6",
    personId: "noor",
    hoursAgo: 3 * DAY + 8,
    hand: { stopsAt: 0.82 },
  },
  { formulaId: "salsify-puree", burnerId: "open-1", personId: "petr", hoursAgo: 3 * DAY + 4 },
  { formulaId: "nettle-coulis", burnerId: "open-5", personId: "petr", hoursAgo: 2 * DAY + 9 },
  { formulaId: "nettle-flan-base", burnerId: "open-5", personId: "petr", hoursAgo: 2 * DAY + 8 },
  { formulaId: "nettle-butter-sauce", burnerId: "open-6", personId: "noor", hoursAgo: 2 * DAY + 7 },
  { formulaId: "guinea-fowl-brown-stock", burnerId: "plate-hot", personId: "tomas", hoursAgo: 5 * DAY },
  {
    formulaId: "cider-juniper-pan-sauce",
    burnerId: "open-3",
    personId: "noor",
    hoursAgo: 4 * DAY + 5,
    besides: seasoned(7, "good, a little sharp"),
  },
  { formulaId: "guinea-fowl-glace", burnerId: "plate-hot", personId: "tomas", hoursAgo: 4 * DAY },
  {
    formulaId: "cider-juniper-pan-sauce",
    burnerId: "open-3",
    personId: "noor",
    hoursAgo: 3 * DAY + 5,
    besides: seasoned(8, "rounder than yesterday"),
  },
  {
    formulaId: "walnut-oil-mayonnaise",
    burnerId: "open-5",
    personId: "petr",
    hoursAgo: 3 * DAY + 2,
    besides: document => {
      const stepId = stepOf(document, "emulsify");
      return [
        {
          stepId,
          share: 0.5,
          payload: { kind: "incident", stepId, what: "split", words: "oil in one pour at the end" },
        },
        {
          stepId,
          share: 0.6,
          payload: {
            kind: "fixed",
            stepId,
            fault: "split",
            remedy: "onto 15 g hot water, the broken one in by spoonfuls",
          },
        },
      ];
    },
  },
  {
    formulaId: "smoked-trout-veloute",
    burnerId: "open-2",
    personId: "noor",
    hoursAgo: 2 * DAY + 6,
    besides: seasoned(8, "clean"),
  },
  {
    formulaId: "cider-juniper-pan-sauce",
    burnerId: "open-4",
    personId: "tomas",
    hoursAgo: DAY + 5,
    besides: seasoned(9, "as it should be"),
  },
  { formulaId: "verjus-butter-sauce", burnerId: "open-6", personId: "noor", hoursAgo: DAY + 4 },
  // On the fire now, at different stages.
  { formulaId: "guinea-fowl-brown-stock", burnerId: "plate-hot", personId: "tomas", hoursAgo: 4.4 },
  { formulaId: "guinea-fowl-glace", burnerId: "open-2", personId: "tomas", hoursAgo: 1.1 },
  { formulaId: "cider-juniper-pan-sauce", burnerId: "open-7", personId: "noor", hoursAgo: 0.12 },
];

/** The stove, its open burners giving less: for a run on one of them. */
const weakened = (truth: KitchenData, share: number): KitchenData => ({
  ...truth,
  facts: { ...truth.facts, gasPro: (truth.facts.gasPro ?? FACTS.gasPro.value) * share },
});

/** @param now what is not over by then is on the fire */
export function livedIn(
  formulas: Readonly<Record<string, FormulaDocument>>,
  kitchen: KitchenData,
  now: Date,
): DemoRun[] {
  // One kitchen has one stove: what its batches teach of it agrees.
  const truth = trueKitchen(kitchen, seedOf(kitchen.name));
  return [...PLANNED, ...TEN_WEEKS].flatMap((one, n): DemoRun[] => {
    const whole = one.earlier ? EARLIER_VERSIONS[one.formulaId]?.document : formulas[one.formulaId];
    if (!whole) return [];
    const document = one.baseG ? atSize(whole, g(one.baseG)) : whole;
    const startAt = now.getTime() - one.hoursAgo * HOUR_MS;
    const seed = seedOf(`${one.formulaId} ${n}`);
    const { uniform } = chance(seed);
    const events = cookThrough({
      document,
      kitchen,
      truth: one.weak ? weakened(truth, one.weak) : truth,
      ...(one.hand && { hand: one.hand }),
      burnerId: one.burnerId,
      personId: one.personId,
      startAt,
      until: now.getTime(),
      seed,
      idAt: at => ulid(at, uniform),
      besides: one.besides?.(document) ?? [],
    });
    return [
      {
        id: ulid(startAt, uniform),
        formulaId: one.formulaId,
        document,
        earlier: one.earlier ?? false,
        burnerId: one.burnerId,
        personId: one.personId,
        startedAt: new Date(startAt),
        events,
      },
    ];
  });
}
