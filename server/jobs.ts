import { type FormulaDocument, type KitchenData, type StepIntervals, intervalsAlong } from "../core/formula";
import type { Result } from "../core/ground/result";
import { type Answer, type SumWorld, runSum } from "../core/sums";

/** What is too heavy for the thread that answers: each runs in a thread of the pool, one at a time in each. */

export const sum = (asked: { name: string; input: unknown; world: SumWorld }): Result<Answer> =>
  runSum(asked.name, asked.input, asked.world);

export const intervals = (asked: {
  document: FormulaDocument;
  kitchen: KitchenData;
  burnerId: string | undefined;
}): StepIntervals[] => intervalsAlong(asked.document, asked.kitchen, asked.burnerId);
