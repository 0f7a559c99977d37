import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { z } from "zod";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import type { Result } from "../ground/result";
import { SUMS, besides, inOrder, readTexts, runSum, sumNamed, textsOf, worldOf } from ".";
import { namesInAnswer, ANSWERED } from "./answered";
import { type SumField, fieldsOf } from "./field";
import { textOf } from "./as-typed";
import { readTyped } from "./typed";

const KIT = { vessels: DEMO_KITCHEN.vessels };
const field = (of: Partial<SumField>): SumField => ({
  name: "field",
  path: ["field"],
  title: "The field",
  unit: undefined,
  typed: "text",
  hint: undefined,
  choices: [],
  oneOf: undefined,
  columns: [],
  said: [],
  optional: true,
  ...of,
});
const read = (of: Partial<SumField>, text: string): Result<unknown> => readTyped(field(of), text, KIT);
const valueOf = (result: Result<unknown>): unknown =>
  result.ok ? result.value : result.problems[0]?.message;

test.each(["number", "choice", "yes-no", "vessel", "heat", "target", "text", "list", "group"] as const)(
  "an empty field of %s is left out",
  kind => {
    expect(valueOf(read({ typed: kind }, "   "))).toBeUndefined();
  },
);

describe("numbers in the unit of their field", () => {
  test.each([
    ["g", "4", 4],
    ["g", "1.2 kg", 1200],
    ["ml", "0.5 l", 500],
    ["°C", "60", 60],
    ["°C", "140 F", 60],
    ["min", "90 min", 90],
    ["min", "1.5 h", 90],
    ["mm", "32 cm", 320],
    ["mm", "320 mm", 320],
    ["%", "0.9 %", 0.9],
    ["0–1", "25 %", 0.25],
    ["Pa", "884 hPa", 88_400],
    ["m", "1180 m", 1180],
  ])("%s: “%s”", (unit, text, value) =>
    expect(valueOf(read({ typed: "number", unit }, text))).toBeCloseTo(value, 6),
  );
  test.each([
    ["g", "2 l", "a weight in g or kg"],
    ["ml", "2 kg", "a volume in ml or l"],
    ["h", "3 apples", "“apples” is not its unit; type it in h"],
  ])("%s: “%s” is refused", (unit, text, said) =>
    expect(valueOf(read({ typed: "number", unit }, text))).toContain(said),
  );
});

describe("yes and no", () => {
  test.each(["y", "yes", "Yes", "true", "1", "on"])("“%s” is yes", text =>
    expect(valueOf(read({ typed: "yes-no" }, text))).toBe(true),
  );
  test.each(["n", "no", "off", "0"])("“%s” is no", text =>
    expect(valueOf(read({ typed: "yes-no" }, text))).toBe(false),
  );
  test("what is neither is asked again, and is not no", () =>
    expect(read({ typed: "yes-no" }, "perhaps").ok).toBe(false));
});

describe("where a sauce shall go", () => {
  test.each([
    ["salt 0.9", { saltPct: 0.9 }],
    ["salt to 0,9 %", { saltPct: 0.9 }],
    ["acid 0.3", { acidPct: 0.3 }],
    ["fat 12 %", { fatPct: 12 }],
    ["body 45", { thickness: 45 }],
  ])("“%s”", (text, aim) => expect(valueOf(read({ typed: "aim" }, text))).toEqual(aim));
});

describe("how large a batch", () => {
  test.each([
    ["× 2", { factor: 2 }],
    ["2,5 times", { factor: 2.5 }],
    ["8 kg finished", { finishedG: 8000 }],
    ["8 kg of the base", { baseG: 8000 }],
    ["40 × 60 g", { covers: 40, portionG: 60 }],
    ["40 covers of 60 g", { covers: 40, portionG: 60 }],
  ])("“%s”", (text, size) => expect(valueOf(read({ typed: "size" }, text))).toEqual(size));
  test("a weight alone may be of the base or of what is made: it is asked", () =>
    expect(read({ typed: "size" }, "8 kg").ok).toBe(false));
});

describe("where a reduction ends", () => {
  test.each([
    ["28 °Bx", { brix: 28 }],
    ["to 28 brix", { brix: 28 }],
  ])("“%s”", (text, target) => expect(valueOf(read({ typed: "target" }, text))).toEqual(target));
  test.each([
    ["by half", { by: 0.5 }],
    ["to a third", { to: 1 / 3 }],
    ["to 1/4", { to: 0.25 }],
    ["by 20 %", { by: 0.2 }],
  ])("“%s” is a share", (text, target) => {
    const [[key, share] = []] = Object.entries(target);
    const got = valueOf(read({ typed: "target" }, text)) as Record<string, number>;
    expect(Object.keys(got)).toEqual([key]);
    expect(got[key ?? ""]).toBeCloseTo(share ?? NaN, 9);
  });
  test("“half” alone is asked about: by or to", () =>
    expect(String(valueOf(read({ typed: "target" }, "half")))).toMatch(/by|to/i));
});

describe("a pot", () => {
  test("of the kit by its id", () => {
    expect(valueOf(read({ typed: "vessel" }, "tall-1"))).toEqual({ id: "tall-1" });
  });
  test.each(["320 × 300 mm", "320x300", "32 by 30 cm", "32/30 cm", "32,0 × 30,0 cm"])(
    "straight: “%s”",
    text => {
      expect(valueOf(read({ typed: "vessel" }, text))).toEqual({
        shape: "cylinder",
        diameterMm: 320,
        heightMm: 300,
      });
    },
  );
  test("neither is refused with what can be typed", () => {
    expect(valueOf(read({ typed: "vessel" }, "the big one"))).toContain("320 × 300 mm");
  });
});

describe("heat", () => {
  test.each([
    ["open burner", { burner: "gas-pro" }],
    ["Open burner 60 %", { burner: "gas-pro", setting: 0.6 }],
    ["gas-pro", { burner: "gas-pro" }],
    ["gas-pro 60 %", { burner: "gas-pro", setting: 0.6 }],
    ["gas-pro at 60 %", { burner: "gas-pro", setting: 0.6 }],
    ["radiant", { burner: "radiant" }],
    ["1200 W", { watts: 1200 }],
    ["1200 watts", { watts: 1200 }],
    ["88 °C", { holdC: 88 }],
    ["40 g/min", { boilsOffGPerMin: 40 }],
  ])("“%s”", (text, heat) => expect(valueOf(read({ typed: "heat" }, text))).toEqual(heat));
  test.each(["warm", "40 kg", "3 knots"])("“%s” is refused", text =>
    expect(read({ typed: "heat" }, text).ok).toBe(false),
  );
});

describe("lists", () => {
  const of = (sum: string, name: string, text: string) => {
    const field = fieldsOf(sumNamed(sum)?.input ?? z.object({})).find(f => f.name === name);
    if (!field) throw new Error(`${sum} has no ${name}.`);
    return readTyped(field, text, KIT);
  };
  test("readings: two numbers a row, a decimal comma among them", () =>
    expect(valueOf(of("cooling-check", "readings", "0 85\n45 60,5\n120 21"))).toEqual([
      { min: 0, c: 85 },
      { min: 45, c: 60.5 },
      { min: 120, c: 21 },
    ]));
  test("a row that says nothing is told by its number", () =>
    expect(String(valueOf(of("cooling-check", "readings", "0 85\nlater on\n120 21")))).toMatch(
      /line 2: “later on”/,
    ));
  test("a row of the grid, cell by cell, with units", () =>
    expect(valueOf(of("emulsion", "parts", "yolk\t36\nwine vinegar\t0,03 kg"))).toEqual([
      { ingredient: "yolk", massG: 36 },
      { ingredient: "wine vinegar", massG: 30 },
    ]));
  test("choices by their words or their ids", () =>
    expect(valueOf(of("pot-fit", "items", "veal bones 9000\npoultry-whole 600"))).toEqual([
      { kind: "veal-bones", massG: 9000 },
      { kind: "poultry-whole", massG: 600 },
    ]));
  test("several pots, named or measured", () => {
    expect(valueOf(of("pot-fit", "vessels", "Tall pot No 1\n320 × 300 mm"))).toEqual([
      { id: "tall-1" },
      { shape: "cylinder", diameterMm: 320, heightMm: 300 },
    ]);
    expect(of("pot-fit", "vessels", "tall-1\nthe big one").ok).toBe(false);
  });
  test("a chain of reductions, a row each", () =>
    expect(valueOf(of("reduce-chain", "steps", "white wine\t\t0,5 l\topen burner 60 %\tto a third"))).toEqual(
      [
        {
          add: { liquid: "white wine", volumeMl: 500 },
          heat: { burner: "gas-pro", setting: 0.6 },
          target: { to: 1 / 3 },
        },
      ],
    ));
  test("what happened to a reduction", () =>
    expect(valueOf(of("reduce-track", "events", "20\t500\n35\t\t1200 W\ton"))).toEqual([
      { min: 20, addedG: 500 },
      { min: 35, heat: { watts: 1200 }, lid: "on" },
    ]));
  test("a name without its grams is asked for them", () => {
    expect(valueOf(of("emulsion", "parts", "yolk"))).toContain("lacks weight, g");
    expect(valueOf(of("thickness-of", "thickeners", "flour"))).toContain("lacks weight, g");
  });
  test("groups of two numbers", () => {
    expect(valueOf(of("thickness-of", "puree", "900 120"))).toEqual({ massG: 900, solidsG: 120 });
    expect(valueOf(of("liaison", "perLitre", "4 150"))).toEqual({ yolks: 4, creamG: 150 });
    expect(of("thickness-of", "puree", "900").ok).toBe(false);
  });
  test("what an ingredient is made of, with a decimal comma", () => {
    expect(valueOf(of("density", "composition", "water 87, fat 3,5"))).toEqual({ water: 87, fat: 3.5 });
    expect(valueOf(of("density", "composition", "water, fat 3.5"))).toContain("such as fat 3.5");
  });
  test("names and numbers", () => {
    expect(valueOf(of("soft-yet", "names", "onion, carrot; leek\ncelery"))).toEqual([
      "onion",
      "carrot",
      "leek",
      "celery",
    ]);
    expect(valueOf(of("round", "amounts", "101,2 33.3"))).toEqual([101.2, 33.3]);
    expect(valueOf(of("mirepoix", "parts", "2 1 1"))).toEqual([2, 1, 1]);
  });
});

describe("JSON", () => {
  test("what comes from elsewhere may be pasted as it is", () => {
    expect(
      valueOf(read({ typed: "vessel" }, '{"shape":"cylinder","diameterMm":240,"heightMm":130}')),
    ).toEqual({
      shape: "cylinder",
      diameterMm: 240,
      heightMm: 130,
    });
  });
  test("a bracket that is missing is told", () => {
    expect(valueOf(read({ typed: "vessel" }, '{"shape":'))).toContain("a bracket or a comma is missing");
  });
});

describe("what is shown is what is read", () => {
  property.prop([fc.double({ min: 0.001, max: 1e6, noNaN: true })])("numbers, to a millionth", value => {
    expect(
      valueOf(
        readTyped(field({ typed: "number", unit: "g" }), textOf(field({ typed: "number" }), value, KIT), KIT),
      ),
    ).toBeCloseTo(value, 5);
  });
  property.prop([fc.integer({ min: 20, max: 900 }), fc.integer({ min: 20, max: 900 })])(
    "straight pots",
    (diameterMm, heightMm) => {
      const pot = { shape: "cylinder", diameterMm, heightMm };
      expect(valueOf(read({ typed: "vessel" }, textOf(field({ typed: "vessel" }), pot, KIT)))).toEqual(pot);
    },
  );
  property.prop([
    fc.oneof(
      fc.record({ watts: fc.integer({ min: 1, max: 9000 }) }),
      fc.record({ holdC: fc.integer({ min: 20, max: 120 }) }),
      fc.record({ boilsOffGPerMin: fc.integer({ min: 1, max: 300 }) }),
      fc.record({
        burner: fc.constant("gas-pro"),
        setting: fc.integer({ min: 1, max: 99 }).map(n => n / 100),
      }),
    ),
  ])("heat", heat => {
    expect(valueOf(read({ typed: "heat" }, textOf(field({ typed: "heat" }), heat, KIT)))).toEqual(heat);
  });
});

describe("every sum", () => {
  const world = worldOf(DEMO_KITCHEN);
  test.each(SUMS.map(s => [s.name, s] as const))(
    "%s: its example survives being typed, and means the same",
    (name, of) => {
      const { asked, more } = inOrder(of);
      const fields = [...asked, ...more];
      const input = readTexts(fields, textsOf(fields, of.example, world), world);
      expect(input.ok, JSON.stringify(input)).toBe(true);
      const [typed, direct] = [
        runSum(name, input.ok ? input.value : {}, world),
        runSum(name, of.example, world),
      ];
      expect(typed.ok && typed.value.sentence).toBe(direct.ok && direct.value.sentence);
    },
  );
  test("what it asks and what it answers has a name and, where it has one, a unit", () => {
    for (const of of SUMS) {
      for (const f of fieldsOf(of.input)) {
        expect(f.title, `${of.name}.${f.name}`).toMatch(/^\p{L}/u);
        expect(f.title, `${of.name}.${f.name}`).not.toMatch(/[a-z](?:G|Ml|Mm|C|Pct|Min)\b/);
        for (const column of f.columns)
          expect(column.title, `${of.name}.${f.name}`).not.toMatch(/[a-z](?:G|Ml|Mm|C|Pct|Min)\b/);
      }
      expect(
        namesInAnswer(of.output).filter(name => !(name in ANSWERED)),
        of.name,
      ).toEqual([]);
    }
  });
  test("two ways of saying one thing are asked about, whichever they are", () => {
    const twice = runSum("vessel-level", { vessel: { id: "tall-1" }, volumeMl: 6000, levelMm: 100 }, world);
    expect(twice.ok ? "" : twice.problems[0]?.message).toMatch(/both say how full/);
    const { asked, more } = inOrder(sumNamed("vessel-level") ?? (SUMS[0] as (typeof SUMS)[number]));
    const said = besides([...asked, ...more], { vessel: { id: "tall-1" }, volumeMl: 6000 }, { levelMm: 100 });
    expect(said).toEqual({ vessel: { id: "tall-1" }, levelMm: 100 });
  });
});
