import type { AmountRelation, FormulaTarget, Group, Line, Step, StepKindName } from "../formula";
import { STEP_KINDS } from "../formula";

/** A short hand for writing templates: amounts, lines and steps as a cook would say them. */

export const pct = (share: number): AmountRelation => ({ kind: "share-of-base", pct: share });
export const perLitre = (gPerL: number): AmountRelation => ({ kind: "per-litre", gPerL });
export const perKg = (gPerKg: number): AmountRelation => ({ kind: "per-kg", gPerKg });
export const parts = (count: number, group = "mirepoix"): AmountRelation => ({
  kind: "part",
  group,
  parts: count,
});
export const toSalt = (value: number): AmountRelation => ({ kind: "to-reach", what: "salt", value });
export const byFeel = (massG: number): AmountRelation => ({ kind: "by-feel", massG });

/** A line from the larder. Its id is the ingredient's, so that a template has each once; `as` tells two apart. */
export const from = (larder: string, amount: AmountRelation, as = larder): Line => ({
  id: `${as}-line`,
  of: { larder },
  amount,
  certainty: amount.kind === "by-feel" ? "assumed" : "stated",
});
/** A line whose amount nobody has settled: it is assumed, and asks. */
export const guess = (larder: string, amount: AmountRelation, as = larder): Line => ({
  ...from(larder, amount, as),
  certainty: "assumed",
});

type Fields<K extends StepKindName> = Partial<Omit<Extract<Step, { kind: K }>, "kind" | "id" | "lines">>;

/** A step of a kind with the kind's defaults where nothing else is said. */
export function step<K extends StepKindName>(
  kind: K,
  id: string,
  lines: readonly Line[] = [],
  fields: Fields<K> = {} as Fields<K>,
): Step {
  return { ...STEP_KINDS[kind].blank(id), lines: [...lines], ...fields } as Step;
}

export const mirepoix = (share: number, name = "mirepoix"): Group => ({
  id: "mirepoix",
  name,
  total: { kind: "share-of-base", pct: share },
});

export const saltTarget = (value: number, tolerance = 0.05): FormulaTarget => ({
  what: "salt",
  value,
  tolerance,
});
