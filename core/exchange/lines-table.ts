import { type FormulaDocument, type Walk, titleWithPan, namesIn, relationInWords } from "../formula";

/** One line of a formula as a row of a table. */
export interface LineRow {
  readonly step: number;
  readonly what: string;
  readonly ingredient: string;
  readonly grams: number;
  readonly relation: string;
  readonly certainty: string;
  readonly toBuyG: number;
  readonly cost: number | null;
  /** Mass in the pot after the step, g. */
  readonly inPotG: number;
}

/** Every line with its grams, relation and price; a step without lines has a row of its own. */
export const linesTable = (document: FormulaDocument, walked: Walk): LineRow[] =>
  walked.states.flatMap((state, i) => {
    const { step } = state;
    const common = {
      step: i + 1,
      what: titleWithPan(
        step,
        state.lines.map(l => l.name),
      ),
      inPotG: round(state.massG),
    };
    if (!state.lines.length)
      return [{ ...common, ingredient: "", grams: 0, relation: "", certainty: "", toBuyG: 0, cost: null }];
    return state.lines.map((line): LineRow => {
      const relation = step.lines.find(l => l.id === line.lineId)?.amount;
      const price = state.sources.get(line.lineId)?.price;
      return {
        ...common,
        ingredient: line.name,
        grams: round(line.massG),
        relation: relation ? relationInWords(relation, namesIn(document, state)) : "",
        certainty: line.certainty,
        toBuyG: round(line.purchasedG),
        cost: price ? Math.round((line.purchasedG / 1000) * price.perKg * 1000) / 1000 : null,
      };
    });
  });

const round = (x: number): number => Math.round(x * 100) / 100;
