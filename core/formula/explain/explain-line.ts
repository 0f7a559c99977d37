import { BASIS_OF_MARK } from "../../ground/estimate";
import { addPools, liquorMass, poolsOf } from "../../things/pot";
import { g, printKilograms, printMass, printNumber, printVolume } from "../../ground/quantity";
import { type AmountRelation, type Line, type RelationNames, relationInWords } from "../steps/amount";
import { type FormulaDocument, linesOf } from "../document/document";
import { type Askable, type ExplainedInput, type Explanation, OWN_BOOKS } from "./explanation";
import type { Kitchen } from "../walk/kitchen";
import { reachOf } from "../walk/line-amounts";
import { namesIn } from "../walk/names";
import { type StateAfterStep, indexBefore, potBefore } from "../walk/walked";
import type { Walk } from "../walk/walked";
import { formulaIn } from "../walk/kitchen";

const SYMBOLS: Readonly<Record<AmountRelation["kind"], string>> = {
  fixed: "m as typed",
  "by-feel": "m by hand",
  "share-of-base": "m = base · share",
  "per-litre": "m = g/l · litres finished",
  "per-kg": "m = g/kg · kg finished",
  "per-portion": "m = g a portion · portions",
  part: "m = total · parts / Σ parts",
  "equal-to": "m = factor · m(other)",
  "to-reach": "m = m₀ · (s − s₀) / (c − s)",
};

/** Takes a line's amount apart: what its relation counts on, what it draws on, and how it was typed. */
export function explainLine(
  asked: Extract<Askable, { ask: "line" }>,
  document: FormulaDocument,
  walked: Walk,
  kitchen: Kitchen,
): Explanation | null {
  const state = walked.states[asked.step];
  const amount = state?.lines.find(l => l.lineId === asked.lineId);
  const line = linesOf(document).find(l => l.id === asked.lineId);
  if (!state || !amount || !line) return null;
  const names = namesIn(document, state);
  return {
    title: amount.name,
    value: printMass(amount.massG),
    rule: relationInWords(line.amount, names),
    symbols: SYMBOLS[line.amount.kind],
    inputs: [
      ...countsOn(line, asked.step, document, walked, names),
      ...drawsOn(line, kitchen),
      ...asPurchased(amount, state),
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

/** What the relation of a line, or the total of its group, is counted on. */
function countsOn(
  line: Line,
  index: number,
  document: FormulaDocument,
  walked: Walk,
  names: RelationNames,
): readonly ExplainedInput[] {
  const relation = line.amount;
  switch (relation.kind) {
    case "fixed":
    case "by-feel":
    case "share-of-base":
    case "per-litre":
    case "per-kg":
    case "per-portion":
      return totalOf(relation, document, walked);
    case "part": {
      const group = document.groups.find(x => x.id === relation.group);
      if (!group) return [];
      const all = linesOf(document).reduce(
        (sum, { amount }) =>
          sum + (amount.kind === "part" && amount.group === relation.group ? amount.parts : 0),
        0,
      );
      return [
        {
          label: group.name,
          value: relationInWords(group.total, names),
          basis: "exact",
          source: `this formula; ${printNumber(all, 2)} parts in all`,
        },
        ...totalOf(group.total, document, walked),
      ];
    }
    case "equal-to":
      return walked.states.flatMap((state, step) =>
        state.lines
          .filter(other => other.lineId === relation.line)
          .map((other): ExplainedInput => ({
            label: other.name,
            value: printMass(other.massG),
            basis: "exact",
            source: "the line it follows",
            then: { ask: "line", step, lineId: other.lineId },
          })),
      );
    case "to-reach":
      return reachedFrom(line, relation, index, walked);
  }
}

const foreseen = (label: string, value: string, then: Askable): ExplainedInput => ({
  label,
  value,
  basis: "estimate",
  source: "walked along the line",
  then,
});

/** What a total is counted on: the base on the table, or what the whole line gives. */
function totalOf(
  relation: AmountRelation,
  document: FormulaDocument,
  walked: Walk,
): readonly ExplainedInput[] {
  const last = indexBefore(walked.states, walked.states.length);
  switch (relation.kind) {
    case "share-of-base":
      return [
        {
          label: `the ${document.base.name}`,
          value: printMass(g(document.base.massG)),
          basis: "measured",
          source: "what lies on the table, typed here",
        },
      ];
    case "per-litre":
      return [foreseen("litres finished", printVolume(walked.finishedMl), { ask: "litres", step: last })];
    case "per-kg":
    case "per-portion":
      return [
        foreseen("finished", printKilograms(walked.finishedG), { ask: "mass", step: last }),
        ...(relation.kind === "per-portion"
          ? [
              {
                label: "a portion",
                value: printMass(g(document.portionG)),
                basis: "exact" as const,
                source: "this formula",
              },
            ]
          : []),
      ];
    default:
      return [];
  }
}

/** What an aimed-at share starts from: the liquor without this line, and how much the line brings. */
function reachedFrom(
  line: Line,
  { what, value }: Extract<AmountRelation, { kind: "to-reach" }>,
  index: number,
  walked: Walk,
): readonly ExplainedInput[] {
  const state = walked.states[index];
  const own = state?.sources.get(line.id);
  if (!state || !own) return [];
  const at = indexBefore(walked.states, index);
  const before = potBefore(walked.states, index);
  const unit = what === "brix" ? "°Bx" : `% ${what}`;
  const share = (x: number): string => `${printNumber(x, 2)} ${unit}`;
  let others = before?.liquor ?? poolsOf(own.composition, g(0));
  for (const { lineId, massG } of state.lines) {
    const ingredient = state.sources.get(lineId);
    if (ingredient && lineId !== line.id) others = addPools(others, poolsOf(ingredient.composition, massG));
  }
  return [
    ...(before
      ? [
          {
            label: "liquor before this step",
            value: printKilograms(g(liquorMass(before))),
            basis: "exact" as const,
            source: OWN_BOOKS,
            then: { ask: "mass" as const, step: at },
          },
        ]
      : []),
    {
      label: "without this line",
      value: share(reachOf(others, what)),
      basis: "estimate",
      source: "what the liquor and the other lines of this step bring",
      ...(before && { then: { ask: "figure" as const, step: at, figure: what } }),
    },
    {
      label: `${own.name} brings`,
      value: share(reachOf(poolsOf(own.composition, g(100)), what)),
      basis:
        own.compositionSource.mark === "measured" ? "measured" : BASIS_OF_MARK[own.compositionSource.mark],
      source: own.compositionSource.text,
    },
    { label: "aimed at", value: share(value), basis: "exact", source: "this formula" },
  ];
}

/** A line on another formula leads on into that one. */
function drawsOn(line: Line, kitchen: Kitchen): readonly ExplainedInput[] {
  if (!("formula" in line.of)) return [];
  const other = formulaIn(kitchen.data, line.of.formula);
  return other
    ? [
        {
          label: "made by the formula",
          value: other.name,
          basis: "estimate",
          source: "walked along its own line",
          then: { ask: "yield", of: line.of.formula },
        },
      ]
    : [];
}

function asPurchased(
  amount: StateAfterStep["lines"][number],
  state: StateAfterStep,
): readonly ExplainedInput[] {
  const ingredient = state.sources.get(amount.lineId);
  if (!ingredient || ingredient.ediblePct >= 100) return [];
  const { mark, text } = ingredient.edibleSource;
  return [
    {
      label: "as purchased",
      value: `${printMass(amount.purchasedG)} at ${ingredient.ediblePct} % used`,
      basis: mark === "measured" ? "measured" : BASIS_OF_MARK[mark],
      source: text,
    },
  ];
}
