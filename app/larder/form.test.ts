import { describe, expect, test } from "vitest";
import type { Ingredient } from "~/core/things/larder";
import { valueOf } from "~/core/ground/result";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { form, refusals } from "../testing";
import { idFor } from "~/core/ground/names";
import { readIngredientForm } from "./form.server";

/** A quince vinegar, all that sums to 100. */
const vinegar = {
  name: "Quince vinegar",
  aliases: "vinegar of quince, cotogna",
  "composition.water": "91,2",
  "composition.sugars": "2.5",
  "composition.acid": "6",
  "composition.volatileAcid": "5.6",
  "composition.other": "0.3",
  phase: "liquor",
  allergensKnown: "yes",
  measures: "spoon = 15 (13–17); glug: 30",
  "source.mark": "measured",
  "source.text": "by titration",
};
/** The form of an entry as the page fills it in. */
const edit = (of: Ingredient): Record<string, string | string[]> => ({
  name: of.name,
  ...Object.fromEntries(Object.entries(of.composition).map(([k, v]) => [`composition.${k}`, String(v)])),
  "source.mark": of.compositionSource.mark,
  "source.text": of.compositionSource.text,
  phase: of.phase,
  ediblePct: String(of.ediblePct),
  ...(of.juicePct !== undefined && { juicePct: String(of.juicePct) }),
  ...(of.densityGPerMl !== undefined && { densityGPerMl: String(of.densityGPerMl) }),
  ...(of.solidKind && { solidKind: of.solidKind }),
  ...(of.allergens && { allergensKnown: "yes", allergens: [...of.allergens] }),
  measures: of.measures.map(m => `${m.name} = ${m.massG} (${m.loG}–${m.hiG})`).join("; "),
});
const inLarder = (id: string): Ingredient => {
  const found = DEMO_KITCHEN.ingredients.find(i => i.id === id);
  if (!found) throw new Error(`The demo larder has no ${id}.`);
  return found;
};

describe("a new ingredient", () => {
  test("as a cook types it: commas, other names, measures with and without a range", () => {
    const made = valueOf(readIngredientForm(form(vinegar), null));
    expect(made).toMatchObject({
      id: "quince-vinegar",
      aliases: ["vinegar of quince", "cotogna"],
      composition: { water: 91.2, acid: 6, volatileAcid: 5.6, fat: 0 },
      compositionSource: { mark: "measured", text: "by titration" },
      allergens: [],
      ediblePct: 100,
    });
    expect(made.measures.map(m => [m.name, m.massG, m.loG, m.hiG])).toEqual([
      ["spoon", 15, 13, 17],
      ["glug", 30, 22.5, 37.5],
    ]);
  });
  test("sold in packs, as an order says it; what is no pack is refused with an example", () => {
    const sold = (pack: string) => readIngredientForm(form({ ...vinegar, pack: [pack] }), null);
    expect(valueOf(sold("crate = 10 kg")).pack).toEqual({ name: "crate", massG: 10_000 });
    expect(valueOf(sold("")).pack).toBeUndefined();
    const refused = sold("ten kilos");
    expect(!refused.ok && refused.problems[0]?.message).toContain("crate = 10 kg");
  });
  test("whose allergens nobody has looked up has none known, not none", () => {
    const { allergensKnown: _, ...unknown } = vinegar;
    expect(valueOf(readIngredientForm(form(unknown), null)).allergens).toBeNull();
  });
  test("more of a part than of the whole, or parts that make no hundred, are refused in words", () => {
    const sour = readIngredientForm(form({ ...vinegar, "composition.volatileAcid": "7" }), null);
    expect(sour.ok).toBe(false);
    const light = readIngredientForm(form({ ...vinegar, "composition.water": "40" }), null);
    expect(refusals(light).some(r => r.includes("SUM_NOT_100"))).toBe(true);
  });
  test("every field that cannot be read is named, and nothing is half taken", () =>
    expect(
      refusals(
        readIngredientForm(
          form({ ...vinegar, name: "", "composition.fat": "-2", ediblePct: "most", measures: "a splash" }),
          null,
        ),
      ).sort(),
    ).toEqual(
      ["composition.fat NEGATIVE", "ediblePct NOT_FINITE", "measures NOT_UNDERSTOOD", "name MISSING"].sort(),
    ));
});

describe("an ingredient changed", () => {
  const onion = inLarder("onion");
  test("with nothing changed is the same, sources and measures included", () => {
    const again = valueOf(readIngredientForm(form(edit(onion)), onion));
    expect(again.compositionSource).toEqual(onion.compositionSource);
    expect(again.edibleSource).toEqual(onion.edibleSource);
    expect(again.measures).toEqual(onion.measures);
    expect(again.carries).toEqual(onion.carries);
  });
  test("in its used part has a new source there, and its composition keeps the old one", () => {
    const trimmed = valueOf(
      readIngredientForm(
        form({
          ...edit(onion),
          ediblePct: "84",
          "source.mark": "measured",
          "source.text": "five nets weighed",
        }),
        onion,
      ),
    );
    expect(trimmed.ediblePct).toBe(84);
    expect(trimmed.edibleSource).toEqual({ mark: "measured", text: "five nets weighed" });
    expect(trimmed.compositionSource).toEqual(onion.compositionSource);
  });
  test("in its used part, its source untouched: weighed here, not read in the table of its composition", () => {
    const trimmed = valueOf(readIngredientForm(form({ ...edit(onion), ediblePct: "81" }), onion));
    expect(trimmed.edibleSource).toEqual({ mark: "measured", text: "measured here" });
    expect(trimmed.compositionSource).toEqual(onion.compositionSource);
  });
  test("in its composition has a new source there", () => {
    const { water, sugars } = onion.composition;
    const sweet = valueOf(
      readIngredientForm(
        form({
          ...edit(onion),
          "composition.water": String(water - 1),
          "composition.sugars": String(sugars + 1),
          "source.mark": "E",
          "source.text": "",
        }),
        onion,
      ),
    );
    expect(sweet.compositionSource).toEqual({ mark: "E", text: "no source given" });
  });
  test("keeps its id under another name", () =>
    expect(valueOf(readIngredientForm(form({ ...edit(onion), name: "Roscoff onion" }), onion)).id).toBe(
      onion.id,
    ));
});

test("an id is plain letters: accents and signs fall away, and there is always one", () => {
  expect(idFor("Crème fraîche, 30 %")).toBe("creme-fraiche-30");
  expect(idFor("味醂")).toBe("ingredient");
  expect(idFor("x".repeat(90))).toHaveLength(40);
});
