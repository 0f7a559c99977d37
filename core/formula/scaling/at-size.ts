import type { Grams } from "../../ground/quantity";
import type { FormulaDocument } from "../document/document";
import { multiply } from "./multiply";

/**
 * A formula at another size: the one way there. The base weighs so much, and everything that stands in grams or litres
 * follows it; shares, parts and aims follow of themselves, pots and steam are for the walk to find.
 *
 * @param massG of the base, g > 0
 * @example the mayonnaise from 120 g of yolk, at 240 g: twice of everything, the salt that stands in grams too
 */
export const atSize = (document: FormulaDocument, massG: Grams): FormulaDocument => {
  const sized = multiply(document, massG / document.base.massG);
  // To the digit what was asked: a factor that comes back leaves a trace.
  return sized === document ? document : { ...sized, base: { ...sized.base, massG } };
};
