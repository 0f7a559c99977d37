import { z } from "zod";
import {
  type FormulaDocument,
  type KitchenData,
  DOCUMENT_SCHEMA,
  formulaSchema,
  linesOf,
  readFormula,
  sameValue,
} from "../formula";
import { type Ingredient, checkIngredient, ingredientSchema } from "../things/larder";
import { readJson } from "../ground/json";
import { checkId } from "../ground/names";
import { type Problem, type Result, ok, refuse } from "../ground/result";
import { formulaIn } from "../formula";

/** Formulas with everything they are made of: what one kitchen gives to another. */
export interface FormulaBundle {
  readonly formulas: readonly { readonly id: string; readonly document: FormulaDocument }[];
  readonly ingredients: readonly Ingredient[];
}

export const BUNDLE_FORMAT = "hondaro-formulas";
const BUNDLE_VERSION = 1;

/** The envelope as it lies in a file; what is inside is checked one by one, so that each can be refused by name. */
const envelopeSchema = z.object({
  format: z.literal(BUNDLE_FORMAT),
  version: z.literal(BUNDLE_VERSION),
  formulas: z.array(z.object({ id: z.string().min(1).max(40), document: z.unknown() })).max(2000),
  ingredients: z.array(z.unknown()).max(5000).default([]),
});

/** The formulas asked for, those their lines draw on, and the ingredients of all of them. */
export function bundleOf(ids: readonly string[], kitchen: KitchenData): FormulaBundle {
  const taken = new Map<string, FormulaDocument>();
  const take = (id: string) => {
    const document = formulaIn(kitchen, id);
    if (!document || taken.has(id)) return;
    taken.set(id, document);
    for (const line of linesOf(document)) if ("formula" in line.of) take(line.of.formula);
  };
  ids.forEach(take);
  const used = new Set(
    [...taken.values()].flatMap(linesOf).flatMap(line => ("larder" in line.of ? [line.of.larder] : [])),
  );
  return {
    formulas: [...taken].map(([id, document]) => ({ id, document })).sort((a, b) => (a.id < b.id ? -1 : 1)),
    ingredients: kitchen.ingredients.filter(i => used.has(i.id)),
  };
}

export const writeBundle = (bundle: FormulaBundle): string =>
  `${JSON.stringify({ format: BUNDLE_FORMAT, version: BUNDLE_VERSION, ...bundle }, null, 2)}\n`;

/**
 * Reads a file of formulas: a bundle, or one bare formula.
 * @errors NOT_UNDERSTOOD it is not such a file · those of `readFormula`, each with the name of its formula
 */
export function readBundle(text: string): Result<FormulaBundle> {
  const json = readJson(text.replace(/^\uFEFF/, ""));
  if (!json.ok) return json;
  const raw = json.value;
  const bare = readFormula(raw);
  if (bare.ok) return ok({ formulas: [{ id: "", document: bare.value }], ingredients: [] });
  const envelope = envelopeSchema.safeParse(raw);
  if (!envelope.success)
    return looksBare(raw)
      ? refuse(...bare.problems)
      : refuse(
          notUnderstood(
            "This is neither a formula nor a file of formulas. Take one away from the Bench to see what it looks like.",
          ),
        );
  const problems: Problem[] = [];
  const formulas = envelope.data.formulas.flatMap(({ id, document }) => {
    const read = readFormula(document);
    if (read.ok) return [{ id, document: read.value }];
    problems.push(...read.problems.map(p => ({ ...p, message: `${nameIn(document) ?? id}: ${p.message}` })));
    return [];
  });
  const ingredients = envelope.data.ingredients.flatMap((one, i) => {
    const parsed = ingredientSchema.safeParse(one);
    const checked = parsed.success ? checkIngredient(parsed.data) : null;
    if (parsed.success && checked?.ok) return [parsed.data];
    const why = checked && !checked.ok ? checked.problems[0]?.message : parsed.error?.issues[0]?.message;
    problems.push({
      code: "NOT_UNDERSTOOD",
      field: `ingredients.${i}`,
      message: `${nameIn(one) ?? `ingredient ${i + 1}`}: ${why ?? "it cannot be read."}`,
    });
    return [];
  });
  return problems.length ? refuse(...problems) : ok({ formulas, ingredients });
}

/** What bringing a bundle in would do here. */
export interface Arrival {
  readonly id: string;
  readonly document: FormulaDocument;
  /** `newer`: this kitchen has the formula and it differs; it would become its next version. */
  readonly kind: "new" | "same" | "newer";
}

export interface Arrivals {
  readonly formulas: readonly Arrival[];
  /** Ingredients this larder does not have yet. */
  readonly ingredients: readonly Ingredient[];
}

/**
 * Holds a bundle against what the kitchen has. Its own ingredients are never changed by a formula that comes in.
 * @param newId a fresh id for a formula that brings none
 * @errors UNKNOWN_ID an ingredient or formula that is neither here nor in the file · DUPLICATE · those of `checkId`
 */
export function arrivalsOf(
  bundle: FormulaBundle,
  kitchen: KitchenData,
  newId: () => string,
): Result<Arrivals> {
  const wrong = wrongIds(bundle, kitchen);
  if (wrong.length) return refuse(...wrong);
  const here = new Set(kitchen.ingredients.map(i => i.id));
  const ingredients = bundle.ingredients.filter(i => !here.has(i.id));
  const known = new Set([...here, ...ingredients.map(i => i.id)]);
  const formulas = bundle.formulas.map(({ id, document }): Arrival => {
    const own = id ? formulaIn(kitchen, id) : undefined;
    const kind = !own ? "new" : sameValue(own, document) ? "same" : "newer";
    return { id: id || newId(), document, kind };
  });
  const made = new Set([...Object.keys(kitchen.formulas), ...formulas.map(f => f.id)]);
  const problems = formulas.flatMap(({ document }) =>
    linesOf(document).flatMap((line): Problem[] => {
      const id = "larder" in line.of ? line.of.larder : line.of.formula;
      return ("larder" in line.of ? known : made).has(id)
        ? []
        : [
            {
              code: "UNKNOWN_ID",
              field: line.id,
              value: id,
              message: `${document.name}: “${id}” is neither here nor in the file. Enter it ${"larder" in line.of ? "in the Larder" : "on the Bench"} first.`,
            },
          ];
    }),
  );
  return problems.length ? refuse(...problems) : ok({ formulas, ingredients });
}

/** Ids that could not be kept, or that would meet another: tables take `Case` and `case` for one. */
function wrongIds(bundle: FormulaBundle, kitchen: KitchenData): Problem[] {
  const problems: Problem[] = [];
  const look = (what: string, ids: readonly string[], own: readonly string[]) => {
    const seen = new Map(own.map(id => [id.toLowerCase(), id]));
    const inFile = new Set<string>();
    for (const id of ids) {
      problems.push(...checkId(id, what));
      const known = seen.get(id.toLowerCase());
      if (inFile.has(id.toLowerCase()) || (known !== undefined && known !== id))
        problems.push({
          code: "DUPLICATE",
          field: what,
          value: id,
          message: `The id “${id}” stands ${inFile.has(id.toLowerCase()) ? "in the file twice" : `here as “${known}”`}. Give one of them another.`,
        });
      inFile.add(id.toLowerCase());
    }
  };
  const named = bundle.formulas.filter(f => f.id);
  look(
    "formulas",
    named.map(f => f.id),
    Object.keys(kitchen.formulas),
  );
  look(
    "ingredients",
    bundle.ingredients.map(i => i.id),
    kitchen.ingredients.map(i => i.id),
  );
  return problems;
}

/** JSON Schema (draft 2020-12) of the formula document, from the schema the code reads with. */
export const formulaJsonSchema = (): object => ({
  ...z.toJSONSchema(formulaSchema, { io: "input", unrepresentable: "any", reused: "ref" }),
  title: `Hondaro formula, schema ${DOCUMENT_SCHEMA}`,
});

const notUnderstood = (message: string): Problem => ({ code: "NOT_UNDERSTOOD", field: "file", message });

const looksBare = (raw: unknown): boolean =>
  typeof raw === "object" && raw !== null && "steps" in raw && "base" in raw;

const nameIn = (raw: unknown): string | null =>
  typeof raw === "object" && raw !== null && "name" in raw && typeof raw.name === "string" ? raw.name : null;
