import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { type FormulaDocument, blankFormula, openKitchen, prepList, saltLedger, saltOfParts, walk } from ".";
import { fixed, kitchen, line, demo } from "./testing";

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
  test("the ledger of every demo formula balances: what came in, less what left, is in the pot", () => {
    for (const id of Object.keys(kitchen.data.formulas)) {
      const document = demo(id);
      const walked = walk(document, kitchen);
      const ledger = saltLedger(document, walked, kitchen);
      const last = walked.states.at(-1);
      expect(ledger.inG - ledger.outG, id).toBeCloseTo(ledger.leftG, 3 > ledger.inG ? 2 : 1);
      expect(last?.pot.entered.salt ?? 0, id).toBeCloseTo(ledger.inG, 1);
    }
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
