import type { Appliance } from "../../kit";
import { g, printKilograms, printNumber } from "../../quantity";
import { type Problem, type Result, type Warning, checkNumber, ok, refuse } from "../../result";
import { geometryOfVessel } from "../../vessel";
import type { FormulaDocument } from "../document";
import type { Kitchen } from "../kitchen";
import { type Step, kindOf } from "../steps";
import { displacedIn } from "../steps/shared";
import { type StateAfterStep, type Walk, walk } from "../walk";
import { WalkCache } from "../walk-cache";
import { firstDoseShare, scaleClassOf } from "./doses";
import { bowlBatches } from "./evaporation";
import { multiply, withLineMass } from "./multiply";
import { roundToScales } from "./rounding";
import { massForCovers } from "./yield";

/** What a batch is scaled to. */
export type ScaleTo =
  | { readonly by: "base"; readonly massG: number }
  | { readonly by: "factor"; readonly factor: number }
  | { readonly by: "finished"; readonly massG: number }
  | { readonly by: "litres"; readonly volumeMl: number }
  | { readonly by: "covers"; readonly covers: number; readonly portionG: number; readonly overagePct: number }
  | { readonly by: "line"; readonly lineId: string; readonly haveG: number }
  | { readonly by: "vessel"; readonly vesselId: string };

/** Where steam is concerned: simmer as long as written and start with less, or keep the proportions and simmer longer. */
export type ScalePolicy = "keep time" | "keep proportions";

/** One ingredient line three ways: as it is, plainly multiplied, and as Hondaro would weigh it. */
export interface ScaledLine {
  readonly lineId: string;
  readonly name: string;
  readonly originalG: number;
  readonly plainG: number;
  readonly oursG: number;
  /** To what the scales can weigh. */
  readonly roundedG: number;
  /** Share that goes in before the first taste, where it is not all. */
  readonly firstDoseG?: number;
  readonly reason?: string;
}

/** One step three ways. */
export interface ScaledStep {
  readonly stepId: string;
  readonly title: string;
  readonly originalMin: number;
  readonly oursMin: number;
  readonly vesselBefore: string | null;
  readonly vesselAfter: string | null;
  readonly reason?: string;
}

export interface Scaled {
  readonly factor: number;
  /** Equal batches it has to be made in; 1 where the kitchen's pots take it. */
  readonly batches: number;
  /** The formula of one batch. */
  readonly document: FormulaDocument;
  readonly lines: readonly ScaledLine[];
  readonly steps: readonly ScaledStep[];
  /** Water and other amounts nobody types, before, plainly multiplied and now. */
  readonly computed: readonly {
    readonly what: string;
    readonly originalG: number;
    readonly plainG: number;
    readonly oursG: number;
  }[];
  readonly finished: { readonly originalG: number; readonly plainG: number; readonly oursG: number };
  readonly warnings: readonly Warning[];
}

const FACTORS = { min: 0.05, max: 200 } as const;
const USUAL_FACTORS = { min: 0.25, max: 20 } as const;
const MOST_BATCHES = 40;
/** A correction smaller than this is nobody's to make. */
const LEAST_CORRECTION = 0.005;
const SETTLED = 1e-6;
/** Keep time: so much more or less liquid changes what the vegetables and bones give. Source: 06-G, step 2. */
const OTHER_EXTRACTION = 0.1;
const MUCH_LONGER = 1.5;
const FOND_STRETCHED = 1.5;

/**
 * Scales a formula without the errors plain multiplication makes.
 *
 * The pots are chosen anew, what evaporates is found by the walk in the new pot, the starting liquid follows so that
 * the yield is as wanted; lifted fond goes with the pan's floor; strong seasoning goes in by steps; what no pot takes
 * is split. Every correction says why.
 *
 * @errors those of the walk · OUT_OF_RANGE a factor outside 0.05–200 · UNKNOWN_ID · NOTHING_FITS even split
 * Source: docs/models.md "Scaling".
 */
export function scaleFormula(
  document: FormulaDocument,
  kitchen: Kitchen,
  to: ScaleTo,
  policy: ScalePolicy = "keep time",
): Result<Scaled> {
  const cache = new WalkCache();
  const original = walk(document, kitchen, { cache });
  if (original.problems.length) return refuse(...original.problems);
  const factor = factorFor(document, kitchen, original, to);
  if (!factor.ok) return factor;
  const problems = checkNumber(factor.value, "factor", "The factor", FACTORS);
  if (problems.length) return refuse(...problems);
  const warnings: Warning[] = [];
  if (factor.value < USUAL_FACTORS.min || factor.value > USUAL_FACTORS.max)
    warnings.push({
      code: "FAR_SCALED",
      message: `× ${printNumber(factor.value, 2)} is far from what was tried: make a small batch of it first.`,
    });

  for (let batches = 1; batches <= MOST_BATCHES; batches++) {
    const each = factor.value / batches;
    const plain = multiply(document, each);
    const fitted =
      policy === "keep time"
        ? keepTime(plain, kitchen, original, each)
        : keepProportions(plain, kitchen, original, each);
    if (!fitted.ok) {
      if (fitted.problems.every(p => SPLITS.has(p.code)) && batches < MOST_BATCHES) continue;
      return fitted;
    }
    return ok(
      report({
        document,
        kitchen,
        original,
        factor: factor.value,
        batches,
        fitted: fitted.value,
        plain,
        policy,
      }),
      warnings,
    );
  }
  return refuse({
    code: "NOTHING_FITS",
    field: "vessel",
    message: "Even in forty batches no pot takes this.",
  });
}

/** Problems that a smaller batch mends. */
const SPLITS: ReadonlySet<Problem["code"]> = new Set(["NOTHING_FITS", "OVERFLOW", "BULK_ABOVE_RIM"]);

function factorFor(document: FormulaDocument, kitchen: Kitchen, original: Walk, to: ScaleTo): Result<number> {
  const over = (wanted: number, now: number, field: string): Result<number> => {
    const problems = checkNumber(wanted, field, "What is wanted", { min: 1e-6 });
    if (problems.length) return refuse(...problems);
    return now > 0
      ? ok(wanted / now)
      : refuse({ code: "EMPTY", field, message: "This formula gives nothing yet: finish its line first." });
  };
  switch (to.by) {
    case "factor":
      return over(to.factor, 1, "factor");
    case "base":
      return over(to.massG, document.base.massG, "massG");
    case "finished":
      return over(to.massG, original.finishedG, "massG");
    case "litres":
      return over(to.volumeMl, original.finishedMl, "volumeMl");
    case "covers": {
      const mass = massForCovers(to.covers, g(to.portionG), to.overagePct);
      return mass.ok ? over(mass.value, original.finishedG, "covers") : mass;
    }
    case "line": {
      const line = original.states.flatMap(s => s.lines).find(l => l.lineId === to.lineId);
      return line
        ? over(to.haveG, line.massG, "haveG")
        : refuse({
            code: "UNKNOWN_ID",
            field: "lineId",
            value: to.lineId,
            message: "That line is not in this formula any more.",
          });
    }
    case "vessel": {
      const vessel = kitchen.vessels.find(v => v.id === to.vesselId);
      if (!vessel)
        return refuse({
          code: "UNKNOWN_ID",
          field: "vesselId",
          value: to.vesselId,
          message: "This kitchen has no such pot any more.",
        });
      const fullest = Math.max(...original.states.map(state => inPotMl(state, kitchen)));
      return over(POT_FILL * geometryOfVessel(vessel).capacityMl, fullest, "vesselId");
    }
  }
}

/** How full a pot is planned to be at its fullest. Common practice, no source. */
const POT_FILL = 0.8;

const inPotMl = (state: StateAfterStep, kitchen: Kitchen): number =>
  (state.volumeMl ?? 0) + displacedIn(state.pot, kitchen.facts);

interface Fitted {
  readonly document: FormulaDocument;
  readonly walked: Walk;
  /** By how much the liquid was changed, and why. */
  readonly liquid: number;
  readonly reasons: ReadonlyMap<string, string>;
}

/** Liquids that can be started with less or more: poured ones, and not those that lift a fond. */
const liquidLines = (walked: Walk): { lineId: string; massG: number }[] =>
  walked.states.flatMap(state =>
    state.step.kind === "deglaze" || state.step.kind === "flame"
      ? []
      : state.lines.filter(line => {
          const ingredient = state.sources.get(line.lineId);
          return (
            ingredient &&
            line.massG > 0 &&
            scaleClassOf(ingredient) === "liquid" &&
            ingredient.composition.acid < 1
          );
        }),
  );

/** Deglazing liquid goes with the floor of the pan, not with the batch. */
function liftFond(
  document: FormulaDocument,
  original: Walk,
  plain: Walk,
  factor: number,
): { document: FormulaDocument; reasons: Map<string, string> } {
  let next = document;
  const reasons = new Map<string, string>();
  if (document.servedAs !== "pan-sauce" || factor === 1) return { document, reasons };
  plain.states.forEach((state, i) => {
    const before = original.states[i];
    if (state.step.kind !== "deglaze" || !state.vessel || !before?.vessel) return;
    const wider =
      (geometryOfVessel(state.vessel).baseDiameterMm / geometryOfVessel(before.vessel).baseDiameterMm) ** 2;
    if (Math.abs(wider / factor - 1) < LEAST_CORRECTION) return;
    for (const line of state.lines) {
      const was = before.lines.find(l => l.lineId === line.lineId);
      if (!was) continue;
      next = withLineMass(next, line.lineId, was.massG * wider, line.massG);
      reasons.set(
        line.lineId,
        `The fond goes with the floor of the pan: ${state.vessel.name} has ${printNumber(wider, 2)} times that of ${before.vessel.name}, not ${printNumber(factor, 2)} times.${factor / wider > FOND_STRETCHED ? " One pan gives too little fond for this batch: lift several and pool them." : ""}`,
      );
    }
  });
  return { document: next, reasons };
}

function keepTime(plain: FormulaDocument, kitchen: Kitchen, original: Walk, factor: number): Result<Fitted> {
  const cache = new WalkCache();
  const multiplied = walk(plain, kitchen, { cache });
  if (multiplied.problems.length) return refuse(...multiplied.problems);
  const fond = liftFond(plain, original, multiplied, factor);
  const aim = factor * original.finishedG;
  const start = fond.reasons.size ? walk(fond.document, kitchen, { cache }) : multiplied;
  const liquids = liquidLines(start);
  // Where no liquid is poured (the water that covers follows from the bones) everything goes with the yield.
  const at = (share: number): { document: FormulaDocument; walked: Walk } => {
    const document = liquids.length
      ? liquids.reduce(
          (d, line) => withLineMass(d, line.lineId, line.massG * share, line.massG),
          fond.document,
        )
      : multiply(fond.document, share);
    return { document, walked: walk(document, kitchen, { cache }) };
  };
  const made = (walked: Walk) => (walked.problems.length ? null : walked.finishedG);
  const now = made(start);
  if (now === null || Math.abs(now / aim - 1) < LEAST_CORRECTION)
    return now === null
      ? refuse(...start.problems)
      : ok({ document: fond.document, walked: start, liquid: 1, reasons: fond.reasons });
  // The yield grows with the liquid: bracket, then bisection.
  let [lo, hi] = [0.2, 1];
  for (let i = 0; i < 6 && (made(at(hi).walked) ?? Infinity) < aim; i++) [lo, hi] = [hi, hi * 1.5];
  let best = { ...at(hi), share: hi };
  for (let i = 0; i < 40; i++) {
    const share = (lo + hi) / 2;
    const tried = at(share);
    const gives = made(tried.walked);
    if (gives !== null && Math.abs(gives / aim - 1) < SETTLED) {
      best = { ...tried, share };
      break;
    }
    if (gives === null || gives > aim) hi = share;
    else lo = share;
    if (gives !== null) best = { ...tried, share };
  }
  if (best.walked.problems.length) return refuse(...best.walked.problems);
  const reasons = new Map(fond.reasons);
  const less = best.share < 1;
  for (const line of liquids)
    reasons.set(
      line.lineId,
      `${less ? "Less" : "More"} than ${printNumber(factor, 2)} times: in the new pot ${printKilograms(g(lostAsSteam(best.walked)))} leave as steam in the same time, not ${printKilograms(g(lostAsSteam(original) * factor))}.${Math.abs(best.share - 1) > OTHER_EXTRACTION ? " That changes the proportion to bones and roots: taste for strength." : ""}`,
    );
  return ok({ document: best.document, walked: best.walked, liquid: best.share, reasons });
}

const lostAsSteam = (walked: Walk): number => {
  const last = walked.states.at(-1);
  return last ? Object.values(last.pot.exits.vapour).reduce((a, b) => a + b, 0) : 0;
};

/** Steps whose written time decides what evaporates. */
const TIMED: ReadonlySet<Step["kind"]> = new Set(["simmer", "thicken", "hold"]);

function keepProportions(
  plain: FormulaDocument,
  kitchen: Kitchen,
  original: Walk,
  factor: number,
): Result<Fitted> {
  const cache = new WalkCache();
  const multiplied = walk(plain, kitchen, { cache });
  if (multiplied.problems.length) return refuse(...multiplied.problems);
  const fond = liftFond(plain, original, multiplied, factor);
  const reasons = new Map(fond.reasons);
  const steps = fond.document.steps.map((step, i): Step => {
    const [before, after] = [original.states[i], multiplied.states[i]];
    if (!TIMED.has(step.kind) || !("durationMin" in step) || !before?.vessel || !after?.vessel) return step;
    const surface = (state: StateAfterStep) =>
      state.vessel && state.levelMm !== null ? geometryOfVessel(state.vessel).surfaceMm2(state.levelMm) : 0;
    const [a0, a1] = [surface(before), surface(after)];
    if (!a0 || !a1) return step;
    const longer = (factor * a0) / a1;
    if (Math.abs(longer - 1) < LEAST_CORRECTION) return step;
    reasons.set(
      step.id,
      `${printNumber(longer, 2)} times as long: ${printNumber(factor, 2)} times the liquid over ${printNumber(a1 / a0, 2)} times the surface.${longer > MUCH_LONGER ? " So long a simmer also gives more and thins starch: taste and look earlier." : ""}`,
    );
    return { ...step, durationMin: Math.min(step.durationMin * longer, 7 * 24 * 60) };
  });
  const document = { ...fond.document, steps };
  const walked = walk(document, kitchen, { cache });
  return walked.problems.length ? refuse(...walked.problems) : ok({ document, walked, liquid: 1, reasons });
}

function report(made: {
  document: FormulaDocument;
  kitchen: Kitchen;
  original: Walk;
  factor: number;
  batches: number;
  fitted: Fitted;
  plain: FormulaDocument;
  policy: ScalePolicy;
}): Scaled {
  const { original, fitted, factor, batches, kitchen } = made;
  const each = factor / batches;
  const ours = fitted.walked.states.flatMap(s => s.lines);
  const before = original.states.flatMap(s => s.lines);
  const rounded = roundToScales(
    ours,
    kitchen.data.appliances.filter(a => a.kind === "scale"),
  );
  const warnings: Warning[] = [...rounded.warnings];
  const lines = ours.map((line, i): ScaledLine => {
    const originalG = before.find(l => l.lineId === line.lineId)?.massG ?? 0;
    const ingredient = fitted.walked.states.find(s => s.lines.includes(line))?.sources.get(line.lineId);
    const kind = ingredient ? scaleClassOf(ingredient) : "solid";
    const share = kind === "salt" || kind === "strong" ? firstDoseShare(each) : 1;
    const toFinish =
      kind === "salt" && Math.abs(line.massG / (each * originalG || 1) - 1) > LEAST_CORRECTION
        ? "Salt goes with the finished weight, not with the factor."
        : undefined;
    const firstDose =
      share < 1
        ? "Strong things add up faster than the pot grows: this much first, the rest by taste, logged."
        : undefined;
    const reason =
      [fitted.reasons.get(line.lineId), toFinish, firstDose].filter(Boolean).join(" ") || undefined;
    return {
      lineId: line.lineId,
      name: line.name,
      originalG,
      plainG: originalG * each,
      oursG: line.massG,
      roundedG: rounded.masses[i] ?? line.massG,
      ...(share < 1 && { firstDoseG: line.massG * share }),
      ...(reason && { reason }),
    };
  });
  const steps = fitted.walked.states.map((state, i): ScaledStep => {
    const was = original.states[i];
    const load = loads(state, kitchen, warnings);
    const moved = was?.vessel && state.vessel && was.vessel.id !== state.vessel.id;
    const reason = [
      fitted.reasons.get(state.step.id),
      moved ? `${state.vessel?.name} takes it; ${was.vessel?.name} would overflow.` : undefined,
      load,
    ]
      .filter(Boolean)
      .join(" ");
    return {
      stepId: state.step.id,
      title: kindOf(state.step).title(
        state.step,
        state.lines.map(l => l.name),
      ),
      originalMin: (was?.durationS ?? 0) / 60,
      oursMin: state.durationS / 60,
      vesselBefore: was?.vessel?.name ?? null,
      vesselAfter: state.vessel?.name ?? null,
      ...(reason && { reason }),
    };
  });
  if (batches > 1)
    warnings.unshift({
      code: "SPLIT",
      message: `No pot takes it at once: make ${batches} equal batches of ${printKilograms(g(fitted.walked.finishedG))} each.`,
    });
  return {
    factor,
    batches,
    document: fitted.document,
    lines,
    steps,
    computed: computedRows(original, fitted.walked, each),
    finished: {
      originalG: original.finishedG,
      plainG: original.finishedG * each,
      oursG: fitted.walked.finishedG,
    },
    warnings,
  };
}

function computedRows(original: Walk, ours: Walk, each: number): Scaled["computed"] {
  const rows = new Map<string, { originalG: number; oursG: number }>();
  const add = (walked: Walk, key: "originalG" | "oursG") =>
    walked.states.forEach(state =>
      state.computed.forEach(c => {
        const row = rows.get(c.what) ?? { originalG: 0, oursG: 0 };
        rows.set(c.what, { ...row, [key]: row[key] + c.massG });
      }),
    );
  add(original, "originalG");
  add(ours, "oursG");
  return [...rows].map(([what, row]) => ({ what, ...row, plainG: row.originalG * each }));
}

/** How often a blender or a bowl is filled; in words, and as a warning when it is more than once. */
function loads(state: StateAfterStep, kitchen: Kitchen, warnings: Warning[]): string | undefined {
  const { step } = state;
  const volume = state.volumeMl ?? 0;
  if (step.kind === "blend" && (step.tool === "jar blender" || step.tool === "stick blender")) {
    const jar = blenderFor(step.tool, kitchen.data.appliances);
    if (!jar) return undefined;
    const hot = state.temperatureC > 60;
    const fill = hot ? jar.hotFillPct / 100 : 0.75;
    const count = Math.max(1, Math.ceil(volume / (jar.jarMl * fill) - 1e-9));
    return count > 1
      ? `${count} loads of the ${jar.name.toLowerCase()}, ${printNumber(volume / count)} ml each${hot ? ", hot" : ""}.`
      : undefined;
  }
  if (step.kind === "emulsify" && state.vessel) {
    const bowl = bowlBatches(volume, geometryOfVessel(state.vessel).capacityMl);
    if (bowl.ok && bowl.value.count > 1) {
      warnings.push({
        code: "BOWL_BATCHES",
        message: `${state.vessel.name} takes ${printNumber(100 * 0.6)} % of itself: beat ${bowl.value.count} batches of ${printNumber(bowl.value.eachMl / 1000, 2)} l.`,
      });
      return `${bowl.value.count} bowls.`;
    }
  }
  return undefined;
}

function blenderFor(
  tool: string,
  appliances: readonly Appliance[],
): Extract<Appliance, { kind: "blender" }> | undefined {
  const all = appliances.filter(a => a.kind === "blender");
  return all.find(a => a.name.toLowerCase().includes(tool.split(" ")[0] ?? "")) ?? all[0];
}
