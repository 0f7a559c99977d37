export {
  type Signature,
  type SignedState,
  recordsOf,
  signVersion,
  signaturesOf,
  standardOf,
} from "./signatures";
export {
  type KeptYield,
  type Taken,
  addYieldReading,
  learnedMarks,
  markLearned,
  seasonedBatches,
  standings,
  teachingBatches,
  undoYieldReading,
  yieldReadings,
} from "./learned";
export {
  LEDGER_GROUPS,
  LEDGER_SORTS,
  type LedgerCursor,
  type LedgerFilter,
  type LedgerGroup,
  type LedgerPoint,
  type LedgerSort,
  type Cause,
  causesSince,
  chartedBatches,
  incidentsSince,
  ledgerGroups,
  ledgerPage,
  ledgerSauces,
  sayCause,
  wastedSince,
} from "./ledger";
export { type Connection, type Database, database, openDatabase } from "./connection";
export { migrateDatabase } from "./migrate";
export { type KitchenSnapshot, insertKitchen, firstKitchen, readSnapshot } from "./kitchens";
export { type Person, addPerson, changePerson, listPeople, saveDisplay } from "./people";
export { listChanges } from "./audit";
export { DEMO_SIGN_IN } from "./demo-sign-in";
export { hashSecret, isSecret } from "./secrets";
export { drawingOn, mothersHolding, versionsHolding } from "./drawing";
export { countTry, forgetTries } from "./sign-in-tries";
export {
  type Account,
  type SignedIn,
  accountById,
  accountByLogin,
  addTablet,
  endSession,
  endSessionsOf,
  foundKitchen,
  havePins,
  insertCredentials,
  listTablets,
  openSession,
  removeTablet,
  sessionsOf,
  setSecret,
  signedIn,
  tabletAt,
} from "./sign-in";
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
export { findPhoto, holdAgainst, keepPhoto, photosBefore, referencePhotos } from "./photos";
export { type Logged, loggedSince, pulseOf } from "./log-tail";
export { findForecast, keepForecast, readBasis } from "./basis";
export { addBodyReading, listBodyReadings as allBodyReadings, undoBodyReading } from "./body-readings";
export { bringInVersion, goOnFrom, keepVersion, listVersionsByName } from "./versions";
export {
  type BookedBatch,
  type RunEnd,
  type StoredRun,
  appendEvents,
  batchesBetween,
  batchesOf,
  listBatches,
  feltLately,
  findBatch,
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
export type { Search } from "./searched";
export { archiveLines, checkArchive, restoreArchive } from "./archive";
export {
  type ClosedTime,
  type DayOf,
  type StoredDay,
  addClosed,
  closedBetween,
  dropClosed,
  dropMenuLine,
  findDay,
  leftOf,
  noteLeft,
  pinJob,
  plannedDays,
  saveDay,
  saveMenuLine,
  tick,
  ticksOf,
  unpin,
} from "./day";
export { type NewLot, addLot, listLots, listPars, moveLot, pourLot, savePar, settleLot } from "./lots";
export { type LogEntry, type StoredLog, addEntry, coolingOf, findLog, listLogs, startLog } from "./cold-logs";
export {
  addTasting,
  answerSeat,
  closeTasting,
  countSeats,
  decideTasting,
  findTasting,
  listTastings,
  seatBy,
  seatPanel,
  takeSeat,
  tastingByCode,
  tastingsOf,
} from "./tastings";
export { addTrial, batchesOfVersions, decideTrial, findTrial, listTrials, sampledTastings } from "./trials";
