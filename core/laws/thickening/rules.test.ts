import { describe, expect, it } from "vitest";
import { valueOf } from "../../ground/result";
import { beurreManieDose, cheeseWarnings, holdWarnings, leafForSet, soupButter } from ".";

describe("rules of the finish", () => {
  it("C81 five pieces of 15 g in 1.1 l: 75 g, 34 g of flour a litre", () => {
    const dose = beurreManieDose(15, 5, 1100);
    expect(dose.totalG).toBe(75);
    expect(dose.flourGPerL).toBeCloseTo(34, 0);
  });
  it("C87 9 l of purée at 60 g a litre: 540 g; a chowder is refused with the reason", () => {
    expect(valueOf(soupButter(9000, "purée soup"))).toBe(540);
    const no = soupButter(9000, "clam chowder");
    expect(no.ok ? "" : no.problems[0]?.message).toMatch(/floats/);
  });
  it("C90 cheese at 75 °C goes, at 96 °C it splits", () => {
    expect(cheeseWarnings(75)).toEqual([]);
    expect(cheeseWarnings(96)[0]?.code).toBe("CHEESE_SPLITS");
  });
  it("C91 more than two hours at 75 °C: corn starch is read again, a roux holds", () => {
    expect(holdWarnings("corn", 3)[0]?.code).toBe("READ_AGAIN");
    expect(holdWarnings("corn", 1)).toEqual([]);
    expect(holdWarnings("flour", 3)).toEqual([]);
  });
  it("2 g of leaf a litre of 200 Bloom are a fifth of a per cent; stronger leaf wants less", () => {
    expect(leafForSet(1000, 0.2, 200)).toBeCloseTo(2, 10);
    expect(leafForSet(1000, 0.2, 250)).toBeLessThan(2);
  });
});
