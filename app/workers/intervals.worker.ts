import { expose } from "comlink";
import { type FormulaDocument, type KitchenData, intervalsAlong } from "~/core/formula";

let opened: KitchenData | null = null;

const jobs = {
  /** The kitchen all questions from now on are asked in. */
  kitchen: (kitchen: KitchenData): void => {
    opened = kitchen;
  },
  intervals: (document: FormulaDocument, burnerId: string) =>
    opened ? intervalsAlong(document, opened, burnerId) : [],
};

export type IntervalJobs = typeof jobs;

expose(jobs);
