import { type FormulaDocument, type Walk, potBefore } from "../formula";
import { updateStep } from "../formula";
import { BELIEVED } from "./believed";

/** So far under what its family gives, nobody meant it. Our estimate. */
const STOPS_BELOW = 1 / 5;

/** A way to keep more of it: what it is called, and the formula that goes it. */
export interface KeepsMore {
  readonly label: string;
  readonly edit: (document: FormulaDocument) => FormulaDocument;
}

/** A line that boils away nearly all it should give. */
export interface LittleLeft {
  /** Per cent of its base that it gives, and the least its family does. */
  readonly givesPct: number;
  readonly leastPct: number;
  /** Step that loses most, and how to keep more of it there. */
  readonly stepId: string | null;
  readonly ways: readonly KeepsMore[];
}

/** What is wrong with a yield that no cook of the family would believe; `null` where it may be. */
export function littleLeft(document: FormulaDocument, walked: Walk): LittleLeft | null {
  const known = BELIEVED[document.family];
  const [least] = known?.yields ?? [0];
  if (!(least > 0) || walked.problems.length || walked.states.length < document.steps.length) return null;
  const gives = walked.finishedG / document.base.massG;
  if (gives >= STOPS_BELOW * least) return null;
  const thirsty = walked.states.reduce<{ id: string | null; lostG: number }>(
    (most, state, i) => {
      const before = potBefore(walked.states, i)?.exits.vapour.water ?? 0;
      const lostG = state.pot.exits.vapour.water - before;
      return lostG > most.lostG ? { id: state.step.id, lostG } : most;
    },
    { id: null, lostG: 0 },
  );
  return {
    givesPct: 100 * gives,
    leastPct: 100 * least,
    stepId: thirsty.id,
    ways: waysAt(document, thirsty.id),
  };
}

function waysAt(document: FormulaDocument, stepId: string | null): KeepsMore[] {
  const step = document.steps.find(s => s.id === stepId);
  if (step?.kind !== "simmer") return [];
  const ways: KeepsMore[] = [];
  if ((step.keepCovered ?? "none") === "none")
    ways.push({
      label: "Keep it covered with hot water",
      edit: d => updateStep(d, step.id, { keepCovered: "hot" }),
    });
  if (step.lid === "off")
    ways.push({ label: "Put a lid on, ajar", edit: d => updateStep(d, step.id, { lid: "ajar" }) });
  return ways;
}
