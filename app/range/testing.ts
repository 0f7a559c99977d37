import { type PotNow, foldPot, potAt } from "./pot-now";
import type { KitchenData } from "~/core/formula";
import { type FormulaDocument, deltaOf, intervalsAlong, openKitchen, walk } from "~/core/formula";
import { type RunEvent, type RunPayload, type StepBand, UNKNOWN_BAND, stepBand } from "~/core/run";
import { DEMO_FORMULAS } from "~/demo/formulas";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import type { LiveRun } from "./live-run.server";

/** When every batch of a test was begun. */
export const START = Date.UTC(2026, 10, 23, 8, 0, 0);
/** So many minutes after the start. */
export const minute = (n: number): number => START + n * 60_000;

let events = 0;
/** Something logged so many minutes after the start. */
export const logged = (atMinute: number, payload: RunPayload, personId = "noor"): RunEvent => ({
  id: `01HZZZZZZZZZZZZZZZZZ${String(++events).padStart(6, "0")}`,
  at: new Date(minute(atMinute)).toISOString(),
  clockOffsetMs: 0,
  personId,
  payload,
});

// The limits of a whole line take a second; tests look at the same lines again and again.
const bandsOf = new Map<string, readonly StepBand[]>();

function bandsAlong(document: FormulaDocument, burnerId: string): readonly StepBand[] {
  const key = `${document.name} ${burnerId}`;
  const known = bandsOf.get(key);
  if (known) return known;
  const walked = walk(document, openKitchen(DEMO_KITCHEN, {}, burnerId));
  const intervals = intervalsAlong(document, DEMO_KITCHEN, burnerId);
  const bands = walked.states.map((state, i) =>
    intervals[i] ? stepBand(state, intervals[i]) : UNKNOWN_BAND,
  );
  bandsOf.set(key, bands);
  return bands;
}

/** A batch of a formula, begun at the start, with these events after it; nothing is known of its limits. */
export const batchWith = (
  document: FormulaDocument,
  after: readonly RunEvent[] = [],
  burnerId = DEMO_KITCHEN.defaultBurnerId,
): LiveRun & { readonly document: FormulaDocument } => ({
  run: {
    id: "run",
    formulaId: "formula",
    formulaVersionId: "version",
    baseG: document.base.massG,
    burnerId,
    startedBy: "Noor Adeyi",
    startedAt: new Date(START),
    finishedAt: null,
    basisHash: null,
    rehearsal: null,
  },
  versionNumber: 1,
  document,
  events: [logged(0, { kind: "started", burnerId }), ...after],
  bands: [],
  basis: deltaOf(DEMO_KITCHEN, DEMO_KITCHEN),
});

/** A batch of a formula of the demo, with the limits of its line. */
export function batchOf(
  formulaId: string,
  after: readonly RunEvent[] = [],
  burnerId = DEMO_KITCHEN.defaultBurnerId,
): LiveRun & { readonly document: FormulaDocument } {
  const document = DEMO_FORMULAS[formulaId];
  if (!document) throw new Error(`The demo has no ${formulaId}.`);
  const batch = batchWith(document, after, burnerId);
  return { ...batch, run: { ...batch.run, formulaId }, bands: bandsAlong(document, burnerId) };
}

/** The steps of a formula before this one, each begun and done within ten minutes. */
export const stepsBefore = (document: FormulaDocument, index: number): RunEvent[] =>
  document.steps
    .slice(0, index)
    .flatMap((step, i) => [
      logged(1 + i * 10, { kind: "step-begun", stepId: step.id }),
      logged(9 + i * 10, { kind: "step-done", stepId: step.id }),
    ]);

/** A live run at a moment, folded anew. */
export const potNow = (live: LiveRun, kitchen: KitchenData, now: number): PotNow =>
  potAt(foldPot(live, kitchen), now);
