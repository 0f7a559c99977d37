import { describe, expect, test } from "vitest";
import { NOMINAL_FACTS } from "../facts";
import { EMPTY_POT, accountedFor, massOfPools, potMass } from "../pot";
import { degC, g, s } from "../quantity";
import { valueOf } from "../result";
import { liquid } from "../testing";
import { extraction, releaseJuice, simmerSolids } from ".";

const part = (kind: "veal-bones" | "poultry-bones" | "mirepoix", raw: number, roasted = false) => ({
  id: kind,
  name: kind,
  kind,
  pools: liquid(raw, { water: 62, fat: 12, protein: 20, collagen: 6, sugars: 1, other: 5 }),
  rawG: g(raw),
  roasted,
  gaveGelatinG: g(0),
  gaveSolidsG: g(0),
  juiceReleased: false,
});
const gives = (kind: "veal-bones" | "poultry-bones", raw: number, hours: number, t: number) =>
  valueOf(extraction(part(kind, raw), s(hours * 3600), degC(t), NOMINAL_FACTS));

describe("check rows of the extraction (own model, worked twice; kinetics are our estimates)", () => {
  test("8 lb veal, 8 h at 93 °C: 138.46 g gelatin, 43.19 g solids; at 85 °C 99.97 g", () => {
    expect(gives("veal-bones", 3629, 8, 93).gelatinG).toBeCloseTo(138.46, 1);
    expect(gives("veal-bones", 3629, 8, 93).solidsG).toBeCloseTo(43.19, 1);
    expect(gives("veal-bones", 3629, 8, 85).gelatinG).toBeCloseTo(99.97, 1);
  });
  test("8 lb poultry, 4 h at 93 °C: 90.87 g gelatin", () =>
    expect(gives("poultry-bones", 3629, 4, 93).gelatinG).toBeCloseTo(90.87, 1));
  test("a second extraction gives what the first left: 28.39 g after six more hours", () => {
    const first = gives("veal-bones", 3629, 8, 93);
    const second = valueOf(
      extraction(
        { ...part("veal-bones", 3629), gaveGelatinG: first.gelatinG, gaveSolidsG: first.solidsG },
        s(6 * 3600),
        degC(93),
        NOMINAL_FACTS,
      ),
    );
    expect(second.gelatinG).toBeCloseTo(28.39, 1);
    expect(second.solidsG).toBeCloseTo(0.35, 1);
  });
  test("below 60 °C nothing is promised", () => {
    expect(extraction(part("veal-bones", 1000), s(3600), degC(55), NOMINAL_FACTS)).toMatchObject({
      ok: false,
      problems: [{ code: "T_LOW" }],
    });
  });
});

describe("books of a simmer", () => {
  const solids = [part("poultry-bones", 4000, true), part("mirepoix", 500)];
  const start = { ...EMPTY_POT, solids, liquor: liquid(6000, { water: 100 }) };
  const pot = { ...start, entered: accountedFor(start) };

  test("gelatin, solids and fat change place, mass does not", () => {
    const after = valueOf(
      simmerSolids(releaseJuice(pot, NOMINAL_FACTS), s(4 * 3600), degC(88), NOMINAL_FACTS),
    );
    expect(potMass(after)).toBeCloseTo(potMass(pot), 6);
    expect(after.liquor.collagen).toBeGreaterThan(50);
    expect(after.floatFatG).toBeCloseTo(0.06 * 4000 * (1 - Math.exp(-4)), 6);
    expect(massOfPools(accountedFor(after))).toBeCloseTo(massOfPools(after.entered), 6);
  });
  test("juice runs once", () => {
    const once = releaseJuice(pot, NOMINAL_FACTS);
    expect(once.liquor.water - pot.liquor.water).toBeCloseTo(0.02 * 4000 + 0.1 * 500, 6);
    expect(releaseJuice(once, NOMINAL_FACTS)).toEqual(once);
  });
  test("bones with too little collagen on record are raised, and it is said", () => {
    const lean = {
      ...pot,
      solids: [
        {
          ...part("poultry-bones", 4000),
          pools: liquid(4000, { water: 70, fat: 10, protein: 15, other: 5 }),
        },
      ],
    };
    const after = simmerSolids(
      { ...lean, entered: accountedFor(lean) },
      s(4 * 3600),
      degC(88),
      NOMINAL_FACTS,
    );
    expect(after.ok && after.warnings.map(w => w.code)).toContain("COLLAGEN_ASSUMED");
    expect(after.ok && massOfPools(accountedFor(after.value))).toBeCloseTo(
      massOfPools(accountedFor(lean)),
      6,
    );
  });
  test("a boil warns of cloudiness", () => {
    const after = simmerSolids(pot, s(3600), degC(99.5), NOMINAL_FACTS);
    expect(after.ok && after.warnings.map(w => w.code)).toContain("BOILING");
  });
});
