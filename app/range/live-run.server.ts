import { multiply, openKitchen, walk } from "~/core/formula";
import type { FormulaDocument, KitchenData } from "~/core/formula";
import { type StepBand, type RunEvent, UNKNOWN_BAND, fold, stepBand } from "~/core/run";
import { intervalsInPool } from "../workers/pool.server";
import { type StoredRun, database, eventsOf, findVersion, liveRuns } from "~/data";

/** A run with all a screen needs to fold it for itself, also without the network. */
export interface LiveRun {
  readonly run: StoredRun;
  readonly versionNumber: number;
  readonly document: FormulaDocument;
  readonly events: readonly RunEvent[];
  /** 90 % widths of each step. */
  readonly bands: readonly StepBand[];
}

async function bandsFor(
  run: StoredRun,
  document: FormulaDocument,
  kitchen: KitchenData,
): Promise<readonly StepBand[]> {
  const intervals = await intervalsInPool(document, kitchen, run.burnerId);
  const walked = walk(document, openKitchen(kitchen, {}, run.burnerId));
  return walked.states.map((state, i) => (intervals[i] ? stepBand(state, intervals[i]) : UNKNOWN_BAND));
}

/** One run with its formula at the size of the batch; `null` if its version is gone. */
export async function loadLiveRun(run: StoredRun, kitchen: KitchenData): Promise<LiveRun | null> {
  const { db } = database();
  const [version, events] = await Promise.all([
    findVersion(db, kitchen.id, run.formulaVersionId),
    eventsOf(db, [run.id]),
  ]);
  if (!version) return null;
  const document = multiply(version.document, run.baseG / version.document.base.massG);
  return {
    run,
    versionNumber: version.number,
    document,
    events: events[run.id] ?? [],
    bands: await bandsFor(run, document, kitchen),
  };
}

/** Everything on the fire now. */
export async function loadLiveRuns(kitchen: KitchenData): Promise<LiveRun[]> {
  const runs = await liveRuns(database().db, kitchen.id);
  const loaded = await Promise.all(runs.map(run => loadLiveRun(run, kitchen)));
  return loaded.filter(run => run !== null);
}

/** Folds a live run on the server. */
export const foldLive = (live: LiveRun, kitchen: KitchenData) =>
  fold(live.events, live.document, openKitchen(kitchen, {}, live.run.burnerId));
