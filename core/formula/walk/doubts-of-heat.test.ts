import { describe, expect, test } from "vitest";
import { DEMO_FORMULAS } from "../../../demo/formulas";
import { FAMILIES, formulaOf } from "../../families";
import { type FormulaDocument, type Step, STEP_KINDS, type StepKindName, walk } from "..";
import { blank, fixed, kitchen, line } from "./testing";

const step = (kind: StepKindName, change: object, ...lines: [string, number][]): Step =>
  ({
    ...STEP_KINDS[kind].blank(`${kind}-${JSON.stringify(change).length}-${lines.length}`),
    ...change,
    lines: lines.map(([larder, massG]) => line(`${larder}-${massG}`, larder, fixed(massG))),
  }) as Step;
const lastOf = (document: FormulaDocument, change: Partial<FormulaDocument> = {}) => {
  const walked = walk({ ...document, ...change }, kitchen);
  expect(walked.problems).toEqual([]);
  const last = walked.states.at(-1);
  return { codes: last?.warnings.map(w => w.code) ?? [], body: last?.body, walked };
};
const cooks = (...steps: Step[]) => lastOf({ ...blank(1000, steps), servedAs: "other", targets: [] });
const family = (id: string): FormulaDocument => {
  const found = FAMILIES.find(f => f.id === id);
  if (!found) throw new Error(id);
  return formulaOf(found);
};
const held = (document: FormulaDocument, holdC: number, durationMin = 60): FormulaDocument => ({
  ...document,
  steps: [
    ...document.steps.filter(s => s.kind !== "hold"),
    { ...STEP_KINDS.hold.blank("held"), holdC, durationMin },
  ],
});

describe("C99 what was beaten together, kept too hot", () => {
  test.each([
    ["a verjus butter sauce at 65 °C", DEMO_FORMULAS["verjus-butter-sauce"] as FormulaDocument, 65, 54],
    ["a hollandaise at 75 °C", family("warm-butter"), 75, 60],
    ["a mayonnaise at 85 °C", family("mayonnaise"), 85, 30],
  ])("%s parts, and has no body any more; at %o °C it stands", (_name, document, hot, well) => {
    const parted = lastOf(held(document, hot, 180));
    expect(parted.codes.some(code => /TOO_HOT/.test(code))).toBe(true);
    expect(parted.body).toBeNull();
    const stands = lastOf(held(document, well));
    expect(stands.codes.some(code => /TOO_HOT/.test(code))).toBe(false);
    expect(stands.body).not.toBeNull();
  });
  test("butter mounted after a reduction, the pan off the heat: nothing to say", () =>
    expect(lastOf(family("pan-sauce")).walked.states.flatMap(s => s.warnings.map(w => w.code))).not.toContain(
      "BUTTER_TOO_HOT",
    ));
  test("a mounted sauce brought back to the boil is told", () => {
    const mounted = family("pan-sauce");
    const again = [...mounted.steps, { ...STEP_KINDS.reheat.blank("again"), toC: 96 }];
    expect(lastOf({ ...mounted, steps: again }).codes).toContain("BUTTER_TOO_HOT");
  });
});

describe("what heat spoils", () => {
  test("a liaison boiled: curdled on the line, and no body", () => {
    const { codes, body } = cooks(
      step("add", {}, ["water", 1000]),
      step("simmer", { holdC: 80, durationMin: 2 }),
      step("liaison", { toC: 80 }, ["egg-yolk", 54], ["cream", 200]),
      step("simmer", { holdC: 92, durationMin: 5 }),
    );
    expect(codes).toContain("CURDLED");
    expect(body).toBeNull();
  });
  test("C90 cheese into milk at 95 °C, and cheese boiled later", () => {
    const milk = step("add", {}, ["milk", 1000]);
    const heated = step("reheat", { toC: 95 });
    expect(cooks(milk, heated, step("add", { durationMin: 1 }, ["hard-cheese", 120])).codes).toContain(
      "CHEESE_SPLITS",
    );
    const warm = step("reheat", { toC: 75 });
    const in75 = [milk, warm, step("add", { durationMin: 1 }, ["hard-cheese", 120])];
    expect(cooks(...in75).codes).not.toContain("CHEESE_SPLITS");
    expect(cooks(...in75, step("simmer", { holdC: 94, durationMin: 10 })).codes).toContain("CHEESE_SPLITS");
  });
  test("C91 corn starch kept hot past an hour is read again", () => {
    const bound = [
      step("add", {}, ["water", 1000]),
      step("thicken", { form: "slurry", durationMin: 2 }, ["corn-starch", 30]),
    ];
    const hold = (durationMin: number) => cooks(...bound, step("hold", { holdC: 75, durationMin })).codes;
    expect(hold(180)).toContain("READ_AGAIN");
    expect(hold(45)).not.toContain("READ_AGAIN");
  });
  test("a stock left warm over the night is told once", () => {
    const { walked } = cooks(
      step("add", {}, ["bought-brown-stock", 2000]),
      step("simmer", { holdC: 70, durationMin: 10 }),
      step("hold", { holdC: 45, durationMin: 600 }),
      step("hold", { holdC: 45, durationMin: 600, lid: "off" }),
    );
    expect(walked.states.flatMap(s => s.warnings).filter(w => w.code === "DANGER_ZONE")).toHaveLength(1);
  });
});

describe("how it is put together", () => {
  test("a binding without starch", () =>
    expect(
      cooks(step("add", {}, ["water", 1000]), step("thicken", { form: "roux" }, ["butter", 40])).codes,
    ).toContain("NOTHING_BINDS"));
  test("cream by more than half", () => {
    const cream = step("add", {}, ["cream", 1000]);
    expect(cooks(cream, step("reduce", { target: { to: 0.45 } })).codes).toContain("CREAM_OVER_HALF");
    expect(cooks(cream, step("reduce", { target: { to: 0.6 } })).codes).not.toContain("CREAM_OVER_HALF");
  });
  test("fat lifted “chilled” from a hot pot is only ladled", () => {
    const { codes, walked } = cooks(
      step("add", {}, ["water", 1000], ["butter", 200]),
      step("simmer", { holdC: 92, durationMin: 5 }),
      step("degrease", { method: "chilled" }),
    );
    expect(codes).toContain("FAT_NOT_SET");
    expect(walked.states.at(-1)?.pot.floatFatG).toBeGreaterThan(20);
  });
  test("six grams of nutmeg in a litre", () => {
    const dose = (massG: number) =>
      cooks(step("add", {}, ["milk", 1000]), step("season", {}, ["nutmeg", massG])).codes;
    expect(dose(6)).toContain("IMPLAUSIBLE");
    expect(dose(0.5)).not.toContain("IMPLAUSIBLE");
  });
  test("oil that nothing beats in floats", () => {
    const document = { ...blank(1000, [step("add", {}, ["egg-yolk", 60], ["sunflower-oil", 300])]) };
    expect(lastOf({ ...document, servedAs: "emulsion", targets: [] }).codes).toContain("OIL_FREE");
  });
  test("eight per cent of salt in something served as nothing in particular", () =>
    expect(cooks(step("add", {}, ["water", 920], ["salt", 80])).codes).toContain("TOO_SALTY"));
  test("C89 butter into a soup with pieces in it", () => {
    const chunky = blank(1000, [
      step("add", {}, ["water", 1000], ["potato-waxy", 400]),
      step("simmer", { holdC: 92, durationMin: 20 }),
      step("mount", {}, ["butter", 60]),
    ]);
    expect(lastOf({ ...chunky, servedAs: "soup", targets: [] }).codes).toContain("BUTTER_FLOATS");
  });
  test("the vegetables of a soup strained away", () => {
    const soup = blank(1000, [
      step("add", {}, ["water", 800], ["carrot", 600]),
      step("simmer", { holdC: 92, durationMin: 30 }),
      step("strain", {}),
    ]);
    expect(lastOf({ ...soup, servedAs: "soup", targets: [] }).codes).toContain("STRAINED_AWAY");
  });
});
