import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { openKitchen } from "../formula";
import { expectedFold, inShallowPans, judgeCooling, judgeHolding, judgeReheating, judgeTempering } from ".";

const log = (...points: [number, number][]) => points.map(([min, c]) => ({ min, c }));

describe("a cooling log", () => {
  test("C140 60 °C, 38 °C an hour later in a bath of 2 °C: 21 °C is due two hours after 57 and comes later", () => {
    const { ahead, verdict } = judgeCooling(log([0, 60], [60, 38]), "fda", 2, 120, 0);
    expect(verdict).toBe("pending");
    // By the chord between the readings 57 °C was passed at 8.2 min; along the true curve at 7.
    expect(ahead[0]?.dueMin).toBeCloseTo(128.2, 1);
    expect(ahead[0]?.at?.value).toBeGreaterThan(127);
    expect(ahead[0]?.outlook).not.toBe("on-track");
  });
  test("a first stage that took too long stays failed, however cold it is in the end", () => {
    const slow = log(
      [0, 82],
      [25, 61],
      [60, 48],
      [110, 36],
      [150, 29.5],
      [200, 22.4],
      [230, 18.2],
      [330, 6.1],
      [345, 4.8],
    );
    const { verdict, log: judged } = judgeCooling(slow, "fda", 2, 90, 1);
    expect(verdict).toBe("fail");
    expect(judged?.stages[0]?.verdict).toBe("fail");
  });
  test("one reading is a start, not a verdict", () => {
    expect(judgeCooling(log([0, 80]), "fda", 2, 60, 1)).toMatchObject({ verdict: "pending", log: null });
  });
});

describe("before anything was read", () => {
  const kitchen = openKitchen(DEMO_KITCHEN);
  const tall = kitchen.vessels.find(v => v.id === "tall-1");
  const pot = { massG: 15_000, method: "walk-in" as const };
  test("shallow pans cool much faster than a deep pot", () => {
    const deep = expectedFold({ ...pot, vessel: tall }, kitchen);
    const shallow = inShallowPans(pot, kitchen);
    expect(inShallowPans({ ...pot, massG: 60_000 }, kitchen)?.pans).toBeGreaterThan(
      shallow?.pans ?? Infinity,
    );
    expect((deep?.minutesPerFold ?? 0) / (shallow?.pace.minutesPerFold ?? Infinity)).toBeGreaterThan(1.5);
  });
  test("no pot named, no pace made up", () => {
    expect(expectedFold({ ...pot, vessel: undefined }, kitchen)).toBeNull();
  });
});

describe("hot holding and warming again", () => {
  test("C142 57 °C where 60 are asked for is outside", () => {
    expect(judgeHolding(log([0, 63], [60, 57]), 60, 70)).toMatchObject({
      verdict: "fail",
      below: [{ min: 60 }],
    });
  });
  test("two hours without a check leave it open", () => {
    expect(judgeHolding(log([0, 66], [180, 66]), 60, 190).verdict).toBe("unknown");
    expect(judgeHolding(log([0, 66], [90, 66]), 60, 100)).toMatchObject({ verdict: "pass", nextMin: 210 });
  });
  test("C149 hot enough within two hours, or not", () => {
    expect(judgeReheating(log([0, 4], [40, 75]), 74, 41)).toMatchObject({ verdict: "pass", thereMin: 40 });
    expect(judgeReheating(log([0, 4], [100, 60]), 74, 130).verdict).toBe("fail");
  });
});

test("C33 out for half an hour at most: told from a quarter on, over after it, kept when it went in time", () => {
  expect(judgeTempering(30, 16, null)).toMatchObject({ verdict: "pending", tellMin: 15, overMin: 30 });
  expect(judgeTempering(30, 31, null).verdict).toBe("fail");
  expect(judgeTempering(30, 90, 24).verdict).toBe("pass");
});
