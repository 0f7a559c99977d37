import type { SolidKind } from "../../things/larder";
import { colourRoux, emulsify, liquorMass, potMass } from "../../things/pot";
import { ROUX_COLOURS } from "../../laws/thickening";
import { degC, g, s } from "../../ground/quantity";
import { type Warning, ok } from "../../ground/result";
import { defineStep, outcome, takenOut } from "./kind";
import { asThemselves, choice, choiceIfAny, flag, time, timeIfAny, vessel } from "./field";
import { rouxMin } from "./hand-times";
import { addLines, bringUp, keepAt, nearBoilC, thenCourse, workingVessel } from "./shared";

/** How a thickener goes in. */
export const THICKEN_FORMS = ["roux", "beurre manié", "slurry", "dusted", "cooked in", "stirred in"] as const;

const fields = {
  form: choice("How it goes in", asThemselves(THICKEN_FORMS)),
  /** Whether the roux is hot when the liquor comes to it. */
  rouxHot: flag("the roux is hot"),
  /** How far the flour was browned: colour costs body. */
  colour: choiceIfAny("Colour", asThemselves(ROUX_COLOURS), "white"),
  /** Cooked before anything comes to it: only a roux. */
  rouxMin: timeIfAny("Roux cooked", "by its colour"),
  /** Simmered afterwards. */
  durationMin: time("Simmered"),
  vesselId: vessel(),
};

/** Liquor warmer than this is hot to a roux, °C. Common practice, no source. */
const HOT_LIQUOR_C = 60;
/** Simmering thickened sauce stands a little under the boil, °C below. Common practice, no source. */
const UNDER_BOIL_C = 3;

const ON_MEAT: ReadonlySet<SolidKind> = new Set([
  "meat",
  "skin",
  "poultry-bones",
  "poultry-whole",
  "veal-bones",
  "beef-bones",
  "pork-bones",
]);

const FORM_WORDS: Record<(typeof THICKEN_FORMS)[number], string> = {
  roux: "whisked into the roux a third at a time",
  "beurre manié": "by pieces, whisked",
  slurry: "stirred into cold liquid first, then in",
  dusted: "flour over the pan, cooked a minute",
  "cooked in": "cooked in it until it falls apart",
  "stirred in": "stirred in until it is smooth",
};

/** Binds the liquor with starch and keeps it simmering until it tastes cooked; its fat is taken up. */
export const thicken = defineStep({
  kind: "thicken",
  label: "Thicken",
  fields,
  blank: id => ({
    id,
    kind: "thicken" as const,
    lines: [],
    form: "roux" as const,
    rouxHot: false,
    durationMin: 20,
  }),
  title: (step, names) =>
    names.length
      ? `Bind with ${step.form === "stirred in" ? names.join(", ") : step.form === "cooked in" ? names.join(", ") : step.form}`
      : `Bind: ${step.form}`,
  detail: step => `${FORM_WORDS[step.form]}; ${step.durationMin} min simmering`,
  cue: "no raw flour on the tongue, coats the spoon, a line stays",
  why: "Raw starch tastes of flour and loosens again; cooked through, it stands.",
  cautions: step =>
    step.form === "beurre manié" || step.form === "dusted" || step.form === "slurry"
      ? ["Raw flour is not ready to eat: back to the boil after it goes in, then at least 3–5 min."]
      : ["It catches: flat spoon, low flame, into the corners."],
  place: "fire",
  steams: "by the clock",
  attention: "look in",
  takesLines: true,
  endsAtMark: false,
  cooks: true,
  apply: context => {
    const { step, facts, pot: start } = context;
    const warnings: Warning[] = [];
    if (step.form === "roux" && step.rouxHot && liquorMass(start) > 0 && start.temperatureC > HOT_LIQUOR_C)
      warnings.push({
        code: "LUMPS",
        message: `Hot roux and liquor at ${Math.round(start.temperatureC)} °C: lumps. One hot, one cold: let the roux cool or take cold stock.`,
      });
    // Dusted over meat half of it falls beside or stays on the board; over a pan all of it is in.
    const reaches =
      step.form === "dusted" && start.solids.some(part => ON_MEAT.has(part.kind)) ? facts.dustReaches : 1;
    const lines = context.lines.map(line => ({ ...line, massG: g(line.massG * reaches) }));
    const added = addLines(start, lines, context.field);
    if (!added.ok) return added;
    const coloured = step.colour
      ? { ...added.value, natures: colourRoux(added.value.natures, step.colour) }
      : added.value;
    const bound = emulsify(coloured, coloured.floatFatG);
    if (!bound.ok) return bound;
    const vessel = workingVessel(context, bound.value, step.vesselId);
    if (!vessel.ok) return vessel;
    const simmerC = degC(nearBoilC(context.around) - UNDER_BOIL_C + 1);
    const up = bringUp(context, bound.value, vessel.value, simmerC, 0.7, "off");
    if (!up.ok) return up;
    const kept = keepAt(context, up.value.pot, vessel.value, {
      holdC: simmerC,
      min: step.durationMin,
      lid: "off",
      surface: "skin",
    });
    if (!kept.ok) return kept;
    const all = thenCourse(up.value, kept.value);
    const roux =
      added.value.floatFatG +
      context.lines.reduce((m, l) => m + (l.ingredient.carries?.thickener ? l.massG : 0), 0);
    const cookedMin =
      step.form === "roux" ? (step.rouxMin ?? rouxMin(step.colour ?? "white", roux)) * facts.handTimes : 0;
    return ok(
      outcome(all.pot, vessel.value, s(all.durationS + cookedMin * 60), {
        computed: [
          ...takenOut(
            "flour that stays on the meat or the board",
            context.lines.reduce((m, l) => m + l.massG, 0) * (1 - reaches),
          ),
          ...takenOut("lost as steam", potMass(bound.value) - potMass(all.pot)),
        ],
        warnings: [...warnings, ...all.warnings],
        course: all.course.map(point => ({ ...point, atS: s(point.atS + cookedMin * 60) })),
      }),
    );
  },
});
