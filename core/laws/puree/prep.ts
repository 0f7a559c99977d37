import { type Problem, type Result, checkNumber, ok, refuse } from "../../ground/result";

/** Small helps on the way to a purée. Common practice, no source. */

/** Drained enough once it loses less than this in five minutes, share. */
const DRAINED_BELOW = 0.02;
const PER_MIN = 5;

/**
 * Whether drained greens have given up their water, from weights over time.
 * @errors MISSING fewer than two weights · TIME_ORDER
 * @example 2.62 kg at 15 min, 2.58 kg at 20 min: 1.5 %, done
 */
export function drainedYet(
  weights: readonly { readonly min: number; readonly g: number }[],
): Result<{ lossPct: number; lostG: number; done: boolean }> {
  const [first, last, before] = [weights[0], weights.at(-1), weights.at(-2)];
  if (!first || !last || !before || weights.length < 2)
    return refuse({ code: "MISSING", field: "weights", message: "Weigh it twice, some minutes apart." });
  const problems: Problem[] = weights.flatMap((w, i) =>
    checkNumber(w.g, `weights.${i}.g`, "The weight", { min: 0.1 }),
  );
  if (problems.length) return refuse(...problems);
  if (!(last.min > before.min))
    return refuse({
      code: "TIME_ORDER",
      field: "weights",
      message: "The second weight must be later than the first.",
    });
  const loss = ((before.g - last.g) / before.g) * (PER_MIN / (last.min - before.min));
  return ok({ lossPct: 100 * loss, lostG: first.g - last.g, done: loss < DRAINED_BELOW });
}

/** Hardest first: what a fork is tried on. Our estimate. */
const HARDNESS = [
  "salsify",
  "beetroot",
  "celeriac",
  "carrot",
  "parsnip",
  "potato",
  "pumpkin",
  "apple",
  "pear",
] as const;

/** What of a mix is tried for softness: the hardest, with when to look. @example pear, parsnip, salsify → salsify at 20, 25, 30 min */
export function hardestOf(items: readonly string[]): { item: string; lookAtMin: readonly number[] } | null {
  const rank = (item: string) => {
    const at = HARDNESS.findIndex(h => item.toLowerCase().includes(h));
    return at < 0 ? HARDNESS.length : at;
  };
  const [item] = [...items].sort((a, b) => rank(a) - rank(b));
  return item === undefined ? null : { item, lookAtMin: [20, 25, 30] };
}

/** Butter and cream in two doses: half at once, the rest to texture. @example 3.76 kg, 20 % butter, 500 g cream → 626 g first */
export function enrichment(pureeG: number, butterPct: number, creamG: number) {
  const butterG = (pureeG * butterPct) / 100;
  return { butterG, creamG, firstG: (butterG + creamG) / 2, restG: (butterG + creamG) / 2 };
}

/** Cold butter into a purée while it runs: cubes of one size. @example 2.4 kg at 3 % → 72 g in 9 cubes of 8 g */
export function coldCubes(
  massG: number,
  pct: number,
  cubeG = 8,
): { butterG: number; cubes: number; eachG: number } {
  const butterG = (massG * pct) / 100;
  const cubes = Math.ceil(butterG / cubeG - 1e-9);
  return { butterG, cubes, eachG: cubes > 0 ? butterG / cubes : 0 };
}

/** Solids once liquid has been let in to free the blade. @example 1.9 kg at 18.0 %, 120 g → 2.02 kg, 16.9 % */
export const loosenedSolids = (massG: number, solidsPct: number, addedG: number) => ({
  massG: massG + addedG,
  solidsPct: (massG * solidsPct) / (massG + addedG),
});

/** Grain on the tongue, 0 none to 3 coarse, by what it went through. Common practice, no source. */
const GRAIN = { none: 2, mill: 2, chinois: 0, tamis: 0 } as const;
/** What a sieve costs and what it buys. @example 2.65 kg, fine: 2.54 kg, grain 0; without it 106 g more, grain 2 */
export function sieveOrNot(massG: number, sieve: keyof typeof GRAIN, lossShare: number) {
  return {
    massG: massG * (1 - lossShare),
    lostG: massG * lossShare,
    grain: GRAIN[sieve],
    grainWithout: GRAIN.none,
  };
}
