import { ulid } from "ulid";
import { type FormulaDocument, basisOf, openKitchen } from "../core/formula";
import { type RunState, batchRecord, fold } from "../core/run";
import {
  DEMO_SIGN_IN,
  type Database,
  type RunEnd,
  appendEvents,
  bringInVersion,
  startRun,
  insertFormula,
  insertKitchen,
  listVersions,
  signVersion,
  keepVersion,
  firstKitchen,
  hashSecret,
  insertCredentials,
  recordsOf,
  savePrice,
} from "../data";
import { attributesOf, readiness } from "../core/standard";
import { EARLIER_VERSIONS } from "./earlier";
import { DEMO_FORMULAS } from "./formulas";
import { type DemoRun, livedIn } from "./lived-in";
import { planSaturday } from "./saturday";
import { DEMO_SIGNATURES } from "./signed";
import { loadLearned } from "./learned";
import { loadTastings } from "./tastings";
import { CURRENCY, DEMO_PRICES, EARLIER_PRICES, WATCHED } from "./prices";
import { DEMO_KITCHEN, DEMO_PEOPLE, KITCHEN_ID } from "./kitchen";

const DAY_MS = 24 * 3600 * 1000;
/** What stands on the Bench was written before it was signed and cooked. */
const WRITTEN_DAYS_AGO = 76;

/**
 * Writes the demo kitchen into an empty database, all or nothing. A database that holds a kitchen is left as it is.
 * @param atWork with what it cooked in the last days, and pots on the fire
 * @returns whether anything was written
 */
export async function loadDemo(db: Database, now: Date, atWork = false): Promise<boolean> {
  const written = atWork ? new Date(now.getTime() - WRITTEN_DAYS_AGO * DAY_MS) : now;
  const loaded = await loadKitchen(db, now, written);
  if (loaded && atWork) {
    await putToWork(db, now);
    await signVersions(db, now);
    await planSaturday(db, now);
    await loadTastings(db, now);
    await loadLearned(db, now);
  }
  return loaded;
}

/** The Book as the chef has signed it. */
async function signVersions(db: Database, now: Date): Promise<void> {
  for (const { formulaId, earlier, state, daysAgo, reason, ready } of DEMO_SIGNATURES) {
    const versions = await listVersions(db, KITCHEN_ID, formulaId);
    const version = versions[earlier ? 1 : 0];
    if (!version) continue;
    const then = new Date(now.getTime() - daysAgo * DAY_MS);
    await signVersion(db, {
      id: ulid(then.getTime()),
      kitchenId: KITCHEN_ID,
      versionId: version.versionId,
      state,
      personId: "ilse",
      now: then,
      reason,
      score: ready ? await scoreOf(db, version.versionId) : null,
      basis: document => basisOf(document, { ...DEMO_KITCHEN, formulas: DEMO_FORMULAS }),
    });
  }
}

/** How ready a version is by its batches. */
async function scoreOf(db: Database, versionId: string): Promise<number | null> {
  const found = readiness(attributesOf(await recordsOf(db, KITCHEN_ID, versionId)));
  return found.ok ? found.value.score : null;
}

/** What was cooked in the last weeks, and what is on the fire. @param which of it, all where nothing is said */
export async function putToWork(
  db: Database,
  now: Date,
  which: (run: DemoRun) => boolean = () => true,
): Promise<void> {
  const kitchen = { ...DEMO_KITCHEN, formulas: DEMO_FORMULAS };
  for (const run of livedIn(DEMO_FORMULAS, kitchen, now).filter(which)) {
    const versions = await listVersions(db, KITCHEN_ID, run.formulaId);
    const version = versions[run.earlier ? 1 : 0];
    if (!version) continue;
    const basis = basisOf(run.document, kitchen, run.burnerId);
    const runId = await startRun(db, {
      id: run.id,
      kitchenId: KITCHEN_ID,
      formulaId: run.formulaId,
      formulaVersionId: version.versionId,
      baseG: run.document.base.massG,
      burnerId: run.burnerId,
      personId: run.personId,
      now: run.startedAt,
      basis,
    });
    // It was put on with the run itself.
    const events = run.events.filter(event => event.payload.kind !== "started");
    await appendEvents(db, {
      kitchenId: KITCHEN_ID,
      runId,
      events,
      now,
      endOf: all => endOf(fold(all, run.document, openKitchen(basis, {}, run.burnerId))),
    });
  }
}

const endOf = (state: RunState): RunEnd => ({
  finishedAt: state.finishedAt === null ? null : new Date(state.finishedAt),
  abandoned: state.abandoned !== null,
  record: batchRecord(state),
});

async function loadKitchen(db: Database, now: Date, written: Date): Promise<boolean> {
  return db.transaction(async tx => {
    if (await firstKitchen(tx)) return false;
    await insertKitchen(tx, { ...DEMO_KITCHEN, demo: true }, DEMO_PEOPLE);
    const passwordHash = await hashSecret(DEMO_SIGN_IN.password);
    const pinHash = await hashSecret(DEMO_SIGN_IN.pin);
    await insertCredentials(
      tx,
      DEMO_PEOPLE.map(({ id }) => ({ personId: id, passwordHash, pinHash, changedAt: now })),
    );
    for (const id of WATCHED)
      for (const [since, share] of EARLIER_PRICES)
        await savePrice(tx, { kitchenId: KITCHEN_ID, personId: "ilse", now }, id, {
          since,
          perKg: Math.round((DEMO_PRICES[id] ?? 0) * share * 100) / 100,
          currency: CURRENCY,
          source: { mark: "E", text: "demo price, invented" },
        });
    const basis = (document: FormulaDocument) =>
      basisOf(document, { ...DEMO_KITCHEN, formulas: DEMO_FORMULAS });
    for (const [id, document] of Object.entries(DEMO_FORMULAS)) {
      const common = { id, kitchenId: KITCHEN_ID, personId: "tomas", now: written };
      const earlier = EARLIER_VERSIONS[id];
      if (!earlier) {
        await insertFormula(tx, { ...common, document });
        continue;
      }
      const then = new Date(now.getTime() - earlier.daysAgo * DAY_MS);
      await insertFormula(tx, { ...common, document: earlier.document });
      await keepVersion(tx, { ...common, rowVersion: 1, reason: earlier.kept, now: then, basis });
      await bringInVersion(tx, { ...common, document, reason: earlier.changedBecause });
    }
    return true;
  });
}
