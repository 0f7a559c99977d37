import { describe, expect, it } from "vitest";
import { BITTER_FROM_PCT, oilBlend, rawEggCaution } from "../emulsion";
import { NOMINAL_FACTS } from "../../ground/facts";
import {
  PALE_LEMON_G_PER_KG,
  blanchIce,
  colourOf,
  coldCubes,
  drainedYet,
  enrichment,
  hardestOf,
  loosenedSolids,
  sieveOrNot,
} from "../puree";
import { valueOf } from "../../ground/result";
import { condimentGlaze, finishOrder } from "../seasoning";
import { work, num } from "../../sums/testing";
import { creamMatches, mountButter, reductionToCoat } from ".";
import { sauceOf } from "./testing";

describe("acceptance examples of texture, purées and taste", () => {
  it("C31 chard 3.10 kg to 2.62 at 15 min, 2.58 at 20: 1.5 % in five minutes, done", () => {
    const d = valueOf(
      drainedYet([
        { min: 0, g: 3100 },
        { min: 15, g: 2620 },
        { min: 20, g: 2580 },
      ]),
    );
    expect(d.lossPct).toBeCloseTo(1.5, 1);
    expect(d.done).toBe(true);
    expect(d.lostG).toBeCloseTo(520, 6);
    expect(
      valueOf(
        drainedYet([
          { min: 0, g: 3100 },
          { min: 15, g: 2620 },
        ]),
      ).done,
    ).toBe(false);
    expect(drainedYet([{ min: 0, g: 3100 }]).ok).toBe(false);
  });
  it("C68 a base of body 45 wants cream of 41–49; cream of 37 is reduced on", () => {
    expect(creamMatches(45, 44)).toMatchObject({ ready: true, from: 41, to: 49 });
    expect(creamMatches(45, 37)).toMatchObject({ ready: false, hint: "reduce on" });
    expect(creamMatches(37, 45).hint).toBe("let it down with fresh cream");
  });
  it("C82 2.2 kg at 1.2 %: 26 g starch and twice the water is 52 g", () => {
    const starch = 2200 * 0.012;
    expect(starch).toBeCloseTo(26.4, 6);
    const slurry = work("thicken", {
      liquid: "bought chicken stock",
      massG: 2200,
      thickener: "corn",
      form: "slurry",
      slurryWaterPerG: 2,
      targetThickness: 25,
    });
    expect(num(slurry.waterG) / num(slurry.thickenerG)).toBeCloseTo(2, 9);
    expect(num(slurry.totalG)).toBeCloseTo(2200 + 3 * num(slurry.thickenerG), 3);
  });
  it("C84 rice binds by its raw weight; a per cent more is thicker", () => {
    const body = (massG: number) => {
      const sauce = { liquid: "bought chicken stock", massG: 7500, thickeners: [{ id: "ricepuree", massG }] };
      return (work("thickness-of", sauce).thickness as { value: number }).value;
    };
    // 5 % cooked rice is 375 g, cooked up 2.8 times.
    expect(body((0.06 * 7500) / 2.8)).toBeGreaterThan(body((0.05 * 7500) / 2.8));
  });
  it("C86 1.8 kg at 60 g a litre: 108 g butter, 4.6 % fat", () => {
    const m = valueOf(mountButter({ sauceG: 1800, sauceC: 80, sauceFatPct: 0, butterG: 108, butterC: 5 }));
    expect(m.fatPct).toBeCloseTo(4.6, 1);
    expect(num(work("mount", { sauceG: 1800, gPerLitre: 60, sauceC: 80 }).fatPct)).toBeCloseTo(4.6, 1);
  });
  it("C89 28 g dusted, half of it to the pan: 14 g in 0.9 l are 15.6 g a litre", () =>
    expect((28 * NOMINAL_FACTS.dustReaches) / 0.9).toBeCloseTo(15.6, 1));
  it("C98 720 g oil, 85 % neutral: 612 g and 108 g", () => {
    expect(oilBlend(720).neutralG).toBeCloseTo(612, 9);
    expect(oilBlend(720).flavouredG).toBeCloseTo(108, 9);
    expect(BITTER_FROM_PCT).toBeGreaterThan(15);
  });
  it("C101 2.4 kg plum purée at 3 %: 72 g in nine cubes of 8 g", () =>
    expect(coldCubes(2400, 3)).toEqual({ butterG: 72, cubes: 9, eachG: 8 }));
  it("C102 raw egg is never cleared by an estimate; a measured pH is named, the local code decides", () => {
    expect(rawEggCaution()).toMatch(/unverified/);
    expect(rawEggCaution(3.9)).toMatch(/local code decides/);
    expect(rawEggCaution(4.6)).toMatch(/above the 4.1/);
    for (const said of [rawEggCaution(), rawEggCaution(3.9)]) expect(said).not.toMatch(/\bsafe\b/i);
  });
  it("C104 pear, parsnip, salsify: salsify is tried at 20, 25, 30 min", () =>
    expect(hardestOf(["pear", "parsnip", "salsify"])).toEqual({ item: "salsify", lookAtMin: [20, 25, 30] }));
  it("C106 120 g of stock free the blade: 2.02 kg, 18.0 → 16.9 %", () => {
    const l = loosenedSolids(1900, 18, 120);
    expect(l.massG).toBe(2020);
    expect(l.solidsPct).toBeCloseTo(16.9, 1);
  });
  it("C107 2.65 kg through the fine sieve: 2.54 kg, no grain; without it 106 g more and grain 2", () => {
    const s = sieveOrNot(2650, "chinois", 0.04);
    expect(s.massG).toBeCloseTo(2544, 6);
    expect(s.lostG).toBeCloseTo(106, 6);
    expect([s.grain, s.grainWithout]).toEqual([0, 2]);
  });
  it("C109 3.76 kg: butter 20 % 752 g, cream 500 g, 626 g first", () =>
    expect(enrichment(3760, 20, 500)).toEqual({ butterG: 752, creamG: 500, firstG: 626, restG: 626 }));
  it("C111 1.8 kg of peas: 90 s lies in their minutes, about as much ice; 2.5 kg mushrooms take 12 g lemon", () => {
    expect(colourOf("spinach")).toEqual({ kind: "green", seconds: [30, 60] });
    for (const green of ["broccoli", "leek", "courgette", "asparagus"])
      expect(colourOf(green).kind, green).toBe("green");
    for (const pale of ["celeriac", "floury potato", "cauliflower"])
      expect(colourOf(pale).kind, pale).toBe("pale");
    for (const stays of ["carrot", "pumpkin", "red pepper, peeled", "beetroot", "sweet potato"])
      expect(colourOf(stays).kind, stays).toBe("stays");
    expect(valueOf(blanchIce(1800, 95, 4, 0, 15)) / 1800).toBeCloseTo(1.01, 1);
    expect(2.5 * PALE_LEMON_G_PER_KG).toBeCloseTo(12, 9);
  });
  it("C113 600 g base, 180 yolk (10), 60 oil, 8 salt: 848 g, 24 pieces of 35 g; another depth is another trial", () => {
    const c = work("set-custard", { baseG: 600 });
    expect([c.yolkG, c.yolks, c.oilG, c.totalG, c.pieces]).toEqual([180, 10, 60, 848, 24]);
    expect(c.warnings[0]?.code).toBe("SAME_DEPTH");
  });
  it("C114 500 base, 150 powder, 175 sugar, 75 acid: 900 g, 218 pieces of 4 g, dry at 14:30", () => {
    const m = work("puree-meringue", { baseG: 500 });
    expect([m.powderG, m.sugarG, m.acidLiquidG, m.totalG, m.pieces]).toEqual([150, 175, 75, 900, 218]);
    expect(m.sentence).toMatch(/14:30/);
  });
  it("C115 3.6 kg: 180 g stock, then 113 g sherry, ten minutes, only then salt", () => {
    const order = finishOrder(3600, 5, 3);
    expect(order[0].massG).toBe(180);
    expect(order[1].massG).toBeCloseTo(113.4, 6);
    expect(order.map(o => o.saltLocked)).toEqual([true, true, true, false]);
  });
  it("C122 120 g soy of 15 % and 120 g honey to 170 g: 10.6 %, 12 g hold 1.27 g: it warns", () => {
    const g = condimentGlaze(
      [
        { massG: 120, saltPct: 15 },
        { massG: 120, saltPct: 0 },
      ],
      170,
      12,
    );
    expect(valueOf(g).saltPct).toBeCloseTo(10.6, 1);
    expect(valueOf(g).perServingG).toBeCloseTo(1.27, 2);
    expect(g.ok && g.warnings[0]?.code).toBe("SALTY_GLAZE");
    expect(condimentGlaze([{ massG: 10, saltPct: 1 }], 50, 1).ok).toBe(false);
  });
  it("C132 a stock that sets firm needs no starch: so far down it coats by itself", () => {
    const firm = { ...sauceOf({ "brown stock": 1000 }), gelatinG: 40 };
    const down = valueOf(reductionToCoat(firm, 60, NOMINAL_FACTS));
    const left = 1 / down.factor;
    expect(left).toBeGreaterThan(0.1);
    expect(left).toBeLessThan(0.4);
    const thin = { ...sauceOf({ water: 1000 }), gelatinG: 0.5 };
    expect(reductionToCoat(thin, 60, NOMINAL_FACTS).ok).toBe(false);
  });
});
