import { describe, expect, test } from "vitest";
import { NOMINAL_FACTS } from "../../ground/facts";
import { mm, parseAmount } from "../../ground/quantity";
import { ok, valueOf } from "../../ground/result";
import { liquid } from "../../testing";
import { endPointOf, heatIntoPan, parseReductionTarget, remainingShare, targetInWords } from ".";

const parse = (text: string) =>
  parseReductionTarget(text, amount => {
    const [over, under] = amount.split("/").map(Number);
    if (over && under) return ok({ share: over / under });
    const read = valueOf(parseAmount(amount));
    return ok(
      read.kind === "mass"
        ? { massG: read.massG }
        : read.kind === "volume"
          ? { volumeMl: read.volumeMl }
          : { share: read.pct / 100 },
    );
  });

describe("C58 by and to", () => {
  const nineHundred = liquid(898.38, { water: 100 });
  test("C58 900 ml by a third leaves 600, to a third leaves 300", () => {
    const by = valueOf(endPointOf({ by: 1 / 3 }, nineHundred));
    const to = valueOf(endPointOf({ to: 1 / 3 }, nineHundred));
    expect("ml" in by && by.ml).toBeCloseTo(600, 0);
    expect("ml" in to && to.ml).toBeCloseTo(300, 0);
  });
  test("C58 the wording is printed both ways", () => {
    expect(targetInWords({ by: 1 / 3 })).toBe("by a third (to two thirds)");
    expect(targetInWords({ to: 1 / 3 })).toBe("to a third (by two thirds)");
    expect(targetInWords({ endG: 600 })).toBe("to 600 g");
  });
  test("C58 without by or to it must be chosen", () => {
    const refused = parse("a third");
    expect(refused).toMatchObject({ ok: false, problems: [{ code: "AMBIGUOUS" }] });
    expect(!refused.ok && refused.problems[0]?.message).toContain("by or to?");
  });
  test.each([
    ["by two thirds", { by: 2 / 3 }],
    ["reduce to a quarter", { to: 0.25 }],
    ["to 1/3", { to: 1 / 3 }],
    ["to 30 %", { to: 0.3 }],
    ["to 600 g", { endG: 600 }],
    ["to 2.5 l", { endMl: 2500 }],
  ])("%s", (text, target) => expect(valueOf(parse(text))).toEqual(target));
  test("impossible ends are refused", () => {
    expect(parse("by 120 %")).toMatchObject({ ok: false, problems: [{ code: "OUT_OF_RANGE" }] });
    expect(parse("by 600 g")).toMatchObject({ ok: false, problems: [{ code: "NOT_UNDERSTOOD" }] });
    expect(endPointOf({ endMl: 2000 }, nineHundred)).toMatchObject({
      ok: false,
      problems: [{ code: "TARGET_ABOVE_START" }],
    });
    expect(endPointOf({ endG: 2000 }, nineHundred)).toMatchObject({
      ok: false,
      problems: [{ code: "TARGET_ABOVE_START" }],
    });
    expect(remainingShare({ endG: 5 })).toBeNull();
  });
});

describe("heat into a pan", () => {
  test("a pan smaller than the flame catches less; induction loses with the square", () => {
    const flame = (kind: "gas-pro" | "induction-pro", base: number) =>
      valueOf(heatIntoPan({ kind, setting: 1, overlap: 1 }, mm(base), NOMINAL_FACTS));
    expect(flame("gas-pro", 320)).toBeCloseTo(2400, 6);
    expect(flame("gas-pro", 140)).toBeCloseTo(1200, 6);
    expect(flame("induction-pro", 110)).toBeCloseTo((3500 * 0.88) / 4, 6);
  });
  test("half off the fire is half; nothing and more than all are refused", () => {
    expect(
      valueOf(heatIntoPan({ kind: "flat-top-centre", setting: 1, overlap: 0.5 }, mm(400), NOMINAL_FACTS)),
    ).toBeCloseTo((25_000 * Math.PI * 0.04) / 2, 6);
    expect(heatIntoPan({ kind: "gas-pro", setting: 0, overlap: 1 }, mm(300), NOMINAL_FACTS)).toMatchObject({
      ok: false,
      problems: [{ code: "BURNER" }],
    });
    expect(heatIntoPan({ kind: "gas-pro", setting: 1.4, overlap: 1 }, mm(300), NOMINAL_FACTS)).toMatchObject({
      ok: false,
    });
  });
});
