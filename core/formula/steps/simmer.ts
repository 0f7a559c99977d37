import type { SolidKind } from "../../things/larder";
import { boilingPoint, evaporate, potMass } from "../../things/pot";
import { degC, g, minutes, mm, printNumber, s } from "../../ground/quantity";
import { type Warning, ok, refuse } from "../../ground/result";
import {
  LIDS,
  type SimulationInput,
  SURFACE_WORDS,
  heatIntoPan,
  simulate,
  simulateToGoal,
} from "../../laws/reduction";
import { heatUpSolids, releaseJuice, simmerSolids } from "../../laws/stock";
import { bulkMl, geometryOfVessel } from "../../things/vessel";
import { defineStep, missingVessel, outcome } from "./kind";
import { asThemselves, choice, opening, temperature, time } from "./field";
import {
  addLines,
  inField,
  atTemperature,
  bystanders,
  displacedIn,
  heapsOf,
  levelIn,
  workingVessel,
} from "./shared";

const fields = {
  holdC: temperature("Held at", 40, 110),
  durationMin: time(),
  lid: choice("Lid", asThemselves(LIDS)),
  surface: choice("Surface", SURFACE_WORDS),
  /** How far the burner is opened to bring it up. */
  setting: opening("Flame to bring it up"),
};

/** What gives its own juice and falls together: it need not be covered where the lid is on. */
const SOFTENS_IN_STEAM: ReadonlySet<SolidKind> = new Set(["mirepoix", "mushrooms", "herbs"]);

/** What is asked for so hot is a boil, wherever the kitchen stands, °C. */
const BOIL_FROM_C = 99;
/** A pot on the boil stands so far under the boiling point it had when it came up, K: it never gets hotter by waiting. */
const UNDER_BOIL_K = 1;

const WITH_LID = { off: "lid off", ajar: "lid ajar", on: "lid on" } as const;

/** Brings the pot up and keeps it there: steam leaves from the surface, bones and vegetables give. */
export const simmer = defineStep({
  kind: "simmer",
  label: "Simmer",
  fields,
  blank: id => ({
    id,
    kind: "simmer" as const,
    lines: [],
    holdC: 88,
    durationMin: 240,
    lid: "off" as const,
    surface: "lazy" as const,
    setting: 1,
  }),
  title: step => (step.holdC >= BOIL_FROM_C ? "Boil" : "Simmer, barely moving"),
  detail: step => `${step.holdC} °C for ${printHours(step.durationMin)}, ${WITH_LID[step.lid]}, skim`,
  cue: "a bubble now and then, scum drawn to one side, the liquor clear on a spoon",
  cautions: () => ["No open flame unwatched; a forecast or a timer of this program is not a safety device."],
  place: "fire",
  steams: "by the clock",
  attention: "look in",
  takesLines: true,
  endsAtMark: false,
  cooks: true,
  timeHangsOnMain: true,
  rule: "ṁ = A · f · (0.089 + 0.078 v) · (p − p∞) / h fg",
  heard: {
    as: [/\b(simmer|cook|bring to|boil|bubble|stew|tick over|poach|braise)\b/],
    next: ["bring", "simmer", "cook", "poach"],
    asksTime: true,
  },
  apply: context => {
    const { step, facts, burner } = context;
    if (!context.vessel) return refuse(missingVessel(context.field, "A simmer"));
    const added = addLines(context.pot, context.lines, context.field);
    if (!added.ok) return added;
    const working = workingVessel(context, added.value, undefined, ["pot", "pan"]);
    if (!working.ok) return working;
    const vessel = working.value;
    let pot = releaseJuice(added.value, facts);
    const before = potMass(pot);
    const geometry = geometryOfVessel(vessel);
    const warnings: Warning[] = [];
    // Steam would go on and on towards a temperature that is over the boil here; fat alone has none.
    const boils = boilingPoint(pot.liquor, context.around.pressurePa);
    const holdC = degC(boils.ok ? Math.min(step.holdC, boils.value - UNDER_BOIL_K) : step.holdC);
    if (boils.ok && step.holdC > boils.value)
      warnings.push({
        code: "OVER_THE_BOIL",
        message: `Here it boils at ${printNumber(boils.value, 1)} °C: it gets no hotter than that, and is counted on the boil.`,
      });
    const common = (): Omit<SimulationInput, "drive" | "goal" | "lid" | "surface"> => ({
      liquor: pot.liquor,
      temperatureC: pot.temperatureC,
      vessel: geometry,
      displacedMl: displacedIn(pot, facts),
      heatCapacityJPerK: bystanders(pot, vessel),
      around: context.around,
      facts,
      trace: context.trace,
    });

    // Bring it up on the burner, lid off: there is scum to take.
    let heatUpS = 0;
    let course: StepCourse = [];
    if (burner && pot.temperatureC < holdC) {
      const flame = heatIntoPan(
        { kind: burner.kind, setting: step.setting, overlap: 1 },
        geometry.baseDiameterMm,
        facts,
      );
      if (!flame.ok) return refuse(...inField(context.field, flame.problems));
      const up = simulateToGoal({
        ...common(),
        drive: { watts: flame.value },
        goal: { temperatureC: holdC },
        lid: "off",
        surface: step.surface,
        trace: true,
      });
      if (!up.ok) return refuse(...inField(context.field, up.problems));
      const steamed = evaporate(pot, up.value.vapour);
      if (!steamed.ok) return steamed;
      const gave = heatUpSolids(steamed.value, up.value.trace, facts);
      if (!gave.ok) return refuse(...inField(context.field, gave.problems));
      pot = atTemperature(gave.value, up.value.temperatureC);
      heatUpS = up.value.endS;
      if (context.trace) course = up.value.trace;
    }

    const held = simulate({
      ...common(),
      drive: { holdC },
      goal: "time",
      mostS: minutes(step.durationMin),
      lid: step.lid,
      surface: step.surface,
    });
    if (!held.ok) return refuse(...inField(context.field, held.problems));
    const bulk = geometry.levelClipped(bulkMl(heapsOf(pot), facts));
    const steamed = evaporate(pot, held.value.vapour);
    if (!steamed.ok) return steamed;
    pot = atTemperature(steamed.value, held.value.temperatureC, held.value.endS / 60);
    const level = levelIn(pot, vessel, facts) ?? mm(0);
    // Under a lid vegetables and fruit soften in their own steam.
    const toCover = pot.solids.some(part => !SOFTENS_IN_STEAM.has(part.kind)) || step.lid !== "on";
    if (pot.solids.length && toCover && level < bulk) {
      const lack = geometry.volumeAtLevel(bulk) - geometry.volumeAtLevel(level);
      warnings.push({
        code: "NOT_COVERED",
        message: `At the end what is in it stands ${printNumber(bulk - level)} mm above the liquor: top up ${printNumber(lack / 1000, 1)} l on the way.`,
      });
    }
    const given = simmerSolids(pot, minutes(step.durationMin), held.value.temperatureC, facts);
    if (!given.ok) return refuse(...inField(context.field, given.problems));
    if (burner) {
      const full = heatIntoPan({ kind: burner.kind, setting: 1, overlap: 1 }, geometry.baseDiameterMm, facts);
      if (full.ok && held.value.requiredW > full.value)
        warnings.push({
          code: "BURNER_TOO_SMALL",
          message: `Holding ${printNumber(holdC)} °C takes ${printNumber(held.value.requiredW)} W; this burner gives ${printNumber(full.value)} W into the pot.`,
        });
    }
    const steam = g(before - potMass(given.value));
    return ok(
      outcome(given.value, vessel, s(heatUpS + step.durationMin * 60), {
        computed: [{ what: "lost as steam", massG: steam, way: "out" }],
        warnings: [...warnings, ...held.warnings, ...given.warnings],
        course: [...course, ...held.value.trace.map(point => ({ ...point, atS: s(point.atS + heatUpS) }))],
        bulkLevelMm: bulk,
      }),
    );
  },
});

type StepCourse = readonly {
  atS: ReturnType<typeof s>;
  liquorG: ReturnType<typeof g>;
  temperatureC: ReturnType<typeof degC>;
}[];

const printHours = (min: number): string =>
  min < 90
    ? `${min} min`
    : `${Math.floor(min / 60)} h${min % 60 ? ` ${String(min % 60).padStart(2, "0")}` : ""}`;
