import { gramsOfAcid } from "../../laws/emulsion";
import { standingIn } from "../../laws/puree";
import {
  ACID_IDS,
  type AcidId,
  SERVED_HOT_C,
  type SauceState,
  YOLK_FAT,
  bareBody,
  breaksAtC,
} from "../../laws/texture";
import type { FactValues } from "../../ground/facts";
import { type PotState, massOfPools, poolsOfNatures, subtractPools } from "../../things/pot";

/** Fixed acid nobody told apart counts as malic: the commonest of fruit and vegetables. Our estimate. */
const USUAL_ACID: AcidId = "malic";

/** Acids of a liquor by kind, g of each. */
export function acidsOf(pot: PotState): Partial<Record<AcidId, number>> {
  const { acidVolatile, acidFixed } = pot.liquor;
  const known = ACID_IDS.map(id => [id, pot.natures.acids[id] ?? 0] as const);
  const rest = Math.max(0, acidFixed - known.reduce((sum, [, x]) => sum + x, 0));
  const acids: Partial<Record<AcidId, number>> = {};
  const add = (id: AcidId, equivalents: number) => {
    if (equivalents > 0) acids[id] = (acids[id] ?? 0) + gramsOfAcid(id, equivalents);
  };
  add("acetic", acidVolatile);
  for (const [id, equivalents] of known) add(id, equivalents);
  add(USUAL_ACID, rest);
  return acids;
}

/** Fat in the liquor that sets in the cold, g. Floating and beaten in it is one fat: each has its share of it. */
export function settingFat({ liquor, floatFatG, natures }: PotState): number {
  const all = liquor.fat + floatFatG;
  return all > 0 ? liquor.fat * Math.min(1, natures.settingFatG / all) : 0;
}

/** Fat that milk solids stand for in cream, g to a gram. Source: composition of cream, from memory. */
const CREAM_FAT_PER_MILK = 6.25;
/** Milk solids that butter brings itself, g to a gram of its fat. */
const BUTTER_MILK_PER_FAT = 0.025;

/**
 * Where the butter or oil beaten into a liquor parts, °C. The fat of cream is held by its own protein and bears the
 * boil: only what came besides it counts.
 */
export function fatPartsAtC(pot: PotState, facts: FactValues): number {
  const { fatVolume } = bareBody(sauceOf(pot, facts), SERVED_HOT_C, facts);
  const fat = pot.liquor.fat;
  const milk = massOfPools(pot.natures.milkDry) - BUTTER_MILK_PER_FAT * pot.natures.settingFatG;
  const ofCream = Math.min(fat, CREAM_FAT_PER_MILK * Math.max(0, milk));
  return breaksAtC(fat > 0 ? (fatVolume * (fat - ofCream)) / fat : 0);
}

/**
 * The liquor of a pot as a sauce: a pure view of its pools and of what keeps its own nature in them.
 *
 * Dissolved is what belongs to no carrier; alcohol counts as water; starch and fibre that belong to nothing count as nothing.
 */
export function sauceOf(pot: PotState, facts: FactValues): SauceState {
  const { liquor, natures: c } = pot;
  const free = subtractPools(liquor, poolsOfNatures(c));
  const starchWater = c.starches.reduce((m, s) => m + Math.max(0, s.massG - massOfPools(s.dry)), 0);
  const yolkWater = Math.max(0, (1 - YOLK_FAT) * c.yolkG - massOfPools(c.yolkDry));
  const pureeG = massOfPools(c.pureeDry);
  return {
    waterG: Math.max(0, liquor.water + liquor.ethanol - starchWater - yolkWater),
    gelatinG: liquor.collagen,
    dissolvedG:
      Math.max(0, free.proteinOther + free.sugars + free.other) + liquor.acidVolatile + liquor.acidFixed,
    milkSolidsG: massOfPools(c.milkDry),
    setProteinG: c.curds.set ?? 0,
    moltenProteinG: c.curds.melts ?? 0,
    saltG: liquor.salt,
    fatG: Math.max(0, liquor.fat - YOLK_FAT * c.yolkG),
    settingFatG: settingFat(pot),
    yolkG: c.yolkG,
    yolkMaxC: c.yolkMaxC,
    starches: c.starches.map(({ id, massG, colour, maxC, minutes, blendedS }) => ({
      id,
      massG,
      colour,
      maxC,
      minutes,
      blendedS,
    })),
    pureeG,
    pureeSolidsG: Math.min(pureeG, standingIn(c, facts)),
    fineness: c.fineness,
    sugarG: Math.max(0, free.sugars),
    acids: acidsOf(pot),
  };
}
