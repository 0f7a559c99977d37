import { type Ingredient, asPurchased } from "../larder";
import { type Grams, g } from "../quantity";
import { InvariantError, valueOf } from "../result";
import type { AmountRelation, Certainty, Line } from "./amount";
import type { FormulaDocument } from "./document";
import type { ResolvedLine } from "./step-kind";

/** One line's amount with its three faces. */
export interface LineAmount {
  readonly lineId: string;
  readonly ingredientId: string;
  readonly name: string;
  readonly massG: Grams;
  /** What to buy for it, by the edible portion. */
  readonly purchasedG: Grams;
  /** Per cent of the base. */
  readonly ratioPct: number;
  /** `null` while the formula yields no liquor. */
  readonly gPerL: number | null;
  readonly certainty: Certainty;
}

/** A line in all its faces; grams per litre follow once the yield is known. */
export function faces(line: ResolvedLine, source: Line | undefined, document: FormulaDocument): LineAmount {
  return {
    lineId: line.lineId,
    ingredientId: line.ingredient.id,
    name: line.ingredient.name,
    massG: line.massG,
    purchasedG: valueOf(asPurchased(line.massG, line.ingredient.ediblePct)),
    ratioPct: (100 * line.massG) / document.base.massG,
    gPerL: null,
    certainty: source?.certainty ?? "stated",
  };
}

/** A line with its grams, for a given yield. */
export function resolveLine(
  line: Line,
  document: FormulaDocument,
  sources: ReadonlyMap<string, Ingredient>,
  litres: number,
): ResolvedLine {
  const ingredient = sources.get(line.id);
  if (!ingredient) throw new InvariantError(`Line ${line.id} has no ingredient.`);
  return { lineId: line.id, ingredient, massG: gramsOf(line.amount, document, litres) };
}

/** Grams of a relation. A part of a group that is gone, or of nobody, weighs nothing. */
export function gramsOf(relation: AmountRelation, document: FormulaDocument, litres: number): Grams {
  switch (relation.kind) {
    case "fixed":
      return g(relation.massG);
    case "share-of-base":
      return g((document.base.massG * relation.pct) / 100);
    case "per-litre":
      return g(relation.gPerL * litres);
    case "part": {
      const group = document.groups.find(candidate => candidate.id === relation.group);
      const all = document.steps
        .flatMap(step => step.lines)
        .reduce(
          (sum, l) =>
            sum + (l.amount.kind === "part" && l.amount.group === relation.group ? l.amount.parts : 0),
          0,
        );
      return group && all > 0 ? g((gramsOf(group.total, document, litres) * relation.parts) / all) : g(0);
    }
  }
}
