import { describe, expect, test } from "vitest";
import {
  bandText,
  clockBandText,
  clockTime,
  deviationText,
  durationBandText,
  elapsedClock,
  gramsBand,
  minutesLeft,
  momentOf,
} from "./format";

const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, " ");
const band = (value: number, lo: number, hi: number | null) => ({ value, lo, hi });

describe("uncertainty beside a number", () => {
  test("± where both sides are alike, both ends where they are not", () => {
    expect(bandText(band(9.3, 8.7, 9.9))).toBe("± 0.6");
    expect(bandText(band(6.8, 5.3, 9.5), 1, 1)).toBe("5–10");
    expect(bandText(band(9300, 8700, 9900), 1000, 2)).toBe("± 0.6");
  });
  test("no upper bound yet reads “at least”; an exact number carries nothing", () => {
    expect(bandText(band(5, 4, null), 1, 0)).toBe("at least 4");
    expect(bandText(band(5, 5, 5))).toBe("");
    expect(bandText(null)).toBe("");
  });
  test("never more digits than half the interval justifies", () => {
    expect(bandText(band(12.25, 8.4, 16.1), 1, 2)).toBe("± 4");
    expect(bandText(band(1204, 563, 1845), 1, 0)).toBe("± 640");
  });
  test("an amount carries its unit with it, and an exact one neither", () => {
    expect(plain(gramsBand(band(11_000, 10_400, 11_600)))).toBe("± 0.6 kg");
    expect(plain(gramsBand(band(48, 38, 58)))).toBe("± 10 g");
    expect(gramsBand(band(48, 48, 48))).toBe("");
    expect(gramsBand(undefined)).toBe("");
  });
  test("times", () => {
    expect(plain(durationBandText(band(3600, 3000, 4200)))).toBe("± 10 min");
    expect(plain(durationBandText(band(3600, 3000, 7200)))).toBe("50 min–2 h");
    expect(plain(durationBandText(band(120, 102, 185)))).toBe("2 min–3 min");
    expect(plain(durationBandText(band(3600, 3000, null)))).toBe("at least 50 min");
    expect(durationBandText(band(3600, 3590, 3610))).toBe("");
    expect(clockBandText(band(23_400, 22_140, 25_560))).toBe("6:09–7:06");
    expect(clockBandText(band(600, 540, null))).toBe("0:09–open");
  });
});

describe("clock and calendar in the kitchen’s zone", () => {
  const noon = Date.UTC(2026, 10, 23, 12, 0);
  test("the mountain kitchen is an hour ahead of UTC in winter, two in summer", () => {
    expect(clockTime(noon, "Europe/Zurich")).toBe("13:00");
    expect(clockTime(Date.UTC(2026, 6, 1, 12), "Europe/Zurich")).toBe("14:00");
  });
  test("another day is named", () => {
    expect(momentOf(noon, noon, "Europe/Zurich")).toBe("13:00");
    expect(momentOf(noon + 14 * 3_600_000, noon, "Europe/Zurich")).toBe("Tue 03:00");
  });
  test("short words", () => {
    expect(elapsedClock(38_400)).toBe("10:40");
    expect(deviationText(0.0333)).toBe("+3.3 %");
    expect(deviationText(-0.012)).toBe("−1.2 %");
    expect(minutesLeft(-5)).toBe("now");
    expect(plain(minutesLeft(45 * 60_000))).toBe("45 min");
  });
});
