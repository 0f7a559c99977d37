import { fc, test as property } from "@fast-check/vitest";
import { describe, expect } from "vitest";
import { POOLS, type PotState, accountedFor, liquorMass, potMass } from "../../things/pot";
import { STEP_KINDS, type StepKindName } from ".";
import { kitchen, lines, perform, potOf, vessel } from "./testing";

/** Whatever a step does to whatever pot: the books stay whole, nothing is less than nothing, nothing is changed in place. */
const grams = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const kind = fc.constantFrom(...(Object.keys(STEP_KINDS) as StepKindName[]));
const pot = fc
  .record({
    water: grams(0, 8000),
    bones: grams(0, 3000),
    butter: grams(0, 300),
    cream: grams(0, 500),
    flour: grams(0, 120),
    salt: grams(0, 60),
    thyme: grams(0, 40),
    temperatureC: grams(2, 96),
  })
  .map(({ temperatureC, ...of }): PotState => ({
    ...potOf(
      ["water", of.water],
      ["guinea-fowl-carcass", of.bones],
      ["butter", of.butter],
      ["cream", of.cream],
      ["wheat-flour", of.flour],
      ["salt", of.salt],
      ["thyme", of.thyme],
    ),
    temperatureC: temperatureC as PotState["temperatureC"],
  }));
const added = fc.record({ onion: grams(0, 500), wine: grams(0, 700) });

const freeze = <T>(value: T): T => {
  if (value && typeof value === "object" && !Object.isFrozen(value)) {
    Object.freeze(value);
    Object.values(value).forEach(freeze);
  }
  return value;
};

describe("every kind of step", () => {
  property.prop([kind, pot, added])(
    "keeps the books, or says in words why it cannot be done",
    (name, start, of) => {
      const takes = STEP_KINDS[name].takesLines;
      const result = perform(
        name,
        {},
        {
          pot: freeze(start),
          vessel: vessel("tall-1"),
          lines: takes ? lines(["onion", of.onion], ["white-wine", of.wine]) : [],
        },
      );
      if (!result.ok) {
        expect(result.problems.length).toBeGreaterThan(0);
        for (const problem of result.problems) {
          expect(problem.message).toMatch(/[.?]$/);
          expect(problem.message.length).toBeGreaterThan(15);
          expect(problem.message).not.toMatch(/undefined|NaN|Infinity|\[object/);
        }
        return;
      }
      const { pot: end, durationS, computed, warnings } = result.value;
      const accounted = accountedFor(end);
      for (const pool of POOLS) {
        expect(Math.abs(accounted[pool] - end.entered[pool])).toBeLessThan(1e-3);
        expect(end.liquor[pool]).toBeGreaterThanOrEqual(-1e-6);
      }
      expect(end.floatFatG).toBeGreaterThanOrEqual(-1e-6);
      expect(durationS).toBeGreaterThanOrEqual(0);
      expect(end.temperatureC).toBeGreaterThanOrEqual(-40);
      expect(end.temperatureC).toBeLessThanOrEqual(300);
      for (const c of computed) expect(c.massG).toBeGreaterThanOrEqual(-1e-6);
      for (const w of warnings) expect(w.message).not.toMatch(/undefined|NaN|Infinity|\[object/);
    },
  );
  property.prop([kind, pot])("does the same to the same pot every time", (name, start) => {
    const one = perform(name, {}, { pot: start, vessel: vessel("tall-1") });
    const other = perform(name, {}, { pot: start, vessel: vessel("tall-1") });
    expect(other).toEqual(one);
  });
  property.prop([kind, pot])(
    "puts nothing in that nobody weighed, but what it says itself",
    (name, start) => {
      const result = perform(name, {}, { pot: start, vessel: vessel("tall-1") });
      if (!result.ok) return;
      const { pot: end, computed } = result.value;
      const enters =
        Object.values(end.entered).reduce((a, b) => a + b, 0) -
        Object.values(start.entered).reduce((a, b) => a + b, 0);
      const said = computed.reduce((sum, c) => sum + (c.way === "in" ? c.massG : 0), 0);
      // Blanching water comes and goes; a cure leaves part of what was rubbed on.
      if (name === "blanch") return;
      expect(enters).toBeLessThanOrEqual(said + 1e-6);
      if (enters < 1e-9 && name !== "render") expect(potMass(end)).toBeLessThanOrEqual(potMass(start) + 1e-6);
    },
  );
  property.prop([pot])(
    "an empty liquor is never boiled: steps on the fire say that there is nothing",
    start => {
      const dry = {
        ...start,
        liquor: potOf().liquor,
        natures: potOf().natures,
        solids: [],
        floatFatG: 0 as never,
      };
      expect(liquorMass(dry)).toBe(0);
      for (const name of ["simmer", "reduce"] as const)
        expect(perform(name, {}, { pot: dry, vessel: vessel("tall-1") }).ok).toBe(false);
    },
  );
});

property.prop([fc.constantFrom(...kitchen.vessels.filter(v => v.use === "pot" && !v.closed))])(
  "a pot named is the pot it stays in",
  named => {
    const done = perform("add", { vesselId: named.id }, { lines: lines(["water", 500]) });
    expect(done.ok && done.value.vessel?.id).toBe(named.id);
  },
);
