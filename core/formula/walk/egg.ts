import type { Ingredient } from "../../things/larder";
import type { FactValues } from "../../ground/facts";
import { type Result, ok, refuse } from "../../ground/result";
import type { FormulaDocument } from "../document/document";
import type { Walk } from "./walked";

/** How egg comes to a sauce: raw and never cooked, raw and meant to be cooked in it, or bought pasteurised. */
export type EggState = "raw" | "heated" | "pasteurised";

/**
 * From here on egg counts as cooked, °C – on a probe, never on a recipe.
 * Source: 9 CFR 590.570, from memory, to be verified; local codes differ.
 */
export const EGG_COOKED_C = 70;

const EGG_PHASES: ReadonlySet<string> = new Set(["yolk", "whole egg", "egg white"]);

/** Egg in an ingredient as it comes out of the larder; `null`: none. */
export const eggOf = ({ carries }: Ingredient): EggState | null =>
  carries?.egg ?? (carries?.phase && EGG_PHASES.has(carries.phase) ? "raw" : null);

/** The egg of a walked formula, sub-formulas included, at its least cooked; `null`: none goes in. */
export function eggIn({ states }: Pick<Walk, "states">): EggState | null {
  let worst: EggState | null = null;
  for (const { lines, sources, temperatureC } of states) {
    const added = lines.flatMap(l => eggOf(sources.get(l.lineId) as Ingredient) ?? []);
    if (added.includes("raw")) worst = "raw";
    else if (worst !== "raw")
      worst = (["heated", "pasteurised"] as const).find(e => e === worst || added.includes(e)) ?? null;
    if (worst === "raw" && temperatureC >= EGG_COOKED_C) worst = "heated";
  }
  return worst;
}

/** What guests are told. A planned temperature lifts no caution: only one that was measured does. */
export const EGG_LABEL: Readonly<Record<EggState, string>> = {
  raw: "raw egg – not for vulnerable guests",
  heated: `egg, lightly cooked: a probe that has shown ${EGG_COOKED_C} °C says so, not the recipe`,
  pasteurised: "pasteurised egg",
};

export const RAW_EGG_CAUTION =
  "Raw egg: cold at once, 5 °C or below; say so to vulnerable guests. Follow your local food code.";

/** Days it keeps: what the formula says, and no longer than its egg allows in this kitchen. */
export const keepsDays = (
  document: FormulaDocument,
  walked: Pick<Walk, "states">,
  facts: FactValues,
): number => Math.min(document.storage.days, mostDays(eggIn(walked), wentInRaw(walked), facts));

/** Whether raw egg goes in anywhere: heat that is only planned does not make it keep longer. */
const wentInRaw = ({ states }: Pick<Walk, "states">): boolean =>
  states.some(({ lines, sources }) =>
    lines.some(l => {
      const ingredient = sources.get(l.lineId);
      return ingredient !== undefined && eggOf(ingredient) === "raw";
    }),
  );

const mostDays = (egg: EggState | null, raw: boolean, facts: FactValues): number =>
  egg === "raw" || raw ? facts.rawEggDays : egg === "pasteurised" ? facts.pasteurisedEggDays : Infinity;

/** The same egg fresh and pasteurised, by their ids in the larder. */
const TWINS = [
  { raw: "egg-yolk", pasteurised: "pasteurised-yolk" },
  { raw: "egg", pasteurised: "pasteurised-egg" },
  { raw: "egg-white", pasteurised: "pasteurised-white" },
] as const;

/**
 * The formula with all its egg fresh, or all of it pasteurised; amounts and everything else stay.
 * @errors EMPTY no egg of its own goes in · UNKNOWN_ID the larder does not hold the other kind
 */
export function takeEgg(
  document: FormulaDocument,
  to: "raw" | "pasteurised",
  ingredientById: ReadonlyMap<string, Ingredient>,
): Result<FormulaDocument> {
  const from = to === "raw" ? "pasteurised" : "raw";
  const found = new Set<string>();
  const steps = document.steps.map(step => ({
    ...step,
    lines: step.lines.map(line => {
      const twin = "larder" in line.of && TWINS.find(t => t[from] === (line.of as { larder: string }).larder);
      if (!twin) return line;
      found.add(twin[to]);
      return { ...line, of: { larder: twin[to] } };
    }),
  }));
  if (!found.size)
    return refuse({
      code: "EMPTY",
      field: "steps",
      message: `No ${from} egg of its own goes into this formula.`,
    });
  const missing = [...found].find(id => !ingredientById.has(id));
  if (missing)
    return refuse({
      code: "UNKNOWN_ID",
      field: "steps",
      value: missing,
      message: `The larder holds no ${missing.replaceAll("-", " ")}. Write it in there first.`,
    });
  return ok({
    ...document,
    ...("eggs" in document.choices && { choices: { ...document.choices, eggs: to } }),
    steps,
  });
}
