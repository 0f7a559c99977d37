import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { FAMILIES, type Family, formulaOf } from "../../families";
import { EVERY_FORMULA } from "../../families/testing";
import {
  type FormulaDocument,
  blankFormula,
  finalState,
  openKitchen,
  prepList,
  saltLedger,
  saltOfParts,
  walk,
} from "..";
import { fixed, kitchen, line, stock } from "../walk/testing";
import { STOCK_ID } from "../../../demo/formulas";
import { multiply } from "../scaling/multiply";

const adding = (name: string, massG: number, lines: FormulaDocument["steps"][number]["lines"]) => ({
  ...blankFormula(name, { name: "base", massG }),
  steps: [{ id: "in", kind: "add" as const, durationMin: 2, vesselId: "tall-1", lines }],
});
const wine = (id: string, massG: number) => line(id, "white-wine", fixed(massG));
const shallot = (id: string, massG: number) => line(id, "shallot", fixed(massG));

describe("C158b one dish, its components and one list", () => {
  // A gratin of three components with four entries of wine and three of shallot.
  const formulas = {
    opening: adding("Clams opened", 1000, [wine("w1", 150), shallot("s1", 60)]),
    sauce: adding("Cream sauce", 1000, [wine("w2", 120), wine("w3", 80), shallot("s2", 65)]),
    crumb: adding("Gratin crumb", 300, [line("b", "butter", fixed(300))]),
  };
  const gratin = adding("Clam gratin", 1000, [
    ...Object.keys(formulas).map(id => ({
      id,
      of: { formula: id },
      amount: fixed({ opening: 210, sauce: 265, crumb: 300 }[id] ?? 0),
      certainty: "stated" as const,
    })),
    wine("w4", 60),
    shallot("s3", 40),
  ]);
  const own = openKitchen({ ...DEMO_KITCHEN, formulas });
  const list = prepList(gratin, walk(gratin, own), own);
  test("three sub-recipes, wine merged to 410 g, shallots to 165 g", () => {
    expect(list.components.map(c => c.name)).toEqual(["Clams opened", "Cream sauce", "Gratin crumb"]);
    const item = (id: string) => list.items.find(i => i.ingredientId === id);
    expect(item("white-wine")?.netG).toBeCloseTo(410, 6);
    expect(item("shallot")?.netG).toBeCloseTo(165, 6);
    expect(item("white-wine")?.uses.map(u => u.component)).toEqual([
      "Clams opened",
      "Cream sauce",
      "Clam gratin",
    ]);
  });
  test("bought is at least what is used", () => {
    for (const item of list.items) expect(item.purchasedG).toBeGreaterThanOrEqual(item.netG - 1e-9);
  });
});

describe("what a dish draws on is bought in proportion", () => {
  const once = walk(stock, kitchen);
  const carcasses = once.states[0]?.lines[0];
  const listFor = (massG: number) => {
    const dish = adding("Banquet", massG, [
      { id: "l", of: { formula: STOCK_ID }, amount: fixed(massG), certainty: "stated" as const },
    ]);
    return prepList(dish, walk(dish, kitchen), kitchen);
  };
  const bought = (massG: number) =>
    listFor(massG).items.find(i => i.ingredientId === carcasses?.ingredientId)?.netG;
  test("from a formula the pots of the kitchen take", () => {
    expect(bought(once.finishedG / 2)).toBeCloseTo((carcasses?.massG ?? NaN) / 2, 6);
  });
  test("and from one that is more than they take at once", () => {
    const times = 40;
    expect(walk(multiply(stock, times), kitchen).problems).not.toEqual([]);
    expect(bought(times * once.finishedG)).toBeCloseTo(times * (carcasses?.massG ?? NaN), 3);
    expect(listFor(times * once.finishedG).components[0]?.needG).toBeCloseTo(times * once.finishedG, 6);
  });
});

describe("C117 salt through everything", () => {
  test("twelve plates of pasta: 15.2 g, 1.27 g each, before any salt is added", () => {
    const all = saltOfParts([
      { massG: 300, saltPct: 1 },
      { massG: 480, saltPct: 0.8 },
      { massG: 240, saltPct: 3.5 },
    ]);
    expect(all.saltG).toBeCloseTo(15.24, 6);
    expect(all.saltG / 12).toBeCloseTo(1.27, 2);
  });
  const template = { boilsC: kitchen.boilsC, demiGlace: { to: 0.5, bound: false } };
  test.each(EVERY_FORMULA)(
    "the ledger of %s balances: what came in, less what left, is in the pot",
    (_, document) => {
      const walked = walk(document, kitchen);
      const ledger = saltLedger(document, walked, kitchen);
      const last = finalState(walked.states);
      expect(ledger.inG - ledger.outG).toBeCloseTo(ledger.leftG, 3 > ledger.inG ? 2 : 1);
      expect(last?.pot.entered.salt ?? 0).toBeCloseTo(ledger.inG, 1);
      if (ledger.inG > 0) expect(ledger.entries.reduce((sum, e) => sum + e.share, 0)).toBeCloseTo(1, 9);
      ledger.entries.slice(1).forEach((entry, i) => {
        expect(entry.saltG).toBeLessThanOrEqual(ledger.entries[i]?.saltG ?? 0);
      });
    },
  );
  test("the rub of a cure is in the books by what stays of it", () => {
    const confit = formulaOf(FAMILIES.find(f => f.id === "confit") as Family, {}, template);
    const ledger = saltLedger(confit, walk(confit, kitchen), kitchen);
    expect(ledger.entries[0]?.path).toEqual(["cure"]);
    expect(ledger.entries[0]?.share).toBeGreaterThan(0.5);
  });
});

test("C156 twelve portions put together: 480 g of sauce, 300 g of water, 720 g of purée", () => {
  const perPortion = (id: string, larder: string, g: number) =>
    line(id, larder, { kind: "per-portion", gPerPortion: g });
  const plate = {
    ...adding("Assembled", 12 * 125, [
      perPortion("sauce", "bought-brown-stock", 40),
      perPortion("water", "water", 25),
      perPortion("puree", "cream", 60),
    ]),
    portionG: 125,
  };
  const lines = walk(plate, kitchen).states[0]?.lines ?? [];
  expect(lines.map(l => Math.round(l.massG))).toEqual([480, 300, 720]);
});
