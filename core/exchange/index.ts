export {
  type Arrival,
  type Arrivals,
  type FormulaBundle,
  arrivalsOf,
  bundleOf,
  formulaJsonSchema,
  readBundle,
  writeBundle,
} from "./bundle";
export { type Brought, readForeign } from "./foreign";
export { cardAsMarkdown } from "./markdown";
export { formulaAsRecipe, isoDuration } from "./recipe-jsonld";
export { linesTable } from "./lines-table";
