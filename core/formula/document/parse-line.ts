import { type Ingredient, findIngredient, ingredientCalled } from "../../things/larder";
import { type Result, ok, refuse } from "../../ground/result";
import type { Line } from "../steps/amount";
import type { FormulaDocument } from "./document";
import { type ReadRelation, parseRelation } from "./parse-relation";

export interface ReadLine extends ReadRelation {
  readonly of: Line["of"];
  readonly name: string;
}

/**
 * Reads a whole line as a cook types it: an amount and what it is of, in either order.
 * "2 parts onion" · "60 g/l butter" · "to 0.8 % salt" · "salt to 0.8 % salt" · "a knob of butter" · "thyme, by feel"
 *
 * @param formulas names of what this kitchen makes, by id
 * @errors UNKNOWN_ID nothing of that name, with the nearest · those of `parseRelation`
 */
export function parseLine(
  text: string,
  context: {
    document: FormulaDocument;
    larder: readonly Ingredient[];
    formulas: Readonly<Record<string, { readonly name: string }>>;
    inGroup?: string;
    field: string;
  },
): Result<ReadLine> {
  const typed = text.trim().replace(/\s+/g, " ");
  const words = typed.split(" ");
  const asWhole = (
    name: string,
    ingredient: Ingredient | null,
    of: Line["of"],
    amount: string,
  ): Result<ReadLine> | null => {
    for (const candidate of [amount, typed]) {
      if (!candidate.trim()) continue;
      const relation = parseRelation(candidate.replace(/\s+of$/i, "").replace(/[,:]$/, ""), {
        ...context,
        ingredient,
      });
      if (relation.ok) return ok({ ...relation.value, of, name }, relation.warnings);
    }
    return null;
  };
  let failed: Result<ReadLine> | null = null;
  // The name stands last ("2 parts onion") or first ("onion 2 parts"); the longest one wins.
  for (let length = words.length; length > 0; length--)
    for (const [name, amount] of [
      [words.slice(-length).join(" ").replace(/^of /i, ""), words.slice(0, -length).join(" ")],
      [words.slice(0, length).join(" ").replace(/,$/, ""), words.slice(length).join(" ")],
    ] as const) {
      const own = Object.entries(context.formulas).find(
        ([, f]) => f.name.toLowerCase() === name.toLowerCase(),
      );
      const exact = own ? null : ingredientCalled(context.larder, name);
      if (!own && !exact) continue;
      const of = own ? { formula: own[0] } : { larder: exact?.id ?? "" };
      const called = own ? own[1].name : (exact?.name ?? name);
      const read = asWhole(called, exact, of, amount);
      if (read) return read;
      if (!amount)
        return ok({ relation: { kind: "by-feel", massG: 0 }, certainty: "assumed", of, name: called });
      failed ??= parseRelation(amount, { ...context, ingredient: exact }) as Result<ReadLine>;
    }
  if (failed) return failed;
  const tail = words
    .filter(word => /[a-z]{3}/i.test(word))
    .slice(-2)
    .join(" ");
  const { near } = findIngredient(context.larder, tail);
  return refuse({
    code: "UNKNOWN_ID",
    field: context.field,
    value: text,
    message: near.length
      ? `The larder has no “${tail}”. Did you mean ${near.map(i => i.name).join(", ")}?`
      : `The larder has no “${tail || typed}”. Type an amount and a name, such as “2 parts onion”, or enter it in the larder first.`,
  });
}
