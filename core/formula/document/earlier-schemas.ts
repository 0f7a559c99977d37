/** Documents as they come from outside: nothing is known of them yet. */
type Loose = Readonly<Record<string, unknown>>;

const isLoose = (x: unknown): x is Loose => typeof x === "object" && x !== null && !Array.isArray(x);

/** Schema 1 knew two families, no choices, no targets and no way of serving. */
const FAMILY_OF_1: Readonly<Record<string, string>> = { stock: "brown-stock", glace: "glace" };

const from1 = (document: Loose): Loose => ({
  ...document,
  schema: 2,
  family: FAMILY_OF_1[String(document.family)] ?? "own",
  choices: {},
  servedAs: "stock",
  targets: [],
});

/** The flame a new reduction once had, whether or not anybody wanted it. */
const USUAL_FLAME_OF_2 = 0.6;

/** Schema 2 put the same flame under every reduction; where nobody set another, it is now chosen as it goes best. */
const from2 = (document: Loose): Loose => ({
  ...document,
  schema: 3,
  steps: Array.isArray(document.steps) ? document.steps.map(withoutUsualFlame) : document.steps,
});

function withoutUsualFlame(step: unknown): unknown {
  if (!isLoose(step) || step.kind !== "reduce" || step.setting !== USUAL_FLAME_OF_2) return step;
  const { setting: _usual, ...rest } = step;
  return rest;
}

/** One lift a version: each takes a document of its number to the next. */
const FROM_SCHEMA: Readonly<Record<number, (document: Loose) => Loose>> = { 1: from1, 2: from2 };

/**
 * Brings a document of an earlier schema up to today's, step by step. What is no document, or is of a number nobody
 * knows, comes back untouched: reading it will refuse it with the reason.
 */
export function toCurrentSchema(input: unknown): unknown {
  let document = input;
  while (isLoose(document) && typeof document.schema === "number") {
    const lift = FROM_SCHEMA[document.schema];
    if (!lift) break;
    document = lift(document);
  }
  return document;
}
