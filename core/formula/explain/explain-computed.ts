import { BASIS_OF_MARK } from "../../ground/estimate";
import { FACTS, type FactId } from "../../ground/facts";
import { massOfPools } from "../../things/pot";
import { printKilograms, printMass } from "../../ground/quantity";
import type { FormulaDocument } from "../document/document";
import { type Askable, type ExplainedInput, type Explanation, OWN_BOOKS } from "./explanation";
import { factsRead } from "./intervals";
import type { Kitchen } from "../walk/kitchen";
import { kindOf } from "../steps";
import { type StateAfterStep, potBefore } from "../walk/walked";
import type { Walk } from "../walk/walked";

/** Takes an amount apart that nobody typed: the water that covers, the steam that left. */
export function explainComputed(
  asked: Extract<Askable, { ask: "computed" }>,
  document: FormulaDocument,
  state: StateAfterStep,
  walked: Walk,
  kitchen: Kitchen,
): Explanation | null {
  const computed = state.computed.find(c => c.what === asked.what);
  if (!computed) return null;
  const kind = kindOf(state.step);
  const before = potBefore(walked.states, asked.step);
  const solids = state.pot.solids.length || before?.solids.length ? before : undefined;
  return {
    title: computed.what,
    value: printMass(computed.massG),
    rule: `Worked out by the step “${kind.label}”: ${kind.detail(state.step)}.`,
    symbols: kind.rule ?? "",
    inputs: [
      ...(solids
        ? [
            {
              label: "solids in it before",
              value: printKilograms(solids.solids.reduce((m, p) => m + massOfPools(p.pools), 0) as never),
              basis: "exact" as const,
              source: OWN_BOOKS,
              then: { ask: "mass" as const, step: asked.step - 1 },
            },
          ]
        : []),
      ...(factsRead(document, kitchen)[asked.step] ?? []).map(id => explainFact(id, kitchen)),
    ],
    sharpen: "Weigh the pot before and after: the kitchen’s own figure then replaces the estimate.",
  };
}

function explainFact(id: FactId, kitchen: Kitchen): ExplainedInput {
  const fact = FACTS[id];
  const own = kitchen.data.facts[id];
  const plain = (x: number) => String(Math.round(x * 1000) / 1000);
  return {
    label: fact.label,
    value: `${plain(own ?? fact.value)} ${fact.unit}`,
    range: `${plain(fact.lo)}–${plain(fact.hi)}`,
    basis: own === undefined ? BASIS_OF_MARK[fact.mark] : "measured",
    source: own === undefined ? fact.source : "measured in this kitchen",
  };
}
