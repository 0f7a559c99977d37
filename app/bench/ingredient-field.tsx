import { type Kitchen, type Line } from "~/core/formula";
import { findIngredient } from "~/core/things/larder";
import { memo } from "react";
import { ok, refuse } from "~/core/ground/result";
import { TypedField } from "../ui/typed-field";
import { madeIn, nameOfFormula } from "~/core/formula";

/** Id of the list of names that all ingredient fields of the page share. */
export const NAMES_LIST = "ingredient-names";

/** The names a cook may type, once on the page. */
export function IngredientNames({ kitchen }: { kitchen: Kitchen }) {
  const made = Object.values(madeIn(kitchen.data))
    .map(formula => formula.name)
    .join("\n");
  return <Names made={made} ingredients={kitchen.data.ingredients} />;
}

/** Hundreds of names: drawn again only when one of them changes, not with every key of an amount. */
const Names = memo(function Names({
  made,
  ingredients,
}: {
  made: string;
  ingredients: Kitchen["data"]["ingredients"];
}) {
  return (
    <datalist id={NAMES_LIST}>
      {made.split("\n").map(name => (
        <option key={name} value={name} label="made here" />
      ))}
      {ingredients.map(i => (
        <option key={i.id} value={i.name} />
      ))}
    </datalist>
  );
});

/** What a line is of: typed by name or alias, or chosen from what the larder and the kitchen have. */
export const IngredientField = memo(function IngredientField({
  of,
  kitchen,
  onRead,
  label = "Ingredient",
  hideLabel = true,
}: {
  of: Line["of"];
  label?: string;
  hideLabel?: boolean;
  kitchen: Kitchen;
  onRead: (of: Line["of"]) => void;
}) {
  const shown =
    "larder" in of
      ? (kitchen.ingredientById.get(of.larder)?.name ?? of.larder)
      : (nameOfFormula(kitchen.data, of.formula) ?? of.formula);
  return (
    <TypedField
      hideLabel={hideLabel}
      label={label}
      shown={shown}
      list={NAMES_LIST}
      read={text => {
        const made = Object.entries(madeIn(kitchen.data)).find(
          ([, f]) => f.name.toLowerCase() === text.trim().toLowerCase(),
        );
        if (made) return ok<Line["of"]>({ formula: made[0] });
        const { exact, near } = findIngredient(kitchen.data.ingredients, text);
        if (exact) return ok<Line["of"]>({ larder: exact.id });
        return refuse({
          code: "UNKNOWN_ID",
          field: "ingredient",
          value: text,
          message: near.length
            ? `Not in the larder. Did you mean ${near.map(i => i.name).join(", ")}?`
            : "Not in the larder: enter it there first.",
        });
      }}
      onRead={onRead}
      width="w-full"
    />
  );
});
