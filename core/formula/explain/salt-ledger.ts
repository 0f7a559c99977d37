import { EXITS } from "../../things/pot";
import type { FormulaDocument } from "../document/document";
import type { Kitchen } from "../walk/kitchen";
import { kindOf } from "../steps";
import { walk } from "../walk/walk";
import { type Walk, finalState, potBefore } from "../walk/walked";
import { WalkCache } from "../walk/walk-cache";
import { formulaIn } from "../walk/kitchen";

/** One source of salt: how it came in, through which sub-formulas, and how much. */
export interface SaltEntry {
  /** Names from the outermost formula in; the last is the ingredient. */
  readonly path: readonly string[];
  readonly massG: number;
  readonly saltG: number;
  /** Share of all the salt that came in, 0–1. */
  readonly share: number;
}

export interface SaltLedger {
  readonly entries: readonly SaltEntry[];
  readonly inG: number;
  /** Salt that left with what was strained, skimmed or poured off. */
  readonly outG: number;
  readonly leftG: number;
  /** Per cent of what is made. */
  readonly pct: number;
  readonly perPortionG: number;
}

/** Less salt than this is nobody's to see. */
const LEAST_SALT_G = 0.005;
/** Lines with less than that leave this much unlisted. */
const LEAST_OF_A_STEP_G = 0.05;

/**
 * Where the salt of a sauce comes from, through every formula it draws on, and what became of it.
 * Source: exact (the pot’s own books).
 */
export function saltLedger(document: FormulaDocument, walked: Walk, kitchen: Kitchen): SaltLedger {
  const cache = new WalkCache();
  const entries = entriesOf(document, walked, kitchen, 1, [], cache);
  const inG = entries.reduce((sum, e) => sum + e.saltG, 0);
  const last = finalState(walked.states);
  const outG = last ? EXITS.reduce((sum, exit) => sum + last.pot.exits[exit].salt, 0) : 0;
  const leftG = last ? Math.max(0, last.pot.entered.salt - outG) : 0;
  const pct = walked.finishedG > 0 ? (100 * leftG) / walked.finishedG : 0;
  return {
    entries: entries
      .map(e => ({ ...e, share: inG > 0 ? e.saltG / inG : 0 }))
      .sort((a, b) => b.saltG - a.saltG),
    inG,
    outG,
    leftG,
    pct,
    perPortionG: (document.portionG * pct) / 100,
  };
}

function entriesOf(
  document: FormulaDocument,
  walked: Walk,
  kitchen: Kitchen,
  share: number,
  path: readonly string[],
  cache: WalkCache,
): SaltEntry[] {
  const sourceOf = new Map(
    document.steps.flatMap(step => step.lines.map(line => [line.id, line.of] as const)),
  );
  return walked.states.flatMap((state, i): SaltEntry[] => {
    const ofLines = state.lines.flatMap((line): SaltEntry[] => {
      const ingredient = state.sources.get(line.lineId);
      const of = sourceOf.get(line.lineId);
      if (!ingredient || !of) return [];
      const massG = line.massG * share;
      const saltG = (massG * ingredient.composition.salt) / 100;
      if (saltG < LEAST_SALT_G) return [];
      const other = "formula" in of ? formulaIn(kitchen.data, of.formula) : undefined;
      if (!other || path.length > 6) return [{ path: [...path, line.name], massG, saltG, share: 0 }];
      const made = walk(other, kitchen, { cache });
      if (!(made.finishedG > 0)) return [{ path: [...path, line.name], massG, saltG, share: 0 }];
      const inner = entriesOf(other, made, kitchen, massG / made.finishedG, [...path, other.name], cache);
      // What the other formula lost on the way (strained, skimmed) is not in this pot.
      const all = inner.reduce((sum, e) => sum + e.saltG, 0);
      return all > 0 ? inner.map(e => ({ ...e, saltG: (e.saltG * saltG) / all })) : inner;
    });
    // What goes from one pan to another has been counted where it came in.
    if (state.elsewhere) return ofLines;
    const entered = state.pot.entered.salt - (potBefore(walked.states, i)?.entered.salt ?? 0);
    // What a step brings of itself, as the rub of a cure, is on no line.
    const own = share * entered - ofLines.reduce((sum, e) => sum + e.saltG, 0);
    return own > LEAST_OF_A_STEP_G
      ? [
          ...ofLines,
          { path: [...path, kindOf(state.step).label.toLowerCase()], massG: own, saltG: own, share: 0 },
        ]
      : ofLines;
  });
}

/**
 * Salt of parts put together, such as a plate.
 * @param parts g and per cent of salt of each
 * @example 300 g at 1 %, 480 g at 0.8 %, 240 g at 3.5 % → 15.24 g
 */
export function saltOfParts(parts: readonly { readonly massG: number; readonly saltPct: number }[]): {
  readonly saltG: number;
  readonly pct: number;
} {
  const saltG = parts.reduce((sum, p) => sum + (p.massG * p.saltPct) / 100, 0);
  const massG = parts.reduce((sum, p) => sum + p.massG, 0);
  return { saltG, pct: massG > 0 ? (100 * saltG) / massG : 0 };
}
