import { describe, expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { SUMS, inOrder, readSpoken, runSum, saidWhole, textsOf, worldOf } from ".";

const world = worldOf(DEMO_KITCHEN);
const said = (text: string) => {
  const spoken = readSpoken(text, world);
  return spoken && { name: spoken.sum.name, ...spoken.input };
};

test.each([
  ["ice 8 l 85 to 20", { name: "ice", volumeMl: 8000, fromC: 85, toC: 20 }],
  ["ice 8l 85–20 pot", { name: "ice", volumeMl: 8000, fromC: 85, toC: 20, into: "pot" }],
  ["mirepoix 18.5 kg", { name: "mirepoix", bonesG: 18_500 }],
  ["mirepoix 18.5 kg 10 %", { name: "mirepoix", bonesG: 18_500, sharePct: 10 }],
  ["convert 3 cups buttermilk", { name: "convert", text: "3 cups buttermilk" }],
  ["fahrenheit 385 F", { name: "temperature", text: "385 F" }],
  ["scale stop 2.1 kg 600 g", { name: "scale-stop", tareG: 2100, targetG: 600 }],
  ["portions 4.8 l 220 ml", { name: "portions", volumeMl: 4800, portionMl: 220 }],
  ["extract veal 3.6 kg 8 h", { name: "extract", boneClass: "veal", bonesG: 3600, hours: 8 }],
  ["boiling point 1180 m", { name: "boiling-point", altitudeM: 1180 }],
  ["make for 84 covers 55 g 5 %", { name: "make-for", covers: 84, portionG: 55, overagePct: 5 }],
])("%s", (text, expected) => expect(said(text)).toEqual(expected));

test("a dip mark names its pot and its share", () => {
  const spoken = readSpoken("dip mark Tall pot No 1 6.4 l by two thirds", world);
  expect(spoken?.input).toMatchObject({ vessel: { id: "tall-1" }, startMl: 6400 });
  expect((spoken?.input.target as { by: number }).by).toBeCloseTo(2 / 3, 6);
  const answer = runSum("dip-mark", spoken?.input, world);
  expect(answer.ok && answer.value.sentence).toContain("Tall pot No 1");
});
test("a quarter by a fraction or a percentage", () => {
  expect(readSpoken("dip mark by 1/4", world)?.input.target).toEqual({ by: 0.25 });
  expect(readSpoken("dip mark to 30 %", world)?.input.target).toEqual({ to: 0.3 });
});
test("a liquid of the larder is known by name", () =>
  expect(readSpoken("density cream 37 %", world)?.input).toMatchObject({
    liquid: expect.stringContaining("cream") as string,
  }));
test("what begins with no sum is none", () => {
  expect(readSpoken("nettle coulis", world)).toBeNull();
  expect(readSpoken("", world)).toBeNull();
});

describe("a sum is understood as it is said, and what is not is told", () => {
  const whole = (text: string) => {
    const of = saidWhole(text, world);
    return of && { ...of.input, unread: of.unread, examples: of.examples };
  };
  test.each([
    ["thicken 5 l bought chicken stock", { liquid: "bought chicken stock", volumeMl: 5000 }],
    ["roux 3 l nappe", { volumeMl: 3000, targetThickness: 45 }],
    ["alcohol left 750 ml red wine stirred in 45 min", { liquid: "red wine", volumeMl: 750, minutes: 45 }],
    ["mirepoix 18 500 g", { bonesG: 18_500 }],
    ["mirepoix 18\u202f500 g", { bonesG: 18_500 }],
    ["render 5,200 g 58 %", { rawG: 5200, yieldPct: 58 }],
    ["render -5 kg", { rawG: -5000 }],
    ["split 650 g 80 %", { splitG: 650, oilPct: 80 }],
    ["ice 10 kg 212 F to 40 F", { massG: 10_000, fromC: 100 }],
    ["mirepoix 2 : 1 : 1 18 kg", { parts: [2, 1, 1], bonesG: 18_000 }],
    ["portions 1.25 l 220 ml", { volumeMl: 1250, portionMl: 220 }],
  ])("%s", (text, wanted) => expect(whole(text)).toMatchObject({ ...wanted, unread: [] }));
  test("pounds and gallons", () => {
    expect(Number(readSpoken("render 40 lbs", world)?.input.rawG)).toBeCloseTo(18_143.7, 1);
    expect(Number(readSpoken("portions 2 gallons 220 ml", world)?.input.volumeMl)).toBeCloseTo(7570.8, 1);
  });
  test("what is filled from the example is told, and nothing that was said", () =>
    expect(whole("thicken 3 l nappe")?.examples).toEqual(expect.arrayContaining(["liquid", "thickener"])));
  test("two ways of saying one thing are never both there", () => {
    const of = saidWhole("thicken 5 l bought chicken stock", world);
    expect(of?.whole).not.toHaveProperty("massG");
  });
  test("a word or a number that no field takes is told", () =>
    expect(whole("mirepoix 18 kg purple 77")?.unread).toEqual(["purple", "77"]));
  test("readings with a decimal comma are those with a point", () => {
    const comma = readSpoken("cooling log 0 60, 120 21,4, 300 4", world)?.input;
    expect(comma).toEqual(readSpoken("cooling log 0 60; 120 21.4; 300 4", world)?.input);
    expect(comma?.readings).toEqual([
      { min: 0, c: 60 },
      { min: 120, c: 21.4 },
      { min: 300, c: 4 },
    ]);
  });
  test("misspelt, it is asked whether it is meant", () => {
    expect(readSpoken("holandaise", world)?.meant).toBe("hollandaise");
    expect(readSpoken("mirepois 18 kg", world)).toMatchObject({
      meant: "mirepoix",
      input: { bonesG: 18_000 },
    });
  });
});

/** A share by words is one to the last figure: two thirds is written 0.667 in an example. */
const rounded = (of: object): unknown =>
  JSON.parse(
    JSON.stringify(of, (_key, value: unknown) =>
      typeof value === "number" ? Number(value.toPrecision(3)) : value,
    ),
  );

/** How a cook would say an input in full: each value behind the name of its field. */
function inFull(sum: (typeof SUMS)[number]): { text: string; input: Record<string, unknown> } {
  const { asked, more } = inOrder(sum);
  const fields = [...asked, ...more];
  const spoken = fields.filter(
    f =>
      sum.example[f.name] !== undefined &&
      ["number", "choice", "yes-no", "target", "ingredient"].includes(f.typed),
  );
  const counts = new Map(spoken.map(f => [f.title, spoken.filter(o => o.title === f.title).length]));
  const own = spoken.filter(f => f.title.length > 3 && counts.get(f.title) === 1);
  return {
    text: [
      sum.name,
      ...own.map(f =>
        f.typed === "number"
          ? `${f.title} ${String(sum.example[f.name])} ${f.unit?.startsWith("0–") ? "" : (f.unit ?? "")}`
          : `${f.title} = ${textsOf([f], sum.example, world)[f.name] ?? ""}`,
      ),
    ].join("; "),
    input: Object.fromEntries(own.map(f => [f.name, sum.example[f.name]])),
  };
}

describe("every sum reads back what is printed of it", () => {
  test.each(
    SUMS.filter(sum => sum.asks.length && sum.name !== "convert" && sum.name !== "temperature").map(
      sum => [sum.name, sum] as const,
    ),
  )("%s", (_name, sum) => {
    const { text, input } = inFull(sum);
    const spoken = readSpoken(text.replace(";", ""), world);
    expect(rounded({ text, input: spoken?.input })).toEqual(rounded({ text, input }));
    expect(spoken?.unread.filter(word => /\d/.test(word))).toEqual([]);
  });
});
