import type { StateAfterStep } from "../formula";
import { g, printDuration, printMass, printNumber, s } from "../ground/quantity";
import type { RunState } from "./fold";
import { measuredInWords } from "./instruments";
import type { Reading, StepProgress } from "./progress";
import { fixInWords, incidentInWords, tastingInWords } from "./told";

/** The story of a pot: all that was read, put in, tasted, mended and seen, in the order it happened. */

type MomentKind = "read" | "in" | "tasted" | "wrong" | "mended" | "seen" | "said" | "changed";

export interface Moment {
  readonly key: string;
  readonly at: number;
  readonly personId: string;
  readonly kind: MomentKind;
  readonly words: string;
  readonly beside?: string;
  readonly photoId?: string;
}

/** What was done to a pot in a step and told of it, besides its readings. */
export function toldOfStep({ told }: Pick<RunState, "told">, { step, turns }: StepProgress): Moment[] {
  const here = <T extends { stepId: string; eventId: string; at: number; personId: string }>(
    kind: Moment["kind"],
    list: readonly T[],
    words: (one: T) => string,
  ): Moment[] =>
    list
      .filter(one => one.stepId === step.id)
      .map(one => ({ key: one.eventId, at: one.at, personId: one.personId, kind, words: words(one) }));
  return [
    ...turns.map(({ eventId, at, personId, words }) => ({
      key: eventId,
      at,
      personId,
      kind: "changed" as const,
      words,
    })),
    ...here("tasted", told.tastings, tasting => `tasted: ${tastingInWords(tasting)}`),
    ...here(
      "read",
      told.touches,
      ({ touch, temperatureC }) => `${touch} under the finger at ${printNumber(temperatureC, 1)} °C`,
    ),
    ...here("wrong", told.incidents, incidentInWords),
    ...here("mended", told.fixes, fixInWords),
    ...here("said", told.handOver ? [told.handOver] : [], ({ next }) => `handed over: ${next}`),
  ];
}

const KIND_OF: Readonly<Partial<Record<Reading["kind"], Moment["kind"]>>> = {
  added: "in",
  noted: "said",
  looked: "seen",
};

/** A reading as a moment of its step. */
export const readingMoment = (reading: Reading, planned: StateAfterStep): Moment => ({
  key: reading.eventId,
  at: reading.at,
  personId: reading.personId,
  kind: KIND_OF[reading.kind] ?? "read",
  words: readingInWords(reading, planned),
  ...(reading.photoId && { photoId: reading.photoId }),
});

function readingInWords(reading: Reading, planned: StateAfterStep): string {
  switch (reading.kind) {
    case "weighed":
      return `weighed ${printMass(reading.massG ?? g(0))}`;
    case "dipped":
      return `dipped ${printNumber(reading.levelMm ?? 0)} mm${reading.massG === undefined ? "" : `, about ${printMass(reading.massG)}`}`;
    case "probed":
      return `${reading.where === "oven" ? "oven" : "probe"} ${printNumber(reading.temperatureC ?? 0, 1)} °C`;
    case "jugged":
      return `${printNumber((reading.volumeMl ?? 0) / 1000, 2)} l in the jug`;
    case "noted":
      return `“${reading.text ?? ""}”`;
    case "added": {
      const line = planned.lines.find(l => l.lineId === reading.lineId);
      return `${line?.name ?? "added"} ${printMass(reading.massG ?? g(0))}`;
    }
    case "measured":
      return reading.what ? measuredInWords(reading.what, reading.value ?? 0) : "";
    case "looked":
      return [
        reading.gloss,
        reading.clarity,
        reading.colour !== undefined && `colour ${reading.colour} of ${DARKEST}`,
        reading.photoId && "picture",
      ]
        .filter(Boolean)
        .join(", ");
  }
}

/** The darkest a colour is told beside its reference. */
export const DARKEST = 6;

/** A step on the time line, with all that happened in it. */
export interface Chapter {
  readonly stepId: string;
  readonly title: string;
  /** ms; `null` where it was never begun. */
  readonly from: number | null;
  readonly to: number | null;
  readonly plannedMin: number;
  readonly skipped: boolean;
  readonly moments: readonly Moment[];
}

/** The whole run, chapter by chapter. @param titleOf a step in a cook’s words */
export function storyOf(run: RunState, titleOf: (state: StateAfterStep) => string): Chapter[] {
  const putIns = run.told.putIns;
  return run.steps.map((progress): Chapter => {
    const { step, begunAt, doneAt, status, readings, planned, overridden } = progress;
    return {
      stepId: step.id,
      title: titleOf(planned),
      from: begunAt,
      to: doneAt,
      plannedMin: planned.durationS / 60,
      skipped: status === "skipped",
      moments: [
        ...toldOfStep(run, progress),
        ...putIns
          .filter(one => one.stepId === step.id)
          .map(one => ({
            key: `${one.eventId} in`,
            at: one.at,
            personId: one.personId,
            kind: "in" as const,
            words: `${printMass(g(one.massG))} ${one.ingredient.name}${one.counted ? `, ${one.counted}` : ""}, to ${one.why}`,
          })),
        ...readings.map(reading => readingMoment(reading, planned)),
        ...overridden.map(({ what, reason, personId }, i) => ({
          key: `${step.id} overridden ${i}`,
          at: begunAt ?? doneAt ?? 0,
          personId,
          kind: "wrong" as const,
          words: `${what} – done all the same: ${reason}`,
        })),
      ].sort((a, b) => a.at - b.at),
    };
  });
}

/** @example 104 min instead of 90 */
export const chapterTime = ({ from, to, plannedMin }: Chapter): string | null =>
  from === null || to === null
    ? null
    : `${printDuration(s((to - from) / 1000))}, planned ${printDuration(s(plannedMin * 60))}`;
