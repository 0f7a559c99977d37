import { expect, test } from "vitest";
import { usualKitchen } from "../formula";
import { checkIngredient, ingredientSchema } from "../things/larder";
import { draftRecipe } from ".";
import { knownFromNow } from "./learn";

const kitchen = usualKitchen();
const stock = kitchen.ingredients.find(i => i.id === "bought-brown-stock");
if (!stock) throw new Error("No stock.");
const ids = new Set(kitchen.ingredients.map(i => i.id));
const read = (ingredients: typeof kitchen.ingredients) => {
  let n = 0;
  return draftRecipe(
    "Add 300 g moorhen stock. Reduce by half.",
    { ...kitchen, ingredients },
    () => `i${(n += 1)}`,
  );
};

test("a thing nobody knows is asked about by its full name, counted like what is nearest", () => {
  const [piece] = read(kitchen.ingredients).pieces;
  expect(piece?.unknown).toEqual([{ name: "moorhen stock", likeId: "bought-brown-stock" }]);
  expect(piece?.doubts.join()).toContain("“moorhen stock”");
});
test("as another name it is what it was said to be", () => {
  const known = knownFromNow("moorhen stock", stock, "another name", ids);
  expect(known).toMatchObject({ id: stock.id, name: stock.name });
  const [piece] = read(kitchen.ingredients.map(i => (i.id === known.id ? known : i))).pieces;
  expect([piece?.unknown, piece?.doubts, piece?.step.lines[0]?.of]).toEqual([[], [], { larder: stock.id }]);
});
test("as an entry of its own it keeps what it was like as an estimate, and no allergen is known", () => {
  const known = knownFromNow("moorhen stock", stock, "a new entry", ids);
  expect(known).toMatchObject({
    id: "moorhen-stock",
    composition: stock.composition,
    allergens: null,
    compositionSource: { mark: "E" },
  });
  expect(ingredientSchema.safeParse(known).success).toBe(true);
  expect(checkIngredient(known).ok).toBe(true);
  const [piece] = read([...kitchen.ingredients, known]).pieces;
  expect(piece?.step.lines[0]?.of).toEqual({ larder: "moorhen-stock" });
});
test("an id that is taken gets a number", () =>
  expect(knownFromNow("Butter", stock, "a new entry", ids).id).toBe("butter-2"));
