import { printNumber } from "../../ground/quantity";
import { BITTER_SUGAR_G_PER_KG, SALT_PER_SODA, acidThreshold, sodaFor } from "../seasoning";
import {
  ACID_IDS,
  type AcidId,
  NO_SAUCE,
  type SauceState,
  addSauce,
  saltPctOf,
  standardLiquid,
} from "../texture";
import type { Complaint } from "./complaint";
import { MASK_SUGAR_PCT, type Mend, STOCK, notOver, said, unreachable } from "./mending";
import { afterOf } from "./remedy";

const mainAcid = (s: SauceState): AcidId =>
  ACID_IDS.reduce((most, id) => ((s.acids[id] ?? 0) > (s.acids[most] ?? 0) ? id : most), "acetic" as AcidId);

/** Every part of a sauce, times a factor: what is left when some of it is taken out. */
const share = (s: SauceState, k: number): SauceState => ({
  ...addSauce({ ...s, ...NO_SAUCE }, s, k),
  starches: s.starches.map(d => ({ ...d, massG: d.massG * k })),
  fineness: s.fineness,
  yolkMaxC: s.yolkMaxC,
});

const tooSalty: Mend = ({ state, temperatureC, facts, now, target, add }) => {
  const m = now.massG;
  const enough = notOver("salt", "saltPct", now.saltPct, target.saltPct, 2);
  if (enough) return enough;
  for (const name of ["water", "stock"] as const) {
    const liquid = standardLiquid(name === "stock" ? "white stock" : "water", 1);
    const own = 100 * liquid.saltG;
    if (own >= target.saltPct) continue;
    const d = (m * (now.saltPct - target.saltPct)) / (target.saltPct - own);
    const next = addSauce(state, liquid, d);
    const then = afterOf(next, { state, temperatureC, target }, facts).thickness;
    const lost = now.thickness === null || then === null ? 0 : now.thickness - then;
    add(
      name === "stock" ? "stretch with light stock" : "stretch with water",
      d,
      next,
      [`${said(d)} in`, ...(lost > 3 ? ["bind again: it is thinner now"] : [])],
      [...(lost > 0.5 ? [`${printNumber(lost)} points of body lost`] : []), "the taste is as much weaker"],
      name === "stock" ? { [STOCK]: d } : {},
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
    { sugar: (m * MASK_SUGAR_PCT) / 100 },
  );
  return undefined;
};

const tooSour: Mend = ({ state, now, target, facts, add }) => {
  const m = now.massG;
  const enough = notOver("acid", "acidPct", now.acidPct, target.acidPct, 2);
  if (enough) return enough;
  const d = (m * (now.acidPct - target.acidPct)) / target.acidPct;
  add(
    "stretch with water or stock",
    d,
    addSauce(state, standardLiquid("water", 1), d),
    [`${said(d)} in`],
    ["thinner; bind again"],
  );
  const acid = mainAcid(state);
  const excess = (10 * (now.acidPct - target.acidPct)) / acidThreshold(acid, facts);
  const sugarG = Math.min((m * MASK_SUGAR_PCT) / 100, (m * facts.sweetThreshold * excess) / 1000);
  add(
    "a little sugar",
    sugarG,
    addSauce(state, standardLiquid("sugar", sugarG)),
    [`${said(sugarG)}, then taste`],
    ["balances, does not take acid away"],
    { sugar: sugarG },
  );
  const soda = sodaFor(m, now.acidPct, target.acidPct, acid);
  const left = {
    ...state,
    acids: {
      ...state.acids,
      [acid]: Math.max(0, (state.acids[acid] ?? 0) - ((now.acidPct - soda.leftPct) * m) / 100),
    },
    saltG: state.saltG + SALT_PER_SODA * soda.allowedG,
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
    { "baking-soda": soda.allowedG },
  );
  return undefined;
};

const tooSweet: Mend = ({ state, now, add }) => {
  const m = now.massG;
  const acidG = (m / 1000) * 2;
  const vinegarG = acidG / 0.06;
  add(
    "vinegar, half first",
    vinegarG,
    addSauce(state, standardLiquid("vinegar", vinegarG)),
    [`${said(vinegarG / 2)}, taste, then the rest`],
    ["thinner by a little"],
    { "wine-vinegar": vinegarG },
  );
  const d = m * 0.25;
  add(
    "stretch with stock",
    d,
    addSauce(state, standardLiquid("white stock", 1), d),
    [`${said(d)} in`],
    ["a fifth less sweet; bind again"],
    { [STOCK]: d },
  );
  return undefined;
};

const bitter: Mend = ({ state, now, target, add }) => {
  const m = now.massG;
  const sugarG = (m / 1000) * BITTER_SUGAR_G_PER_KG;
  add(
    "sugar",
    sugarG,
    addSauce(state, standardLiquid("sugar", sugarG)),
    [`${said(sugarG)}, then taste`],
    ["softens; bitter cannot be taken out"],
    { sugar: sugarG },
  );
  if (now.saltPct < target.saltPct) {
    const saltG = ((target.saltPct - now.saltPct) * m) / (100 - target.saltPct);
    add(
      "salt to its level",
      saltG,
      addSauce(state, standardLiquid("salt", saltG)),
      [`${said(saltG)}, in two doses`],
      ["salt hides bitter better than sugar"],
      { salt: saltG },
    );
  }
  const creamG = 0.05 * m;
  add(
    "a little cream or butter",
    creamG,
    addSauce(state, standardLiquid("cream", creamG)),
    [`${said(creamG)} cream`],
    ["paler"],
    { cream: creamG },
  );
  return undefined;
};

const overReduced: Mend = ({ state, now, asked, add }) => {
  const m = now.massG;
  const wanted = asked.massG ?? (asked.saltPct ? (m * now.saltPct) / asked.saltPct : m * 1.15);
  if (wanted <= m)
    return unreachable("target", wanted, m, `There are ${said(m)}; less is wanted than is there.`);
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
      name === "water" ? {} : { [STOCK]: d },
    );
  return undefined;
};

/** Remedies for what is wrong with the taste. */
export const TASTE_REMEDIES = {
  "too-salty": tooSalty,
  "too-sour": tooSour,
  "too-sweet": tooSweet,
  bitter,
  "over-reduced": overReduced,
} satisfies Partial<Record<Complaint, Mend>>;
