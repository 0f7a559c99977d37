import type { RelationNames } from "./amount";
import type { FormulaDocument } from "./document";

/** Names for relations: the base, the groups, and the ingredients of other lines. */
export const namesIn = (
  document: FormulaDocument,
  state?: { readonly sources: ReadonlyMap<string, { readonly name: string }> },
): RelationNames => ({
  baseName: document.base.name,
  groups: document.groups,
  lineName: id => state?.sources.get(id)?.name,
});
