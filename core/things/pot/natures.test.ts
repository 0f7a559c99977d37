import { fc, test as property } from "@fast-check/vitest";
import { describe, expect, test } from "vitest";
import { REFERENCE_BY_ID } from "../larder";
import { degC, g } from "../../ground/quantity";
import { valueOf } from "../../ground/result";
import {
  EMPTY_POT,
  POOLS,
  type PotState,
  absorb,
  addIngredient,
  poolsOfNatures,
  colourRoux,
  drain,
  evaporate,
  heatNatures,
  liquorMass,
  mergePots,
  pour,
  scalePot,
  sieve,
  strain,
} from ".";

const add = (pot: PotState, id: string, mass: number): PotState => {
  const ingredient = REFERENCE_BY_ID.get(id);
  if (!ingredient) throw new Error(`no ${id} in the reference larder`);
  return valueOf(addIngredient(pot, ingredient, g(mass), { id: `${id}-${mass}`, temperatureC: degC(20) }));
};
const THINGS = [
  "wheat-flour",
  "corn-starch",
  "cream",
  "milk",
  "egg-yolk",
  "butter",
  "mustard",
  "rice",
  "carrot",
  "water",
  "bought-white-stock",
  "lemon-juice",
  "tomato-paste",
] as const;

/** What nothing may do: take more of a pool than is there. */
const ACTS: Record<string, (pot: PotState, k: number) => PotState> = {
  pour: (pot, k) => valueOf(pour(pot, g(k * liquorMass(pot)))),
  steam: (pot, k) => valueOf(evaporate(pot, { water: k * pot.liquor.water })),
  strain: (pot, k) => strain(pot, () => k, k),
  sieve: (pot, k) => valueOf(sieve(pot, Math.max(0.1, k), 2)),
  scale: (pot, k) => scalePot(pot, k + 0.1),
  join: pot => mergePots(pot, pot),
  drain: (pot, k) => valueOf(drain(pot, () => k, k)),
  drink: (pot, k) => {
    const [part] = pot.solids;
    if (!part) return pot;
    const drunk = absorb(pot, part.id, g(k * 0.5 * pot.liquor.water));
    return drunk.ok ? drunk.value : pot;
  },
};

const acts = fc.array(
  fc.oneof(
    fc.record({ add: fc.constantFrom(...THINGS), grams: fc.double({ min: 0.1, max: 3000, noNaN: true }) }),
    fc.record({ act: fc.constantFrom(...Object.keys(ACTS)), k: fc.double({ min: 0, max: 1, noNaN: true }) }),
  ),
  { minLength: 1, maxLength: 14 },
);

describe("what keeps its nature", () => {
  property.prop([acts])("pools are natures and a rest, whatever is done to a pot", list => {
    let pot = EMPTY_POT;
    for (const a of list) {
      if ("add" in a) pot = add(pot, a.add, a.grams);
      else if (liquorMass(pot) > 1 || a.act === "sieve") pot = (ACTS[a.act] ?? (p => p))(pot, a.k);
      const carried = poolsOfNatures(pot.natures);
      for (const name of POOLS)
        expect(pot.liquor[name] - carried[name]).toBeGreaterThanOrEqual(-1e-6 * (1 + pot.liquor[name]));
      const { starches, yolkG, phases } = pot.natures;
      for (const x of [...starches.map(s => s.massG), yolkG, ...Object.values(phases)])
        expect(x).toBeGreaterThanOrEqual(0);
    }
  });

  test("half the sauce poured off takes half the flour, the yolk and the lemon", () => {
    const sauce = ["bought-white-stock", "wheat-flour", "egg-yolk", "lemon-juice"].reduce(
      (pot, id, i) => add(pot, id, [1000, 60, 54, 30][i] ?? 0),
      EMPTY_POT,
    );
    const left = valueOf(pour(sauce, g(liquorMass(sauce) / 2))).natures;
    expect(left.starches[0]?.massG).toBeCloseTo(30, 9);
    expect(left.yolkG).toBeCloseTo(27, 9);
    expect(left.acids.citric).toBeCloseTo((sauce.natures.acids.citric ?? 0) / 2, 9);
  });

  test("steam takes nothing of them", () => {
    const sauce = add(add(EMPTY_POT, "milk", 1000), "wheat-flour", 60);
    expect(valueOf(evaporate(sauce, { water: 300 })).natures).toEqual(sauce.natures);
  });

  test("heat is remembered: the hottest, and the minutes at a simmer", () => {
    const { natures } = add(add(EMPTY_POT, "water", 1000), "corn-starch", 20);
    const warm = heatNatures(heatNatures(natures, 95, 12), 60, 30);
    expect(warm.starches[0]).toMatchObject({ maxC: 95, minutes: 12 });
  });

  test("a roux takes its colour before it is wetted, and only flour does", () => {
    const { natures } = add(add(EMPTY_POT, "wheat-flour", 60), "corn-starch", 10);
    const [flour, corn] = colourRoux(natures, "brown").starches;
    expect(flour?.colour).toBe("brown");
    expect(corn?.colour).toBe("white");
  });

  test("rice blended into its liquor binds by its raw weight; a carrot becomes purée", () => {
    const pot = add(add(add(EMPTY_POT, "bought-white-stock", 1000), "rice", 50), "carrot", 200);
    const { natures } = valueOf(sieve(pot, 1, 1));
    expect(natures.starches).toHaveLength(1);
    expect(natures.starches[0]).toMatchObject({ id: "ricepuree", massG: 50 });
    expect(natures.pureeDry.fibre).toBeGreaterThan(0);
  });
});
