import { describe, expect, test } from "vitest";
import { DEMO_FORMULAS, GLACE_ID, STOCK_ID } from "../../demo/formulas";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { DEMO_PRICES } from "../../demo/prices";
import { openKitchen } from "../formula";
import {
  DAYS_AHEAD,
  type DayInput,
  type DayView,
  type Lot,
  type MenuLine,
  type MovementKind,
  leftNow,
  lotState,
  massOnMenu,
  parOf,
  usagePerDay,
  viewOfDay,
} from ".";

const kitchen = openKitchen({ ...DEMO_KITCHEN, formulas: DEMO_FORMULAS });
const line = (formulaId: string, covers: number, more: Partial<MenuLine> = {}): MenuLine => ({
  id: formulaId,
  formulaId,
  covers,
  portionG: null,
  overagePct: 5,
  lossPct: 3,
  readyMin: 15,
  ...more,
});
const SATURDAY = 6;
const input = (menu: readonly MenuLine[], more: Partial<DayInput> = {}): DayInput => ({
  menu,
  serviceMin: 18 * 60,
  cooks: ["tomas", "noor"],
  stock: [],
  without: [],
  house: { opensMin: 7 * 60, closesMin: 23 * 60 },
  closed: [],
  pinned: {},
  nowMin: null,
  ...more,
});
const view = (menu: readonly MenuLine[], more: Partial<DayInput> = {}, at = kitchen): DayView => {
  const planned = viewOfDay(input(menu, more), at, SATURDAY);
  if (!planned.ok) throw new Error(planned.problems[0]?.message);
  return planned.value;
};
const MIDNIGHT = DAYS_AHEAD * 1440;

test("C153 84 covers of 55 g, five per cent over: 4 851 g", () => {
  expect(massOnMenu(line("x", 84, { portionG: 55, lossPct: 0 }), 1)).toBeCloseTo(4851, 6);
});

describe("what a menu asks for", () => {
  const plan = view([line(GLACE_ID, 30), line("cider-juniper-pan-sauce", 18)]);
  test("C158b down to the stock that both draw on, once", () => {
    const stock = plan.needs.filter(n => n.formulaId === STOCK_ID);
    expect(stock).toHaveLength(1);
    expect(stock[0]?.uses.map(u => u.name).sort()).toEqual([
      "Cider and juniper pan sauce",
      "Guinea-fowl glace",
    ]);
    expect(stock[0]?.needG).toBeCloseTo(stock[0]?.uses.reduce((sum, u) => sum + u.massG, 0) ?? NaN, 6);
  });
  test("every pot yields what is asked of it, within a fifth of a per cent", () => {
    for (const need of plan.needs) {
      const made = plan.jobs.filter(j => j.formulaId === need.formulaId).map(j => j.massG);
      expect(Math.abs((made[0] ?? 0) * need.pots - need.toMakeG) / need.toMakeG).toBeLessThan(0.003);
    }
  });
  test("a stock is ready before what draws on it begins, and its fat is off before that", () => {
    const last = Math.max(...plan.jobs.filter(j => j.formulaId === STOCK_ID).map(j => j.finish));
    for (const job of plan.jobs.filter(j => j.formulaId !== STOCK_ID))
      expect(job.start).toBeGreaterThanOrEqual(last);
  });
  test("C24 what stands in the cold is used first; all of it there, nothing is made", () => {
    const some = view([line(GLACE_ID, 30)], { stock: [{ formulaId: GLACE_ID, massG: 200 }] });
    expect(some.needs[0]).toMatchObject({ fromStockG: 200 });
    const all = view([line(GLACE_ID, 30)], { stock: [{ formulaId: GLACE_ID, massG: 2000 }] });
    expect(all.jobs).toEqual([]);
  });
  test("more than the pots take is made in several, and says so", () => {
    const many = view([line(STOCK_ID, 600, { portionG: 100 })]);
    expect(many.needs[0]?.pots).toBeGreaterThan(1);
  });
});

describe("when it is done", () => {
  test("C15 a butter sauce is ready no earlier than it holds", () => {
    const plan = view([line("verjus-butter-sauce", 20), line(GLACE_ID, 30), line("salsify-puree", 64)]);
    const sauce = plan.jobs.find(j => j.formulaId === "verjus-butter-sauce");
    expect(plan.broken).toEqual([]);
    expect(plan.dueMin - (sauce?.finish ?? 0)).toBeLessThanOrEqual(45);
  });
  test("put where it cannot stay, the limit is told with the job, in minutes", () => {
    const plan = view([line("verjus-butter-sauce", 20)], {
      pinned: { "verjus-butter-sauce/1/1": { startMin: MIDNIGHT + 15 * 60 } },
    });
    expect(plan.broken.join()).toMatch(/Verjus butter sauce is ready .* earlier than it holds/);
    expect(plan.jobs[0]?.broken).toHaveLength(1);
  });
  test("C12 hands are free at night; asked for, they may be wanted then", () => {
    const early = { serviceMin: 9 * 60 };
    const atWork = (plan: DayView) =>
      plan.jobs.flatMap(j => j.hands).some(h => h.to > MIDNIGHT - 60 && h.from < MIDNIGHT + 7 * 60);
    expect(atWork(view([line("langoustine-bisque", 22)], early))).toBe(false);
    expect(atWork(view([line("langoustine-bisque", 22)], { ...early, house: null }))).toBe(true);
  });
  test("C13 no burner, oven or hand is in two places", () => {
    const plan = view(
      ["salsify-puree", "langoustine-bisque", "verjus-butter-sauce", "smoked-trout-veloute"].map(id =>
        line(id, 40),
      ),
    );
    const spans = plan.jobs.flatMap(j => j.hands.map(h => ({ at: h.personId, from: h.from, to: h.to })));
    for (const a of spans)
      for (const b of spans)
        if (a !== b && a.at === b.at) expect(a.to <= b.from || b.to <= a.from).toBe(true);
  });
  test("later than wished rather than no plan, and by how much", () => {
    const plan = view([line(STOCK_ID, 20)], { nowMin: MIDNIGHT + 17 * 60 });
    expect(plan.lateMin).toBeGreaterThan(300);
    expect(plan.verdict).toContain("after it is wanted");
  });
  test("whole packs are ordered where it is sold in them, and paid for", () => {
    const sold = (massG: number) =>
      openKitchen({
        ...DEMO_KITCHEN,
        formulas: DEMO_FORMULAS,
        ingredients: DEMO_KITCHEN.ingredients.map(i =>
          i.id === "carrot" ? { ...i, pack: { name: "bag", massG } } : i,
        ),
      });
    const carrot = (massG: number) =>
      view([line(STOCK_ID, 20)], {}, sold(massG)).lists.buy.find(item => item.ingredientId === "carrot");
    const need = carrot(5)?.purchasedG ?? 0;
    const item = carrot(need / 1.5);
    expect(item?.packs).toMatchObject({ name: "bag", count: 2 });
    expect(item?.cost).toBeCloseTo(((DEMO_PRICES.carrot ?? 0) * need * (2 / 1.5)) / 1000, 9);
    // What differs by less than a balance shows opens no further one.
    expect(carrot(need - 0.1)?.packs?.count).toBe(1);
  });
  test("what has cooled needs room to stand in: too little of it is a limit that is told", () => {
    const roomFor = (holdsMl: number) =>
      openKitchen({
        ...DEMO_KITCHEN,
        formulas: DEMO_FORMULAS,
        appliances: DEMO_KITCHEN.appliances.map(a => (a.id === "walk-in" ? { ...a, holdsMl } : a)),
      });
    const menu = [line("trout-fumet", 40)];
    expect(view(menu, {}, roomFor(900_000)).broken).toEqual([]);
    const tight = view(menu, {}, roomFor(1000));
    expect(tight.broken.join(" ")).toMatch(
      /^Walk-in: [\d.]+ l are to stand there at \d\d:\d\d, there is room for 1.0 l/,
    );
    expect(tight.verdict).toContain("1 limit is broken");
    // What stands there already takes room too.
    const stock = [{ formulaId: GLACE_ID, massG: 950_000 }];
    expect(view(menu, { stock }, roomFor(900_000)).broken.join(" ")).toContain("room for 900.0 l");
  });
  test("ice for what goes into the sink, more than the bare sum", () => {
    const ice = view([line("trout-fumet", 20)]).lists.ice[0];
    // Water from near boiling to 4 °C needs about its own weight of ice: 4.19 · 90 / 340.
    expect((ice?.iceG ?? 0) / (ice?.massG ?? 1)).toBeGreaterThan(1);
    expect((ice?.iceG ?? 0) / (ice?.massG ?? 1)).toBeLessThan(2);
  });
});

describe("lots", () => {
  const day = (at: Date): string => at.toISOString().slice(0, 10);
  const lot = (
    id: string,
    madeOn: string,
    moved: readonly [MovementKind, string, number, string?][],
    more: Partial<Lot> = {},
  ): Lot => ({
    id,
    name: id,
    formulaId: STOCK_ID,
    madeOn,
    keepDays: 3,
    keepC: 4,
    allergens: ["celery"],
    movements: moved.map(([kind, on, massG, otherLotId = null]) => ({
      kind,
      at: new Date(`${on}T10:00:00Z`),
      massG,
      otherLotId,
      place: null,
    })),
    ...more,
  });
  const state = (l: Lot, ...others: Lot[]) => lotState(l, new Map([l, ...others].map(x => [x.id, x])), day);
  test("three days, the day of making being the first", () => {
    expect(state(lot("a", "2026-11-27", [["made", "2026-11-27", 900]]))).toMatchObject({
      massG: 900,
      useBy: "2026-11-29",
    });
  });
  test("a pooled pot is as old as its oldest part and holds the allergens of all", () => {
    const old = lot("old", "2026-11-26", [["made", "2026-11-26", 500]], { allergens: ["fish"] });
    const pool = lot("pool", "2026-11-27", [
      ["made", "2026-11-27", 900],
      ["poured in", "2026-11-27", 300, "old"],
    ]);
    expect(state(pool, old)).toMatchObject({
      massG: 1200,
      oldestOn: "2026-11-26",
      useBy: "2026-11-28",
      allergens: ["celery", "fish"],
    });
    const unknown = { ...old, allergens: null };
    expect(state(pool, unknown).allergens).toBeNull();
  });
  test("freezing stops its days; thawed, what was left of them runs, two at most", () => {
    const frozen = lot("f", "2026-11-27", [
      ["made", "2026-11-27", 900],
      ["frozen", "2026-11-27", 0],
    ]);
    expect(state(frozen)).toMatchObject({ frozen: true, useBy: "2027-02-25" });
    const thawed = {
      ...frozen,
      movements: [...frozen.movements, ...lot("t", "", [["thawed", "2026-12-20", 0]]).movements],
    };
    expect(state(thawed)).toMatchObject({ frozen: false, useBy: "2026-12-21" });
  });
  test("a count tells what was used and not written down", () => {
    const counted = lot("c", "2026-11-27", [
      ["made", "2026-11-27", 900],
      ["used", "2026-11-28", 200],
      ["counted", "2026-11-28", 450],
      ["wasted", "2026-11-29", 50],
    ]);
    expect(state(counted)).toMatchObject({ massG: 400, usedG: 450, wastedG: 50 });
  });
  test("C24 par 6 kg, 1.9 kg there, 0.8 kg a day; C177 a pot of 5.6 kg every seven days", () => {
    const par = parOf(6000, 1900, 800, 5600);
    expect(par).toMatchObject({ makeG: 4100, everyDays: 7 });
    expect(par.daysLeft).toBeCloseTo(2.375, 3);
    expect(parOf(6000, 1900, null, 5600).daysLeft).toBeNull();
  });
  test("usage is what was taken in the days there was any", () => {
    const one = lot("u", "2026-11-21", [
      ["made", "2026-11-21", 9000],
      ["used", "2026-11-24", 3000],
      ["used", "2026-11-26", 2600],
    ]);
    expect(usagePerDay([one], "2026-11-28", day)).toBeCloseTo(800, 6);
    expect(usagePerDay([], "2026-11-28", day)).toBeNull();
  });
});

describe("service", () => {
  const at = (nowMin: number, readings: { min: number; massG: number }[] = []) =>
    leftNow({
      madeG: 851,
      portionG: 35,
      covers: 20,
      beginsMin: 0,
      lastsMin: 240,
      readings,
      nowMin,
      leadMin: 22,
    });
  test("goes evenly until something is weighed", () => {
    expect(at(0)).toMatchObject({ leftG: 851, covers: 24, counted: false, emptyMin: null });
  });
  test("400 g left after an hour: eleven covers, empty 53 minutes later, the next on 22 before", () => {
    const now = at(60, [{ min: 60, massG: 400 }]);
    expect(now.covers).toBe(11);
    expect(now.emptyMin).toBeCloseTo(60 + 400 / (451 / 60), 6);
    expect(now.nextOnMin).toBeCloseTo((now.emptyMin ?? 0) - 22, 6);
  });
});
