import { holdsOf } from "../emulsion";
import { addSauce, standardLiquid } from "../texture";
import type { Complaint } from "./complaint";
import { type Mend, STOCK, notOver, said } from "./mending";

/** Fat share of what a spoon skims. Our estimate. */
const SKIMMED_FAT = 0.9;

const greasy: Mend = ({ state, now, target, facts, add }) => {
  const m = now.massG;
  const enough = notOver("fat", "fatPct", now.fatPct, target.fatPct, 1);
  if (enough) return enough;
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
    { [STOCK]: d },
  );
  const fatG = (m * now.fatPct) / 100;
  const mustardG = fatG / holdsOf("mustard", facts);
  add(
    "bind it in",
    mustardG,
    addSauce(state, standardLiquid("water", mustardG)),
    [`${said(mustardG)} mustard, then the stick blender`],
    ["thicker"],
    { mustard: mustardG },
  );
  return undefined;
};

const lumpy: Mend = ({ nothing }) => {
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
  return undefined;
};

const split: Mend = ({ state, now, add, nothing }) => {
  const m = now.massG;
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
    ["richer and paler"],
    { cream },
  );
  nothing("blend, then sieve", ["stick blender half a minute, fine sieve"], ["curdled egg stays grainy"]);
  return undefined;
};

const cloudy: Mend = ({ nothing }) => {
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
  return undefined;
};

/** Repairs of a sauce that has come apart, or holds what it should not. */
export const REPAIRS = { greasy, lumpy, split, cloudy } satisfies Partial<Record<Complaint, Mend>>;
