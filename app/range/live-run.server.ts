import { type BasisDelta, atSize, deltaOf, openKitchen, walk } from "~/core/formula";
import type { FormulaDocument, KitchenData } from "~/core/formula";
import { g } from "~/core/ground/quantity";
import { type StepBand, type RunEvent, UNKNOWN_BAND, fold, stepBand } from "~/core/run";
import { Lately } from "../lately.server";
import { intervalsInPool } from "../workers/pool.server";
import { type StoredRun, database, eventsOf, findVersion, liveRuns } from "~/data";
import type { Section } from "../context.server";
import { basisAt, kitchenFor, snapshotOf } from "../kitchen/kitchen.server";

/** A run with all a screen needs to fold it for itself, also without the network. */
export interface LiveRun {
  readonly run: StoredRun;
  readonly versionNumber: number;
  readonly document: FormulaDocument;
  readonly events: readonly RunEvent[];
  /** 90 % widths of each step; empty while they are being worked out. */
  readonly bands: readonly StepBand[];
  /** How what it is walked in differs from the kitchen of today. */
  readonly basis: BasisDelta;
}

/** What a run is walked in never changes, and so its widths do not: they are looked up once. */
const bandsKept = new Lately<readonly StepBand[]>(200);

async function bandsFor(
  run: StoredRun,
  document: FormulaDocument,
  kitchen: KitchenData,
): Promise<readonly StepBand[]> {
  const intervals = await intervalsInPool(document, kitchen, run.burnerId);
  const walked = walk(document, openKitchen(kitchen, {}, run.burnerId));
  return walked.states.map((state, i) => (intervals[i] ? stepBand(state, intervals[i]) : UNKNOWN_BAND));
}

/** Widths that take longer than this are worked out behind the page: it asks again. */
const PATIENCE_MS = 250;

/** The widths of a run; none while they are still being worked out. */
async function bandsNow(...of: Parameters<typeof bandsFor>): Promise<readonly StepBand[]> {
  const [run] = of;
  const working = run.basisHash ? bandsKept.get(run.id, () => bandsFor(...of)) : bandsFor(...of);
  const patience = new Promise<null>(done => setTimeout(done, PATIENCE_MS, null));
  return (await Promise.race([working.catch(() => null), patience])) ?? [];
}

/** A run as a page has it, and the kitchen it is walked in: kept when it was put on, whatever became of it since. */
export interface LoadedRun {
  readonly live: LiveRun;
  readonly kitchen: KitchenData;
}

/** Some runs, as far as their versions are here. */
export async function loadRuns(section: Section, stored: readonly StoredRun[]): Promise<LoadedRun[]> {
  const { db } = database();
  const [now, events] = await Promise.all([
    snapshotOf(section),
    eventsOf(
      db,
      stored.map(run => run.id),
    ),
  ]);
  const loaded = await Promise.all(
    stored.map(async (run): Promise<LoadedRun[]> => {
      const version = await findVersion(db, section.kitchenId, run.formulaVersionId);
      if (!version) return [];
      const document = run.rehearsal?.document ?? atSize(version.document, g(run.baseG));
      // A run from before its kitchen was kept is walked in that of today.
      const kitchen = run.basisHash ? await basisAt(run.basisHash) : await kitchenFor(section, [document]);
      const live: LiveRun = {
        run,
        versionNumber: version.number,
        document,
        events: events[run.id] ?? [],
        bands: await bandsNow(run, document, kitchen),
        basis: deltaOf(kitchen, now),
      };
      return [{ live, kitchen }];
    }),
  );
  return loaded.flat();
}

/** The frame and the page in it ask in one request: it is loaded for both at once. */
const onFireOf = new WeakMap<Section, Promise<LoadedRun[]>>();

/** Everything on the fire now. */
export function loadLiveRuns(section: Section): Promise<LoadedRun[]> {
  const known = onFireOf.get(section);
  if (known) return known;
  const loading = liveRuns(database().db, section.kitchenId).then(stored => loadRuns(section, stored));
  onFireOf.set(section, loading);
  return loading;
}

/** Folds a live run on the server. */
export const foldLive = ({ live, kitchen }: LoadedRun) =>
  fold(live.events, live.document, openKitchen(kitchen, {}, live.run.burnerId));
