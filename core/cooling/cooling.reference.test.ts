import { describe, expect, test } from "vitest";
import { NOMINAL_FACTS } from "../facts";
import { degC, ml } from "../quantity";
import { valueOf } from "../result";
import { geometryOf } from "../vessel";
import { coolingTime, drainOf } from ".";

const pot = geometryOf({ shape: "cylinder", diameterMm: 280, heightMm: 300 });
const level = valueOf(pot.levelOf(ml(10_000)));
/** 10 l of water-like stock, 9.98 kg at 4180 J/(kg K), and the pot. */
const HEAT = 9980 * 4.18 + 1000;
const time = (method: "walk-in" | "ice-bath", from: number, to: number) =>
  valueOf(coolingTime(HEAT, degC(from), degC(to), drainOf(method, pot, level, NOMINAL_FACTS)));

describe("check rows of the cooling model (own model, worked twice)", () => {
  test("10 l covered in the walk-in, 57 to 21 °C: 7.16 h; big pots in the walk-in always fail (common practice)", () =>
    expect(time("walk-in", 57, 21) / 3600).toBeCloseTo(7.16, 1));
  test("in a stirred ice bath: 14.34 min, then 22.42 min to 5 °C", () => {
    expect(time("ice-bath", 57, 21) / 60).toBeCloseTo(14.34, 1);
    expect(time("ice-bath", 21, 5) / 60).toBeCloseTo(22.42, 1);
  });
  test("a bath cannot cool below itself", () => {
    const drain = drainOf("walk-in", pot, level, NOMINAL_FACTS);
    expect(coolingTime(HEAT, degC(57), degC(2), drain)).toMatchObject({
      ok: false,
      problems: [{ code: "NEVER_REACHED" }],
    });
    expect(coolingTime(HEAT, degC(2), degC(5), drain)).toMatchObject({
      ok: false,
      problems: [{ code: "T_START" }],
    });
    expect(valueOf(coolingTime(HEAT, degC(10), degC(20), drain))).toBe(0);
  });
});
