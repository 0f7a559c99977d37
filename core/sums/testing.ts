import { expect } from "vitest";
import { runSum } from ".";

/** What the tests of the sums share: an answer read loosely, a refusal, a straight pot. */
type Loose = Record<string, unknown> & { sentence: string; warnings: { code: string }[] };

export const work = (name: string, input: unknown): Loose => {
  const answer = runSum(name, input);
  if (!answer.ok) throw new Error(`${name}: ${JSON.stringify(answer.problems)}`);
  return answer.value as unknown as Loose;
};
export const num = (x: unknown): number => x as number;
export const est = (x: unknown) => x as { value: number; lo: number; hi: number | null; basis: string };
export const refusal = (name: string, input: unknown) => {
  const answer = runSum(name, input);
  expect(answer.ok, JSON.stringify(answer)).toBe(false);
  return answer.ok ? [] : answer.problems;
};
export const pot = (diameterMm: number, heightMm = 400) => ({ shape: "cylinder", diameterMm, heightMm });
