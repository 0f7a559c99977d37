import { describe, expect, test } from "vitest";
import { DEVICE_KINDS, DEVICE_UNITS, readDeviceReading } from "./device-reading";

describe("what an instrument sends", () => {
  test.each([
    ["scale", { value: 7.812, unit: "kg" }, 7812],
    ["scale", "7812 g", 7812],
    ["scale", "7812", 7812],
    ["scale", { value: 1, unit: "lb" }, 453.592],
    ["probe", "212 F", 100],
    ["probe", { value: 88.4, unit: "C" }, 88.4],
    ["stick", "8.1 cm", 81],
    ["refractometer", "14.2 Brix", 14.2],
    ["ph meter", "4.1", 4.1],
    ["spread plate", "65 mm", 6.5],
  ] as const)("a %s says %j: %d", (kind, sent, value) => {
    const read = readDeviceReading(kind, sent);
    expect(read.ok && read.value).toBeCloseTo(value, 2);
  });
  test.each([
    ["scale", "7812 C", "WRONG_UNIT"],
    ["probe", "9000 C", "OUT_OF_RANGE"],
    ["scale", { grams: 5 }, "NOT_UNDERSTOOD"],
    ["ph meter", "sour", "NOT_UNDERSTOOD"],
  ] as const)("a %s that says %j is refused: %s", (kind, sent, code) => {
    const read = readDeviceReading(kind, sent);
    expect(read.ok).toBe(false);
    if (!read.ok) {
      expect(read.problems[0]?.message.length).toBeGreaterThan(8);
      if (code !== "NOT_UNDERSTOOD" || typeof sent !== "string") expect(read.problems[0]?.code).toBe(code);
    }
  });
  test("each kind is kept in one unit", () => {
    expect(DEVICE_KINDS.map(kind => DEVICE_UNITS[kind])).toEqual(["g", "mm", "C", "Bx", "pH", "cm"]);
  });
});
