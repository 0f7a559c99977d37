import { createHash } from "node:crypto";
import { resolve } from "node:path";
import { pathToFileURL } from "node:url";
import { Piscina } from "piscina";
import {
  type DaughterMoved,
  type FormulaDocument,
  type KitchenData,
  type StepIntervals,
  formulaIn,
  linesOf,
} from "~/core/formula";
import type { DayInput, DayView } from "~/core/day";
import { type Result, refuse } from "~/core/ground/result";
import type { Column, ColumnAsked } from "~/core/standard";
import type { Answer, SumWorld } from "~/core/sums";
import { Lately } from "../lately.server";
import { database, findForecast, keepForecast } from "~/data";

/** Heavy sums in threads beside the one that answers, put together by the build as `build/jobs/jobs.js`. */
const THREADS = 2;
const MOST_WAITING = 500;
const IDLE_MS = 60_000;
/** A sum that takes longer is of no use to whoever waits at a stove. */
const SUM_PATIENCE_MS = 15_000;
const MOST_KEPT = 300;

let shared: Piscina | undefined;
const pool = (): Piscina =>
  (shared ??= new Piscina({
    filename: pathToFileURL(resolve("build/jobs/jobs.js")).href,
    minThreads: 1,
    maxThreads: THREADS,
    idleTimeout: IDLE_MS,
    maxQueue: MOST_WAITING,
  }));

/** Wakes a thread and lets it read what it runs, so that nobody waits for that with the first sum. */
export const warmPool = (): void => {
  void pool()
    .run({ name: "temperature", input: {} }, { name: "sum" })
    .catch(() => {});
};

/** Ends the threads; what they are at is given up. */
export const closePool = async (): Promise<void> => {
  await shared?.destroy();
};

/** A quick sum in the pool. @errors those of the sum · NOT_REACHED it takes too long */
export async function sumInPool(name: string, input: unknown, world: SumWorld): Promise<Result<Answer>> {
  const signal = AbortSignal.timeout(SUM_PATIENCE_MS);
  try {
    return (await pool().run({ name, input, world }, { name: "sum", signal })) as Result<Answer>;
  } catch (error) {
    if (!signal.aborted) throw error;
    return refuse({
      code: "NOT_REACHED",
      field: "input",
      message: "This takes longer than anybody waits. Ask for less at once: a shorter time, a smaller pot.",
    });
  }
}

const kept = new Lately<StepIntervals[]>(MOST_KEPT);

/** The limits of a line in this kitchen; what was worked out once, or is being worked out, is not worked out again. */
export function intervalsInPool(
  document: FormulaDocument,
  kitchen: KitchenData,
  burnerId?: string,
): Promise<StepIntervals[]> {
  const asked = { document, kitchen: onlyWhatItNeeds(document, kitchen), burnerId };
  const hash = createHash("sha256").update(JSON.stringify(asked)).digest("base64url");
  return kept.get(hash, () => workedOut(hash, asked));
}

/** What a change of a formula does to those that draw on it. */
export const impactInPool = (
  kitchen: KitchenData,
  id: string,
  before: FormulaDocument,
  after: FormulaDocument,
): Promise<DaughterMoved[]> =>
  pool().run({ kitchen, id, before, after }, { name: "impact" }) as Promise<DaughterMoved[]>;

const keptDays = new Lately<Result<DayView>>(MOST_KEPT);

/** A day’s plan; asked again with the same menu, kitchen and minute it is not worked out again. */
export function dayInPool(input: DayInput, kitchen: KitchenData, weekday: number): Promise<Result<DayView>> {
  const asked = { input, kitchen, weekday };
  const hash = createHash("sha256").update(JSON.stringify(asked)).digest("base64url");
  return keptDays.get(hash, async () => (await pool().run(asked, { name: "day" })) as Result<DayView>);
}

const keptColumns = new Lately<Result<Column>[]>(MOST_KEPT);

/** The columns of a card in this kitchen, one that cannot be made as its refusal; none asked for are the kitchen’s own. */
export function columnsInPool(
  document: FormulaDocument,
  kitchen: KitchenData,
  columns: readonly ColumnAsked[],
): Promise<Result<Column>[]> {
  const asked = { document, kitchen: onlyWhatItNeeds(document, kitchen), columns };
  const hash = createHash("sha256").update(JSON.stringify(asked)).digest("base64url");
  return keptColumns.get(
    hash,
    async () => (await pool().run(asked, { name: "columns" })) as Result<Column>[],
  );
}

/** Worked out once: another process, or this one after a restart, finds it by what it was worked out from. */
async function workedOut(hash: string, asked: object): Promise<StepIntervals[]> {
  const { db } = database();
  const known = (await findForecast(db, hash)) as StepIntervals[] | null;
  if (known) return known;
  const found = (await pool().run(asked, { name: "intervals" })) as StepIntervals[];
  await keepForecast(db, hash, found, new Date());
  return found;
}

/** The kitchen without the formulas that the line, and the lines it draws on, have nothing of. */
function onlyWhatItNeeds(document: FormulaDocument, kitchen: KitchenData): KitchenData {
  const formulas: Record<string, FormulaDocument> = {};
  const take = (of: FormulaDocument): void => {
    for (const line of linesOf(of)) {
      const id = "formula" in line.of ? line.of.formula : null;
      const other = id === null || Object.hasOwn(formulas, id) ? undefined : formulaIn(kitchen, id);
      if (id === null || !other) continue;
      formulas[id] = other;
      take(other);
    }
  };
  take(document);
  return { ...kitchen, formulas };
}
