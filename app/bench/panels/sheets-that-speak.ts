import { familyById } from "~/core/families";
import { type FormulaDocument, type Kitchen, type Walk, emulsionOnLine, finalState } from "~/core/formula";
import { VEGETABLE_IDS } from "~/core/laws/puree";
import type { PanelId } from "./panel-ids";

/** Kinds of steps that are a purée’s. */
const PUREES: ReadonlySet<string> = new Set(["blend", "pass"]);
/** From here on a liquor is thick enough that what binds it is worth a look, of 100. */
const BOUND_FROM = 8;

/** Sheets that have something to say only of some formulas, and whether they do of this one. */
export function sheetsThatSpeak(
  document: FormulaDocument,
  walked: Walk,
  kitchen: Kitchen,
): Readonly<Partial<Record<PanelId, boolean>>> {
  const steps = document.steps;
  const end = finalState(walked.states);
  const words = `${document.base.name} ${document.name}`.toLowerCase();
  const vegetable = VEGETABLE_IDS.some(id => words.includes(id.replace("-", " ")));
  return {
    schools: (familyById(document.family)?.choices.length ?? 0) > 0,
    emulsion: emulsionOnLine(walked, kitchen.facts) !== null,
    fixes: end?.body != null,
    puree:
      document.family.includes("puree") ||
      (vegetable && steps.some(step => PUREES.has(step.kind) && !step.pan)),
    binding:
      (end?.body?.thickness ?? 0) >= BOUND_FROM ||
      document.targets.some(target => target.what === "body") ||
      steps.some(step => step.kind === "thicken" || step.kind === "liaison"),
  };
}
