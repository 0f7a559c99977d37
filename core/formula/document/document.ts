import { z } from "zod";
import { type Problem, type Result, ok, refuse } from "../../ground/result";
import { groupSchema } from "../steps/amount";
import { toCurrentSchema } from "./earlier-schemas";
import { SERVED_AS } from "./served-as";
import { type Step, stepSchema } from "../steps";

/** Version of the document's shape; older ones are lifted when read. */
export const DOCUMENT_SCHEMA = 3;

/** What a finished sauce can be asked to be: per cent, °Bx, body 0–100, g, portions or money. */
export const TARGETS = [
  "salt",
  "sugar",
  "acid",
  "fat",
  "brix",
  "body",
  "finishedG",
  "portions",
  "cost",
] as const;
export type TargetKind = (typeof TARGETS)[number];
export const targetSchema = z.strictObject({
  what: z.enum(TARGETS),
  value: z.number().positive().max(10_000_000),
  /** How far off still counts as there, in the same unit. */
  tolerance: z.number().positive().max(1_000_000),
});
export type FormulaTarget = z.infer<typeof targetSchema>;

export const formulaSchema = z.strictObject({
  schema: z.literal(DOCUMENT_SCHEMA),
  name: z.string().trim().min(1, "Give the formula a name.").max(120),
  /** Id of the family whose method it follows, such as `pan-sauce`; `own` for none. */
  family: z.string().min(1).max(40),
  school: z.string().max(120),
  /** School taken for each of the family’s choices, by their ids. */
  choices: z.record(z.string().max(40), z.string().max(40)),
  /** What lies on the table, and how much of it. */
  base: z.strictObject({ name: z.string().min(1).max(80), massG: z.number().positive().max(1_000_000) }),
  groups: z.array(groupSchema).max(20),
  portionG: z.number().positive().max(10_000),
  overagePct: z.number().min(0).max(100),
  /** How it goes to the table: decides which salt and fat are usual. */
  servedAs: z.enum(SERVED_AS),
  /** Temperature at which its body counts, °C; 60 for what is cooked, 20 for what is not, where nobody says. */
  servedC: z.number().min(0).max(90).optional(),
  targets: z.array(targetSchema).max(TARGETS.length),
  /** Price on the menu and the share of it the sauce may cost. */
  price: z
    .strictObject({
      menu: z.number().positive().max(100_000).optional(),
      sharePct: z.number().positive().max(100).optional(),
    })
    .optional(),
  steps: z.array(stepSchema).max(60),
  storage: z.strictObject({
    keepC: z.number().min(-40).max(20),
    days: z.number().int().min(0).max(400),
    words: z.string().max(300),
  }),
  notes: z.string().max(2000),
});

/** A formula: a line of steps that moves a pot from state to state. */
export type FormulaDocument = Omit<z.infer<typeof formulaSchema>, "steps"> & {
  readonly steps: readonly Step[];
};

/**
 * Reads a stored or sent formula; documents of an earlier schema are lifted first.
 * @errors MISSING / OUT_OF_RANGE with the path; DUPLICATE two steps or lines with one id
 */
export function readFormula(input: unknown): Result<FormulaDocument> {
  const parsed = formulaSchema.safeParse(toCurrentSchema(input));
  if (!parsed.success)
    return refuse(
      ...parsed.error.issues.map((issue): Problem => ({
        code: issue.code === "invalid_type" ? "MISSING" : "OUT_OF_RANGE",
        field: issue.path.join("."),
        message: `${issue.path.join(" › ") || "The formula"}: ${issue.message}`,
      })),
    );
  const document = parsed.data as FormulaDocument;
  const ids = document.steps.flatMap(step => [step.id, ...step.lines.map(line => line.id)]);
  const twice = ids.find((id, i) => ids.indexOf(id) !== i);
  if (twice)
    return refuse({
      code: "DUPLICATE",
      field: "steps",
      value: twice,
      message: `Two steps or lines share the id ${twice}.`,
    });
  return ok(document);
}

/** All lines of a formula, in order. */
export const linesOf = (document: FormulaDocument) => document.steps.flatMap(step => step.lines);
