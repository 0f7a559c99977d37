export {
  type Signature,
  type SignedState,
  recordsOf,
  signVersion,
  signaturesOf,
  standardOf,
} from "./signatures";
export { type Connection, type Database, database, openDatabase } from "./connection";
export { migrateDatabase } from "./migrate";
export {
  type KitchenSnapshot,
  type Person,
  insertKitchen,
  listPeople,
  onlyKitchen,
  readSnapshot,
  saveDisplay,
} from "./kitchens";
export {
  type SaveOutcome,
  documentsOf,
  findFormula,
  findVersion,
  formulaNames,
  insertFormula,
  listCooked,
  type MeantWord,
  lastCooked,
  listFormulas,
  listVersions,
  saveFormula,
} from "./formulas";
export type { Rehearsal } from "./schema";
export {
  type Device,
  connectDevice,
  disconnectDevice,
  findDevice,
  listDevices,
  showReading,
} from "./devices";
export { findPhoto, keepPhoto, photosBefore } from "./photos";
export { type Logged, loggedSince, pulseOf } from "./log-tail";
export { findForecast, keepForecast, readBasis } from "./basis";
export { addBodyReading, undoBodyReading } from "./body-readings";
export { bringInVersion, goOnFrom, keepVersion } from "./versions";
export {
  type RunEnd,
  type StoredRun,
  appendEvents,
  batchesOf,
  feltLately,
  findBatch,
  lastSeasoned,
  eventsOf,
  lineWeighings,
  findRun,
  liveRehearsals,
  liveRuns,
  startRun,
} from "./runs";
export {
  type PricePoint,
  findStoredIngredient,
  importIngredients,
  priceHistory,
  saveIngredient,
  savePrice,
} from "./larder";
export {
  type KitchenFigures,
  addBurner,
  findStoredVessel,
  figuresOf,
  type BurnerPlace,
  moveBurner,
  saveAppliance,
  saveFact,
  saveHouse,
  saveKitchenFigures,
  saveVessel,
} from "./kit";
export { isAway } from "./database-errors";
export { markOf } from "./seen";
