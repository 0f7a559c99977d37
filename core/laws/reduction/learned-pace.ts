import { PACE_SPREAD } from "./tracker";

/** What a pot on a burner has shown: mean and variance of ln κ. */
export interface LearnedPace {
  readonly mu: number;
  readonly s2: number;
}
export const NOTHING_LEARNED: LearnedPace = { mu: 0, s2: PACE_SPREAD ** 2 };
const AGEING = 0.03;
const LEAST_LEARNING_SD = 0.05;

/**
 * Takes a finished run into what the pair of pot and burner has learned.
 * @param before  what was known
 * @param pace    final κ of the run, relative to a model with `muUsed`
 * @param paceSd  its standard deviation
 */
export function learnPace(before: LearnedPace, pace: number, paceSd: number, muUsed: number): LearnedPace {
  const sd = Math.max(LEAST_LEARNING_SD, paceSd / pace);
  const prior = before.s2 + AGEING ** 2;
  const k = prior / (prior + sd ** 2);
  return { mu: before.mu + k * (Math.log(pace) + muUsed - before.mu), s2: (1 - k) * prior };
}
