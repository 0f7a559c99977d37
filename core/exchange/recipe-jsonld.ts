import { type FormulaDocument, type Walk, costOf, kindOf, titleWithPan } from "../formula";
import { type FormulaBundle, writeBundle } from "./bundle";
import { WHOLE_PROPERTY } from "./foreign";
import { printKilograms, printMass, s } from "../ground/quantity";

/** Seconds as an ISO 8601 duration: "PT4H30M". */
export function isoDuration(seconds: number): string {
  const minutes = Math.round(seconds / 60);
  const [h, m] = [Math.floor(minutes / 60), minutes % 60];
  return `PT${h ? `${h}H` : ""}${m || !h ? `${m}M` : ""}`;
}

/**
 * The formula as a schema.org Recipe in JSON-LD, for any program that reads recipes. Amounts are the grams of this size;
 * relations have no place in that vocabulary.
 * @param whole what it is carried along with, under a property of its own: so that it comes back as it went
 * Source of the terms: schema.org/Recipe, HowToStep, QuantitativeValue.
 */
export function formulaAsRecipe(document: FormulaDocument, walked: Walk, whole?: FormulaBundle): object {
  const bare = (text: string) => text.replace(/[\u00a0\u202f]/g, " ");
  const { portions } = costOf(document, walked);
  return {
    "@context": whole ? ["https://schema.org", { hondaro: "urn:hondaro:" }] : "https://schema.org",
    "@type": "Recipe",
    name: document.name,
    recipeCategory: document.family,
    ...(document.notes && { description: document.notes }),
    recipeYield: [
      ...(walked.finishedG > 0 ? [bare(printKilograms(walked.finishedG))] : []),
      ...(portions > 0 ? [`${portions} portions of ${document.portionG} g`] : []),
    ],
    totalTime: isoDuration(walked.totalS),
    recipeIngredient: walked.states
      .flatMap(state => state.lines)
      .map(line => bare(`${printMass(line.massG)} ${line.name}`)),
    recipeInstructions: document.steps.map((step, i) => {
      const kind = kindOf(step);
      const state = walked.states[i];
      const names = state?.lines.map(line => line.name) ?? [];
      return {
        "@type": "HowToStep",
        position: i + 1,
        name: bare(titleWithPan(step, names)),
        text: bare([titleWithPan(step, names), kind.detail(step), step.remark].filter(Boolean).join(" · ")),
        ...(state && { timeRequired: isoDuration(s(state.durationS)) }),
      };
    }),
    ...(whole && { [WHOLE_PROPERTY]: JSON.parse(writeBundle(whole)) as object }),
  };
}
