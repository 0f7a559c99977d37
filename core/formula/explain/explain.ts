import { EXITS, type Exit, exitMass, liquorMass, potMass } from "../../things/pot";
import { g, printKilograms, printLength, printMass, printNumber, printVolume } from "../../ground/quantity";
import { displacedIn } from "../steps/shared";
import { geometryOfVessel } from "../../things/vessel";
import type { FormulaDocument } from "../document/document";
import { explainComputed } from "./explain-computed";
import { explainFigure } from "./explain-figure";
import { explainLine } from "./explain-line";
import { type Askable, type ExplainedInput, type Explanation, OWN_BOOKS } from "./explanation";
import type { Kitchen } from "../walk/kitchen";
import { type ProductKind, productKind } from "../walk/product";
import { kindOf } from "../steps";
import { type StateAfterStep, indexBefore, potBefore } from "../walk/walked";
import { walk } from "../walk/walk";
import type { Walk } from "../walk/walked";
import { formulaIn } from "../walk/kitchen";

const EXIT_WORDS: Record<Exit, string> = {
  vapour: "left as steam",
  skim: "skimmed off",
  strained: "kept back by the strainer",
  drained: "drained off",
  reject: "kept by the sieve",
  poured: "poured off",
};

/** Less than this has not left the pot, g. */
const LEAST_G = 0.5;

/**
 * Takes a number of a walked formula apart: the rule, its inputs, their sources, and what would sharpen it.
 * Following `then` leads down to what was weighed or typed, into the formulas a line draws on too.
 */
export function explain(
  asked: Askable,
  document: FormulaDocument,
  walked: Walk,
  kitchen: Kitchen,
): Explanation | null {
  return asked.of === undefined
    ? explainHere(asked, document, walked, kitchen)
    : explainElsewhere(asked, asked.of, kitchen);
}

/** A number of another formula; what it leads to is of that formula too, unless it leads on to a third. */
function explainElsewhere(asked: Askable, formulaId: string, kitchen: Kitchen): Explanation | null {
  const document = formulaIn(kitchen.data, formulaId);
  const found = document && explainHere(asked, document, walk(document, kitchen), kitchen);
  if (!found) return null;
  return {
    ...found,
    title: `${document.name}: ${found.title}`,
    inputs: found.inputs.map(input =>
      input.then ? { ...input, then: { of: formulaId, ...input.then } } : input,
    ),
  };
}

function explainHere(
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
      return explainLine(asked, document, walked, kitchen);
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
  const at = indexBefore(walked.states, index);
  const before = potBefore(walked.states, index);
  const inputs: ExplainedInput[] = [];
  if (before)
    inputs.push({
      label: "in the pot before",
      value: printKilograms(potMass(before)),
      basis: "exact",
      ...(at < 0
        ? { source: "lifted into it" }
        : { source: `after step ${at + 1}`, then: { ask: "mass" as const, step: at } }),
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
  const out = state.computed.filter(c => c.way === "out");
  for (const { what, massG } of out)
    inputs.push({
      label: what,
      value: `− ${printMass(massG)}`,
      basis: "estimate",
      source: "worked out",
      then: { ask: "computed", step: index, what },
    });
  // What a step does not name for itself still stands in the pot's books.
  for (const exit of out.length ? [] : EXITS) {
    const left = g(exitMass(state.pot, exit) - (before ? exitMass(before, exit) : 0));
    if (left >= LEAST_G)
      inputs.push({
        label: EXIT_WORDS[exit],
        value: `− ${printMass(left)}`,
        basis: "estimate",
        source: "worked out",
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
  const at = indexBefore(walked.states, index);
  const start = walked.states[at]?.volumeMl ?? null;
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
              then: { ask: "litres" as const, step: at },
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

/** What a line gives, in words, by what is left in its pot. */
const GIVES: Readonly<Record<ProductKind, string>> = {
  liquor: "The liquor in the pot after the last step, at 20 °C; floating fat does not count.",
  everything: "Everything in the pot after the last step, what is in pieces with it, at 20 °C.",
  fat: "The fat in the pot after the last step, at 20 °C: no liquor is left under it.",
};

function explainYield(walked: Walk): Explanation | null {
  const last = indexBefore(walked.states, walked.states.length);
  const pot = walked.states[last]?.pot;
  if (!pot || walked.finishedMl <= 0) return null;
  const kind = productKind(pot);
  return {
    title: "What this formula gives",
    value: `${printVolume(walked.finishedMl)}, ${printKilograms(walked.finishedG)}`,
    rule: GIVES[kind],
    symbols: "yield = Σ in − steam − strained − skimmed",
    inputs: [
      ...(kind === "liquor"
        ? [
            {
              label: "litres after the last step",
              value: printVolume(walked.finishedMl),
              basis: "estimate" as const,
              source: "walked along the line",
              then: { ask: "litres" as const, step: last },
            },
          ]
        : []),
      {
        label: "mass after the last step",
        value: printKilograms(walked.finishedG),
        basis: "estimate",
        source: "walked along the line",
        then: { ask: "mass", step: last },
      },
    ],
    sharpen: "Weigh or jug what comes out at the end: it is the largest unknown.",
  };
}
