import { atSize, openKitchen, walk } from "~/core/formula";
import type { FormulaDocument, KitchenData } from "~/core/formula";
import { g } from "~/core/quantity";
import { type StepBand, type RunEvent, UNKNOWN_BAND, fold, stepBand } from "~/core/run";
import { intervalsInPool } from "../workers/pool.server";
import { type StoredFormula, type StoredRun, database, eventsOf, findVersion, liveRuns } from "~/data";
import type { Section } from "../context.server";
import { kitchenFor } from "../kitchen/kitchen.server";

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
async function loadLiveRun(
  run: StoredRun,
  version: StoredFormula | null,
  events: readonly RunEvent[],
  kitchen: KitchenData,
): Promise<LiveRun | null> {
  if (!version) return null;
  const document = atSize(version.document, g(run.baseG));
  return {
    run,
    versionNumber: version.number,
    document,
    events,
    bands: await bandsFor(run, document, kitchen),
  };
}

/** Runs with the kitchen they are walked in, and the formulas that a page needs beside them. */
export interface LiveRuns {
  readonly runs: readonly LiveRun[];
  readonly formulas: KitchenData["formulas"];
  readonly kitchen: KitchenData;
}

/** Some runs, as far as their versions are here. */
export async function loadRuns(section: Section, stored: readonly StoredRun[]): Promise<LiveRuns> {
  const { db } = database();
  const [versions, events] = await Promise.all([
    Promise.all(stored.map(run => findVersion(db, section.kitchenId, run.formulaVersionId))),
    eventsOf(
      db,
      stored.map(run => run.id),
    ),
  ]);
  const kitchen = await kitchenFor(
    section,
    versions.flatMap(version => (version ? [version.document] : [])),
  );
  const runs = await Promise.all(
    stored.map((run, i) => loadLiveRun(run, versions[i] ?? null, events[run.id] ?? [], kitchen)),
  );
  return { runs: runs.filter(run => run !== null), formulas: kitchen.formulas, kitchen };
}

/** Everything on the fire now. */
export const loadLiveRuns = async (section: Section): Promise<LiveRuns> =>
  loadRuns(section, await liveRuns(database().db, section.kitchenId));

/** Folds a live run on the server. */
export const foldLive = (live: LiveRun, kitchen: KitchenData) =>
  fold(live.events, live.document, openKitchen(kitchen, {}, live.run.burnerId));
