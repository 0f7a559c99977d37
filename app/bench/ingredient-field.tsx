import { type Kitchen, type Line } from "~/core/formula";
import { findIngredient } from "~/core/larder";
import { memo } from "react";
import { ok, refuse } from "~/core/result";
import { TypedField } from "../ui/typed-field";

/** Id of the list of names that all ingredient fields of the page share. */
export const NAMES_LIST = "ingredient-names";

/** The names a cook may type, once on the page. */
export const IngredientNames = memo(function IngredientNames({ kitchen }: { kitchen: Kitchen }) {
  return (
    <datalist id={NAMES_LIST}>
      {Object.entries(kitchen.data.formulas).map(([id, formula]) => (
        <option key={id} value={formula.name} label="made here" />
      ))}
      {kitchen.data.ingredients.map(i => (
        <option key={i.id} value={i.name} />
      ))}
    </datalist>
  );
});

/** What a line is of: typed by name or alias, or chosen from what the larder and the kitchen have. */
export function IngredientField({
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
      : (kitchen.data.formulas[of.formula]?.name ?? of.formula);
  return (
    <TypedField
      hideLabel={hideLabel}
      label={label}
      shown={shown}
      list={NAMES_LIST}
      read={text => {
        const made = Object.entries(kitchen.data.formulas).find(
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
      inputClassName="w-full"
    />
  );
}
