import type { Walk } from "./walked";

/** Of what went in, so much must be one thing for the product to be that thing made stronger. */
const ONE_THING = 0.95;

/**
 * Share of the one thing a formula starts from that is left when it is done, 0–1: what a label lets down by. `null` for
 * a sauce of many things, and where nothing was boiled away.
 * @example 8 kg of stock reduced to 4 kg → 0.5
 */
export function shareLeft(walked: Walk): number | null {
  const went = walked.states.flatMap(state => state.lines.map(line => line.massG));
  const all = went.reduce((a, b) => a + b, 0);
  const most = Math.max(0, ...went);
  const reduced = walked.states.some(state => state.step.kind === "reduce");
  if (!reduced || most < ONE_THING * all || walked.finishedG <= 0) return null;
  const left = walked.finishedG / most;
  return left < ONE_THING ? left : null;
}
