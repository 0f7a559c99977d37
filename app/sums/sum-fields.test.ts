import { describe, expect, test } from "vitest";
import { SUMS, runSum, sumNamed } from "~/core/sums";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { asText } from "./as-text";
import { readField } from "./read-field";
import { fieldsOf, readInput } from "./sum-fields";

const sum = (name: string) => {
  const found = sumNamed(name);
  if (!found) throw new Error(`There is no sum ${name}.`);
  return found;
};
const field = (name: string, of: string) => {
  const { asked, more } = fieldsOf(sum(of));
  const found = [...asked, ...more].find(f => f.name === name);
  if (!found) throw new Error(`${of} has no field ${name}.`);
  return found;
};
const read = (name: string, of: string, text: string) => readField(field(name, of), text);

describe("every example survives being typed", () => {
  test.each(SUMS.map(s => [s.name, s] as const))("%s", (name, of) => {
    const { asked, more } = fieldsOf(of);
    const all = [...asked, ...more];
    const texts = Object.fromEntries(
      Object.entries(of.example).map(([key, value]) => [key, asText(key, value)]),
    );
    const input = readInput(of, all, texts);
    expect(input.ok, JSON.stringify(input)).toBe(true);
    const answer = runSum(name, input.ok ? input.value : {});
    const direct = runSum(name, of.example);
    expect(answer.ok, JSON.stringify(answer)).toBe(true);
    if (answer.ok && direct.ok)
      expect(answer.value.sentence.slice(0, 12)).toBe(direct.value.sentence.slice(0, 12));
  });
  test("every field has a name a cook can read", () => {
    for (const of of SUMS) {
      const { asked, more } = fieldsOf(of);
      for (const f of [...asked, ...more]) expect(f.label.length, `${of.name}.${f.name}`).toBeGreaterThan(1);
    }
  });
});

describe("as a cook types", () => {
  test.each([
    ["massG", "hold-loss", "4 kg", 4000],
    ["massG", "hold-loss", "8 lb", 8 * 453.59237],
    ["massG", "hold-loss", "2,5 kg", 2500],
    ["volumeMl", "portions", "4.8 l", 4800],
    ["volumeMl", "portions", "1 qt", 946.352946],
    ["fromC", "ice", "185 F", 85],
    ["fromC", "ice", "85 °C", 85],
    ["levelMm", "vessel-level", "12 cm", 120],
    ["minutes", "alcohol-left", "2 h", 120],
    ["saltPct", "salt-after", "0.9 %", 0.9],
    ["hours", "hold-loss", "3", 3],
  ])("%s of %s: “%s”", (name, of, text, value) => {
    const got = read(name, of, text);
    expect(got.ok && (got.value as number)).toBeCloseTo(value, 6);
  });
  test.each([
    ["by half", { by: 0.5 }],
    ["to a third", { to: 1 / 3 }],
    ["to 1/4", { to: 0.25 }],
    ["by 30 %", { by: 0.3 }],
    ["to 600 g", { endG: 600 }],
    ["to 2 l", { endMl: 2000 }],
    ["to 12 °Bx", { brix: 12 }],
  ])("a target: %s", (text, target) => {
    const got = read("target", "dip-mark", text);
    expect(got).toEqual({ ok: true, value: target, warnings: [] });
  });
  test.each([
    ["gas-pro", { burner: "gas-pro" }],
    ["gas-pro 60 %", { burner: "gas-pro", setting: 0.6 }],
    ["1200 W", { watts: 1200 }],
    ["88 °C", { holdC: 88 }],
    ["40 g/min", { boilsOffGPerMin: 40 }],
  ])("a heat: %s", (text, heat) =>
    expect(read("heat", "reduce", text)).toMatchObject({ ok: true, value: heat }),
  );
  test("a vessel by its measures, its id, or its name in the kit", () => {
    const straight = { shape: "cylinder", diameterMm: 320, heightMm: 300 };
    expect(read("vessel", "dip-mark", "320 × 300 mm")).toMatchObject({ value: straight });
    expect(read("vessel", "dip-mark", "32 x 30 cm")).toMatchObject({ value: straight });
    expect(read("vessel", "dip-mark", "tall-1")).toMatchObject({ value: { id: "tall-1" } });
    const of = sum("vessel-level");
    const { asked, more } = fieldsOf(of);
    const texts = { vessel: "tall pot no 1", volumeMl: "6 l" };
    expect(readInput(of, [...asked, ...more], texts, DEMO_KITCHEN.vessels)).toMatchObject({
      value: { vessel: { id: "tall-1" }, volumeMl: 6000 },
    });
  });
  test("readings a line each, in the words of their sum", () => {
    const lines = (of: string, text: string) => {
      const { asked, more } = fieldsOf(sum(of));
      const got = readInput(sum(of), [...asked, ...more], { readings: text });
      return got.ok ? got.value.readings : got.problems;
    };
    expect(lines("cooling-check", "0 60\n60 38")).toEqual([
      { min: 0, c: 60 },
      { min: 60, c: 38 },
    ]);
    expect(lines("plateau", "180 3.5; 240 4.1")).toEqual([
      { min: 180, brix: 3.5 },
      { min: 240, brix: 4.1 },
    ]);
    expect(lines("reduce-track", "20 5600")).toEqual([{ min: 20, netG: 5600 }]);
    expect(lines("cooling-check", "0 60\nsoup")).toMatchObject([
      { field: "readings", code: "NOT_UNDERSTOOD" },
    ]);
  });
});

describe("what cannot be read keeps its place and says why", () => {
  test.each([
    ["massG", "hold-loss", "three pots"],
    ["massG", "hold-loss", "3 l"],
    ["fromC", "ice", "85 kg"],
    ["target", "dip-mark", "a third"],
    ["heat", "reduce", "very hot"],
    ["vessel", "dip-mark", "the big one!"],
    ["composition", "density", "{broken"],
  ])("%s of %s: “%s”", (name, of, text) => {
    const got = read(name, of, text);
    expect(got.ok).toBe(false);
    if (!got.ok) expect(got.problems[0]?.message.length).toBeGreaterThan(8);
  });
  test("an empty field is left out, not nought", () =>
    expect(read("massG", "hold-loss", "  ")).toEqual({ ok: true, value: undefined, warnings: [] }));
  test("all bad fields are told together", () => {
    const { asked, more } = fieldsOf(sum("ice"));
    const got = readInput(sum("ice"), [...asked, ...more], { volumeMl: "much", fromC: "hot" });
    expect(!got.ok && got.problems.map(p => p.field)).toEqual(["volumeMl", "fromC"]);
  });
});

describe("what is in a sauce, as it is said", () => {
  test.each([
    [
      "thickeners",
      "thickness-of",
      "flour 60\ncorn 5 g",
      [
        { id: "flour", massG: 60 },
        { id: "corn", massG: 5 },
      ],
    ],
    [
      "parts",
      "emulsion",
      "yolk 36, wine vinegar 30,5",
      [
        { ingredient: "yolk", massG: 36 },
        { ingredient: "wine vinegar", massG: 30.5 },
      ],
    ],
    ["parts", "mirepoix", "2 1 1", [2, 1, 1]],
    ["amounts", "round", "101.2 33.3", [101.2, 33.3]],
    ["target", "fix", "salt 0.9 %", { saltPct: 0.9 }],
    ["target", "fix", "body 45", { thickness: 45 }],
    ["perLitre", "liaison", "3 250", { yolks: 3, creamG: 250 }],
    ["puree", "thickness-of", "50 2", { massG: 50, solidsG: 2 }],
    ["acids", "balance", "citric 0.08, acetic 0.1", { citric: 0.08, acetic: 0.1 }],
    [
      "stillToCome",
      "salt-to",
      "40 5\n90 2.5",
      [
        { massG: 40, saltPct: 5 },
        { massG: 90, saltPct: 2.5 },
      ],
    ],
  ])("%s of %s: %s", (name, of, text, value) => {
    expect(read(name, of, text)).toMatchObject({ ok: true, value });
  });
  test.each([
    ["thickeners", "thickness-of", "flour lots", /flour lots.*such as flour 60/],
    ["parts", "emulsion", "36 yolk", /such as yolk 36/],
    ["perLitre", "liaison", "three", /two numbers/],
  ])("%s of %s: %s is told", (name, of, text, words) => {
    const got = read(name, of, text);
    expect(got.ok ? "" : got.problems[0]?.message).toMatch(words);
  });
});
