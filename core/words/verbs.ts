import { STEP_KINDS, type Step, type StepKind, type StepKindName } from "../formula";

const KINDS = Object.entries(STEP_KINDS) as unknown as readonly (readonly [StepKindName, StepKind<Step>])[];
const VERBS = KINDS.flatMap(([kind, { heard }]) => heard?.as.map(pattern => [pattern, kind] as const) ?? []);

/** Verbs that begin a step of their own after an "and" or a comma, as parts of a pattern. */
export const NEXT_VERBS: readonly string[] = KINDS.flatMap(([, { heard }]) => heard?.next ?? []);

/**
 * The verb said first in a clause: the kind of step it tells, and where it stands; `null` where no verb is known. Of
 * two said at the same place the longer words are the more particular.
 */
export function deedSaid(clause: string): { readonly at: number; readonly kind: StepKindName } | null {
  const text = clause.toLowerCase();
  let first: { at: number; length: number; kind: StepKindName } | null = null;
  for (const [pattern, kind] of VERBS) {
    const match = pattern.exec(text);
    if (!match) continue;
    const { index: at } = match;
    const { length } = match[0];
    if (!first || at < first.at || (at === first.at && length > first.length)) first = { at, length, kind };
  }
  return first;
}

export const kindSaid = (clause: string): StepKindName | null => deedSaid(clause)?.kind ?? null;
