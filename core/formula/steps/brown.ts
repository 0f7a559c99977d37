import { EMPTY_POT, type PotState, type SolidPart, leave, onePool } from "../../things/pot";
import { type Watts, minutes, mm, printNumber, watts } from "../../ground/quantity";
import { type Result, ok, refuse } from "../../ground/result";
import { type DryingClass, crowding, inPan } from "../../laws/drying";
import { type Burner, heatIntoPan } from "../../laws/reduction";
import { type Vessel, geometryOfVessel } from "../../things/vessel";
import { type StepContext, defineStep, outcome, withoutFat } from "./kind";
import { burner as burnerField, choiceIfAny, openingIfAny, temperatureIfAny, time, vessel } from "./field";
import { type Heated, inDryHeat, mainClass, surfaceOf } from "./dry-heat";
import { addLines, filledMl, inField, namedVessel } from "./shared";

const fields = {
  durationMin: time(),
  /** What lies in the heat. */
  of: choiceIfAny(
    "What",
    { pot: "what goes in, or all", aside: "what was lifted out, in a pan of its own" },
    "pot",
  ),
  /** How hot the pan is kept. */
  panC: temperatureIfAny("Pan", 110, 280, "as hot as it wants"),
  setting: openingIfAny("Flame", "full"),
  burnerId: burnerField("Burner", "the usual one"),
  vesselId: vessel("In", ["pan", "pot", "tray"], "where it lies flat"),
};

/** How hot a cook keeps the pan for each, °C; a sear is hotter. Common practice, no source. */
const KEPT_C: Readonly<Record<"vegetables" | "others", number>> = { vegetables: 160, others: 180 };
const GREEN: ReadonlySet<DryingClass> = new Set(["vegetables", "whole", "mushrooms"]);

/** Colours bones, meat, shells and vegetables in the fat at hand; only what this step adds, or all where it adds nothing. */
export const brown = defineStep({
  kind: "brown",
  label: "Brown",
  fields,
  blank: id => ({ id, kind: "brown" as const, lines: [], durationMin: 15 }),
  title: (_step, lines) => {
    const names = withoutFat(lines);
    return names.length > 2 ? "Brown the mirepoix" : names.length ? `Brown the ${names.join(", ")}` : "Brown";
  },
  detail: step => (step.panC ? `the pan at ${step.panC} °C, turned` : "in the fat of the pan, stirred"),
  cue: "brown at the edges, sweet smell, the fond loose under the spoon",
  why: "Colour is taste, and it comes only where it is dry and hot.",
  cautions: () => ["Extraction on; smoking fat is too hot."],
  place: "fire",
  steams: "to the end",
  attention: "watch",
  takesLines: true,
  endsAtMark: false,
  cooks: true,
  fond: "leaves",
  rule: "(u₀ − u)/R + (τ/θ) ln(u₀/u) = t",
  heard: { begins: true },
  apply: context => {
    const { step, facts } = context;
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    if (step.of === "aside") return fryAside(context, added.value);
    const pot = added.value;
    const ids = new Set(context.lines.map(line => line.lineId));
    const mine = pot.solids.filter(part => ids.has(part.id));
    const inHeat = mine.length ? mine : pot.solids;
    const found = browningPan(context, pot, inHeat);
    if (!found.ok) return found;
    const browned = browns(context, pot, inHeat, found.value);
    if (!browned.ok) return browned;
    const { heated, says } = browned.value;
    return ok(
      outcome(heated.pot, found.value, minutes(step.durationMin * facts.handTimes), {
        computed: heated.computed,
        warnings: heated.warnings,
        ...(says && { says }),
      }),
    );
  },
});

/** Some parts in the heat of a pan. */
function browns(
  context: StepContext<Told & { durationMin: number; panC?: number | undefined }>,
  pot: PotState,
  inHeat: readonly SolidPart[],
  vessel: Vessel,
): Result<{ readonly heated: Heated; readonly says: string | null }> {
  const { step, facts } = context;
  const burner = burnerOf(context);
  if (!burner.ok) return burner;
  const panC = step.panC ?? (GREEN.has(mainClass(inHeat)) ? KEPT_C.vegetables : KEPT_C.others);
  const net = netHeat(context, vessel, burner.value, panC);
  if (!net.ok) return refuse(...inField(context.field, net.problems));
  const surface = surfaceOf(inHeat, facts);
  const base = baseM2(vessel);
  const heated = inDryHeat(
    pot,
    inPan(panC, net.value, base, surface, facts),
    step.durationMin * facts.handTimes,
    facts,
    { only: new Set(inHeat.map(part => part.id)), netW: net.value, where: "as steam" },
  );
  if (!heated.ok) return heated;
  const flat = crowding(base, surface, facts);
  // What does not lie flat steams: it is browned in goes, and that is no fault of the recipe.
  const goes = Math.ceil(1 / flat);
  return ok({
    heated: heated.value,
    says: flat < CROWDED ? `in ${printNumber(goes)} goes in the ${vessel.name}` : null,
  });
}

/** What was lifted out is fried in a pan of its own, and kept; the pot stands meanwhile. */
function fryAside(
  context: StepContext<Told & { durationMin: number; panC?: number | undefined }>,
  pot: PotState,
) {
  if (!pot.aside.length)
    return refuse({
      code: "EMPTY",
      field: context.field,
      message: "Nothing was lifted out and kept before: there is nothing to fry.",
    });
  const alone: PotState = { ...EMPTY_POT, solids: pot.aside };
  const own = { ...context, vessel: null };
  const found = browningPan(own, alone, alone.solids);
  if (!found.ok) return found;
  const browned = browns(own, alone, alone.solids, found.value);
  if (!browned.ok) return browned;
  const { heated, says } = browned.value;
  return ok(
    outcome(
      {
        ...pot,
        aside: heated.pot.solids,
        // Its fat stays in its pan.
        exits: leave(
          { ...pot, exits: leave(pot, "vapour", heated.pot.exits.vapour) },
          "poured",
          onePool("fat", heated.pot.floatFatG),
        ),
      },
      context.vessel,
      minutes(context.step.durationMin * context.facts.handTimes),
      {
        computed: heated.computed,
        warnings: heated.warnings,
        says: [`fried in the ${found.value.name}`, ...(says ? [says] : [])].join(", "),
      },
    ),
  );
}

/** Less of it than this on the base of the pan at once, and it steams. Our estimate. */
const CROWDED = 0.4;

/** Steam gets away from a pan no deeper than this share of its width. Common practice, no source. */
const SHALLOW = 0.6;

const isShallow = (vessel: Vessel): boolean => {
  const { heightMm, baseDiameterMm } = geometryOfVessel(vessel);
  return heightMm <= SHALLOW * baseDiameterMm;
};

const baseM2 = (vessel: Vessel): number => geometryOfVessel(vessel).surfaceMm2(mm(0)) * 1e-6;

interface Told {
  readonly vesselId?: string | undefined;
  readonly burnerId?: string | undefined;
  readonly setting?: number | undefined;
}

/** The pan named, the one at hand, or the smallest in which it lies flat; where none is wide enough, the widest. */
function browningPan(
  context: StepContext<Told>,
  pot: PotState,
  inHeat: readonly SolidPart[],
): Result<Vessel> {
  const named = namedVessel(context, context.step.vesselId, context.vessel);
  if (!named.ok) return named;
  if (named.value) return ok(named.value);
  const { facts } = context;
  const surface = surfaceOf(inHeat, facts);
  const holds = context.vessels
    .filter(v => !v.closed && (v.use === "pan" || v.use === "pot"))
    .filter(v => filledMl(pot, facts) <= geometryOfVessel(v).capacityMl)
    .sort((a, b) => baseM2(a) - baseM2(b));
  const shallow = holds.filter(isShallow);
  const open = shallow.length ? shallow : holds;
  const flat = open.find(v => crowding(baseM2(v), surface, facts) >= 1) ?? open.at(-1);
  return flat
    ? ok(flat)
    : refuse({
        code: "NOTHING_FITS",
        field: `${context.field}.vesselId`,
        message: "No pan of this kitchen takes so much at once: brown it in goes, or in the oven.",
      });
}

function burnerOf(context: StepContext<Told>): Result<Burner | null> {
  const id = context.step.burnerId;
  if (id === undefined) return ok(context.burner);
  const named = context.burners.find(b => b.id === id);
  return named
    ? ok(named)
    : refuse({
        code: "UNKNOWN_ID",
        field: `${context.field}.burnerId`,
        value: id,
        message: "This kitchen has no such burner any more; choose another.",
      });
}

/** What a burner gives a hot pan, less what the pan gives the room. */
function netHeat(
  context: StepContext<Told>,
  vessel: Vessel,
  burner: Burner | null,
  panC: number,
): Result<Watts> {
  if (!burner) return ok(watts(Infinity));
  const { facts } = context;
  const into = heatIntoPan(
    { kind: burner.kind, setting: context.step.setting ?? 1, overlap: 1 },
    geometryOfVessel(vessel).baseDiameterMm,
    facts,
  );
  if (!into.ok) return into;
  const loss = facts.topLossOpen * baseM2(vessel) * Math.max(0, panC - context.around.ambientC);
  return ok(watts(Math.max(0, into.value - loss)));
}
