import { type FormulaDocument, type Line, type Step, blankFormula } from "../formula";
import { sourceOf } from "./house-formulas";
import type { SaidIngredient } from "./reading/pool";
import type { DraftPiece, DraftQuestion } from "./piece";

/**
 * A formula from the pieces that were taken. The base is the heaviest thing that went in; every amount stays as said,
 * and what is still asked stands as a question on its line or step.
 * @returns `null` when nothing was taken
 */
export function formulaFromDraft(name: string, pieces: readonly DraftPiece[]): FormulaDocument | null {
  if (!pieces.length) return null;
  const heaviest = pieces
    .flatMap(p => p.said)
    .reduce<SaidIngredient | null>((a, b) => ((b.massG ?? 0) > (a?.massG ?? 0) ? b : a), null);
  const massG = heaviest?.massG ?? 1000;
  const isBase = (line: Line) =>
    heaviest &&
    isSame(line.of, sourceOf(heaviest.ingredient)) &&
    line.amount.kind === "fixed" &&
    line.amount.massG === massG;
  const steps = pieces.map(({ step, questions }) => {
    const lines = step.lines.map(line => ({
      ...line,
      ...(isBase(line) && { amount: { kind: "share-of-base" as const, pct: 100 } }),
      ...asked(questions.filter(q => q.about === line.id)),
    }));
    const ofStep = questions.filter(q => !step.lines.some(line => line.id === q.about));
    return { ...step, lines, ...asked(ofStep) };
  }) as Step[];
  const base = { name: heaviest?.ingredient.name ?? "base", massG };
  return { ...blankFormula(name.trim() || "Dictated recipe", base), school: "as dictated", steps };
}

const isSame = (a: Line["of"], b: Line["of"]): boolean =>
  "larder" in a ? "larder" in b && a.larder === b.larder : "formula" in b && a.formula === b.formula;

const MOST_ASKED = 200;
const asked = (questions: readonly DraftQuestion[]) =>
  questions.length
    ? {
        question: questions
          .map(q => q.ask)
          .join(" ")
          .slice(0, MOST_ASKED),
      }
    : {};
