import { capacityOf } from "../emulsion";
import type { FactValues } from "../facts";
import { printMass, printNumber, g } from "../quantity";
import { type Problem, type Result, checkNumber, ok, refuse } from "../result";
import { ACID_THRESHOLD_G_PER_KG, THRESHOLD_G_PER_KG, sodaFor } from "../seasoning";
import {
  ACID_IDS,
  type AcidId,
  type SauceState,
  addSauce,
  bareBody,
  bodyOf,
  fatPctOf,
  loosenTo,
  looseningWith,
  massOfSauce,
  saltPctOf,
  standardLiquid,
  thickenTo,
} from "../texture";

/** What a cook complains of. */
export const COMPLAINTS = [
  "too-thin",
  "too-thick",
  "too-salty",
  "too-sour",
  "too-sweet",
  "bitter",
  "greasy",
  "lumpy",
  "split",
  "cloudy",
  "over-reduced",
  "gluey",
  "watery",
] as const;
export type Complaint = (typeof COMPLAINTS)[number];

export const COMPLAINT_WORDS: Readonly<Record<Complaint, string>> = {
  "too-thin": "too thin",
  "too-thick": "too thick",
  "too-salty": "too salty",
  "too-sour": "too sour",
  "too-sweet": "too sweet",
  bitter: "bitter",
  greasy: "greasy",
  lumpy: "lumpy",
  split: "split",
  cloudy: "cloudy",
  "over-reduced": "over-reduced",
  gluey: "gluey",
  watery: "watery after resting",
};

/** What the sauce is once a remedy is done. */
export interface After {
  readonly massG: number;
  readonly saltPct: number;
  readonly fatPct: number;
  readonly acidPct: number;
  readonly sugarPct: number;
  /** 0–100; `null` where the model does not reach. */
  readonly thickness: number | null;
}

export interface Remedy {
  readonly what: string;
  /** Grams to add; negative: to take out or boil off; 0: nothing by weight. */
  readonly addG: number;
  /** What is done first, second … */
  readonly order: readonly string[];
  readonly after: After;
  /** What it does besides, what it cannot mend, allergens it brings. */
  readonly besides: readonly string[];
}

export interface FixTarget {
  readonly thickness?: number;
  readonly saltPct?: number;
  readonly acidPct?: number;
  readonly fatPct?: number;
  /** Mass it should have had, g. */
  readonly massG?: number;
}

export interface FixInput {
  readonly state: SauceState;
  readonly temperatureC: number;
  readonly target: FixTarget;
}

/** Where a sauce should be when nobody says: common practice, no source. */
const USUAL = { thickness: 45, saltPct: 0.9, acidPct: 0.25, fatPct: 7 } as const;
/** What one step of masking may be, per cent. */
const MASK_SUGAR_PCT = 0.3;
/** So little over is no fault: a hundredth. */
const ENOUGH = 1.01;
/** Fat share of what a spoon skims. Our estimate. */
const SKIMMED_FAT = 0.9;

export const acidPctOf = (s: SauceState): number =>
  (100 * ACID_IDS.reduce((sum, id) => sum + (s.acids[id] ?? 0), 0)) / massOfSauce(s);
const mainAcid = (s: SauceState): AcidId =>
  ACID_IDS.reduce((most, id) => ((s.acids[id] ?? 0) > (s.acids[most] ?? 0) ? id : most), "acetic" as AcidId);

export function afterOf(state: SauceState, temperatureC: number, facts: FactValues): After {
  const { thickness } = bareBody(state, temperatureC, facts);
  return {
    massG: massOfSauce(state),
    saltPct: saltPctOf(state),
    fatPct: fatPctOf(state),
    acidPct: acidPctOf(state),
    sugarPct: (100 * state.sugarG) / massOfSauce(state),
    thickness: Number.isFinite(thickness) ? Math.min(100, Math.max(0, thickness)) : null,
  };
}

const said = (x: number): string => printMass(g(x));

/** Every part of a sauce, times a factor: what is left when some of it is taken out. */
const share = (s: SauceState, k: number): SauceState => ({
  ...addSauce({ ...s, ...zero(s) }, s, k),
  starches: s.starches.map(d => ({ ...d, massG: d.massG * k })),
  fineness: s.fineness,
  yolkMaxC: s.yolkMaxC,
});
const zero = (s: SauceState): SauceState => ({
  ...s,
  waterG: 0,
  gelatinG: 0,
  dissolvedG: 0,
  milkSolidsG: 0,
  saltG: 0,
  fatG: 0,
  yolkG: 0,
  starches: [],
  pureeG: 0,
  pureeSolidsG: 0,
  sugarG: 0,
  acids: {},
});

/**
 * Remedies for a complaint: what to add, how many grams, in which order, and what that does to everything else.
 *
 * @param input the sauce in g, the temperature it is eaten at, and where it should be
 * @errors those of the sauce · OUT_OF_RANGE a target beyond what a sauce can be · UNREACHABLE it is not what it is accused of
 * Source: docs/models.md "Fixes" (F.5): mass balance, and body by the model.
 * @example 2.24 kg at 1.50 % salt to 0.90 %: 1.4933 kg unsalted water, or 0.896 kg exchanged
 */
export function remediesFor(
  complaint: Complaint,
  input: FixInput,
  facts: FactValues,
): Result<readonly Remedy[]> {
  const { state, temperatureC } = input;
  const start = bodyOf(state, temperatureC, facts);
  if (!start.ok) return start;
  const target = { ...USUAL, ...definedOf(input.target) };
  const problems: Problem[] = [
    ...checkNumber(target.thickness, "target.thickness", "The body wanted", { min: 2, max: 95 }),
    ...checkNumber(target.saltPct, "target.saltPct", "The salt wanted", { min: 0, max: 10, unit: "%" }),
    ...checkNumber(target.acidPct, "target.acidPct", "The acid wanted", { min: 0.001, max: 10, unit: "%" }),
    ...checkNumber(target.fatPct, "target.fatPct", "The fat wanted", { min: 0.01, max: 90, unit: "%" }),
  ];
  if (problems.length) return refuse(...problems);
  const now = afterOf(state, temperatureC, facts);
  const list: Remedy[] = [];
  const add = (
    what: string,
    addG: number,
    next: SauceState,
    order: readonly string[],
    besides: readonly string[],
  ) => list.push({ what, addG, order, after: afterOf(next, temperatureC, facts), besides });
  const nothing = (what: string, order: readonly string[], besides: readonly string[]) =>
    add(what, 0, state, order, besides);
  const m = now.massG;
  const refuseAs = (
    field: string,
    value: number,
    allowed: number,
    message: string,
  ): Result<readonly Remedy[]> => refuse({ code: "UNREACHABLE", field, value, allowed, message });

  const bind = (to: number) => {
    const slurry = thickenTo(
      state,
      { dose: { id: "corn", minutes: 2 }, form: "slurry" },
      to,
      temperatureC,
      facts,
    );
    if (slurry.ok && slurry.value.thickenerG > 0)
      add(
        "corn starch slurry",
        slurry.value.thickenerG + slurry.value.waterG,
        slurry.value.state,
        [
          `${said(slurry.value.thickenerG)} starch in ${said(slurry.value.waterG)} cold water`,
          "back to the boil, one minute, out",
        ],
        ["half clear; weeps when thawed; no wheat in it"],
      );
    const manie = thickenTo(
      state,
      { dose: { id: "flour", minutes: 5 }, form: "beurre-manie" },
      to,
      temperatureC,
      facts,
    );
    if (manie.ok && manie.value.thickenerG > 0)
      add(
        "beurre manié",
        manie.value.thickenerG + manie.value.fatG,
        manie.value.state,
        [
          `${said(manie.value.thickenerG)} flour kneaded with ${said(manie.value.fatG)} butter`,
          "by pieces, whisked, 5 min simmering",
        ],
        ["brings gluten and milk; opaque"],
      );
    const down = loosenTo(state, looseningWith("water"), to, temperatureC, facts);
    if (down.ok && down.value.evaporateG > 0)
      add(
        "boil it down",
        -down.value.evaporateG,
        down.value.state,
        [`${said(down.value.evaporateG)} must go as steam`, "taste the salt before you go on"],
        [`salt rises to ${printNumber(saltPctOf(down.value.state), 2)} %`, "nothing is brought in"],
      );
  };

  switch (complaint) {
    case "too-thin":
    case "watery": {
      if ((now.thickness ?? 0) >= target.thickness)
        return refuseAs(
          "complaint",
          now.thickness ?? 0,
          target.thickness,
          `It has body ${printNumber(now.thickness ?? 0)} already, not less than the ${printNumber(target.thickness)} wanted.`,
        );
      bind(target.thickness);
      break;
    }
    case "too-thick":
    case "gluey": {
      if ((now.thickness ?? 0) <= target.thickness)
        return refuseAs(
          "complaint",
          now.thickness ?? 0,
          target.thickness,
          `It has body ${printNumber(now.thickness ?? 0)}, not more than the ${printNumber(target.thickness)} wanted.`,
        );
      for (const name of ["stock", "water", "cream"] as const) {
        const found = loosenTo(state, looseningWith(name), target.thickness, temperatureC, facts);
        if (!found.ok) continue;
        add(
          name === "stock" ? "unsalted stock" : name === "cream" ? "cream, unreduced" : "water",
          found.value.addG,
          found.value.state,
          [`${said(found.value.addG)}, hot, a third at a time`, "then salt and acid again"],
          [
            `salt falls to ${printNumber(saltPctOf(found.value.state), 2)} %`,
            ...(name === "cream"
              ? [`fat rises to ${printNumber(fatPctOf(found.value.state), 1)} %; brings milk`]
              : []),
          ],
        );
      }
      if (complaint === "gluey")
        nothing(
          "fold, do not beat",
          ["mill or spatula only from here on"],
          ["what the blade has broken does not come back"],
        );
      break;
    }
    case "too-salty": {
      if (now.saltPct <= target.saltPct * ENOUGH)
        return refuseAs(
          "target.saltPct",
          target.saltPct,
          now.saltPct,
          `It has ${printNumber(now.saltPct, 2)} % salt, not more than the ${printNumber(target.saltPct, 2)} % wanted.`,
        );
      for (const name of ["water", "stock"] as const) {
        const liquid = standardLiquid(name === "stock" ? "white stock" : "water", 1);
        const own = 100 * liquid.saltG;
        if (own >= target.saltPct) continue;
        const d = (m * (now.saltPct - target.saltPct)) / (target.saltPct - own);
        const next = addSauce(state, liquid, d);
        const again = (now.thickness ?? 0) - (afterOf(next, temperatureC, facts).thickness ?? 0);
        add(
          name === "stock" ? "stretch with light stock" : "stretch with water",
          d,
          next,
          [`${said(d)} in`, ...(again > 3 ? ["bind again: it is thinner now"] : [])],
          [`${printNumber(again)} points of body lost`, "the taste is as much weaker"],
        );
      }
      const q = (m * (now.saltPct - target.saltPct)) / now.saltPct;
      add(
        "exchange a part",
        0,
        addSauce(share(state, 1 - q / m), standardLiquid("water", 1), q),
        [`take ${said(q)} out and keep it for another sauce`, `put as much unsalted liquid in`],
        ["the amount stays"],
      );
      add(
        "mask with sugar or acid",
        (m * MASK_SUGAR_PCT) / 100,
        addSauce(state, standardLiquid("sugar", (m * MASK_SUGAR_PCT) / 100)),
        ["one step at most, then taste"],
        ["masking only: the salt stays as it is", "a potato takes only the liquor it soaks up"],
      );
      break;
    }
    case "too-sour": {
      if (now.acidPct <= target.acidPct * ENOUGH)
        return refuseAs(
          "target.acidPct",
          target.acidPct,
          now.acidPct,
          `It has ${printNumber(now.acidPct, 2)} % acid, not more than the ${printNumber(target.acidPct, 2)} % wanted.`,
        );
      const d = (m * (now.acidPct - target.acidPct)) / target.acidPct;
      add(
        "stretch with water or stock",
        d,
        addSauce(state, standardLiquid("water", 1), d),
        [`${said(d)} in`],
        ["thinner; bind again"],
      );
      const acid = mainAcid(state);
      const excess = (10 * (now.acidPct - target.acidPct)) / ACID_THRESHOLD_G_PER_KG[acid];
      const sugarG = Math.min((m * MASK_SUGAR_PCT) / 100, (m * THRESHOLD_G_PER_KG.sweet * excess) / 1000);
      add(
        "a little sugar",
        sugarG,
        addSauce(state, standardLiquid("sugar", sugarG)),
        [`${said(sugarG)}, then taste`],
        ["balances, does not take acid away"],
      );
      const soda = sodaFor(m, now.acidPct, target.acidPct, acid);
      const left = {
        ...state,
        acids: {
          ...state.acids,
          [acid]: Math.max(0, (state.acids[acid] ?? 0) - ((now.acidPct - soda.leftPct) * m) / 100),
        },
        saltG: state.saltG + 0.696 * soda.allowedG,
      };
      add(
        "baking soda, last of all",
        soda.allowedG,
        left,
        [`${said(soda.allowedG)}, dissolved, by pinches: it foams`],
        [
          soda.allowedG < soda.wantedG
            ? `1 g a kilogram at most: ${printNumber(soda.leftPct, 2)} % acid stay`
            : "brings it there",
          "dulls red and green; tastes of soap beyond",
        ],
      );
      break;
    }
    case "too-sweet": {
      const acidG = (m / 1000) * 2;
      const vinegarG = acidG / 0.06;
      add(
        "vinegar, half first",
        vinegarG,
        addSauce(state, standardLiquid("vinegar", vinegarG)),
        [`${said(vinegarG / 2)}, taste, then the rest`],
        ["thinner by a little"],
      );
      const d = m * 0.25;
      add(
        "stretch with stock",
        d,
        addSauce(state, standardLiquid("white stock", 1), d),
        [`${said(d)} in`],
        ["a fifth less sweet; bind again"],
      );
      break;
    }
    case "bitter": {
      const sugarG = (m / 1000) * 1.2;
      add(
        "sugar",
        sugarG,
        addSauce(state, standardLiquid("sugar", sugarG)),
        [`${said(sugarG)}, then taste`],
        ["softens; bitter cannot be taken out"],
      );
      if (now.saltPct < target.saltPct) {
        const saltG = ((target.saltPct - now.saltPct) * m) / (100 - target.saltPct);
        add(
          "salt to its level",
          saltG,
          addSauce(state, standardLiquid("salt", saltG)),
          [`${said(saltG)}, in two doses`],
          ["salt hides bitter better than sugar"],
        );
      }
      const creamG = 0.05 * m;
      add(
        "a little cream or butter",
        creamG,
        addSauce(state, standardLiquid("cream", creamG)),
        [`${said(creamG)} cream`],
        ["brings milk; paler"],
      );
      break;
    }
    case "greasy": {
      if (now.fatPct <= target.fatPct * ENOUGH)
        return refuseAs(
          "target.fatPct",
          target.fatPct,
          now.fatPct,
          `It has ${printNumber(now.fatPct, 1)} % fat, not more than the ${printNumber(target.fatPct, 1)} % wanted.`,
        );
      const q = (m * (now.fatPct - target.fatPct)) / (100 * SKIMMED_FAT - target.fatPct);
      add(
        "skim",
        -q,
        {
          ...state,
          fatG: Math.max(0, state.fatG - SKIMMED_FAT * q),
          waterG: Math.max(0, state.waterG - (1 - SKIMMED_FAT) * q),
        },
        [`${said(q)} off, or chill and lift`],
        ["the taste in the fat goes too"],
      );
      const d = (m * (now.fatPct - target.fatPct)) / target.fatPct;
      add(
        "stretch with fat-free stock",
        d,
        addSauce(state, standardLiquid("water", 1), d),
        [`${said(d)} in`],
        ["weaker and thinner"],
      );
      const fatG = (m * now.fatPct) / 100;
      const mustardG = fatG / capacityOf([{ id: "mustard", massG: 1 }]);
      add(
        "bind it in",
        mustardG,
        addSauce(state, standardLiquid("water", mustardG)),
        [`${said(mustardG)} mustard, then the stick blender`],
        ["thicker; brings mustard"],
      );
      break;
    }
    case "lumpy":
      nothing(
        "pass it",
        ["fine strainer, press with the ladle", "underside scraped, back to the boil"],
        ["a few grams stay behind"],
      );
      nothing(
        "blend, then pass",
        ["stick blender half a minute, then the strainer"],
        ["a fast blade takes body from starch"],
      );
      break;
    case "split": {
      const water = 0.02 * m;
      add(
        "a spoon of cold water",
        water,
        addSauce(state, standardLiquid("water", water)),
        ["off the fire", `${said(water)} cold water, whisk from the middle`],
        ["for a butter or cream sauce that has got too hot"],
      );
      const cream = 0.05 * m;
      add(
        "fresh cream",
        cream,
        addSauce(state, standardLiquid("cream", cream)),
        [`${said(cream)} cold cream in a clean pan, boil up`, "the split sauce in by the ladle"],
        ["brings milk"],
      );
      nothing("blend, then sieve", ["stick blender half a minute, fine sieve"], ["curdled egg stays grainy"]);
      break;
    }
    case "cloudy":
      nothing(
        "muslin and paper",
        ["let it settle hot, ladle off, through wet muslin, then paper"],
        ["1.5 % stays behind"],
      );
      nothing(
        "freeze and thaw on a cloth",
        ["freeze the stock, let it thaw over a cloth in the cold"],
        ["a day; gelatin stays behind: thinner"],
      );
      break;
    case "over-reduced": {
      const wanted =
        input.target.massG ?? (input.target.saltPct ? (m * now.saltPct) / input.target.saltPct : m * 1.15);
      if (wanted <= m)
        return refuseAs("target", wanted, m, `There are ${said(m)}; less is wanted than is there.`);
      const d = wanted - m;
      for (const [name, liquid] of [
        ["unsalted stock", "white stock"],
        ["water", "water"],
      ] as const)
        add(
          `let down with ${name}`,
          d,
          addSauce(state, standardLiquid(liquid, 1), d),
          [`${said(d)} in, boil up once`],
          [`salt falls to ${printNumber(saltPctOf(addSauce(state, standardLiquid(liquid, 1), d)), 2)} %`],
        );
      break;
    }
  }
  return ok(list, start.warnings);
}

function definedOf(target: FixTarget): Partial<typeof USUAL> {
  return Object.fromEntries(Object.entries(target).filter(([, value]) => value !== undefined)) as Partial<
    typeof USUAL
  >;
}
