import { describe, expect, it } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { valueOf } from "../../ground/result";
import { bandOf, breaksAtC } from "../texture";
import {
  type EmulsionInput,
  type PhaseId,
  acidity,
  acidityOfParts,
  withTheirSalts,
  breakRisk,
  buildEmulsion,
  checkStandards,
  emulsionOf,
  loosenEmulsion,
  massOf,
  oilSchedule,
  oilStages,
  rescueBroken,
  separatesAfterS,
  thickenEmulsion,
  waterFor,
} from ".";

const F = NOMINAL_FACTS;
const phase = (parts: Partial<Record<PhaseId, number>>) =>
  (Object.entries(parts) as [PhaseId, number][]).map(([id, massG]) => ({ id, massG }));
const D1: EmulsionInput = {
  oilG: 300,
  oilKind: "oil",
  parts: phase({ yolk: 36, mustard: 15, vinegar: 30, salt: 4 }),
  temperatureC: 20,
  tool: "whisk",
};
const D5: EmulsionInput = { ...D1, oilG: 230, parts: phase({ yolk: 18, mustard: 5, vinegar: 15, salt: 2 }) };
const risk = (input: EmulsionInput, more: object = {}) =>
  breakRisk({ ...input, kind: "mayonnaise", pH: 3.9, ...more }, F);

/** Source of the rows: docs/models.md "Emulsions"; sources outside are named where they stand. */
describe("emulsions against their check rows (D-1 to D-16)", () => {
  it("D-1 mayonnaise: φ 0.8015, y 0.5294, X 26.68, body 68.08, Q 0.741, 77.92 % oil", () => {
    const e = valueOf(emulsionOf(D1, F));
    expect(e.oilMl).toBeCloseTo(326.26, 1);
    expect(e.phaseMl).toBeCloseTo(80.79, 1);
    expect(e.fatVolume).toBeCloseTo(0.8015, 3);
    expect(e.bodyShare).toBeCloseTo(0.5294, 3);
    expect(e.waterPhaseMPas).toBeCloseTo(26.68, 1);
    expect(e.thickness).toBeCloseTo(68.08, 1);
    expect(e.capacityUsed).toBeCloseTo(0.741, 3);
    expect(100 * e.oilShare).toBeCloseTo(77.92, 2);
  });
  it("D-2 it stands (common practice)", () => {
    const { thickness } = valueOf(emulsionOf(D1, F));
    expect(thickness).toBeGreaterThan(62);
    expect(thickness).toBeLessThan(77);
  });
  it("D-3 schedule: 17 doses, 4.25, 8.93 … 12.18 g, 336 s, 0.38 → 1.73 g/s", () => {
    const s = valueOf(oilSchedule(85, 300, "whisk", F));
    expect(s.doses).toHaveLength(17);
    expect(s.doses[0]?.doseG).toBeCloseTo(4.25, 2);
    expect(s.doses[1]?.doseG).toBeCloseTo(8.93, 2);
    expect(s.doses.at(-1)?.doseG).toBeCloseTo(12.18, 1);
    expect(Math.abs(s.seconds - 336)).toBeLessThan(1);
    expect(s.startGPerS).toBeCloseTo(0.38, 2);
    expect(s.endGPerS).toBeCloseTo(1.73, 2);
  });
  it("D-4 risk 25: shear 0.152, packing 0.111", () => {
    const r = risk(D1);
    expect(Math.abs(r.score - 25)).toBeLessThanOrEqual(1);
    expect(r.reasons[0]?.id).toBe("shear");
    expect(r.reasons[0]?.share).toBeCloseTo(0.152, 2);
    expect(r.reasons[1]?.id).toBe("packing");
    expect(r.reasons[1]?.share).toBeCloseTo(0.111, 2);
  });
  it("D-5 one yolk, 230 g oil: φ 0.8681, body 87.22, Q 1.179, risk 82, 32.5 g water to 0.78", () => {
    const e = valueOf(emulsionOf(D5, F));
    expect(e.fatVolume).toBeCloseTo(0.8681, 3);
    expect(e.thickness).toBeCloseTo(87.22, 1);
    expect(e.capacityUsed).toBeCloseTo(1.179, 2);
    expect(Math.abs(risk(D5).score - 82)).toBeLessThanOrEqual(1);
    expect(waterFor(D5, 0.78)).toBeCloseTo(32.5, 0);
    expect(valueOf(loosenEmulsion(D5, false, F)).waterG).toBeCloseTo(32.5, 0);
  });
  it("D-6 commercial type: φ 0.8203, 76.54; real ones 4–8 Pa·s (rheology literature, from memory)", () => {
    const e = valueOf(
      emulsionOf(
        {
          ...D1,
          oilG: 800,
          parts: phase({ yolk: 70, vinegar: 60, water: 50, salt: 12, mustard: 8 }),
          tool: "homogeniser",
        },
        F,
      ),
    );
    expect(e.fatVolume).toBeCloseTo(0.8203, 3);
    expect(e.thickness).toBeCloseTo(76.54, 1);
    expect(e.thickness).toBeGreaterThan(68);
    expect(e.thickness).toBeLessThan(82);
  });
  const WARM = { oilKind: "butterfat", temperatureC: 58, tool: "whisk", cookedYolk: true } as const;
  it("D-7 warm yolk emulsion of whole butter: φ 0.6242, 44.27", () => {
    const e = valueOf(
      emulsionOf({ ...WARM, oilG: 205, parts: phase({ yolk: 54, water: 80, "butter solids": 5 }) }, F),
    );
    expect(e.fatVolume).toBeCloseTo(0.6242, 3);
    expect(e.thickness).toBeCloseTo(44.27, 1);
  });
  it("D-8 of clarified butter: φ 0.7292, 58.43, heavy coat to mounding", () => {
    const e = valueOf(emulsionOf({ ...WARM, oilG: 250, parts: phase({ yolk: 60, water: 45 }) }, F));
    expect(e.fatVolume).toBeCloseTo(0.7292, 3);
    expect(e.thickness).toBeCloseTo(58.43, 1);
    expect([5, 6]).toContain(bandOf(e.thickness ?? 0).id);
  });
  it("D-9 butter sauce: φ 0.7279, 40.26, breaks at 58.0; at 62 °C risk 43: hot 0.380, shear 0.078", () => {
    const butterSauce = {
      ...WARM,
      cookedYolk: false,
      temperatureC: 52,
      oilG: 205,
      parts: phase({ water: 80, "butter solids": 5 }),
    };
    const e = valueOf(emulsionOf(butterSauce, F));
    expect(e.fatVolume).toBeCloseTo(0.7279, 3);
    expect(e.thickness).toBeCloseTo(40.26, 1);
    expect(breaksAtC(e.fatVolume)).toBeCloseTo(58, 10);
    const r = breakRisk({ ...butterSauce, temperatureC: 62, kind: "beurre-blanc" }, F);
    expect(Math.abs(r.score - 43)).toBeLessThanOrEqual(1);
    expect(r.reasons[0]?.id).toBe("hot");
    expect(r.reasons[0]?.share).toBeCloseTo(0.38, 2);
  });
  it("D-10 rescue of D-5: 15.1 g water, 18 g yolk; φ 0.7800, 64.02; 270 g in 24 doses, 1.65 g first", () => {
    const r = valueOf(rescueBroken(D5, { kind: "mayonnaise", failedBefore: true }, F));
    expect(r.waterG).toBeCloseTo(15.1, 0);
    expect(r.yolkG).toBe(18);
    expect(r.after.fatVolume).toBeCloseTo(0.78, 3);
    expect(r.after.thickness).toBeCloseTo(64.02, 1);
    expect(r.feed?.doses).toHaveLength(24);
    expect(r.feed?.doses[0]?.doseG).toBeCloseTo(1.65, 1);
  });
  it("D-11 acetic acid 5 % by weight: pH 2.421 (common vinegar 2.4, from memory)", () =>
    expect(valueOf(acidity({ phaseG: 1000, acids: { acetic: 50 } }))).toBeCloseTo(2.421, 2));
  it("D-12 lemon juice: citric 55 g/kg with its potassium: 2.275 (2.2–2.5 from memory)", () =>
    expect(valueOf(acidity({ phaseG: 1000, acids: { citric: 55 }, citrusG: 1000 }))).toBeCloseTo(2.275, 2));
  it("D-13 the mayonnaise of D-1: 3.925 (3.7–4.2 from memory)", () =>
    expect(valueOf(acidity(acidityOfParts(D1.parts)))).toBeCloseTo(3.925, 2));
  it("D-14 a shaken vinaigrette parts after 73 s, with mustard after 680 min", () => {
    expect(Math.abs(separatesAfterS(100, 1.2, 0.3) - 73)).toBeLessThan(1);
    expect(Math.abs(separatesAfterS(20, 5, 0.5) / 60 - 680)).toBeLessThan(1);
  });
  it("D-15 standards as remembered (21 CFR 169.140, Codex 168-1989): 77.9 % oil, 80.5 % fat, 9.4 % yolk", () => {
    const checks = checkStandards(D1);
    expect(checks.find(c => /169.140/.test(c.rule))).toMatchObject({ verdict: "inside" });
    const fat = checks.find(c => c.wantsPct === 78.5);
    expect(fat?.hasPct).toBeCloseTo(80.5, 0);
    expect(fat?.verdict).toBe("inside");
    expect(checks.find(c => c.wantsPct === 6)?.hasPct).toBeCloseTo(9.4, 1);
  });
  it("D-16 egg-white emulsion: φ 0.8599, Q 1.429, 84.74", () => {
    const e = valueOf(
      emulsionOf(
        {
          ...D1,
          oilG: 250,
          parts: phase({ "egg white": 35, "lemon juice": 10, salt: 2 }),
          tool: "stick blender",
        },
        F,
      ),
    );
    expect(e.fatVolume).toBeCloseTo(0.8599, 3);
    expect(e.capacityUsed).toBeCloseTo(1.429, 2);
    expect(e.thickness).toBeCloseTo(84.74, 1);
  });
});

// Ranges of pH as food composition handbooks give them, from memory.
describe("what is titrated comes with its potassium: as sour as the bottle, not as the bare acid", () => {
  it.each([
    ["dry white wine", { tartaric: 4, malic: 2 }, 2.9, 3.6],
    ["lemon juice", { citric: 55 }, 2.2, 2.6],
    ["verjus", { malic: 20, tartaric: 8 }, 2.5, 3.2],
    ["cider", { malic: 5 }, 2.9, 3.8],
  ])("%s", (_, acids, lo, hi) => {
    const pH = valueOf(acidity({ phaseG: 1000, ...withTheirSalts(acids) }));
    expect(pH).toBeGreaterThan(lo);
    expect(pH).toBeLessThan(hi);
  });
});

describe("acceptance examples of emulsions", () => {
  const C93 = (water: number, temperatureC = 7): EmulsionInput => ({
    oilG: 900,
    oilKind: "oil",
    parts: phase({ yolk: 72, mustard: 20, vinegar: 60, ...(water > 0 && { water }) }),
    temperatureC,
    tool: "whisk",
  });
  it("C92 four yolks, 720 g oil, 60 g water and acid, 20 g mustard: 872 g, 84.8 % fat with the yolk’s, tight; 30 g water more 902 g", () => {
    const tight: EmulsionInput = { ...D1, oilG: 720, parts: phase({ yolk: 72, vinegar: 60, mustard: 20 }) };
    const fat = checkStandards(tight).find(c => c.wantsPct === 70);
    expect(720 + 72 + 60 + 20).toBe(872);
    expect(fat?.hasPct).toBeCloseTo(84.9, 0);
    expect(risk(tight).reasons[0]?.id).toBe("packing");
    expect(
      risk({ ...tight, parts: phase({ yolk: 72, vinegar: 60, mustard: 20, water: 30 }) }).score,
    ).toBeLessThan(risk(tight).score);
  });
  it("C93 yolk at 7 °C and 900 g oil on four: do not start, packing and cold first; with 60 g water more it is far better", () => {
    const r = risk(C93(0), { pH: undefined });
    expect(r.level).toBe("do not start");
    expect(Math.abs(r.score - 86)).toBeLessThanOrEqual(1);
    expect(r.reasons.slice(0, 2).map(x => x.id)).toEqual(["packing", "cold"]);
    expect(Math.abs(risk(C93(60), { pH: undefined }).score - 56)).toBeLessThanOrEqual(1);
  });
  it("C94 drops first, then a thread: the stages add up to the oil and grow faster", () => {
    const stages = oilStages(152, 720, "whisk", F);
    expect(stages.map(s => s.name)).toEqual(["drops", "thin thread", "thread"]);
    expect(stages.at(-1)?.toG).toBe(720);
    expect(stages[0]?.toG).toBe(72);
    expect(stages[0]?.gPerMin).toBeLessThan(stages[2]?.gPerMin ?? 0);
  });
  it("C95 650 g split: onto water first, 15 g or what brings it to 0.78; onto a yolk too when that has failed", () => {
    const split: EmulsionInput = { ...D1, oilG: 520, parts: phase({ yolk: 54, vinegar: 50, water: 26 }) };
    const first = valueOf(rescueBroken(split, { kind: "mayonnaise" }, F));
    expect(first.yolkG).toBe(0);
    expect(first.waterG).toBeGreaterThanOrEqual(15);
    expect(first.steps.join(" ")).toMatch(/650 g of broken sauce/);
    expect(valueOf(rescueBroken(split, { kind: "mayonnaise", failedBefore: true }, F)).yolkG).toBe(18);
  });
  it("C99 reduction 60 g, cream 60 g, butter 450 g: 570 g, 68 % fat, leaks above 58 °C", () => {
    const fat = 0.35 * 60 + 0.82 * 450;
    expect((100 * fat) / 570).toBeCloseTo(68.4, 0);
    const sauce: EmulsionInput = {
      oilG: fat,
      oilKind: "butterfat",
      parts: phase({ water: 60 + 39 + 72, "butter solids": 9 }),
      temperatureC: 61,
      tool: "whisk",
    };
    const r = breakRisk({ ...sauce, kind: "beurre-blanc" }, F);
    expect(r.reasons[0]?.id).toBe("hot");
    expect(
      breakRisk({ ...sauce, temperatureC: 54, kind: "beurre-blanc" }, F).reasons.map(x => x.id),
    ).not.toContain("hot");
  });
  it("C100 ham fat 60, oil 40, white 45, vinegar 15, ice 30, salt 2: 192 g, 52 % fat, 1.0 % salt and the fat’s own", () => {
    const e = valueOf(
      emulsionOf(
        {
          ...D1,
          oilG: 100,
          parts: phase({ "egg white": 45, vinegar: 15, water: 30, salt: 2 }),
          tool: "stick blender",
        },
        F,
      ),
    );
    expect(100 + e.phaseG).toBe(192);
    expect(100 * e.oilShare).toBeCloseTo(52, 0);
    expect((100 * 2) / 192).toBeCloseTo(1.04, 2);
  });
  it("a build fits its own oil share, and its yolks hold the oil", () => {
    const b = valueOf(buildEmulsion("mayonnaise", { totalG: 2000, oilPct: 78 }, F));
    const e = valueOf(emulsionOf(b.input, F));
    expect(b.oilG + e.phaseG).toBeCloseTo(2000, 6);
    expect(e.capacityUsed).toBeLessThanOrEqual(1);
    expect(b.yolks * 18).toBeCloseTo(b.yolkG, 10);
  });
  it.each([
    ["mayonnaise", 78],
    ["aioli", 75],
    ["egg-white", 70],
    ["hollandaise", 65],
    ["beurre-blanc", 68],
  ] as const)("%s of 1 kg: what is weighed is 1 kg, and it holds", (kind, oilPct) => {
    const b = valueOf(buildEmulsion(kind, { totalG: 1000, oilPct }, F));
    const weighed = massOf(b.weigh) + (b.butter ? b.butterG : b.oilG);
    expect(weighed).toBeGreaterThan(995);
    expect(weighed).toBeLessThan(1002);
    expect(b.oilG + massOf(b.input.parts)).toBeCloseTo(1000, 6);
    expect(valueOf(emulsionOf(b.input, F)).capacityUsed).toBeLessThanOrEqual(1.001);
  });
  it("butter brings its own water: more than the sauce has room for is refused with what goes", () => {
    const refused = buildEmulsion("beurre-blanc", { totalG: 1000, oilPct: 86 }, F);
    expect(refused).toMatchObject({ ok: false, problems: [{ code: "UNREACHABLE", field: "oilPct" }] });
    const max = !refused.ok ? (refused.problems[0]?.allowed as { max: number }).max : 0;
    expect(buildEmulsion("beurre-blanc", { totalG: 1000, oilPct: max }, F).ok).toBe(true);
  });
  it("too thin an emulsion: oil brings it to the thickness wanted", () => {
    const { oilG, after } = valueOf(thickenEmulsion({ ...D1, oilG: 200 }, 65, F));
    expect(oilG).toBeGreaterThan(0);
    expect(after.thickness).toBeCloseTo(65, 6);
  });
});

describe("refusals", () => {
  it("no water phase, no oil, more oil than any emulsion holds, a wrong pH", () => {
    const codes = (input: EmulsionInput) => {
      const r = emulsionOf(input, F);
      return r.ok ? [] : r.problems.map(p => p.code);
    };
    expect(codes({ ...D1, parts: [] })).toEqual(["NO_WATER"]);
    expect(codes({ ...D1, oilG: 0 })).toEqual(["EMPTY"]);
    expect(codes({ ...D1, oilG: 2000 })).toEqual(["OUT_OF_RANGE"]);
    expect(codes({ ...D1, measuredPH: 12, oilG: -3 })).toEqual(["NEGATIVE", "OUT_OF_RANGE"]);
    expect(codes({ ...D1, temperatureC: 120 })).toEqual(["T_RANGE"]);
  });
  it("the refusal of too much oil says what would hold", () => {
    const r = emulsionOf({ ...D1, oilG: 2000 }, F);
    expect(r.ok ? "" : r.problems[0]?.message).toMatch(/Add \d+ g water, or take at most \d+ g oil/);
  });
});

describe("a kitchen’s own figures of what holds and what beats", () => {
  it("a yolk that holds 15 times its weight: the same mayonnaise is further from its limit, and wants fewer yolks", () => {
    const own = { ...F, yolkHolds: 15 };
    expect(valueOf(emulsionOf(D5, F)).capacityUsed).toBeCloseTo(230 / (18 * 10 + 5 * 3), 10);
    expect(valueOf(emulsionOf(D5, own)).capacityUsed).toBeCloseTo(230 / (18 * 15 + 5 * 3), 10);
    const yolks = (facts: typeof F) =>
      valueOf(buildEmulsion("mayonnaise", { totalG: 2000, oilPct: 78 }, facts)).yolks;
    expect([yolks(F), yolks(own)]).toEqual([9, 6]);
  });
  it("a whisk twice as fast: half the time, the same doses", () => {
    const usual = valueOf(oilSchedule(85, 300, "whisk", F));
    const fast = valueOf(oilSchedule(85, 300, "whisk", { ...F, whiskPace: 2 * F.whiskPace }));
    expect(fast.seconds).toBeCloseTo(usual.seconds / 2, 10);
    expect(fast.doses.map(d => d.doseG)).toEqual(usual.doses.map(d => d.doseG));
  });
  it("a yolk that stiffens more makes the same mayonnaise thicker", () => {
    const stiff = valueOf(emulsionOf(D1, { ...F, yolkStiffens: 1.2 })).thickness ?? 0;
    expect(stiff).toBeGreaterThan((valueOf(emulsionOf(D1, F)).thickness ?? 0) + 1);
  });
  it("a small bowl that a stand mixer of this house catches after all is no risk", () => {
    const small = { ...D5, tool: "stand mixer" as const, kind: "mayonnaise" as const };
    const named = (facts: typeof F) => breakRisk(small, facts).reasons.map(r => r.id);
    expect(named(F)).toContain("small-start");
    expect(named({ ...F, standMixerLeast: 30 })).not.toContain("small-start");
  });
});
