import { expect, test } from "vitest";
import { REFERENCE_LARDER } from ".";
import { offeredTo } from "./offered";

test("a kitchen that has all of it is offered nothing", () =>
  expect(offeredTo(REFERENCE_LARDER)).toEqual({ entries: [], named: [] }));
test("what it lacks is offered; what it has keeps its values and gets names", () => {
  const butter = REFERENCE_LARDER.find(i => i.id === "butter");
  if (!butter) throw new Error("No butter.");
  const own = [
    {
      ...butter,
      name: "the dairy’s butter",
      aliases: [],
      composition: { ...butter.composition, fat: 84, water: 14 },
    },
  ];
  const { entries, named } = offeredTo(own);
  expect(entries).toHaveLength(REFERENCE_LARDER.length - 1);
  expect(named).toEqual([{ ...own[0], aliases: butter.aliases }]);
});
test("a name that another entry bears is not given twice", () => {
  const butter = REFERENCE_LARDER.find(i => i.id === "butter");
  const honey = REFERENCE_LARDER.find(i => i.id === "honey");
  if (!butter || !honey) throw new Error("Neither butter nor honey.");
  const own = [
    { ...butter, aliases: [] },
    { ...honey, aliases: ["butter"] },
  ];
  expect(offeredTo(own).named.find(i => i.id === "butter")?.aliases ?? []).not.toContain("butter");
});
