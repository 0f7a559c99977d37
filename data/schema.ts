import { sql } from "drizzle-orm";
import {
  bigint,
  boolean,
  char,
  date,
  datetime,
  double,
  index,
  int,
  mysqlEnum,
  mysqlTable,
  primaryKey,
  text,
  unique,
  varchar,
} from "drizzle-orm/mysql-core";
import { type Answer, type Cup, KIND_IDS as TASTING_KINDS } from "../core/tasting";
import type { FormulaDocument, PaceReading } from "../core/formula";
import type { FactId } from "../core/ground/facts";
import { LOG_KINDS } from "../core/day/cold-log";
import { MOVEMENTS } from "../core/day/lots";
import { COOLING_METHODS, PROFILE_IDS } from "../core/laws/cooling";
import type { Display, House } from "../core/things/house";
import type { Appliance } from "../core/kit";
import type { Ingredient, Source } from "../core/things/larder";
import type { Burner } from "../core/laws/reduction";
import type { BatchRecord } from "../core/run";
import { MARKS } from "../core/learning";
import { RANKS } from "../core/things/rank";
import type { Vessel } from "../core/things/vessel";
import { json, mediumBlob } from "./columns";

const id = () => varchar({ length: 40 });
const instant = () => datetime({ fsp: 3, mode: "date" });

/** Every aggregate belongs to a kitchen. Times are UTC. */
/** Hashes of the parts of a basis, by the list of the kitchen they stand in. */
export interface FrozenParts {
  readonly figures: string;
  readonly ingredients: readonly string[];
  readonly vessels: readonly string[];
  readonly burners: readonly string[];
  readonly appliances: readonly string[];
  readonly formulas: Readonly<Record<string, string>>;
}

/** How a rehearsal runs: so many times as fast as the clock, on the stove of a seed. */
export interface Rehearsal {
  readonly speed: number;
  readonly seed: number;
  /** What is rehearsed, at its size: it stands still though its formula is worked on. */
  readonly document: FormulaDocument;
}

export const kitchen = mysqlTable("kitchen", {
  id: id().primaryKey(),
  name: varchar({ length: 120 }).notNull(),
  altitudeM: double().notNull(),
  /** Station pressure, where it was read; else the altitude’s counts. */
  pressurePa: double(),
  ambientC: double().notNull(),
  humidity: double().notNull(),
  timeZone: varchar({ length: 60 }).notNull(),
  defaultBurnerId: id().notNull(),
  /** Facts the kitchen has measured for itself. */
  facts: json<Partial<Record<FactId, number>>>()().notNull(),
  /** Demo people, runs and records are stamped as such on screen and paper. */
  demo: boolean().notNull(),
  /** Words and rates the house has settled; the usual ones where there is none. */
  house: json<House>()(),
  /** Counts every saving of the kitchen’s own figures. */
  rowVersion: int().notNull().default(1),
  /** Raised by every change of what a snapshot holds: larder, prices, kit, facts, house words, readings, people. */
  revision: int().notNull().default(1),
  /** Raised when a formula comes, goes by another name, or goes. */
  namesRevision: int().notNull().default(1),
});

export const person = mysqlTable("person", {
  id: id().primaryKey(),
  kitchenId: id()
    .notNull()
    .references(() => kitchen.id),
  name: varchar({ length: 120 }).notNull(),
  /** Post in the brigade, in the house's words. */
  role: varchar({ length: 60 }).notNull(),
  rank: mysqlEnum(RANKS).notNull().default("viewer"),
  /** What they sign in with; one name in all kitchens of this installation. */
  login: varchar({ length: 60 }).unique("person_login"),
  /** Who has left signs in no more; what they wrote stays under their name. */
  leftAt: instant(),
  position: int().notNull(),
  /** How this cook wants amounts on a card. */
  display: json<Display>()(),
});

/** What somebody proves who they are with; only hashes. */
export const credential = mysqlTable("credential", {
  personId: id()
    .primaryKey()
    .references(() => person.id),
  passwordHash: varchar({ length: 200 }),
  pinHash: varchar({ length: 200 }),
  changedAt: instant().notNull(),
});

/** A device that several cooks share: whoever works here changes to their own name with a PIN. */
export const tablet = mysqlTable("tablet", {
  /** Hash of what the device keeps in its cookie. */
  id: char({ length: 43 }).primaryKey(),
  kitchenId: id()
    .notNull()
    .references(() => kitchen.id),
  name: varchar({ length: 60 }).notNull(),
  addedBy: id()
    .notNull()
    .references(() => person.id),
  addedAt: instant().notNull(),
});

/** Somebody signed in on a device. */
export const session = mysqlTable(
  "session",
  {
    /** Hash of what the device keeps in its cookie: the table alone signs nobody in. */
    id: char({ length: 43 }).primaryKey(),
    personId: id()
      .notNull()
      .references(() => person.id),
    tabletId: char({ length: 43 }).references(() => tablet.id, { onDelete: "cascade" }),
    way: mysqlEnum(["password", "pin"]).notNull(),
    createdAt: instant().notNull(),
    seenAt: instant().notNull(),
    expiresAt: instant().notNull(),
  },
  t => [index("session_of_person").on(t.personId)],
);

/** Failed tries at signing in; counted by a library. */
export const signInTry = mysqlTable("sign_in_try", {
  key: varchar({ length: 255 }).primaryKey(),
  points: int().notNull().default(0),
  expire: bigint({ mode: "number", unsigned: true }),
});

export const ingredient = mysqlTable(
  "ingredient",
  {
    kitchenId: id()
      .notNull()
      .references(() => kitchen.id),
    id: id().notNull(),
    name: varchar({ length: 120 }).notNull(),
    document: json<Ingredient>()().notNull(),
    rowVersion: int().notNull().default(1),
  },
  t => [primaryKey({ columns: [t.kitchenId, t.id] })],
);

/** What was paid, from which day on. The latest is the price of today. */
export const ingredientPrice = mysqlTable(
  "ingredient_price",
  {
    kitchenId: id()
      .notNull()
      .references(() => kitchen.id),
    ingredientId: id().notNull(),
    /** Day it holds from. */
    since: date({ mode: "string" }).notNull(),
    perKg: double().notNull(),
    currency: char({ length: 3 }).notNull(),
    source: json<Source>()().notNull(),
  },
  t => [primaryKey({ columns: [t.kitchenId, t.ingredientId, t.since] })],
);

export const vessel = mysqlTable(
  "vessel",
  {
    kitchenId: id()
      .notNull()
      .references(() => kitchen.id),
    id: id().notNull(),
    position: int().notNull(),
    document: json<Vessel>()().notNull(),
    rowVersion: int().notNull().default(1),
  },
  t => [primaryKey({ columns: [t.kitchenId, t.id] })],
);

export const burner = mysqlTable(
  "burner",
  {
    kitchenId: id()
      .notNull()
      .references(() => kitchen.id),
    id: id().notNull(),
    position: int().notNull(),
    document: json<Burner>()().notNull(),
    rowVersion: int().notNull().default(1),
  },
  t => [primaryKey({ columns: [t.kitchenId, t.id] })],
);

/** Ovens, blenders, scales, probes, ladles, cold places. */
export const appliance = mysqlTable(
  "appliance",
  {
    kitchenId: id()
      .notNull()
      .references(() => kitchen.id),
    id: id().notNull(),
    position: int().notNull(),
    document: json<Appliance>()().notNull(),
    rowVersion: int().notNull().default(1),
  },
  t => [primaryKey({ columns: [t.kitchenId, t.id] })],
);

/** Something a walk has read, as it was then: each content once, by its hash. Never changed, never read but by that. */
export const frozenPart = mysqlTable("frozen_part", {
  hash: char({ length: 43 }).primaryKey(),
  body: json<unknown>()().notNull(),
});

/** What runs and versions were walked in: hashes of its parts, by its own. */
export const frozenBasis = mysqlTable("frozen_basis", {
  hash: char({ length: 43 }).primaryKey(),
  parts: json<FrozenParts>()().notNull(),
});

/** What was worked out at length, by the hash of all it was worked out from. */
export const forecast = mysqlTable("forecast", {
  hash: char({ length: 43 }).primaryKey(),
  body: json<unknown>()().notNull(),
  at: instant().notNull(),
});

export const formula = mysqlTable("formula", {
  id: id().primaryKey(),
  kitchenId: id()
    .notNull()
    .references(() => kitchen.id),
  name: varchar({ length: 120 }).notNull(),
  currentVersionId: id().notNull(),
  /** Counts every saving: an edit names the number it started from. */
  rowVersion: int().notNull(),
});

export const formulaVersion = mysqlTable(
  "formula_version",
  {
    id: id().primaryKey(),
    kitchenId: id()
      .notNull()
      .references(() => kitchen.id),
    formulaId: id().notNull(),
    number: int().notNull(),
    state: mysqlEnum(["draft", "trial", "standard", "retired"]).notNull(),
    parentId: id(),
    document: json<FormulaDocument>()().notNull(),
    family: varchar({ length: 60 }).generatedAlwaysAs(sql`(json_value(\`document\`, '$.family'))`, {
      mode: "stored",
    }),
    checksum: char({ length: 64 }).notNull(),
    /** What it is found by, derived from the document: see `searched.ts`. A full-text index stands on it. */
    searched: text(),
    /** Why it was kept, restored or branched. */
    reason: varchar({ length: 300 }),
    editedBy: id()
      .notNull()
      .references(() => person.id),
    editedAt: instant().notNull(),
    /** Set when a run has used it: from then on it does not change. */
    frozenAt: instant(),
    /** Since when it stands in the Book: it was first cooked, or signed. */
    shelvedAt: instant(),
    /** What it was walked in when it was kept or first cooked. */
    basisHash: char({ length: 43 }),
  },
  t => [
    unique().on(t.formulaId, t.number),
    // All that a shelf is sorted and counted by: the documents are not read for it.
    index("version_shelved").on(
      t.kitchenId,
      t.shelvedAt,
      t.state,
      t.family,
      t.formulaId,
      t.number,
      t.editedBy,
    ),
  ],
);

/** Who called a version trial, standard or retired, when and why; the last of a version says what it is. */
export const signature = mysqlTable(
  "signature",
  {
    id: char({ length: 26 }).primaryKey(),
    kitchenId: id()
      .notNull()
      .references(() => kitchen.id),
    formulaVersionId: id()
      .notNull()
      .references(() => formulaVersion.id),
    state: mysqlEnum(["trial", "standard", "retired"]).notNull(),
    personId: id()
      .notNull()
      .references(() => person.id),
    at: instant().notNull(),
    reason: varchar({ length: 300 }).notNull(),
    /** Readiness when it was signed, 0–100; `null` where no batch was measured. */
    score: double(),
  },
  t => [index("signature_of_version").on(t.formulaVersionId, t.at)],
);

export const run = mysqlTable(
  "run",
  {
    id: id().primaryKey(),
    kitchenId: id()
      .notNull()
      .references(() => kitchen.id),
    formulaId: id()
      .notNull()
      .references(() => formula.id),
    formulaVersionId: id()
      .notNull()
      .references(() => formulaVersion.id),
    baseG: double().notNull(),
    burnerId: id().notNull(),
    startedBy: id()
      .notNull()
      .references(() => person.id),
    startedAt: instant().notNull(),
    finishedAt: instant(),
    /** Whether it was given up before its end. */
    abandoned: boolean().notNull().default(false),
    /** What it is walked in, whatever the kitchen becomes. */
    basisHash: char({ length: 43 }),
    /** Cooked on the simulated stove: it leaves no trace but itself. */
    rehearsal: json<Rehearsal>()(),
  },
  t => [index("run_by_end").on(t.kitchenId, t.finishedAt)],
);

export const runEvent = mysqlTable(
  "run_event",
  {
    id: char({ length: 26 }).primaryKey(),
    runId: id()
      .notNull()
      .references(() => run.id),
    kitchenId: id()
      .notNull()
      .references(() => kitchen.id),
    /** The device's clock. */
    at: instant().notNull(),
    clockOffsetMs: bigint({ mode: "number" }).notNull(),
    personId: id()
      .notNull()
      .references(() => person.id),
    kind: varchar({ length: 20 }).notNull(),
    payload: json<unknown>()().notNull(),
    /** Version of what the payload holds. */
    payloadVersion: int().notNull().default(1),
    /** Counts the readings of a kitchen as they come in: what came after a number is new to whoever has seen it. */
    seq: bigint({ mode: "number" }).notNull().default(0),
    receivedAt: instant().notNull(),
  },
  t => [index("run_event_by_run").on(t.runId), index("run_event_by_seq").on(t.kitchenId, t.seq)],
);

/** The last number given to a reading of a kitchen. */
export const runLog = mysqlTable("run_log", {
  kitchenId: id()
    .primaryKey()
    .references(() => kitchen.id),
  seq: bigint({ mode: "number" }).notNull(),
});

/** The figures of a finished run, for queries and charts. */
export const batch = mysqlTable(
  "batch",
  {
    runId: id()
      .primaryKey()
      .references(() => run.id),
    kitchenId: id()
      .notNull()
      .references(() => kitchen.id),
    formulaVersionId: id()
      .notNull()
      .references(() => formulaVersion.id),
    baseG: double().notNull(),
    plannedMl: double(),
    actualMl: double(),
    plannedG: double(),
    actualG: double(),
    plannedMin: double(),
    actualMin: double(),
    finishedAt: instant().notNull(),
    record: json<BatchRecord>()().notNull(),
    /** What it teaches of pots on burners; `null` where nothing. */
    paces: json<readonly PaceReading[]>()(),
    // Of its run; empty only until `completeBatches` has filled what an older archive leaves out.
    formulaId: id().notNull().default(""),
    /** Who put it on, on what, in what. */
    personId: id().notNull().default(""),
    burnerId: id().notNull().default(""),
    vesselId: id(),
    /** Figures a ledger sorts and draws by, as its record holds them. */
    brixPlanned: double(),
    brix: double(),
    ph: double(),
    saltPlanned: double(),
    salt: double(),
    bodyPlanned: double(),
    body: double(),
    score: double(),
    cost: double(),
    incidents: int().notNull().default(0),
    lostG: double(),
    lostCost: double(),
    /** How far off its yield and its time were, as a share of what was planned. */
    yieldOff: double().generatedAlwaysAs(sql`(actual_g / nullif(planned_g, 0) - 1)`, { mode: "stored" }),
    timeOff: double().generatedAlwaysAs(sql`(actual_min / nullif(planned_min, 0) - 1)`, { mode: "stored" }),
  },
  t => [
    index("batch_by_end").on(t.kitchenId, t.finishedAt, t.runId),
    index("batch_of_formula").on(t.kitchenId, t.formulaId, t.finishedAt),
    index("batch_of_version").on(t.formulaVersionId, t.finishedAt),
    index("batch_by_yield").on(t.kitchenId, t.yieldOff, t.runId),
    index("batch_by_time").on(t.kitchenId, t.timeOff, t.runId),
    index("batch_by_loss").on(t.kitchenId, t.incidents, t.finishedAt),
  ],
);

/** What was weighed in for a line of a formula in a finished batch. */
export const batchLine = mysqlTable(
  "batch_line",
  {
    runId: id()
      .notNull()
      .references(() => run.id),
    place: int().notNull(),
    kitchenId: id()
      .notNull()
      .references(() => kitchen.id),
    formulaId: id().notNull(),
    lineId: varchar({ length: 40 }).notNull(),
    massG: double().notNull(),
    baseG: double().notNull(),
    at: instant().notNull(),
  },
  t => [
    primaryKey({ columns: [t.runId, t.place] }),
    index("line_of_formula").on(t.kitchenId, t.formulaId, t.at),
  ],
);

/** Why one figure of a batch was out of the ordinary: it stays on the chart and sets no limits. */
export const batchCause = mysqlTable(
  "batch_cause",
  {
    kitchenId: id()
      .notNull()
      .references(() => kitchen.id),
    runId: id()
      .notNull()
      .references(() => run.id),
    figure: varchar({ length: 20 }).notNull(),
    words: varchar({ length: 200 }).notNull(),
    personId: id()
      .notNull()
      .references(() => person.id),
    at: instant().notNull(),
  },
  t => [primaryKey({ columns: [t.runId, t.figure] })],
);

/** Kitchen tests of body beside what the sums had said; one taken back stays, and says so. */
/** What a chef has said of a value the readings teach. */
export const learnedMark = mysqlTable(
  "learned_mark",
  {
    id: char({ length: 26 }).primaryKey(),
    kitchenId: id()
      .notNull()
      .references(() => kitchen.id),
    about: varchar({ length: 20 }).notNull(),
    /** Pot and burner, family, sauce, ingredient: what it is a value of. */
    of: varchar({ length: 90 }).notNull(),
    kind: mysqlEnum([...MARKS]).notNull(),
    value: double(),
    at: instant().notNull(),
    personId: id()
      .notNull()
      .references(() => person.id),
  },
  t => [index("learned_mark_by_kitchen").on(t.kitchenId, t.about)],
);

/** What came of something bought, weighed. */
export const yieldReading = mysqlTable(
  "yield_reading",
  {
    id: char({ length: 26 }).primaryKey(),
    kitchenId: id()
      .notNull()
      .references(() => kitchen.id),
    ingredientId: varchar({ length: 80 }).notNull(),
    what: mysqlEnum(["trimmed", "per piece"]).notNull(),
    from: double().notNull(),
    gotG: double().notNull(),
    at: instant().notNull(),
    personId: id()
      .notNull()
      .references(() => person.id),
    undoneAt: instant(),
  },
  t => [index("yield_reading_by_kitchen").on(t.kitchenId, t.ingredientId)],
);

export const bodyReading = mysqlTable(
  "body_reading",
  {
    id: char({ length: 26 }).primaryKey(),
    kitchenId: id()
      .notNull()
      .references(() => kitchen.id),
    family: varchar({ length: 40 }).notNull(),
    formulaId: id().notNull(),
    formulaName: varchar({ length: 120 }).notNull(),
    forecast: double().notNull(),
    test: varchar({ length: 20 }).notNull(),
    reading: double().notNull(),
    temperatureC: double().notNull(),
    measured: double().notNull(),
    at: instant().notNull(),
    personId: id()
      .notNull()
      .references(() => person.id),
    undoneAt: instant(),
  },
  t => [index("body_reading_by_kitchen").on(t.kitchenId, t.family)],
);

/** An instrument that sends its readings: what it showed last, until a cook takes it. */
export const device = mysqlTable(
  "device",
  {
    kitchenId: id()
      .notNull()
      .references(() => kitchen.id),
    /** Its public name, as it stands in the address. */
    key: varchar({ length: 40 }).notNull(),
    name: varchar({ length: 80 }).notNull(),
    kind: mysqlEnum(["scale", "stick", "probe", "refractometer", "ph meter", "spread plate"]).notNull(),
    /** Of its secret, SHA-256. */
    secretHash: char({ length: 64 }).notNull(),
    value: double(),
    unit: varchar({ length: 8 }),
    /** When it showed that, and how often it has sent anything. */
    readAt: instant(),
    readings: bigint({ mode: "number" }).notNull().default(0),
  },
  t => [primaryKey({ columns: [t.key] }), index("device_by_kitchen").on(t.kitchenId)],
);

/** A picture of a pot in a step, made small: for colour, gloss and clarity beside those of other batches. */
export const photo = mysqlTable(
  "photo",
  {
    id: char({ length: 26 }).primaryKey(),
    kitchenId: id()
      .notNull()
      .references(() => kitchen.id),
    runId: id()
      .notNull()
      .references(() => run.id),
    formulaId: id().notNull(),
    stepId: id().notNull(),
    at: instant().notNull(),
    personId: id()
      .notNull()
      .references(() => person.id),
    jpeg: mediumBlob().notNull(),
  },
  t => [index("photo_by_step").on(t.formulaId, t.stepId, t.at)],
);

/** Who changed what, when. */
export const audit = mysqlTable(
  "audit",
  {
    id: char({ length: 26 }).primaryKey(),
    kitchenId: id()
      .notNull()
      .references(() => kitchen.id),
    personId: id()
      .notNull()
      .references(() => person.id),
    at: instant().notNull(),
    what: varchar({ length: 40 }).notNull(),
    subject: id().notNull(),
    detail: json<Record<string, unknown>>()().notNull(),
  },
  t => [index("audit_by_subject").on(t.subject), index("audit_of_kitchen").on(t.kitchenId, t.at)],
);

const ofKitchen = () =>
  id()
    .notNull()
    .references(() => kitchen.id);
const byPerson = () =>
  id()
    .notNull()
    .references(() => person.id);
const ulidKey = () => char({ length: 26 }).primaryKey();

/** A day of service: when, with whom, and what is not to be had. Dates are those of the kitchen’s own calendar. */
export const day = mysqlTable(
  "day",
  {
    kitchenId: ofKitchen(),
    date: date({ mode: "string" }).notNull(),
    serviceMin: int().notNull(),
    lastsMin: int().notNull().default(240),
    cooks: json<readonly string[]>()().notNull(),
    /** Burners, ovens and other gear that are not to be had. */
    without: json<readonly string[]>()().notNull(),
    /** Whether hands may be wanted while the house is closed. */
    atNight: boolean().notNull().default(false),
    note: varchar({ length: 600 }).notNull().default(""),
  },
  t => [primaryKey({ columns: [t.kitchenId, t.date] })],
);

export const menuLine = mysqlTable(
  "menu_line",
  {
    id: ulidKey(),
    kitchenId: ofKitchen(),
    date: date({ mode: "string" }).notNull(),
    formulaId: id().notNull(),
    covers: int().notNull(),
    portionG: double(),
    overagePct: double().notNull(),
    lossPct: double().notNull(),
    readyMin: int().notNull(),
  },
  t => [index("menu_of_day").on(t.kitchenId, t.date)],
);

/** Where somebody has put a job of a day, or how long it takes after all. */
export const dayPin = mysqlTable(
  "day_pin",
  {
    kitchenId: ofKitchen(),
    date: date({ mode: "string" }).notNull(),
    jobId: varchar({ length: 80 }).notNull(),
    startMin: int().notNull(),
    minutes: int(),
    personId: byPerson(),
    at: instant().notNull(),
  },
  t => [primaryKey({ columns: [t.kitchenId, t.date, t.jobId] })],
);

/** Times in which cooks or gear are not there. */
export const closedTime = mysqlTable(
  "closed_time",
  {
    id: ulidKey(),
    kitchenId: ofKitchen(),
    resource: varchar({ length: 60 }).notNull(),
    startsAt: instant().notNull(),
    endsAt: instant().notNull(),
    why: varchar({ length: 120 }).notNull(),
    /** Of the calendar it came from: brought in again, it is the same. */
    uid: varchar({ length: 200 }),
  },
  t => [unique("closed_uid").on(t.kitchenId, t.uid)],
);

/** What of a day’s lists is done. */
export const dayTick = mysqlTable(
  "day_tick",
  {
    kitchenId: ofKitchen(),
    date: date({ mode: "string" }).notNull(),
    item: varchar({ length: 160 }).notNull(),
    done: boolean().notNull(),
    personId: byPerson(),
    at: instant().notNull(),
  },
  t => [primaryKey({ columns: [t.kitchenId, t.date, t.item] })],
);

/** What stands in the cold, container by container. How much is left follows from its movements. */
export const lot = mysqlTable(
  "lot",
  {
    id: ulidKey(),
    kitchenId: ofKitchen(),
    name: varchar({ length: 120 }).notNull(),
    formulaId: id(),
    runId: id(),
    madeOn: date({ mode: "string" }).notNull(),
    keepDays: int().notNull(),
    keepC: double().notNull(),
    /** Recorded allergens; `null` where something has none entered. */
    allergens: json<readonly string[]>()(),
    personId: byPerson(),
    at: instant().notNull(),
  },
  t => [index("lot_of_formula").on(t.kitchenId, t.formulaId), unique("lot_of_run").on(t.kitchenId, t.runId)],
);

export const lotMovement = mysqlTable(
  "lot_movement",
  {
    id: ulidKey(),
    kitchenId: ofKitchen(),
    lotId: char({ length: 26 })
      .notNull()
      .references(() => lot.id),
    at: instant().notNull(),
    kind: mysqlEnum([...MOVEMENTS]).notNull(),
    massG: double().notNull(),
    otherLotId: char({ length: 26 }),
    place: varchar({ length: 80 }),
    personId: byPerson(),
    note: varchar({ length: 200 }).notNull().default(""),
  },
  t => [index("movement_of_lot").on(t.kitchenId, t.lotId, t.at)],
);

/** How much of a formula a kitchen wants to stand ready. */
export const parLevel = mysqlTable(
  "par_level",
  {
    kitchenId: ofKitchen(),
    formulaId: id().notNull(),
    parG: double().notNull(),
    /** A usual pot of it. */
    batchG: double(),
  },
  t => [primaryKey({ columns: [t.kitchenId, t.formulaId] })],
);

/** A log of something that cools, is held hot or is warmed again. Readings are added, never changed. */
export const coldLog = mysqlTable(
  "cold_log",
  {
    id: ulidKey(),
    kitchenId: ofKitchen(),
    kind: mysqlEnum([...LOG_KINDS]).notNull(),
    name: varchar({ length: 120 }).notNull(),
    runId: id(),
    lotId: char({ length: 26 }),
    /** The limits it is held against, as they were when it began. */
    profile: mysqlEnum([...PROFILE_IDS]).notNull(),
    method: mysqlEnum([...COOLING_METHODS]),
    vesselId: id(),
    massG: double(),
    /** Hot holding and warming again: the least, °C. */
    limitC: double(),
    /** Out of the cold: the most, min. */
    limitMin: double(),
    demo: boolean().notNull().default(false),
    startedAt: instant().notNull(),
    startedBy: byPerson(),
  },
  t => [index("log_of_kitchen").on(t.kitchenId, t.startedAt), index("log_of_run").on(t.kitchenId, t.runId)],
);

export const coldEntry = mysqlTable(
  "cold_entry",
  {
    id: ulidKey(),
    kitchenId: ofKitchen(),
    logId: char({ length: 26 })
      .notNull()
      .references(() => coldLog.id),
    at: instant().notNull(),
    kind: mysqlEnum(["probe", "action", "closed"]).notNull(),
    c: double(),
    /** Reported by an instrument, not typed. */
    deviceId: varchar({ length: 40 }),
    words: varchar({ length: 300 }).notNull().default(""),
    personId: byPerson(),
    receivedAt: instant().notNull(),
  },
  t => [index("entry_of_log").on(t.kitchenId, t.logId, t.at)],
);

/** What is left of a sauce during service, as somebody weighed or counted it. */
export const leftOver = mysqlTable(
  "left_over",
  {
    id: ulidKey(),
    kitchenId: ofKitchen(),
    date: date({ mode: "string" }).notNull(),
    formulaId: id().notNull(),
    at: instant().notNull(),
    massG: double().notNull(),
    personId: byPerson(),
  },
  t => [index("left_of_day").on(t.kitchenId, t.date)],
);

/** What stands in the cups of one kind; its version or its batch where there is one. */
export interface TastedSample {
  readonly name: string;
  readonly versionId: string | null;
  readonly runId: string | null;
}

/** Two or more versions of a sauce with one thing different, cooked to find which is better. */
export const trial = mysqlTable(
  "trial",
  {
    id: ulidKey(),
    kitchenId: ofKitchen(),
    formulaId: id().notNull(),
    name: varchar({ length: 120 }).notNull(),
    /** The one thing that differs. */
    difference: varchar({ length: 300 }).notNull(),
    /** The versions, in the order of their letters. */
    versionIds: json<readonly string[]>()().notNull(),
    personId: byPerson(),
    at: instant().notNull(),
    decidedAt: instant(),
    /** Taken up; `null` where the decision was for none. */
    adopted: id(),
    /** What was made of it, and why. */
    decision: varchar({ length: 300 }).notNull().default(""),
    demo: boolean().notNull().default(false),
  },
  t => [index("trial_of_kitchen").on(t.kitchenId, t.at)],
);

/** The picture a sauce is held against. */
export const referencePhoto = mysqlTable(
  "reference_photo",
  {
    kitchenId: ofKitchen(),
    formulaId: id().notNull(),
    what: mysqlEnum(["colour", "clarity"]).notNull(),
    photoId: char({ length: 26 })
      .notNull()
      .references(() => photo.id),
    personId: byPerson(),
    at: instant().notNull(),
  },
  t => [primaryKey({ columns: [t.kitchenId, t.formulaId, t.what] })],
);

/** A blind tasting: what is compared, and how. */
export const tasting = mysqlTable(
  "tasting",
  {
    id: ulidKey(),
    kitchenId: ofKitchen(),
    name: varchar({ length: 120 }).notNull(),
    kind: mysqlEnum([...TASTING_KINDS]).notNull(),
    /** What a directed question asks, as in “saltier”. */
    question: varchar({ length: 60 }).notNull().default(""),
    /** The sample that was expected to have more of it, fixed beforehand. */
    expected: char({ length: 1 }).notNull().default("A"),
    samples: json<readonly TastedSample[]>()().notNull(),
    /** One sample is served twice, unknown to the judges. */
    duplicate: boolean().notNull().default(false),
    /** By which tasters come in without an account; good until then. */
    code: char({ length: 6 }).notNull(),
    codeUntil: instant().notNull(),
    personId: byPerson(),
    at: instant().notNull(),
    /** Answers are sealed until then. */
    closedAt: instant(),
    /** What was made of it, and why. */
    decision: varchar({ length: 300 }).notNull().default(""),
    demo: boolean().notNull().default(false),
  },
  t => [index("tasting_of_kitchen").on(t.kitchenId, t.at), index("tasting_by_code").on(t.code)],
);

/** One taster’s place: the cups before him, and what he said of them. */
export const tastingSeat = mysqlTable(
  "tasting_seat",
  {
    tastingId: char({ length: 26 })
      .notNull()
      .references(() => tasting.id),
    place: int().notNull(),
    kitchenId: ofKitchen(),
    cups: json<readonly Cup[]>()().notNull(),
    /** Hash of what a taster’s phone proves itself with; `null` while nobody sits here. */
    token: char({ length: 64 }),
    name: varchar({ length: 60 }).notNull().default(""),
    answer: json<Answer>()(),
    words: varchar({ length: 300 }).notNull().default(""),
    answeredAt: instant(),
  },
  t => [primaryKey({ columns: [t.tastingId, t.place] })],
);
