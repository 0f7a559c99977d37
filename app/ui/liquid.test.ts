import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { NO_POOLS } from "~/core/things/pot";
import { type LiquidLook, isDark, liquidColour, lookOf } from "./liquid";

const channels = (look: LiquidLook): readonly number[] =>
  [...liquidColour(look).matchAll(/\d+/g)].map(([digits]) => Number(digits));
const brightness = (look: LiquidLook) => channels(look).reduce((sum, channel) => sum + channel, 0);
const clear = (dissolvedPct: number): LiquidLook => ({
  dissolvedPct,
  fatPct: 0,
  waterPct: 100 - dissolvedPct,
});

describe("the colour of a liquid", () => {
  it("deepens with what is dissolved in it, up to the deepest glace", () => {
    expect(brightness(clear(0))).toBeGreaterThan(brightness(clear(3)));
    expect(brightness(clear(3))).toBeGreaterThan(brightness(clear(20)));
    expect(brightness(clear(20))).toBeGreaterThan(brightness(clear(60)));
    expect(liquidColour({ ...clear(90), waterPct: 10 })).toBe(liquidColour({ ...clear(60), waterPct: 10 }));
  });

  it("lightens with the fat it carries: a mounted sauce a little, a cream sauce much, a mayonnaise is pale", () => {
    const withFat = (fatPct: number) => brightness({ dissolvedPct: 12, fatPct, waterPct: 88 - fatPct });
    const [plain, mounted, creamed, mayonnaise] = [0, 4, 20, 78].map(withFat) as [
      number,
      number,
      number,
      number,
    ];
    expect(plain).toBeLessThan(mounted);
    expect(mounted).toBeLessThan((plain + mayonnaise) / 2);
    expect(creamed).toBeGreaterThan((plain + mayonnaise) / 2);
    expect(isDark({ dissolvedPct: 12, fatPct: 78, waterPct: 10 })).toBe(false);
    expect(isDark(clear(12))).toBe(true);
  });

  it("shows melted fat clear and golden, not white: the blue of it stays dark", () => {
    const [, , melted] = channels({ dissolvedPct: 0, fatPct: 99.5, waterPct: 0.5 });
    const [, , cream] = channels({ dissolvedPct: 0, fatPct: 80, waterPct: 18 });
    expect(melted).toBeLessThan((cream ?? 0) - 60);
  });

  it("is a colour whatever is in the pot, also when nothing is", () => {
    expect(lookOf(NO_POOLS)).toEqual({ dissolvedPct: 0, fatPct: 0, waterPct: 0 });
    const share = fc.double({ min: 0, max: 100, noNaN: true });
    fc.assert(
      fc.property(fc.record({ dissolvedPct: share, fatPct: share, waterPct: share }), look => {
        for (const channel of channels(look)) expect(channel).toBeGreaterThanOrEqual(0);
        for (const channel of channels(look)) expect(channel).toBeLessThanOrEqual(255);
        expect(channels(look)).toHaveLength(3);
      }),
    );
  });

  it("takes its look from the pools of the liquor", () => {
    const look = lookOf({ ...NO_POOLS, water: 180, fat: 800, salt: 20 });
    expect(look.fatPct).toBe(80);
    expect(look.waterPct).toBe(18);
    expect(look.dissolvedPct).toBe(10);
  });
});
