import { type FormulaDocument, type KitchenData, intervalsAlong } from "~/core/formula";

/** Jobs of one worker: it remembers the kitchen it was told. */
export function intervalJobs() {
  let opened: KitchenData | null = null;
  return {
    /** The kitchen all questions from now on are asked in. */
    kitchen: (kitchen: KitchenData): void => {
      opened = kitchen;
    },
    intervals: (document: FormulaDocument, burnerId: string) =>
      opened ? intervalsAlong(document, opened, burnerId) : [],
  };
}

export type IntervalJobs = ReturnType<typeof intervalJobs>;
