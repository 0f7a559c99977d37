import { describe, expect, test } from "vitest";
import { blankFormula, insertStep, labelOf, openKitchen, updateStep, walk } from "..";
import { DEMO_KITCHEN } from "../../../demo/kitchen";
import { draftRecipe } from "../../words";
import { liquorMass, potMass, volumeAt20 } from "../../things/pot";
import { degC, g } from "../../ground/quantity";
import { geometryOfVessel } from "../../things/vessel";
import { bodyOfPot } from "../walk/body";
import { atSize } from "../scaling/at-size";
import { fieldsOf } from "./kind";
import type { StepOutcome } from "./kind";
import { STEP_KINDS, type StepKindName, placeOf } from ".";
import { after, kitchen, lines, perform, potOf, vessel } from "./testing";

const warned = (outcome: StepOutcome) => outcome.warnings.map(w => w.code);
const bowl = vessel("bowl-28");
const counter = () => {
  let n = 0;
  return () => `i${n++}`;
};

describe("whip", () => {
  const cream = (change: object = {}, massG = 500) =>
    after("whip", change, { lines: lines(["cream", massG]), vessel: bowl });
  test("air takes room and weighs nothing", () => {
    const { pot } = cream({ growsPct: 100 });
    expect(potMass(pot)).toBeCloseTo(500, 6);
    expect(pot.natures.airMl / volumeAt20(pot.liquor)).toBeCloseTo(1, 2);
    expect(warned(cream())).toEqual([]);
  });
  test("what no longer fits its bowl when it has grown takes a larger one", () => {
    const small = vessel("insert-20");
    const room = geometryOfVessel(small ?? (bowl as never)).capacityMl;
    const grown = after("whip", { growsPct: 200 }, { lines: lines(["cream", 0.4 * room]), vessel: small });
    expect(geometryOfVessel(grown.vessel ?? (bowl as never)).capacityMl).toBeGreaterThan(1.2 * room);
  });
  test("no body is claimed for a foam", () => {
    expect(bodyOfPot(potOf(["cream", 500]), 8, kitchen.facts)).not.toBeNull();
    expect(bodyOfPot(cream().pot, 8, kitchen.facts)).toBeNull();
  });
  test("stock alone holds no air, yolk does; cream from the stove is butter", () => {
    const of = (...things: [string, number][]) =>
      warned(after("whip", {}, { lines: lines(...things), vessel: bowl }));
    expect(of(["bought-white-stock", 500])).toEqual(["HOLDS_NO_AIR"]);
    expect(of(["egg-yolk", 120], ["white-wine", 100])).toEqual([]);
    const warm = { ...potOf(["cream", 500]), temperatureC: degC(60) };
    expect(warned(after("whip", {}, { pot: warm, vessel: bowl }))).toEqual(["HOLDS_NO_AIR"]);
    expect(warned(cream({ growsPct: 250 }))).toEqual(["HOLDS_NO_AIR"]);
  });
  test("seasoning leaves the air in it; a simmer drives it out, and says so", () => {
    const { pot } = cream();
    const seasoned = after("season", {}, { pot, vessel: bowl, lines: lines(["salt", 3]) });
    expect(seasoned.pot.natures.airMl).toBeCloseTo(pot.natures.airMl, 6);
    const cooked = after("simmer", { durationMin: 5 }, { pot, vessel: vessel("tall-1") });
    expect(cooked.pot.natures.airMl).toBe(0);
    expect(warned(cooked)).toContain("AIR_GOES");
  });
  test("half of it poured off takes half of the air", () => {
    const { pot } = cream();
    const left = after("reserve", { sharePct: 50 }, { pot, vessel: bowl });
    expect(left.pot.natures.airMl).toBeCloseTo(pot.natures.airMl / 2, 6);
  });
  test("warmed over a bain-marie it takes a burner", () => {
    const step = STEP_KINDS.whip.blank("w");
    expect([placeOf(step), placeOf({ ...step, toC: 80 })]).toEqual(["bench", "fire"]);
  });
});

describe("set", () => {
  const royale = (change: object = {}, eggs = 200) =>
    after("set", change, {
      lines: lines(["bought-white-stock", 500], ["egg", eggs]),
      vessel: vessel("insert-20"),
    });
  test("it is as hot in the middle as asked, and no longer flows: no body is claimed", () => {
    const { pot } = royale();
    expect(pot.temperatureC).toBe(82);
    expect(bodyOfPot(pot, 80, kitchen.facts)).toBeNull();
    expect(warned(royale())).toEqual([]);
  });
  test("uncovered in the oven it loses weight, under steam it does not", () => {
    const open = royale({ way: "oven", covered: false });
    expect(open.computed[0]?.massG).toBeCloseTo(kitchen.facts.setLoss * 700, 6);
    expect(liquorMass(open.pot)).toBeCloseTo(700 * (1 - kitchen.facts.setLoss), 6);
    expect(royale({ way: "steam", covered: false }).computed).toEqual([]);
  });
  test("too little egg, too cold, too hot: each is said", () => {
    expect(warned(royale({}, 40))).toEqual(["SETS_NOT"]);
    expect(warned(royale({ toC: 72 }))).toEqual(["SETS_NOT"]);
    expect(warned(royale({ toC: 92 }))).toEqual(["WEEPS"]);
  });
  test("an oven colder than what it should reach is refused", () => {
    const cold = perform("set", { ovenC: 80, toC: 82 }, { lines: lines(["egg", 200]) });
    expect(cold.ok ? "" : cold.problems[0]?.message).toMatch(/never comes to 82/);
  });
  test("blended again it flows", () => {
    const { pot, vessel: mould } = royale();
    const smooth = after("blend", { tool: "stick blender" }, { pot, vessel: mould });
    expect(bodyOfPot(smooth.pot, 80, kitchen.facts)).not.toBeNull();
  });
});

describe("both, as any other kind", () => {
  const document = (kind: "set" | "whip", of: [string, number][]) =>
    updateStep(insertStep(blankFormula("One", { name: "cream", massG: 500 }), kind, "s"), "s", {
      lines: of.map(([larder, massG], i) => ({
        id: `l${i}`,
        of: { larder },
        amount: { kind: "fixed", massG },
        certainty: "stated",
      })),
    });
  test("twice the batch is twice the air", () => {
    const one = document("whip", [["cream", 500]]);
    const two = atSize(one, g(1000));
    const air = (d: typeof one) => walk(d, openKitchen(DEMO_KITCHEN)).states[0]?.pot.natures.airMl ?? 0;
    expect(air(two) / air(one)).toBeCloseTo(2, 6);
  });
  test("egg stays on the label", () => {
    const walked = walk(
      document("set", [
        ["cream", 400],
        ["egg", 200],
      ]),
      kitchen,
    );
    expect(JSON.stringify(labelOf(walked))).toMatch(/egg/i);
  });
  test.each<[string, StepKindName, object]>([
    ["whip 500 g cream to soft peaks", "whip", { durationMin: 5 }],
    ["whisk the cream until light", "whip", {}],
    ["bake in a water bath at 140 °C for 35 min until set", "set", { ovenC: 140, durationMin: 35 }],
    ["steam the custard until 84 °C in the middle, 20 min", "set", { toC: 84, durationMin: 20 }],
    ["set aside a ladle for the plate", "reserve", {}],
    ["whip in the cold butter", "mount", {}],
  ])("“%s” is heard", (said, kind, fields) => {
    const draft = draftRecipe(`Sauce: heat 500 g cream. ${said}.`, DEMO_KITCHEN, counter());
    const step = draft.pieces.at(-1)?.step;
    expect(step?.kind).toBe(kind);
    expect(step).toMatchObject(fields);
  });
});

test("what the fields of a kind say is what its schema takes: nothing more, nothing less", () => {
  for (const kind of Object.values(STEP_KINDS)) {
    const keys = fieldsOf(kind).map(field => field.key);
    const own = Object.keys(kind.schema.shape).filter(
      key => !["id", "kind", "lines", "pan", "remark", "cue", "why", "question", "keeps"].includes(key),
    );
    expect(own.sort(), kind.kind).toEqual(keys.sort());
  }
});
