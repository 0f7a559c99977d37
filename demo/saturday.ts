import { ulid } from "ulid";
import { DAYS_AHEAD, dayAfter } from "../core/day";
import {
  type Database,
  addEntry,
  addLot,
  moveLot,
  pinJob,
  saveDay,
  saveMenuLine,
  savePar,
  listBatches,
  startLog,
  tick,
} from "../data";
import { GLACE_ID, STOCK_ID } from "./formulas";
import { KITCHEN_ID } from "./kitchen";

/**
 * A Saturday at Kelder Pass Station: seven sauces, 64 covers, planned and half done. Bases stand in the cold; one job was put
 * where it cannot stay; one pot cooled too slowly, and its log says so. All of it is invented.
 */

const HOUR = 3600_000;
const DAY = 24 * HOUR;
const ALL_64 = 64;

/** [formula, covers, minutes before service] */
const MENU: readonly (readonly [string, number, number])[] = [
  [GLACE_ID, 30, 60],
  ["smoked-trout-veloute", 24, 20],
  ["verjus-butter-sauce", 20, 10],
  ["cider-juniper-pan-sauce", 18, 15],
  ["salsify-puree", ALL_64, 25],
  ["langoustine-bisque", 22, 15],
  ["walnut-oil-mayonnaise", 30, 60],
];

/** [formula, name, days ago, g made, g used since, days it keeps, allergens, place] */
const COLD: readonly (readonly [
  string,
  string,
  number,
  number,
  number,
  number,
  readonly string[],
  string,
])[] = [
  [STOCK_ID, "Guinea-fowl brown stock", 1, 9300, 5400, 3, ["celery"], "walk-in, left"],
  [STOCK_ID, "Guinea-fowl brown stock", 6, 9400, 9400, 3, ["celery"], "walk-in, left"],
  [GLACE_ID, "Guinea-fowl glace", 4, 940, 610, 10, ["celery"], "walk-in, top"],
  [GLACE_ID, "Guinea-fowl glace", 11, 960, 960, 10, ["celery"], "walk-in, top"],
  ["trout-fumet", "Trout fumet", 1, 4700, 3900, 2, ["fish"], "walk-in, right"],
  ["beetroot-gastrique", "Beetroot gastrique", 12, 680, 240, 30, [], "dry store"],
];

/** The next Saturday of a kitchen’s calendar, that day itself on a Saturday. */
export function nextSaturday(now: Date): string {
  const today = now.toISOString().slice(0, 10);
  const weekday = new Date(`${today}T12:00:00Z`).getUTCDay();
  return dayAfter(today, (6 - weekday + 7) % 7);
}

export async function planSaturday(db: Database, now: Date): Promise<void> {
  const date = nextSaturday(now);
  const change = { kitchenId: KITCHEN_ID, personId: "ilse", now };
  await saveDay(db, change, {
    date,
    serviceMin: 18 * 60,
    lastsMin: 240,
    cooks: ["tomas", "noor"],
    without: [],
    atNight: false,
    note: "64 covers, two sittings. The pass wants the purée in two inserts.",
  });
  for (const [i, [formulaId, covers, readyMin]] of MENU.entries())
    await saveMenuLine(db, change, date, {
      id: ulid(now.getTime() + i),
      formulaId,
      covers,
      portionG: null,
      overagePct: 5,
      lossPct: 3,
      readyMin,
    });
  // Put there in the morning’s hurry: a butter sauce does not hold that long.
  await pinJob(db, { ...change, personId: "noor" }, date, "verjus-butter-sauce/1/1", {
    startMin: DAYS_AHEAD * 1440 + 15 * 60 + 50,
  });
  for (const item of ["buy shallot", "buy salsify", "tool fine sieve and ladle"])
    await tick(db, { ...change, personId: "noor" }, date, { item, done: true, at: now });
  await fillCold(db, now);
  for (const [formulaId, parG, batchG] of [
    [GLACE_ID, 1200, 950],
    [STOCK_ID, 8000, 9400],
    ["beetroot-gastrique", 500, 680],
  ] as const)
    await savePar(db, change, { formulaId, parG, batchG });
  await logs(db, now);
}

async function fillCold(db: Database, now: Date): Promise<void> {
  for (const [formulaId, name, before, madeG, usedG, keepDays, allergens, place] of COLD) {
    const made = new Date(now.getTime() - before * DAY);
    const id = ulid(made.getTime());
    await addLot(
      db,
      { kitchenId: KITCHEN_ID, personId: "tomas", now: made },
      {
        id,
        name,
        formulaId,
        runId: null,
        madeOn: made.toISOString().slice(0, 10),
        keepDays,
        keepC: 4,
        allergens,
        massG: madeG,
        place,
      },
    );
    for (let part = 1; part <= 3; part++)
      await moveLot(
        db,
        {
          kitchenId: KITCHEN_ID,
          personId: part % 2 ? "noor" : "tomas",
          now: new Date(made.getTime() + (part / 4) * Math.min(4 * DAY, now.getTime() - made.getTime())),
        },
        {
          id: ulid(),
          lotId: id,
          kind: "used",
          massG: part < 3 ? Math.round(usedG / 3) : usedG - 2 * Math.round(usedG / 3),
          place: null,
          note: "",
        },
      );
  }
  const trim = new Date(now.getTime() - 8 * HOUR);
  await addLot(
    db,
    { kitchenId: KITCHEN_ID, personId: "petr", now: trim },
    {
      id: ulid(trim.getTime()),
      name: "Leek and mushroom trimmings",
      formulaId: null,
      runId: null,
      madeOn: trim.toISOString().slice(0, 10),
      keepDays: 2,
      keepC: 4,
      allergens: [],
      massG: 1850,
      place: "walk-in, floor box",
    },
  );
}

/** [minutes, °C] of a pot in the ice sink that was forgotten there, and of one that was stirred. */
const SLOW: readonly (readonly [number, number])[] = [
  [0, 82],
  [25, 61],
  [60, 48],
  [110, 36],
  [150, 29.5],
  [200, 22.4],
  [230, 18.2],
  [330, 6.1],
  [345, 4.8],
];
const QUICK: readonly (readonly [number, number])[] = [
  [0, 84],
  [8, 58],
  [20, 36],
  [33, 20.1],
  [48, 10.2],
  [64, 4.6],
];

/** From the end of a batch to the first reading of its cooling. */
const PUT_DOWN_MS = 10 * 60_000;

async function logs(db: Database, now: Date): Promise<void> {
  const batches = await listBatches(db, KITCHEN_ID);
  const write = async (
    log: { name: string; massG: number; method: "ice-bath" | "ice-bath-still"; vesselId: string },
    readings: typeof SLOW,
    by: string,
    actions: readonly (readonly [number, string])[],
  ) => {
    const made = batches.find(batch => batch.name === log.name);
    const begun = new Date((made?.finishedAt ?? now).getTime() + PUT_DOWN_MS);
    const id = ulid(begun.getTime());
    const change = { kitchenId: KITCHEN_ID, personId: by, now: begun };
    await startLog(db, change, {
      id,
      kind: "cooling",
      runId: made?.runId ?? null,
      lotId: null,
      profile: "fda",
      limitC: null,
      limitMin: null,
      demo: true,
      ...log,
    });
    const at = (min: number) => new Date(begun.getTime() + min * 60_000);
    for (const [min, c] of readings)
      await addEntry(db, { ...change, now: at(min) }, id, {
        id: ulid(at(min).getTime()),
        at: at(min),
        kind: "probe",
        c,
        deviceId: null,
        words: "",
      });
    for (const [min, words] of actions)
      await addEntry(db, { ...change, now: at(min) }, id, {
        id: ulid(at(min).getTime()),
        at: at(min),
        kind: "action",
        c: null,
        deviceId: null,
        words,
      });
    const last = at((readings.at(-1)?.[0] ?? 0) + 5);
    await addEntry(db, { ...change, now: last }, id, {
      id: ulid(last.getTime()),
      at: last,
      kind: "closed",
      c: null,
      deviceId: null,
      words: "",
    });
  };
  await write(
    { name: "Mushroom and barley stock", massG: 15_800, method: "ice-bath-still", vesselId: "tall-1" },
    SLOW,
    "petr",
    [
      [205, "Ice had melted: new ice, and stirred from here on."],
      [350, "First stage too slow: thrown away after asking the chef. Next time in two inserts."],
    ],
  );
  await write(
    { name: "Guinea-fowl brown stock", massG: 9_300, method: "ice-bath", vesselId: "insert-30" },
    QUICK,
    "tomas",
    [],
  );
}
