import {
  type EmulsionInput,
  bareEmulsion,
  kindOfEmulsion,
  massOf,
  rescueBroken,
  thickenEmulsion,
  withPart,
} from "../emulsion";
import { printNumber } from "../../ground/quantity";
import { bisect } from "../../ground/solver/halving";
import { InvariantError } from "../../ground/result";
import { addSauce, standardLiquid } from "../texture";
import type { Complaint } from "./complaint";
import { type Mend, notOver, notThicker, notThinner, said, unreachable } from "./mending";

/** Water past this many times the water phase makes a dressing of it. */
const MOST_WATER = 4;

const beaten = (input: EmulsionInput | null | undefined): EmulsionInput => {
  if (!input) throw new InvariantError("Only an emulsion is mended as one.");
  return input;
};
const fatName = (input: EmulsionInput) =>
  input.oilKind === "oil"
    ? { name: "oil", larder: "sunflower-oil" }
    : { name: "clarified butter", larder: "clarified-butter" };

const tooThin: Mend = ({ state, emulsion, facts, now, target, add }) => {
  const input = beaten(emulsion);
  const enough = notThinner(now.thickness, target.thickness);
  if (enough) return enough;
  const found = thickenEmulsion(input, target.thickness, facts);
  if (!found.ok) return found.problems[0];
  const { name, larder } = fatName(input);
  const { oilG } = found.value;
  add(
    `more ${name}`,
    oilG,
    addSauce(state, standardLiquid("oil", oilG)),
    [`${said(oilG)}, in a thread, beaten all the while`, "then salt and acid again"],
    ["richer; keep to what the yolk holds"],
    { [larder]: oilG },
  );
  return undefined;
};

const tooThick: Mend = ({ state, emulsion, facts, now, target, add }) => {
  const input = beaten(emulsion);
  const enough = notThicker(now.thickness, target.thickness);
  if (enough) return enough;
  const waterG = bisect(
    grams =>
      (bareEmulsion({ ...input, parts: withPart(input.parts, "water", grams) }, facts).thickness ?? 0) -
      target.thickness,
    0,
    MOST_WATER * massOf(input.parts),
  );
  if (waterG === null)
    return unreachable(
      "target.thickness",
      target.thickness,
      now.thickness ?? 0,
      `Water alone does not bring it to body ${printNumber(target.thickness)} without making a dressing of it.`,
    );
  add(
    input.oilKind === "oil" ? "water, by the spoon" : "water at 60 °C, by the spoon",
    waterG,
    addSauce(state, standardLiquid("water", 1), waterG),
    [`${said(waterG)}, beaten in a spoon at a time`, "then salt and acid again"],
    ["or a part of it as vinegar or lemon, if it may be sourer"],
  );
  return undefined;
};

const tooSalty: Mend = ({ state, now, target, add }) => {
  const enough = notOver("salt", "saltPct", now.saltPct, target.saltPct, 2);
  if (enough) return enough;
  if (!(target.saltPct > 0)) return undefined;
  const d = (now.massG * (now.saltPct - target.saltPct)) / target.saltPct;
  add(
    "stretch with the same, unsalted",
    d,
    addSauce(state, { ...state, saltG: 0 }, d / (now.massG - state.saltG)),
    [`make ${said(d)} of it without salt`, "fold the two together"],
    ["the body stays"],
  );
  add(
    "stretch with water",
    d,
    addSauce(state, standardLiquid("water", 1), d),
    [`${said(d)}, beaten in a spoon at a time`],
    ["thinner, and the taste is as much weaker"],
  );
  return undefined;
};

const greasy: Mend = ({ state, now, target, add }) => {
  const enough = notOver("fat", "fatPct", now.fatPct, target.fatPct, 1);
  if (enough) return enough;
  const d = (now.massG * (now.fatPct - target.fatPct)) / target.fatPct;
  add(
    "water, by the spoon",
    d,
    addSauce(state, standardLiquid("water", 1), d),
    [`${said(d)}, beaten in a spoon at a time`, "then salt and acid again"],
    ["thinner: its oil is what holds it up"],
  );
  return undefined;
};

const split: Mend = ({ state, emulsion, facts, add }) => {
  const input = beaten(emulsion);
  const kind = kindOfEmulsion(input);
  let problem;
  for (const failedBefore of [false, true]) {
    const found = rescueBroken(input, { kind, failedBefore }, facts);
    if (!found.ok) {
      problem ??= found.problems[0];
      continue;
    }
    const { waterG, yolkG, steps } = found.value;
    if (failedBefore && !yolkG) continue;
    add(
      yolkG ? "onto a new yolk, if water alone failed" : "onto a spoon of water",
      waterG + yolkG,
      addSauce({ ...state, yolkG: state.yolkG + yolkG }, standardLiquid("water", 1), waterG),
      steps,
      yolkG ? ["raw yolk: cold, and within the day"] : ["thinner by a little"],
      yolkG ? { "egg-yolk": yolkG } : {},
    );
  }
  return problem;
};

/** Remedies of what is beaten up, where they are others than those of a sauce. */
export const EMULSION_REMEDIES = {
  "too-thin": tooThin,
  watery: tooThin,
  "too-thick": tooThick,
  gluey: tooThick,
  "too-salty": tooSalty,
  greasy,
  split,
} satisfies Partial<Record<Complaint, Mend>>;
