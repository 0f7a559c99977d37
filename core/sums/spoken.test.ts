import { expect, test } from "vitest";
import { DEMO_KITCHEN } from "../../demo/kitchen";
import { readSpoken, runSum, worldOf } from ".";

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
