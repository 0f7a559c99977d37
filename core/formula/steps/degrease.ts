import { exitMass, skimFat } from "../../things/pot";
import { g, minutes, printMass } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { defineStep, outcome } from "./kind";
import { choice, gramsIfAny, time } from "./field";

const fields = {
  method: choice("How", { ladle: "ladle or tip", chilled: "chill and lift" }),
  /** Fat meant to stay in: what the roux wants. */
  leaveG: gramsIfAny("Leave in", 100_000, "none"),
  durationMin: time(),
};

/** Above this no fat of a stock stands in one piece, °C. Common practice, no source. */
export const FAT_SETS_C = 20;

/** Takes the fat off: with the ladle while hot, or lifted in one piece once it has set. */
export const degrease = defineStep({
  kind: "degrease",
  label: "Take the fat off",
  fields,
  blank: id => ({ id, kind: "degrease" as const, lines: [], method: "ladle" as const, durationMin: 10 }),
  title: step => (step.method === "chilled" ? "Lift the set fat" : "Tip off the fat"),
  detail: step =>
    [
      step.method === "chilled"
        ? "in one piece, once it has set"
        : "ladle or tipped tray; keep it for frying",
      ...(step.leaveG ? [`leave ${printMass(g(step.leaveG))} in`] : []),
    ].join("; "),
  cue: "no more than a few eyes of fat on the surface",
  why: "Fat carries off-flavours of long cooking and keeps a reduction from coming together.",
  cautions: step =>
    step.method === "ladle" ? ["Hot fat: tip away from yourself, into metal, never into water."] : [],
  place: "bench",
  attention: "watch",
  takesLines: false,
  endsAtMark: false,
  takesOut: true,
  rule: "taken = share · floating fat · (1 + carry)",
  apply: context => {
    const { step, facts } = context;
    const [share, carry] =
      step.method === "chilled" && context.pot.temperatureC <= FAT_SETS_C
        ? [facts.chilledFat, facts.chilledCarry]
        : [facts.ladleFat, facts.ladleCarry];
    const floating = context.pot.floatFatG;
    const spare = floating > 0 ? Math.max(0, 1 - (step.leaveG ?? 0) / floating) : 0;
    // What is to stay is weighed off to the gram; the tool's own leavings count only when all of it should go.
    const pot = skimFat(context.pot, step.leaveG ? spare : share, carry);
    if (!pot.ok) return pot;
    const taken = g(exitMass(pot.value, "skim") - exitMass(context.pot, "skim"));
    return ok(
      outcome(pot.value, context.vessel, minutes(step.durationMin * facts.handTimes), {
        computed: [{ what: "fat taken off", massG: taken, way: "out" }],
      }),
    );
  },
});
