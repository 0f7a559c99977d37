import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import type { Result } from "~/core/result";
import { asText } from "./as-text";
import { readField } from "./read-field";
import type { FieldKind, SumField } from "./sum-fields";

const field = (name: string, kind: FieldKind, hint?: string): SumField => ({
  name,
  label: "The field",
  kind,
  choices: [],
  hint,
});
const read = (name: string, kind: FieldKind, text: string): Result<unknown> =>
  readField(field(name, kind), text);
const valueOf = (result: Result<unknown>): unknown =>
  result.ok ? result.value : result.problems[0]?.message;

test.each(["number", "choice", "yes-no", "vessel", "heat", "target", "text", "lines"] as const)(
  "an empty field of %s is left out",
  kind => {
    expect(valueOf(read("anything", kind, "   "))).toBeUndefined();
  },
);

describe("numbers in the unit of their field", () => {
  test.each([
    ["massG", "4", 4],
    ["massG", "1.2 kg", 1200],
    ["volumeMl", "0.5 l", 500],
    ["fromC", "60", 60],
    ["fromC", "140 F", 60],
    ["holdMin", "90 min", 90],
    ["holdMin", "1.5 h", 90],
    ["diameterMm", "32 cm", 320],
    ["diameterMm", "320 mm", 320],
    ["saltPct", "0.9 %", 0.9],
    ["share", "25 %", 0.25],
    ["pressurePa", "884 hPa", 88_400],
    ["altitudeM", "1180 m", 1180],
  ])("%s: “%s”", (name, text, value) => expect(valueOf(read(name, "number", text))).toBeCloseTo(value, 6));
  test.each([
    ["massG", "2 l", "a weight in g or kg"],
    ["volumeMl", "2 kg", "a volume in ml or l"],
    ["hours", "3 apples", "“apples” is not its unit"],
  ])("%s: “%s” is refused", (name, text, said) =>
    expect(valueOf(read(name, "number", text))).toContain(said),
  );
});

describe("yes and no", () => {
  test.each(["y", "yes", "Yes", "true", "1", "on"])("“%s” is yes", text =>
    expect(valueOf(read("lid", "yes-no", text))).toBe(true),
  );
  test.each(["n", "no", "off", "0"])("“%s” is no", text =>
    expect(valueOf(read("lid", "yes-no", text))).toBe(false),
  );
});

describe("where a sauce shall go", () => {
  test.each([
    ["salt 0.9", { saltPct: 0.9 }],
    ["salt to 0,9 %", { saltPct: 0.9 }],
    ["acid 0.3", { acidPct: 0.3 }],
    ["fat 12 %", { fatPct: 12 }],
    ["body 45", { thickness: 45 }],
    ["28 °Bx", { brix: 28 }],
    ["to 28 brix", { brix: 28 }],
  ])("“%s”", (text, target) => expect(valueOf(read("target", "target", text))).toEqual(target));
  test.each([
    ["by half", { by: 0.5 }],
    ["to a third", { to: 1 / 3 }],
    ["to 1/4", { to: 0.25 }],
    ["by 20 %", { by: 0.2 }],
  ])("“%s” is a share", (text, target) => {
    const [[key, share] = []] = Object.entries(target);
    const got = valueOf(read("target", "target", text)) as Record<string, number>;
    expect(Object.keys(got)).toEqual([key]);
    expect(got[key ?? ""]).toBeCloseTo(share ?? NaN, 9);
  });
  test("“half” alone is asked about: by or to", () => {
    expect(String(valueOf(read("target", "target", "half")))).toMatch(/by|to/i);
  });
});

describe("a pot", () => {
  test("of the kit by its id", () => {
    expect(valueOf(read("vessel", "vessel", "tall-1"))).toEqual({ id: "tall-1" });
  });
  test.each(["320 × 300 mm", "320x300", "32 by 30 cm", "32/30 cm", "32,0 × 30,0 cm"])(
    "straight: “%s”",
    text => {
      expect(valueOf(read("vessel", "vessel", text))).toEqual({
        shape: "cylinder",
        diameterMm: 320,
        heightMm: 300,
      });
    },
  );
  test("neither is refused with what can be typed", () => {
    expect(valueOf(read("vessel", "vessel", "the big one"))).toContain("320 × 300 mm");
  });
});

describe("heat", () => {
  test.each([
    ["gas-pro", { burner: "gas-pro" }],
    ["gas-pro 60 %", { burner: "gas-pro", setting: 0.6 }],
    ["gas-pro at 60 %", { burner: "gas-pro", setting: 0.6 }],
    ["radiant", { burner: "radiant" }],
    ["1200 W", { watts: 1200 }],
    ["1200 watts", { watts: 1200 }],
    ["88 °C", { holdC: 88 }],
    ["40 g/min", { boilsOffGPerMin: 40 }],
  ])("“%s”", (text, heat) => expect(valueOf(read("heat", "heat", text))).toEqual(heat));
  test.each(["warm", "40 kg", "3 knots"])("“%s” is refused", text =>
    expect(read("heat", "heat", text).ok).toBe(false),
  );
});

describe("lists", () => {
  test("readings: two numbers a line", () => {
    expect(valueOf(read("readings", "lines", "0 85\n45 60\n120 21"))).toEqual([
      [0, 85],
      [45, 60],
      [120, 21],
    ]);
  });
  test("a line that says nothing is told by its number; nothing else is lost", () => {
    const got = read("readings", "lines", "0 85\nlater\n120 21");
    expect(got.ok).toBe(false);
    expect(valueOf(got)).toContain("line 2: “later”");
  });
  test("parts of a base: numbers, or names with their grams", () => {
    expect(valueOf(read("parts", "lines", "2 1 1"))).toEqual([2, 1, 1]);
    expect(valueOf(read("parts", "lines", "yolk 36, wine vinegar 30 g"))).toEqual([
      { ingredient: "yolk", massG: 36 },
      { ingredient: "wine vinegar", massG: 30 },
    ]);
  });
  test("a name without grams is asked for them", () => {
    expect(valueOf(read("parts", "lines", "yolk"))).toContain("such as yolk 36");
    expect(valueOf(read("thickeners", "lines", "flour"))).toContain("such as flour 60");
  });
  test("thickeners, bones, salt still to come", () => {
    expect(valueOf(read("thickeners", "lines", "flour 60\ncorn-starch 20"))).toEqual([
      { id: "flour", massG: 60 },
      { id: "corn-starch", massG: 20 },
    ]);
    expect(valueOf(read("items", "lines", "veal-bones 9000\ntrotter 600"))).toEqual([
      { kind: "veal-bones", massG: 9000 },
      { kind: "trotter", massG: 600 },
    ]);
    expect(valueOf(read("stillToCome", "lines", "200 1.5"))).toEqual([{ massG: 200, saltPct: 1.5 }]);
    expect(read("items", "lines", "veal-bones").ok).toBe(false);
    expect(read("stillToCome", "lines", "200").ok).toBe(false);
  });
  test("several pots, named or measured", () => {
    expect(valueOf(read("vessels", "lines", "tall-1\n320 × 300 mm"))).toEqual([
      { id: "tall-1" },
      { shape: "cylinder", diameterMm: 320, heightMm: 300 },
    ]);
    expect(read("vessels", "lines", "tall-1\nthe big one").ok).toBe(false);
  });
  test("fields of two numbers", () => {
    expect(valueOf(read("puree", "lines", "900 120"))).toEqual({ massG: 900, solidsG: 120 });
    expect(valueOf(read("perLitre", "lines", "4 150"))).toEqual({ yolks: 4, creamG: 150 });
    expect(read("puree", "lines", "900").ok).toBe(false);
  });
  test("what an ingredient is made of", () => {
    expect(valueOf(read("composition", "lines", "water 87, fat 3.5"))).toEqual({ water: 87, fat: 3.5 });
    expect(valueOf(read("composition", "lines", "water, fat 3.5"))).toContain("such as fat 3.5");
  });
  test("names with commas, semicolons or one a line", () => {
    expect(valueOf(read("names", "lines", "onion, carrot; leek\ncelery"))).toEqual([
      "onion",
      "carrot",
      "leek",
      "celery",
    ]);
  });
});

describe("JSON", () => {
  test("what comes from elsewhere may be pasted as it is", () => {
    expect(valueOf(read("vessel", "vessel", '{"shape":"cylinder","diameterMm":240,"heightMm":130}'))).toEqual(
      {
        shape: "cylinder",
        diameterMm: 240,
        heightMm: 130,
      },
    );
  });
  test("a bracket that is missing is told", () => {
    expect(valueOf(read("vessel", "vessel", '{"shape":'))).toContain("a bracket or a comma is missing");
  });
});

describe("what is shown is what is read", () => {
  property.prop([fc.double({ min: 0.001, max: 1e6, noNaN: true })])("numbers, to a millionth", value => {
    expect(valueOf(read("massG", "number", asText("massG", value)))).toBeCloseTo(value, 5);
  });
  property.prop([fc.integer({ min: 20, max: 900 }), fc.integer({ min: 20, max: 900 })])(
    "straight pots",
    (diameterMm, heightMm) => {
      const pot = { shape: "cylinder", diameterMm, heightMm };
      expect(valueOf(read("vessel", "vessel", asText("vessel", pot)))).toEqual(pot);
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
    expect(valueOf(read("heat", "heat", asText("heat", heat)))).toEqual(heat);
  });
});
