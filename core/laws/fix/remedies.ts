import type { FactValues } from "../../ground/facts";
import { type Problem, type Result, checkNumber, ok, refuse } from "../../ground/result";
import { bodyOf, fatPctOf, problemsOf } from "../texture";
import { BODY_REMEDIES } from "./body-remedies";
import type { Complaint } from "./complaint";
import { EMULSION_REMEDIES } from "./emulsion-remedies";
import { type Mend, USUAL, mendingOf } from "./mending";
import type { FixInput, FixTarget, Remedy } from "./remedy";
import { REPAIRS } from "./repairs";
import { TASTE_REMEDIES } from "./taste-remedies";

const MENDS: Readonly<Record<Complaint, Mend>> = { ...BODY_REMEDIES, ...TASTE_REMEDIES, ...REPAIRS };
const MENDS_EMULSION: typeof MENDS = { ...MENDS, ...EMULSION_REMEDIES };

/** What is called greasy wants at least so much less, whatever its class: share of the fat that may stay. Our estimate. */
const LESS_GREASY = 0.6;
const LEAST_FAT_PCT = 0.01;

/**
 * Remedies for a complaint: what to add, how many grams, in which order, and what that does to everything else.
 *
 * @param input the sauce in g, the temperature it is eaten at, and where it should be
 * @errors those of the sauce; that its body is beyond the model only where the body is complained of · OUT_OF_RANGE a target beyond what a sauce can be · UNREACHABLE it is not what it is accused of
 * Source: docs/models.md "Fixes" (F.5): mass balance, and body by the model.
 * @example 2.24 kg at 1.50 % salt to 0.90 %: 1.4933 kg unsalted water, or 0.896 kg exchanged
 */
export function remediesFor(
  complaint: Complaint,
  input: FixInput,
  facts: FactValues,
): Result<readonly Remedy[]> {
  const impossible = problemsOf(input.state, input.temperatureC);
  if (impossible.length) return refuse(...impossible);
  const body = input.emulsion ? null : bodyOf(input.state, input.temperatureC, facts);
  // What has become a glaze or a dough can still be too salty.
  if (body && !body.ok && complaint in BODY_REMEDIES) return body;
  const usualFat = Math.max(LEAST_FAT_PCT, Math.min(USUAL.fatPct, LESS_GREASY * fatPctOf(input.state)));
  const target = { ...USUAL, fatPct: usualFat, ...definedOf(input.target) };
  const problems: Problem[] = [
    ...checkNumber(target.thickness, "target.thickness", "The body wanted", { min: 2, max: 95 }),
    ...checkNumber(target.saltPct, "target.saltPct", "The salt wanted", { min: 0, max: 10, unit: "%" }),
    ...checkNumber(target.acidPct, "target.acidPct", "The acid wanted", { min: 0.001, max: 10, unit: "%" }),
    ...checkNumber(target.fatPct, "target.fatPct", "The fat wanted", { min: 0.01, max: 90, unit: "%" }),
  ];
  if (problems.length) return refuse(...problems);
  const mending = mendingOf(input, target, facts);
  const problem = (input.emulsion ? MENDS_EMULSION : MENDS)[complaint](mending);
  return problem ? refuse(problem) : ok(mending.found, body?.ok ? body.warnings : []);
}

function definedOf(target: FixTarget): Partial<typeof USUAL> {
  return Object.fromEntries(Object.entries(target).filter(([, value]) => value !== undefined)) as Partial<
    typeof USUAL
  >;
}
