import { BASIS_OF_MARK } from "../estimate";
import { EXITS, type Exit, exitMass, liquorMass } from "../pot";
import { printKilograms, printLength, printMass, printNumber, printVolume } from "../quantity";
import { displacedIn } from "./steps/shared";
import { geometryOfVessel } from "../vessel";
import { type RelationNames, relationInWords } from "./amount";
import type { FormulaDocument } from "./document";
import { explainComputed } from "./explain-computed";
import { explainFigure } from "./explain-figure";
import { type Askable, type ExplainedInput, type Explanation, OWN_BOOKS } from "./explanation";
import type { Kitchen } from "./kitchen";
import { kindOf } from "./steps";
import type { StateAfterStep } from "./state-after";
import type { Walk } from "./walk";

const EXIT_WORDS: Record<Exit, string> = {
  vapour: "left as steam",
  skim: "skimmed off",
  strained: "kept back by the strainer",
  drained: "drained off",
  reject: "kept by the sieve",
  poured: "poured off",
};

/**
 * Takes a number of a walked formula apart: the rule, its inputs, their sources, and what would sharpen it.
 * Following `then` leads down to what was weighed or typed.
 */
export function explain(
  asked: Askable,
  document: FormulaDocument,
  walked: Walk,
  kitchen: Kitchen,
): Explanation | null {
  if (asked.ask === "yield") return explainYield(walked);
  const state = walked.states[asked.step];
  if (!state) return null;
  switch (asked.ask) {
    case "mass":
      return explainMass(asked.step, state, walked);
    case "litres":
      return explainLitres(asked.step, state);
    case "mark":
      return explainMark(asked.step, state, walked, kitchen);
    case "line":
      return explainLine(asked.lineId, state, document);
    case "figure":
      if (asked.figure === "mass") return explainMass(asked.step, state, walked);
      if (asked.figure === "litres") return explainLitres(asked.step, state);
      return explainFigure(asked, state, walked);
    case "computed":
      return explainComputed(asked, document, state, walked, kitchen);
  }
}

const titleOf = (state: StateAfterStep): string =>
  kindOf(state.step).title(
    state.step,
    state.lines.map(l => l.name),
  );

function explainMass(index: number, state: StateAfterStep, walked: Walk): Explanation {
  const before = walked.states[index - 1];
  const inputs: ExplainedInput[] = [];
  if (before)
    inputs.push({
      label: "in the pot before",
      value: printKilograms(before.massG),
      basis: "exact",
      source: `after step ${index}`,
      then: { ask: "mass", step: index - 1 },
    });
  for (const line of state.lines)
    inputs.push({
      label: line.name,
      value: `+ ${printMass(line.massG)}`,
      basis: line.certainty === "assumed" ? "estimate" : "exact",
      source: line.certainty,
      then: { ask: "line", step: index, lineId: line.lineId },
    });
  for (const computed of state.computed.filter(c => c.way === "in"))
    inputs.push({
      label: computed.what,
      value: `+ ${printMass(computed.massG)}`,
      basis: "estimate",
      source: "worked out",
      then: { ask: "computed", step: index, what: computed.what },
    });
  for (const exit of EXITS) {
    const left = exitMass(state.pot, exit) - (before ? exitMass(before.pot, exit) : 0);
    if (left < 0.5) continue;
    const computed = state.computed.find(c => c.way === "out");
    inputs.push({
      label: EXIT_WORDS[exit],
      value: `− ${printMass(left as never)}`,
      basis: "estimate",
      source: "worked out",
      ...(computed && { then: { ask: "computed", step: index, what: computed.what } as const }),
    });
  }
  return {
    title: `In the pot after “${titleOf(state)}”`,
    value: printKilograms(state.massG),
    rule: "What was in the pot, plus what went in, less what left.",
    symbols: "m = m₀ + Σ in − Σ out",
    inputs,
    sharpen: "Weigh the pot after this step; the next steps then start from the weighed grams.",
  };
}

function explainLitres(index: number, state: StateAfterStep): Explanation | null {
  if (state.volumeMl === null) return null;
  const mass = liquorMass(state.pot);
  return {
    title: `Litres after “${titleOf(state)}”`,
    value: printVolume(state.volumeMl),
    rule: "The liquor alone, without bones or floating fat, at 20 °C: its mass over its density.",
    symbols: "V = m / ρ(20 °C)",
    inputs: [
      {
        label: "liquor",
        value: printKilograms(mass),
        basis: "exact",
        source: OWN_BOOKS,
        then: { ask: "mass", step: index },
      },
      {
        label: "density at 20 °C",
        value: `${printNumber(mass / state.volumeMl, 4)} g/ml`,
        basis: "published",
        source: "water: Kell 1975; fat, starch, fibre: Choi & Okos 1986; dissolved solids: own fits",
        range: "± 0.3 %",
      },
    ],
    sharpen: "Pour it into a marked jug, or dip the stick and log the level.",
  };
}

function explainMark(
  index: number,
  state: StateAfterStep,
  walked: Walk,
  kitchen: Kitchen,
): Explanation | null {
  const { mark, vessel } = state;
  if (!mark || !vessel) return null;
  const start = walked.states[index - 1]?.volumeMl ?? null;
  const displaced = displacedIn(state.pot, kitchen.facts);
  return {
    title: `Dip-stick mark of “${titleOf(state)}”`,
    value: printLength(mark.markMm),
    rule: "The height at which the wanted volume stands in this very pot, as hot as it will be, with the same solids in it.",
    symbols: "h = h(r · V + V solids)",
    inputs: [
      {
        label: "pot",
        value: `${vessel.name}, ${printNumber(geometryOfVessel(vessel).baseDiameterMm)} mm inside`,
        basis: "measured",
        source: "the kitchen’s tape measure",
        range: "± 2 %",
      },
      ...(start === null
        ? []
        : [
            {
              label: "liquor at the start",
              value: printVolume(start),
              basis: "exact" as const,
              source: "after the step before",
              then: { ask: "litres" as const, step: index - 1 },
            },
          ]),
      {
        label: "level at the start",
        value: printLength(mark.startMm),
        basis: "exact",
        source: "geometry of the pot",
      },
      ...(state.volumeMl !== null && start
        ? [
            {
              label: "share left",
              value: `${printNumber((100 * state.volumeMl) / start, 1)} %`,
              basis: "exact" as const,
              source: "the target of the step, by volume at 20 °C",
            },
          ]
        : []),
      ...(displaced > 0
        ? [
            {
              label: "taken up by solids",
              value: printVolume(displaced),
              basis: "estimate" as const,
              source: "density of what stands in the pot",
            },
          ]
        : []),
    ],
    sharpen: "Measure the pot by pouring litres in; then the mark is exact for it.",
  };
}

function explainLine(lineId: string, state: StateAfterStep, document: FormulaDocument): Explanation | null {
  const amount = state.lines.find(line => line.lineId === lineId);
  const line = document.steps.flatMap(step => step.lines).find(l => l.id === lineId);
  if (!amount || !line) return null;
  const ingredient = state.sources.get(lineId);
  const relation = line.amount;
  const group = relation.kind === "part" ? document.groups.find(x => x.id === relation.group) : undefined;
  const inputs: ExplainedInput[] = [
    {
      label: `the ${document.base.name}`,
      value: printMass(document.base.massG as never),
      basis: "measured",
      source: "what lies on the table, typed here",
    },
  ];
  if (group)
    inputs.push({
      label: group.name,
      value: relationInWords(group.total, namesIn(document, state)),
      basis: "exact",
      source: "this formula",
    });
  if (ingredient && ingredient.ediblePct < 100)
    inputs.push({
      label: "as purchased",
      value: `${printMass(amount.purchasedG)} at ${ingredient.ediblePct} % used`,
      basis:
        ingredient.edibleSource.mark === "measured"
          ? "measured"
          : BASIS_OF_MARK[ingredient.edibleSource.mark],
      source: ingredient.edibleSource.text,
    });
  return {
    title: amount.name,
    value: printMass(amount.massG),
    rule: relationInWords(relation, namesIn(document, state)),
    symbols:
      relation.kind === "part"
        ? "m = total · parts / Σ parts"
        : relation.kind === "share-of-base"
          ? "m = base · share"
          : relation.kind === "per-litre"
            ? "m = g/l · litres finished"
            : relation.kind === "to-reach"
              ? "m = m₀ · (s − s₀) / (c − s)"
              : "m as typed",
    inputs: [
      ...inputs,
      ...(line.typed
        ? [
            {
              label: "typed as",
              value: line.typed,
              basis: "exact" as const,
              source: "converted once to grams",
            },
          ]
        : []),
    ],
    sharpen:
      amount.certainty === "assumed"
        ? "This amount is assumed: weigh it once while cooking."
        : "Weigh it in on the Stove.",
  };
}

function explainYield(walked: Walk): Explanation | null {
  const last = walked.states.length - 1;
  if (last < 0 || walked.finishedMl <= 0) return null;
  return {
    title: "What this formula gives",
    value: `${printVolume(walked.finishedMl)}, ${printKilograms(walked.finishedG)}`,
    rule: "The liquor in the pot after the last step, at 20 °C; floating fat does not count.",
    symbols: "yield = Σ in − steam − strained − skimmed",
    inputs: [
      {
        label: "litres after the last step",
        value: printVolume(walked.finishedMl),
        basis: "estimate",
        source: "walked along the line",
        then: { ask: "litres", step: last },
      },
      {
        label: "mass after the last step",
        value: printKilograms(walked.finishedG),
        basis: "estimate",
        source: "walked along the line",
        then: { ask: "mass", step: last },
      },
    ],
    sharpen: "Weigh or jug what comes out of the strainer: it is the largest unknown.",
  };
}

/** Names for relations: the base, the groups, and the ingredients of other lines. */
export const namesIn = (
  document: FormulaDocument,
  state?: { readonly sources: ReadonlyMap<string, { readonly name: string }> },
): RelationNames => ({
  baseName: document.base.name,
  groups: document.groups,
  lineName: id => state?.sources.get(id)?.name,
});
