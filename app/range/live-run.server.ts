import { intervalsAlong, multiply, openKitchen, walk } from "~/core/formula";
import type { FormulaDocument, KitchenData } from "~/core/formula";
import { type StepBand, type RunEvent, UNKNOWN_BAND, fold, stepBand } from "~/core/run";
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

/** Widths already worked out, by version, size and burner; a second process works them out for itself. */
const known = new Map<string, readonly StepBand[]>();
const MOST_KNOWN = 200;

function bandsFor(run: StoredRun, document: FormulaDocument, kitchen: KitchenData): readonly StepBand[] {
  const key = `${run.formulaVersionId} ${run.baseG} ${run.burnerId}`;
  const found = known.get(key);
  if (found) return found;
  const walked = walk(document, openKitchen(kitchen, {}, run.burnerId));
  const intervals = intervalsAlong(document, kitchen, run.burnerId);
  const bands = walked.states.map((state, i) =>
    intervals[i] ? stepBand(state, intervals[i]) : UNKNOWN_BAND,
  );
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(key, bands);
  return bands;
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
    bands: bandsFor(run, document, kitchen),
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
