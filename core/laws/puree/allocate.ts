import { type Result, checkNumber, ok, refuse } from "../../ground/result";

export interface Demand {
  readonly id: string;
  readonly wantG: number;
  readonly minG: number;
  /** 1 is served first. */
  readonly priority: number;
}

export interface Allocation {
  readonly given: Readonly<Record<string, number>>;
  readonly leftG: number;
  readonly shortG: Readonly<Record<string, number>>;
}

/**
 * Shares one base out among what is made from it.
 *
 * Within a priority everybody gets the same share of what is wanted; who would get less than the least that is any use
 * gets nothing, the hardest hit first.
 * @errors OUT_OF_RANGE · NEGATIVE · DUPLICATE
 * Source: docs/models.md "Purées". @example 5 kg: soup 3 first, then sauce 1.5 (least 1) and filling 2 (least 1.2) → 3, 0, 2
 */
export function allocateBase(baseG: number, demands: readonly Demand[]): Result<Allocation> {
  const problems = [
    ...checkNumber(baseG, "baseG", "The base"),
    ...demands.flatMap((d, i) => [
      ...checkNumber(d.wantG, `demands.${i}.wantG`, `What ${d.id} wants`, { min: 1e-6, unit: "g" }),
      ...checkNumber(d.minG, `demands.${i}.minG`, `The least for ${d.id}`, {
        min: 0,
        max: Math.max(0, d.wantG),
        unit: "g",
      }),
    ]),
  ];
  const twice = demands.find((d, i) => demands.findIndex(o => o.id === d.id) !== i);
  if (twice)
    problems.push({
      code: "DUPLICATE",
      field: "demands",
      value: twice.id,
      message: `${twice.id} stands twice in the list.`,
    });
  if (problems.length) return refuse(...problems);
  const given: Record<string, number> = Object.fromEntries(demands.map(d => [d.id, 0]));
  let left = baseG;
  for (const priority of [...new Set(demands.map(d => d.priority))].sort((a, b) => a - b)) {
    let group = demands.filter(d => d.priority === priority);
    while (group.length) {
      const k = Math.min(1, left / group.reduce((sum, d) => sum + d.wantG, 0));
      const starved = group.filter(d => k * d.wantG < d.minG - 1e-12);
      if (!starved.length) {
        for (const d of group) given[d.id] = k * d.wantG;
        left -= group.reduce((sum, d) => sum + k * d.wantG, 0);
        break;
      }
      const worst = starved.reduce((w, d) => {
        const [a, b] = [d.wantG / d.minG, w.wantG / w.minG];
        return a < b || (a === b && d.id > w.id) ? d : w;
      });
      group = group.filter(d => d !== worst);
    }
  }
  return ok({
    given,
    leftG: Math.max(0, left),
    shortG: Object.fromEntries(demands.map(d => [d.id, d.wantG - (given[d.id] ?? 0)])),
  });
}
