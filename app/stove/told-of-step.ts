import { printNumber } from "~/core/ground/quantity";
import { type RunState, type StepProgress, fixInWords, incidentInWords, tastingInWords } from "~/core/run";

/** A line in the list of what was logged. */
export interface Entry {
  readonly key: string;
  readonly at: number;
  readonly personId: string;
  readonly words: string;
  readonly beside?: string;
  readonly photoId?: string;
}

/** What was done to a pot in a step and told of it, besides its readings. */
export function toldOfStep({ told }: RunState, { step, turns }: StepProgress): Entry[] {
  const here = <T extends { stepId: string; eventId: string; at: number; personId: string }>(
    list: readonly T[],
    words: (one: T) => string,
  ): Entry[] =>
    list
      .filter(one => one.stepId === step.id)
      .map(one => ({ key: one.eventId, at: one.at, personId: one.personId, words: words(one) }));
  return [
    ...turns.map(({ eventId, at, personId, words }) => ({ key: eventId, at, personId, words })),
    ...here(told.tastings, tasting => `tasted: ${tastingInWords(tasting)}`),
    ...here(
      told.touches,
      ({ touch, temperatureC }) => `${touch} under the finger at ${printNumber(temperatureC, 1)} °C`,
    ),
    ...here(told.incidents, incidentInWords),
    ...here(told.fixes, fixInWords),
    ...here(told.handOver ? [told.handOver] : [], ({ next }) => `handed over: ${next}`),
  ];
}
