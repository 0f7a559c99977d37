import type { RelationNames } from "../steps/amount";
import { type FormulaDocument, linesOf } from "../document/document";
import type { Kitchen } from "./kitchen";
import { nameOfFormula } from "./kitchen";

/** Names for relations: the base, the groups, and what other lines are of, as walked or as the kitchen calls it. */
export const namesIn = (
  document: FormulaDocument,
  state?: { readonly sources: ReadonlyMap<string, { readonly name: string }> },
  kitchen?: Kitchen,
): RelationNames => ({
  baseName: document.base.name,
  groups: document.groups,
  lineName: id => state?.sources.get(id)?.name ?? (kitchen && nameOfLine(document, id, kitchen)),
});

function nameOfLine(document: FormulaDocument, id: string, kitchen: Kitchen): string | undefined {
  const of = linesOf(document).find(line => line.id === id)?.of;
  if (!of) return undefined;
  return "larder" in of
    ? kitchen.ingredientById.get(of.larder)?.name
    : nameOfFormula(kitchen.data, of.formula);
}
