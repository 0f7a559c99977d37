import { describe, expect, test } from "vitest";
import { est, num, pot, refusal, work } from "./testing";

describe("sums that once answered what no cook would believe", () => {
  const codes = (name: string, input: unknown) => work(name, input).warnings.map(w => w.code);
  const added = (input: object) =>
    (work("fix", input).remedies as { what: string; addG: number; order: string[] }[]).map(
      r => [r.what, Math.round(r.addG * 10) / 10] as const,
    );
  test("F-3 what was weighed holds its salt: 1 493 g water, 1 920 g stock, 896 g exchanged", () => {
    const of = { complaint: "too-salty", massG: 2240, saltPct: 1.5, target: { saltPct: 0.9 } };
    expect(added(of).slice(0, 2)).toEqual([
      ["stretch with water", 1493.3],
      ["stretch with light stock", 1920],
    ]);
    expect(JSON.stringify(work("fix", of).remedies)).toContain("896");
  });
  test("F-6 12 to 7 % fat: 90.4 g skimmed, or 1 071 g of fat-free stock", () =>
    expect(
      added({ complaint: "greasy", massG: 1500, fatPct: 12, target: { fatPct: 7 } }).slice(0, 2),
    ).toEqual([
      ["skim", -90.4],
      ["stretch with fat-free stock", 1071.4],
    ]));
  test("greasy at 5.5 % is mended without a target", () =>
    expect(added({ complaint: "greasy", massG: 1500, fatPct: 5.5 })[0]?.[0]).toBe("skim"));
  test("C76 55 g of juice in 300 g of sauce boil off in 2.2 minutes", () =>
    expect(
      JSON.stringify(work("fix", { complaint: "watery", massG: 355, target: { massG: 300 } }).remedies),
    ).toContain("2.2 min"));
  test("a glace on a full flame catches; stock, and a syrup of which the law knows nothing, do not", () => {
    const of = {
      startG: 500,
      vessel: pot(240, 130),
      heat: { burner: "gas-pro", setting: 1, overlap: 1 },
      target: { to: 0.8 },
    };
    const glace = { water: 60, protein: 32, collagen: 28, other: 7, salt: 1 };
    expect(codes("reduce", { ...of, composition: glace })).toContain("SCORCH");
    expect(codes("reduce", { ...of, liquid: "bought brown stock" })).not.toContain("SCORCH");
    expect(codes("reduce", { ...of, composition: { water: 50, sugars: 50 } })).not.toContain("SCORCH");
  });
  test("a tray weighed out names the figure its oven would have", () => {
    const of = { what: "veal bones", inG: 6000, ovenC: 200, minutes: 60, trays: 2 };
    const foreseen = num(work("roast-weighed", { ...of, outG: 5300 }).foreseenPct);
    const asForeseen = work("roast-weighed", { ...of, outG: 6000 * (1 - foreseen / 100) });
    expect(num(asForeseen.wouldBeMin)).toBeCloseTo(75, 1);
    expect(num(work("roast-weighed", { ...of, outG: 5200 }).wouldBeMin)).toBeLessThan(60);
    expect(refusal("roast-weighed", { ...of, outG: 2000 })[0]?.code).toBe("OUT_OF_RANGE");
    expect(refusal("roast-weighed", { ...of, outG: 6000 })[0]?.code).toBe("OUT_OF_RANGE");
    expect(refusal("roast-weighed", { ...of, what: "water", outG: 5000 })[0]?.code).toBe("UNKNOWN_ID");
  });
  test("C65, C67 salt and cream past all serving raise an alarm", () => {
    expect(codes("salt-after", { saltPct: 1.4, startG: 4000, endG: 1000 })).toContain("TOO_SALTY");
    expect(codes("salt-after", { saltPct: 0.35, startG: 4000, endG: 1200 })).not.toContain("TOO_SALTY");
    expect(codes("cream-fat", { startG: 1000, fatPct: 35, endG: 400 })).toContain("CREAM_BREAKS");
  });
  test("refused, with what was meant: a batch of nothing, a yield told as a share, a xanthan roux", () => {
    const spirit = { liquid: "red wine", volumeMl: 750, method: "stirred-in", minutes: 45 };
    expect(refusal("alcohol-left", { ...spirit, inBatchG: 0 })[0]?.field).toBe("inBatchG");
    expect(refusal("edible-portion", { netG: 1110, yieldPct: 0.88 })[0]?.message).toContain("88 %");
    const roux = { massG: 1000, thickener: "xanthan", form: "roux", targetThickness: 45 };
    expect(refusal("thicken", roux)[0]?.field).toBe("form");
  });
  test("C109 nothing peeled leaves all of it", () =>
    expect(num(work("puree-yield", { grossG: 3200, cookYieldPct: 94 }).finishedG)).toBeCloseTo(3008, 0));
  test("C101 a cube is as heavy as it is cut", () =>
    expect(work("cold-cubes", { massG: 2400, pct: 3, cubeG: 100 }).sentence).toContain("1 cube of 72"));
  test("C94 a hollandaise is no mayonnaise: less butter, a body a spoon can carry", () => {
    const built = work("emulsion-for", { kind: "hollandaise", totalG: 1000 });
    expect(built.sentence).toMatch(/body 5\d/);
  });
  test("C95 butter and cream bring their fat, wine its acid, and without egg nobody is warned of it", () => {
    const parts = [
      { ingredient: "butter", massG: 250 },
      { ingredient: "verjus", massG: 60 },
    ];
    expect(num(work("emulsion", { oilG: 1, parts, temperatureC: 55 }).fatVolumePct)).toBeGreaterThan(60);
    const wine = work("acidity", { parts: [{ ingredient: "dry white wine", massG: 100 }] });
    expect(est(wine.pH).value).toBeLessThan(4);
    expect(wine.caution).toBe("No egg in it.");
  });
  test("C122 soy and cheese taste of umami, and what nobody has entered is said", () => {
    const axes = work("balance", {
      massG: 1000,
      parts: [
        { ingredient: "soy sauce", massG: 40 },
        { ingredient: "parmesan", massG: 50 },
      ],
    }).axes as { name: string; doseOverThreshold: number }[];
    expect(axes.find(a => a.name === "umami")?.doseOverThreshold).toBeGreaterThan(1);
  });
  test("D4 a dead flame, and a reading that cannot be, are told", () => {
    const of = { startG: 6400, targetG: 2130, rateGPerMin: 40 };
    const dead = [
      { min: 20, netG: 5600 },
      { min: 40, netG: 5595 },
      { min: 60, netG: 5590 },
    ];
    expect(work("reduce-track", { ...of, readings: dead }).status).toBe("stalled");
    expect(codes("reduce-track", { ...of, readings: [{ min: 20, netG: 7000 }] })).toContain(
      "READING_DISCARDED",
    );
    expect(work("reduce-track", { ...of, readings: [{ min: 20, netG: 6000 }] }).status).toBe("slow");
  });
  test("C58 watts may be those on the hob: the time says so", () => {
    const answer = work("reduce", {
      liquid: "bought brown stock",
      startMl: 1000,
      vessel: pot(240, 130),
      heat: { watts: 2000 },
      target: { to: 0.5 },
    });
    expect(est(answer.minutes).hi).toBeGreaterThan(1.6 * est(answer.minutes).value);
  });
});

describe("beside a pot on the fire", () => {
  test("C62 32 to 45 cm, held: twice the surface, 44 minutes; at a boil the flame decides", () => {
    const of = { from: pot(320), to: pot(450), rateMlPerMin: 40, leftMl: 3480 };
    expect(num(work("pan-change", { ...of, how: "held" }).minutes)).toBeCloseTo(44, 0);
    expect(num(work("pan-change", { ...of, how: "boiling" }).minutes)).toBeCloseTo(87, 0);
  });
  test("C45 19 l and 2.5 l topped up, 16 out, 0.6 lost in 5 h: 4.9 l, 0.98 an hour", () => {
    const done = work("evaporated", {
      startMl: 19_000,
      toppedUpMl: [1000, 1500],
      outMl: 16_000,
      lostMl: 600,
      hours: 5,
    });
    expect(num(done.evaporatedMl)).toBeCloseTo(4900, 6);
    expect(num(done.mlPerHour)).toBeCloseTo(980, 6);
  });
  test("C54 382 g on 7 kg are 5.5 %, 60 g left 0.9 %", () => {
    const cap = work("fat-cap", { capG: 382, wholeG: 7000, leftG: 60 });
    expect(num(cap.beforePct)).toBeCloseTo(5.5, 1);
    expect(num(cap.afterPct)).toBeCloseTo(0.9, 1);
  });
  test("C81 five pieces of 15 g in 1.1 l are 34 g of flour to the litre", () =>
    expect(num(work("kneaded-butter", { pieceG: 15, count: 5, volumeMl: 1100 }).flourGPerL)).toBeCloseTo(
      34,
      0,
    ));
  test("C89 nine litres of purée soup take 540 g; a chowder is refused", () => {
    expect(num(work("soup-butter", { volumeMl: 9000, style: "purée" }).butterG)).toBe(540);
    expect(refusal("soup-butter", { volumeMl: 9000, style: "clam chowder" })[0]?.field).toBe("style");
  });
});
