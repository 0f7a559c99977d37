import type { RunPayload } from "../core/run";
import { type Planned, stepOf } from "./planned";

/**
 * Ten weeks of the same sauces, before the days that are told one by one: one that drifts, a hand that salts high, a burner
 * that weakened, and what went wrong. All invented.
 */

const DAY = 24;
const WEEK = 7 * DAY;

type Besides = NonNullable<Planned["besides"]>;

/** Read with a refractometer, and tasted, at the end. */
const read =
  (brix: number, score: number): Besides =>
  document => {
    const stepId = stepOf(document, "season");
    return [
      {
        stepId,
        share: 0.5,
        payload: { kind: "measured", stepId, what: "brix", value: brix, temperatureC: 20 },
      },
      { stepId, share: 0.9, payload: { kind: "tasted", stepId, verdicts: {}, score, stop: true } },
    ];
  };

const wentWrong =
  (kind: string, what: (RunPayload & { kind: "incident" })["what"], lostG: number, words: string): Besides =>
  document => {
    const stepId = stepOf(document, kind);
    return [{ stepId, share: 0.5, payload: { kind: "incident", stepId, what, lostG, words } }];
  };

/** Twice a week, from ten weeks ago to two weeks ago. */
const TWICE = Array.from({ length: 17 }, (_, i) => 10 * WEEK - i * 3.5 * DAY);

const INCIDENTS: Readonly<Record<number, Besides>> = {
  4: wentWrong("reduce", "boiled over", 250, "left for the pass"),
  11: wentWrong("reduce", "burnt", 300, "caught at the edge, thrown away in part"),
};

/** The burner gave all it has until here; then its jets began to clog. */
const CLOGGED_FROM = 9;

export const TEN_WEEKS: readonly Planned[] = TWICE.flatMap((hoursAgo, i): Planned[] => [
  {
    // Stopped a little later each time: less of it, stronger and saltier, and nobody has said so.
    formulaId: "morel-cream",
    burnerId: "open-6",
    personId: "noor",
    hoursAgo,
    hand: { stopsAt: 1.02 - 0.012 * i },
    besides: read(Math.round(10 * (19 + 0.28 * i)) / 10, 8),
  },
  {
    formulaId: "smoked-trout-veloute",
    burnerId: "open-2",
    personId: i % 3 === 1 ? "petr" : i % 3 === 2 ? "tomas" : "noor",
    hoursAgo: hoursAgo + 4,
    // Petr’s pinch is a large one.
    hand: { salt: i % 3 === 1 ? 1.22 : 1.001 },
    besides: read(12.4, i % 3 === 1 ? 6 : 8),
  },
  {
    formulaId: "cider-juniper-pan-sauce",
    // The one of today is three weeks old.
    earlier: true,
    burnerId: "open-3",
    personId: "tomas",
    hoursAgo: 10 * WEEK - i * 2.8 * DAY + 2,
    weak: i >= CLOGGED_FROM ? Math.max(0.55, 1 - 0.09 * (i - CLOGGED_FROM + 1)) : 1,
    ...(INCIDENTS[i] && { besides: INCIDENTS[i] }),
  },
]);
