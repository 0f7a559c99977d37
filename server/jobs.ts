import {
  type DaughterMoved,
  type FormulaDocument,
  type KitchenData,
  type StepIntervals,
  intervalsAlong,
  motherChange,
  openKitchen,
} from "../core/formula";
import { type DayInput, type DayView, viewOfDay } from "../core/day";
import { type Result, ok } from "../core/ground/result";
import { type Column, type ColumnAsked, columnOf, ownColumns } from "../core/standard";
import { type Answer, type SumWorld, runSum } from "../core/sums";

/** What is too heavy for the thread that answers: each runs in a thread of the pool, one at a time in each. */

export const sum = (asked: { name: string; input: unknown; world: SumWorld }): Result<Answer> =>
  runSum(asked.name, asked.input, asked.world);

/** The columns of a card: those asked for, or one for each of the kitchen’s own pots. */
export const columns = (asked: {
  document: FormulaDocument;
  kitchen: KitchenData;
  columns: readonly ColumnAsked[];
}): Result<Column>[] => {
  const kitchen = openKitchen(asked.kitchen);
  return asked.columns.length
    ? asked.columns.map(column => columnOf(asked.document, kitchen, column))
    : ownColumns(asked.document, kitchen).map(column => ok(column));
};

/** What a change of a mother does to what is made of it. */
export const impact = (asked: {
  kitchen: KitchenData;
  id: string;
  before: FormulaDocument;
  after: FormulaDocument;
}): DaughterMoved[] => motherChange(asked.kitchen, asked.id, asked.before, asked.after);

export const intervals = (asked: {
  document: FormulaDocument;
  kitchen: KitchenData;
  burnerId: string | undefined;
}): StepIntervals[] => intervalsAlong(asked.document, asked.kitchen, asked.burnerId);

/** A day planned from its menu. */
export const day = (asked: { input: DayInput; kitchen: KitchenData; weekday: number }): Result<DayView> =>
  viewOfDay(asked.input, openKitchen(asked.kitchen), asked.weekday);
