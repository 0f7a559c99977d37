import { type PotState, SHELF_TEMPERATURE_C, emulsify as beatIn, potMass } from "../../things/pot";
import { EMULSION_TOOLS } from "../../laws/emulsion";
import { degC, minutes, ml, printNumber, printVolume } from "../../ground/quantity";
import { ok } from "../../ground/result";
import { type Vessel, BOWL_FILL, bowlBatches, bySize, geometryOfVessel } from "../../things/vessel";
import { type StepContext, defineStep, outcome } from "./kind";
import { ANYTHING_DEEP, asThemselves, choice, time, vessel } from "./field";
import { addLines, filledMl, namedVessel, workingVessel } from "./shared";

const fields = {
  tool: choice("With", asThemselves(EMULSION_TOOLS)),
  durationMin: time(),
  vesselId: vessel("In", ANYTHING_DEEP),
};

/** A bowl warmer than this gets its butter melted, and so warm. Common practice, no source, °C. */
const WARM_BOWL_C = 45;
const MELTED_C = degC(55);

/** Beats oil or fat into water until they hold together; everything fat in the bowl is taken up. */
export const emulsify = defineStep({
  kind: "emulsify",
  label: "Emulsify",
  fields,
  blank: id => ({ id, kind: "emulsify" as const, lines: [], tool: "whisk" as const, durationMin: 7 }),
  title: (_step, names) => (names.length ? `Beat in ${names.join(", ")}` : "Beat to an emulsion"),
  detail: step => `${step.tool}; any fat in thin drops for the first tenth, then in a thread`,
  cue: "it holds the track of the whisk and shines",
  why: "The first drops make the net; too fast, there is no net to hold the rest.",
  cautions: () => [],
  place: "bench",
  attention: "watch",
  takesLines: true,
  endsAtMark: false,
  apply: context => {
    const { step, facts } = context;
    // Butter that goes into a warm bowl is melted first.
    const warm = context.pot.temperatureC > WARM_BOWL_C;
    const added = addLines(context.pot, context.lines, context.field, warm ? MELTED_C : SHELF_TEMPERATURE_C);
    if (!added.ok) return added;
    const pot = beatIn(added.value, added.value.floatFatG);
    if (!pot.ok) return pot;
    const beaten = { ...pot.value, natures: { ...pot.value.natures, beatenWith: step.tool } };
    const min = step.durationMin * facts.handTimes;
    const named = namedVessel(context, step.vesselId, null);
    if (!named.ok) return named;
    // A little fat is whisked into what stands there; where the fat is most of it, it takes a bowl.
    const bowl = named.value ?? (isMostlyFat(beaten) ? bowlFor(context, beaten, step.tool) : null);
    const batches = bowl && bowlBatches(filledMl(beaten, facts), geometryOfVessel(bowl).capacityMl);
    if (bowl && batches?.ok && batches.value.count === 1) return ok(outcome(beaten, bowl, minutes(min)));
    const vessel = workingVessel(
      context,
      beaten,
      step.vesselId,
      bowl || !context.vessel ? ["container"] : ["container", "pan", "pot"],
    );
    if (!vessel.ok) return vessel;
    if (!bowl || !batches?.ok) return ok(outcome(beaten, vessel.value, minutes(min)));
    const { count, eachMl } = batches.value;
    return ok(
      outcome(beaten, vessel.value, minutes(count * min), {
        says: `in ${printNumber(count)} batches of ${printVolume(ml(eachMl))} in the ${bowl.name}${BY_HAND.has(step.tool) ? "; for so much a mixer or the stick blender" : ""}`,
      }),
    );
  },
});

/** Fat from which a mixture is beaten to an emulsion, as a share of it; with less it is only enriched. Our estimate. */
const MOSTLY_FAT = 0.35;
const isMostlyFat = (pot: PotState): boolean => pot.liquor.fat > MOSTLY_FAT * potMass(pot);

/** Beaten by hand: in what an arm gets round. */
const BY_HAND: ReadonlySet<string> = new Set(["fork", "whisk"]);
/** A bowl or pan larger than this no arm beats in, ml. Common practice, no source. */
const MOST_BY_HAND_ML = 9000;

/**
 * Where it is beaten: in what it stands in, if that is a bowl or a pan and takes it; else in the smallest bowl that
 * does, and where none does in the largest, by batches. Never in a stock pot: no whisk gets round in it.
 */
function bowlFor<S>(context: StepContext<S>, pot: PotState, tool: string): Vessel | null {
  const most = BY_HAND.has(tool) ? MOST_BY_HAND_ML : Infinity;
  const capacity = (v: Vessel) => geometryOfVessel(v).capacityMl;
  const beats = (v: Vessel) => !v.closed && v.use !== "pot" && v.use !== "tray" && capacity(v) <= most;
  const fits = (v: Vessel) => filledMl(pot, context.facts) <= BOWL_FILL * capacity(v);
  const here = context.vessel;
  if (here && beats(here) && fits(here)) return here;
  // What is warm stays in a pan, over its bath; what is cold is beaten in a bowl.
  const warm = pot.temperatureC > WARM_BOWL_C;
  const bowls = bySize(context.vessels.filter(v => beats(v) && (warm || v.use === "container")));
  const any = bowls.length ? bowls : bySize(context.vessels.filter(beats));
  return any.find(fits) ?? any.at(-1) ?? null;
}
