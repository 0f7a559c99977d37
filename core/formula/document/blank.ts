import { DOCUMENT_SCHEMA, type FormulaDocument } from "./document";

/** A formula with no step yet: a name, and what lies on the table. */
export const blankFormula = (name: string, base: FormulaDocument["base"]): FormulaDocument => ({
  schema: DOCUMENT_SCHEMA,
  name,
  family: "own",
  school: "own way",
  choices: {},
  base,
  groups: [],
  portionG: 50,
  overagePct: 5,
  servedAs: "other",
  targets: [],
  steps: [],
  storage: { keepC: 4, days: 1, words: "Nobody has said yet how long it keeps." },
  notes: "",
});
