import type { StateAfterStep } from "~/core/formula";
import { g, printMass } from "~/core/ground/quantity";
import type { Seasoned } from "~/core/run";

/** What to begin with of the seasonings of a step, from what the last batch took in the end. */
export function FirstDoses({
  planned,
  before,
  baseG,
}: {
  planned: StateAfterStep;
  before: { readonly baseG: number; readonly seasoned: readonly Seasoned[] };
  /** Of this batch. */
  baseG: number;
}) {
  const times = baseG / before.baseG;
  const here = new Set([...planned.sources.values()].map(source => source.id));
  // What went in at once taught nothing.
  const taught = before.seasoned.filter(one => here.has(one.ingredientId) && one.doses.length > 1);
  if (!taught.length) return null;
  return (
    <ul aria-label="From the last batch" className="space-y-1">
      {taught.map(one => (
        <li key={one.ingredientId} className="rounded-lg border border-leaf/60 px-3 py-2">
          Last time it took {printMass(g(times * one.totalG))} {one.name} at this size:{" "}
          <b>{printMass(g(times * one.nextFirstG))} first</b>, then taste.
        </li>
      ))}
    </ul>
  );
}
