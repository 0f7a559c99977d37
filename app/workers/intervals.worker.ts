import { expose } from "comlink";
import { type FormulaDocument, type KitchenData, intervalsAlong } from "~/core/formula";

const jobs = {
  intervals: (document: FormulaDocument, kitchen: KitchenData, burnerId: string) =>
    intervalsAlong(document, kitchen, burnerId),
};

export type IntervalJobs = typeof jobs;

expose(jobs);
