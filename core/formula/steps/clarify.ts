import {
  addPools,
  exitMass,
  liquorMass,
  massOfPools,
  poolsOf,
  portionOf,
  strain as strainPot,
  subtractPools,
  follow,
} from "../../things/pot";
import { degC, g, minutes } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome, takenOut } from "./kind";
import { choice, numberIfAny, time } from "./field";

/** Ways to a clear liquor, with what each costs of it. Losses: common practice, no source; the filter 1.5 % (C139). */
const CLARIFY_METHODS = {
  "egg white": { label: "raft of egg white", lossPct: 8 },
  "frozen gelatin": { label: "frozen, then thawed through a cloth", lossPct: 15 },
  cloth: { label: "muslin and paper", lossPct: 1.5 },
} as const;

const METHOD_WORDS = {
  "egg white": CLARIFY_METHODS["egg white"].label,
  "frozen gelatin": CLARIFY_METHODS["frozen gelatin"].label,
  cloth: CLARIFY_METHODS.cloth.label,
};

const fields = {
  method: choice("How", METHOD_WORDS),
  /** Liquor lost with it, per cent. */
  lossPct: numberIfAny("Lost with it", "%", 0, 60, "as usual"),
  durationMin: time(),
};

/** Clears a liquor: what clouds it leaves with the raft, the ice or the cloth. */
export const clarify = defineStep({
  kind: "clarify",
  label: "Clarify",
  fields,
  blank: id => ({ id, kind: "clarify" as const, lines: [], method: "cloth" as const, durationMin: 20 }),
  title: () => "Clarify",
  detail: step =>
    `${CLARIFY_METHODS[step.method].label}, ${step.lossPct ?? CLARIFY_METHODS[step.method].lossPct} % lost`,
  cue: "print can be read through a spoonful",
  why: "Egg white sets around what clouds and carries it up.",
  cautions: step =>
    step.method === "egg white" ? ["Raw egg white: cooked through in the raft, hands washed."] : [],
  place: "fire",
  attention: "look in",
  takesLines: true,
  endsAtMark: false,
  takesOut: true,
  speaksOfItsEgg: true,
  apply: context => {
    const { step, facts } = context;
    // The raft sets and leaves whole: what is put in for it goes out again with the liquor that clings.
    const raft = context.lines.reduce(
      (sum, line) => addPools(sum, poolsOf(line.ingredient.composition, line.massG)),
      portionOf(context.pot.liquor, 0),
    );
    const strained = strainPot(context.pot, () => 0, facts.fatCling);
    const lost = portionOf(
      strained.liquor,
      (liquorMass(strained) * (step.lossPct ?? CLARIFY_METHODS[step.method].lossPct)) / 100,
    );
    const pot = {
      ...strained,
      entered: addPools(strained.entered, raft),
      liquor: subtractPools(strained.liquor, lost),
      natures: follow(strained.natures, strained.liquor, subtractPools(strained.liquor, lost)),
      exits: { ...strained.exits, strained: addPools(strained.exits.strained, addPools(lost, raft)) },
      temperatureC: step.method === "frozen gelatin" ? degC(4) : strained.temperatureC,
    };
    const gone = exitMass(pot, "strained") - exitMass(context.pot, "strained");
    return ok(
      outcome(pot, context.vessel, minutes(step.durationMin * facts.handTimes), {
        computed: takenOut(massOfPools(raft) > 0 ? "raft, with what clings" : "stays in the cloth", g(gone)),
      }),
    );
  },
});
