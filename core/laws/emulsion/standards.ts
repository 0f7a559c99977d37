import { type EmulsionInput } from "./emulsion";
import { PHASES, massOf } from "./parts";

export interface StandardCheck {
  readonly name: string;
  readonly rule: string;
  /** What it has, per cent of the whole. */
  readonly hasPct: number;
  readonly wantsPct: number;
  readonly verdict: "inside" | "outside" | "cannot tell";
  /** Grams that are short of it. */
  readonly shortG: number;
}

/** Information only, all from memory and to be verified; never a legal opinion. */
const RULES = [
  { name: "mayonnaise, USA", rule: "21 CFR 169.140: vegetable oil 65 % or more", what: "oil", pct: 65 },
  { name: "salad dressing, USA", rule: "21 CFR 169.150: vegetable oil 30 % or more", what: "oil", pct: 30 },
  { name: "salad dressing, USA", rule: "21 CFR 169.150: yolk 4 % or more", what: "yolk", pct: 4 },
  {
    name: "mayonnaise, Codex 168-1989 (since revoked)",
    rule: "total fat 78.5 % or more",
    what: "fat",
    pct: 78.5,
  },
  { name: "mayonnaise, Codex 168-1989 (since revoked)", rule: "yolk 6 % or more", what: "yolk", pct: 6 },
  { name: "mayonnaise, European practice", rule: "total fat 70 % or more", what: "fat", pct: 70 },
  { name: "mayonnaise, European practice", rule: "yolk 5 % or more", what: "yolk", pct: 5 },
] as const;

/** What the rules as remembered would say; a temporary emulsion of butter is none of them. */
export function checkStandards(input: Pick<EmulsionInput, "oilG" | "oilKind" | "parts">): StandardCheck[] {
  if (input.oilKind !== "oil") return [];
  const total = input.oilG + massOf(input.parts);
  const whole = massOf(input.parts, "whole egg") > 0;
  const has = {
    oil: input.oilG,
    yolk: massOf(input.parts, "yolk"),
    fat: input.oilG + input.parts.reduce((sum, p) => sum + (PHASES[p.id].fat ?? 0) * p.massG, 0),
  };
  return RULES.map(({ name, rule, what, pct }): StandardCheck => {
    const hasPct = (100 * has[what]) / total;
    const short = hasPct < pct;
    return {
      name,
      rule,
      hasPct,
      wantsPct: pct,
      // How much of a whole egg is yolk nobody has said.
      verdict: what === "yolk" && whole && short ? "cannot tell" : short ? "outside" : "inside",
      shortG: short ? (total * pct - 100 * has[what]) / (100 - pct) : 0,
    };
  });
}
