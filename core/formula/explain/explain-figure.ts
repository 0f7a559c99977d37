import { BASIS_OF_MARK, type Basis } from "../../ground/estimate";
import type { Composition } from "../../things/larder";
import { type Pools, liquorMass, massOfPools } from "../../things/pot";
import { g, printKilograms, printMass, printNumber } from "../../ground/quantity";
import { bandOf } from "../../laws/texture";
import { costOfIngredient } from "../walk/ingredient-cost";
import { type Askable, type ExplainedInput, type Explanation, OWN_BOOKS } from "./explanation";
import { FIGURES, type FigureId, eatenOf } from "../walk/figures";
import { kindOf } from "../steps";
import type { StateAfterStep } from "../walk/walked";
import type { Walk } from "../walk/walked";

/** What of an ingredient and of the pot a share counts. */
const COUNTS: Partial<
  Record<FigureId, { of: (c: Composition) => number; in: (p: Pools) => number; word: string }>
> = {
  fat: { of: c => c.fat, in: p => p.fat, word: "fat" },
  salt: { of: c => c.salt, in: p => p.salt, word: "salt" },
  sugar: { of: c => c.sugars, in: p => p.sugars, word: "sugar" },
  acid: { of: c => c.acid, in: p => p.acidVolatile + p.acidFixed, word: "acid" },
  alcohol: { of: c => c.ethanol, in: p => p.ethanol, word: "alcohol" },
  gelatin: { of: c => c.collagen, in: p => p.collagen, word: "gelatin" },
  starch: { of: c => c.starch, in: p => p.starch, word: "starch" },
};
const DISSOLVED = {
  of: (c: Composition) => c.sugars + c.salt + c.collagen + c.other,
  word: "dissolved solids",
};
/** A contribution smaller than this is left out of the list. */
const LEAST_SHARE = 0.002;

const RULES: Partial<Record<FigureId, { rule: string; symbols: string }>> = {
  brix: {
    rule: "Dissolved solids as a refractometer reads them: sugar as sugar, the rest by its own effect on the reading.",
    symbols: "°Bx ≈ 100 · Σ kᵢ mᵢ / m",
  },
  alcohol: { rule: "Alcohol in the liquor by volume at 20 °C.", symbols: "% vol = V(ethanol) / V · 100" },
  temperature: {
    rule: "Heat in, less heat out, over everything that has to be warmed.",
    symbols: "ΔT = Q / Σ m c",
  },
  minutes: { rule: "The times of the steps so far, one after the other.", symbols: "t = Σ tᵢ" },
  cost: { rule: "What went in so far, as purchased, at today’s prices.", symbols: "Σ m / yield · price" },
};
const SHARE_RULE =
  "Grams in the liquor over the grams of liquor. Water that leaves makes it climb; it does not leave itself.";

/** Takes a thread's figure apart: what brought it, step by step, down to the weighed lines. */
export function explainFigure(
  asked: Extract<Askable, { ask: "figure" }>,
  state: StateAfterStep,
  walked: Walk,
): Explanation | null {
  const figure = FIGURES[asked.figure];
  const value = figure.of(state);
  if (value === null) return null;
  const title = kindOf(state.step).title(
    state.step,
    state.lines.map(l => l.name),
  );
  if (asked.figure === "body") return explainBody(asked, title, state);
  const own = RULES[asked.figure];
  return {
    title: `${figure.words} after “${title}”`,
    value: `${printNumber(value, figure.decimals)} ${figure.unit}`.trim(),
    rule: own?.rule ?? SHARE_RULE,
    symbols: own?.symbols ?? "s = m(part) / m(liquor) · 100",
    inputs: inputsOf(asked, state, walked),
    sharpen: SHARPEN[asked.figure] ?? "Weigh what goes in, and the pot after this step.",
  };
}

const SHARPEN: Partial<Record<FigureId, string>> = {
  brix: "A drop on the refractometer, cooled to room temperature.",
  salt: "Weigh the salt in; enter the salt of bought stock from its label.",
  temperature: "The probe, in the middle, stirred.",
  minutes: "Log when steps begin and end: the kitchen’s own pace then counts.",
  cost: "Today’s prices in the Larder, and what trim is used for.",
  gelatin: "A chilled cube: how it stands tells how much there is.",
  alcohol: "Time at the boil, written down; the estimate is never a promise.",
};

function inputsOf(
  asked: Extract<Askable, { ask: "figure" }>,
  state: StateAfterStep,
  walked: Walk,
): ExplainedInput[] {
  const so = walked.states.slice(0, asked.step + 1);
  if (asked.figure === "cost")
    return so.flatMap((s, step) =>
      s.lines.flatMap((line): ExplainedInput[] => {
        const ingredient = s.sources.get(line.lineId);
        const cost = ingredient ? costOfIngredient(ingredient, line.massG) : null;
        return [
          {
            label: line.name,
            value: cost === null ? "no price entered" : printNumber(cost, 2),
            basis: cost === null ? "estimate" : "measured",
            source: ingredient?.price
              ? `${printNumber(ingredient.price.perKg, 2)} a kg since ${ingredient.price.on}`
              : "Larder",
            then: { ask: "line", step, lineId: line.lineId },
          },
        ];
      }),
    );
  if (asked.figure === "minutes" || asked.figure === "temperature")
    return so.map((s, step) => ({
      label: `${step + 1}. ${kindOf(s.step).label.toLowerCase()}`,
      value:
        asked.figure === "minutes"
          ? `${printNumber(s.durationS / 60)} min`
          : `${printNumber(s.temperatureC)} °C`,
      basis: "estimate" as const,
      source: kindOf(s.step).detail(s.step) || "typed",
    }));
  const counts = COUNTS[asked.figure] ?? { ...DISSOLVED, in: null };
  const eaten = eatenOf(state);
  const inside = "in" in counts && counts.in ? counts.in(eaten) : null;
  const inputs: ExplainedInput[] = [
    {
      label: "liquor",
      value: printKilograms(g(liquorMass(state.pot) || massOfPools(eaten))),
      basis: "exact",
      source: OWN_BOOKS,
      then: { ask: "mass", step: asked.step },
    },
  ];
  if (inside !== null)
    inputs.push({
      label: `${counts.word} in it`,
      value: printMass(g(inside)),
      basis: "exact",
      source: OWN_BOOKS,
    });
  const brought = so.flatMap((s, step) =>
    s.lines.flatMap(line => {
      const ingredient = s.sources.get(line.lineId);
      const grams = ingredient ? (line.massG * counts.of(ingredient.composition)) / 100 : 0;
      return ingredient && grams > 0 ? [{ line, step, grams, ingredient }] : [];
    }),
  );
  const all = brought.reduce((sum, b) => sum + b.grams, 0);
  for (const { line, step, grams, ingredient } of brought.sort((a, b) => b.grams - a.grams)) {
    if (grams < LEAST_SHARE * all) continue;
    const mark = ingredient.compositionSource.mark;
    inputs.push({
      label: `${counts.word} from ${line.name}`,
      value: printMass(g(grams)),
      basis: mark === "measured" ? "measured" : (BASIS_OF_MARK[mark] satisfies Basis),
      source: ingredient.compositionSource.text,
      then: { ask: "line", step, lineId: line.lineId },
    });
  }
  return inputs;
}

/** Body taken apart: serum, network, droplets, and what each rests on. */
function explainBody(
  asked: Extract<Askable, { ask: "figure" }>,
  title: string,
  state: StateAfterStep,
): Explanation | null {
  const { body } = state;
  if (!body) return null;
  const ours = {
    basis: "estimate" as const,
    source: "our estimate, to be sharpened by the house’s own readings",
  };
  const inputs: ExplainedInput[] = [];
  if (body.emulsion)
    inputs.push(
      { label: "oil by volume", value: `${printNumber(100 * body.emulsion.fatVolume, 1)} %`, ...ours },
      { label: "water phase", value: `${printNumber(body.emulsion.waterPhaseMPas, 1)} mPa·s`, ...ours },
    );
  if (body.body) {
    const { perKg, serum, fatVolume, fatFreeG, viscosityMPas } = body.body;
    inputs.push(
      {
        label: "all but the fat",
        value: printKilograms(g(fatFreeG)),
        basis: "exact",
        source: OWN_BOOKS,
        then: { ask: "mass", step: asked.step },
      },
      { label: "gelatin thickens", value: `× ${printNumber(serum.gelatin, 2)}`, ...ours },
      { label: "what is dissolved thickens", value: `× ${printNumber(serum.dissolved, 2)}`, ...ours },
      { label: "milk thickens", value: `× ${printNumber(serum.milk, 2)}`, ...ours },
      { label: "starch, as flour", value: `${printNumber(perKg.starch, 1)} g/kg`, ...ours },
      { label: "yolk, as flour", value: `${printNumber(perKg.yolk, 1)} g/kg`, ...ours },
      { label: "set milk and cheese, as flour", value: `${printNumber(perKg.curd, 1)} g/kg`, ...ours },
      { label: "purée, as flour", value: `${printNumber(perKg.puree, 1)} g/kg`, ...ours },
      { label: "fat in drops", value: `${printNumber(100 * fatVolume, 1)} % by volume`, ...ours },
      { label: "viscosity", value: `${printNumber(viscosityMPas)} mPa·s at 50 1/s`, ...ours },
    );
  }
  return {
    title: `Body after “${title}”`,
    value: `${printNumber(body.thickness)}, ${bandOf(body.thickness).name} at ${printNumber(body.atC)} °C`,
    rule: "Serum × network × drops: what is dissolved thickens the water, swollen starch, yolk and purée stand in it, fat crowds it. Six more is twice as thick.",
    symbols: "H = 20 · log₁₀ η",
    inputs,
    sharpen: "A spoon line, a line plate or the syringe at a known temperature.",
  };
}
