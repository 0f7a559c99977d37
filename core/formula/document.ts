import { z } from "zod";
import { type Problem, type Result, ok, refuse } from "../result";
import { groupSchema } from "./amount";
import { type Step, stepSchema } from "./steps";

/** Version of the document's shape; older ones are lifted when read. */
export const DOCUMENT_SCHEMA = 1;

export const formulaSchema = z.strictObject({
  schema: z.literal(DOCUMENT_SCHEMA),
  name: z.string().trim().min(1, "Give the formula a name.").max(120),
  family: z.enum(["stock", "glace"]),
  school: z.string().max(120),
  /** What lies on the table, and how much of it. */
  base: z.strictObject({ name: z.string().min(1).max(80), massG: z.number().positive().max(1_000_000) }),
  groups: z.array(groupSchema).max(20),
  portionG: z.number().positive().max(10_000),
  overagePct: z.number().min(0).max(100),
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
 * Reads a stored or sent formula.
 * @errors MISSING / OUT_OF_RANGE with the path; DUPLICATE two steps or lines with one id
 */
export function readFormula(input: unknown): Result<FormulaDocument> {
  const parsed = formulaSchema.safeParse(input);
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
