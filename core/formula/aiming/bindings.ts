import type { Ingredient } from "../../things/larder";
import {
  type SauceState,
  addSauce,
  bareBody,
  loosenTo,
  looseningWith,
  massOfSauce,
  saltPctOf,
  standardLiquid,
  thickenTo,
  yolkWindow,
} from "../../laws/texture";
import { PUREE_VEGETABLES, asSauce, pureeBalance } from "../../laws/puree";
import { g } from "../../ground/quantity";
import { bisect } from "../../ground/solver/halving";
import { type BindingForm, THICKENERS, type ThickenerId } from "../../laws/thickening";
import { sauceOf } from "../steps/as-sauce";
import { servedAtC } from "../walk/body";
import { costOfIngredient } from "../walk/ingredient-cost";
import type { FormulaDocument } from "../document/document";
import { addLine, insertStep, updateStep } from "../document/edit";
import type { Kitchen } from "../walk/kitchen";
import { type Step, kindOf } from "../steps";
import { type Walk, finalState } from "../walk/walked";

/** One way to the wanted body, with what it brings and what it costs. */
export interface Binding {
  readonly id: string;
  readonly title: string;
  /** What is weighed, by larder id. */
  readonly lines: readonly { readonly larder: string; readonly name: string; readonly massG: number }[];
  /** Water to boil off instead. */
  readonly evaporateG: number;
  readonly finishedG: number;
  readonly saltPct: number;
  readonly thickness: number;
  /** Clarity, gluten, milk, freezing, holding: in a cook's words. */
  readonly does: readonly string[];
  /** `null` where something has no price. */
  readonly cost: number | null;
  readonly warnings: readonly string[];
  /** The step that does it; none for boiling down. */
  readonly step: Partial<Step> | null;
}

interface Way {
  readonly id: string;
  readonly title: string;
  readonly thickener: ThickenerId;
  readonly form: BindingForm;
  readonly larder: string;
  readonly fat?: string;
  readonly minutes: number;
  readonly kind: Extract<Step, { kind: "thicken" }>["form"];
}

const WAYS: readonly Way[] = [
  {
    id: "roux",
    title: "Roux",
    thickener: "flour",
    form: "roux",
    larder: "wheat-flour",
    fat: "butter",
    minutes: 20,
    kind: "roux",
  },
  {
    id: "beurre-manie",
    title: "Beurre manié",
    thickener: "flour",
    form: "beurre-manie",
    larder: "wheat-flour",
    fat: "butter",
    minutes: 5,
    kind: "beurre manié",
  },
  {
    id: "corn",
    title: "Corn starch slurry",
    thickener: "corn",
    form: "slurry",
    larder: "corn-starch",
    minutes: 2,
    kind: "slurry",
  },
  {
    id: "arrowroot",
    title: "Arrowroot slurry",
    thickener: "arrowroot",
    form: "slurry",
    larder: "arrowroot",
    minutes: 1,
    kind: "slurry",
  },
  {
    id: "rice-flour",
    title: "Rice flour",
    thickener: "rice",
    form: "slurry",
    larder: "rice-flour",
    minutes: 20,
    kind: "slurry",
  },
  {
    id: "rice",
    title: "Rice, cooked in and blended",
    thickener: "ricepuree",
    form: "dust",
    larder: "rice",
    minutes: 25,
    kind: "cooked in",
  },
  {
    id: "xanthan",
    title: "Xanthan",
    thickener: "xanthan",
    form: "dust",
    larder: "xanthan",
    minutes: 0,
    kind: "stirred in",
  },
];

/** Yolk in a liaison beside its cream, g per g. Common practice, no source. */
const CREAM_PER_YOLK = 4.6;
/** More than this is no liaison any more but a custard, g per g of sauce. Common practice, no source. */
const MOST_YOLK = 0.08;

/** Words of what a thickener does. */
function doesOf(id: ThickenerId, fat: boolean): string[] {
  const t = THICKENERS[id];
  return [
    t.clear ? "clear" : "opaque",
    t.gluten ? "brings gluten" : "no gluten of its own",
    ...(fat ? ["brings milk"] : []),
    t.freezes ? "freezes" : "weeps when thawed",
    t.holds ? "holds hot" : "thins when held: bind late",
  ];
}

/**
 * Every way to bring what a formula makes to a body, compared.
 *
 * @param target body 2–95 at the temperature it is served at
 * @returns ways that get there, cheapest last in no order but their own; nothing where the line makes no liquor
 */
export function bindingsFor(
  document: FormulaDocument,
  walked: Walk,
  kitchen: Kitchen,
  target: number,
): Binding[] {
  const last = finalState(walked.states);
  if (!last || walked.problems.length) return [];
  const state = sauceOf(last.pot, kitchen.facts);
  const atC = servedAtC(document);
  const { facts } = kitchen;
  const ingredient = (id: string): Ingredient | undefined => kitchen.ingredientById.get(id);
  const costOf = (lines: Binding["lines"]): number | null => {
    const costs = lines.map(l => {
      const found = ingredient(l.larder);
      return found ? costOfIngredient(found, l.massG as never) : null;
    });
    return costs.some(c => c === null) ? null : costs.reduce<number>((sum, c) => sum + (c ?? 0), 0);
  };
  const line = (larder: string, massG: number) => ({
    larder,
    name: ingredient(larder)?.name ?? larder,
    massG,
  });
  const found: Binding[] = [];
  for (const way of WAYS) {
    const bound = thickenTo(
      state,
      {
        dose: {
          id: way.thickener,
          minutes: way.minutes,
          ...(way.id === "xanthan" && { maxC: last.temperatureC }),
        },
        form: way.form,
      },
      target,
      atC,
      facts,
    );
    if (!bound.ok || bound.value.thickenerG <= 0) continue;
    const { thickenerG, fatG, waterG, body } = bound.value;
    const lines = [
      line(way.larder, thickenerG),
      ...(fatG > 0 && way.fat ? [line(way.fat, fatG)] : []),
      ...(waterG > 0 ? [line("water", waterG)] : []),
    ];
    found.push({
      id: way.id,
      title: way.title,
      lines,
      evaporateG: 0,
      finishedG: bound.value.totalG,
      saltPct: saltPctOf(bound.value.state),
      thickness: body.thickness,
      does: doesOf(way.thickener, fatG > 0),
      cost: costOf(lines),
      warnings: bound.warnings.map(w => w.message),
      step: { kind: "thicken", form: way.kind, rouxHot: false, durationMin: way.minutes } as Partial<Step>,
    });
  }
  const liaison = liaisonTo(state, target, atC, kitchen);
  if (liaison) found.push({ ...liaison, cost: costOf(liaison.lines) });
  const puree = pureeTo(state, target, atC, kitchen);
  if (puree) {
    const carrot = ingredient(PUREE_OF);
    found.push({ ...puree.binding, cost: carrot ? costOfIngredient(carrot, g(puree.rawG)) : null });
  }
  const down = loosenTo(state, looseningWith("water"), target, atC, facts);
  if (down.ok && down.value.evaporateG > 0)
    found.push({
      id: "reduction",
      title: "Reduction alone",
      lines: [],
      evaporateG: down.value.evaporateG,
      finishedG: down.value.totalG,
      saltPct: saltPctOf(down.value.state),
      thickness: down.value.body.thickness,
      does: ["clear", "nothing brought in", "salt and taste rise with it", "freezes"],
      cost: 0,
      warnings: [],
      step: null,
    });
  return found;
}

function liaisonTo(state: SauceState, target: number, atC: number, kitchen: Kitchen): Binding | null {
  const { facts } = kitchen;
  const window = yolkWindow(bareBody(state, atC, facts).perKg.starch);
  const toC = Math.min(84, window.alarmC);
  const at = (yolkG: number): SauceState => ({
    ...addSauce(
      addSauce(state, standardLiquid("yolk", yolkG)),
      standardLiquid("cream", CREAM_PER_YOLK * yolkG),
    ),
    yolkMaxC: toC,
  });
  const gap = (yolkG: number) => bareBody(at(yolkG), atC, facts).thickness - target;
  const yolkG = gap(0) >= 0 ? null : bisect(gap, 0, MOST_YOLK * massOfSauce(state));
  if (yolkG === null) return null;
  const end = at(yolkG);
  return {
    id: "liaison",
    title: "Liaison of yolk and cream",
    lines: [
      { larder: "egg-yolk", name: "egg yolk", massG: yolkG },
      { larder: "cream", name: "cream", massG: CREAM_PER_YOLK * yolkG },
    ],
    evaporateG: 0,
    finishedG: massOfSauce(end),
    saltPct: saltPctOf(end),
    thickness: bareBody(end, atC, facts).thickness,
    does: ["opaque, silky", "brings egg and milk", "does not freeze", "never boils, no keeping"],
    cost: null,
    warnings: [
      `Window ${window.loC}–${Math.round(window.hiC)} °C; alarm at ${Math.round(window.alarmC)} °C.`,
    ],
    step: { kind: "liaison", toC, durationMin: 6 } as Partial<Step>,
  };
}

/** The purée a binding is reckoned with: sweet, of no strong colour of its own, in every kitchen. */
const PUREE_OF = "carrot";

/** A purée made apart that brings a sauce to a body, and the trimmed vegetable it takes. */
function pureeTo(
  state: SauceState,
  target: number,
  atC: number,
  { facts }: Kitchen,
): { binding: Binding; rawG: number } | null {
  const made = pureeBalance({ trimmedG: 1000, vegetable: PUREE_VEGETABLES[PUREE_OF], sieve: "tamis" }, facts);
  if (!made.ok) return null;
  const gram = asSauce(1, made.value.perKg / 1000);
  const at = (grams: number) => addSauce(state, gram, grams);
  const gap = (grams: number) => bareBody(at(grams), atC, facts).thickness - target;
  const massG = gap(0) >= 0 ? null : bisect(gap, 0, massOfSauce(state));
  if (massG === null) return null;
  const end = at(massG);
  return {
    rawG: (1000 * massG) / made.value.pureeG,
    binding: {
      id: "puree",
      title: "Vegetable purée, made apart",
      lines: [{ larder: PUREE_OF, name: `plain ${PUREE_OF} purée`, massG }],
      evaporateG: 0,
      finishedG: massOfSauce(end),
      saltPct: saltPctOf(end),
      thickness: bareBody(end, atC, facts).thickness,
      does: [
        "opaque, brings its taste and colour",
        "no gluten, no milk",
        "holds and freezes",
        "whisk it in warm, sieve once more",
      ],
      cost: null,
      warnings: [],
      step: null,
    },
  };
}

/** The formula with a binding in its line. Ids come from outside. */
export function withBinding(
  document: FormulaDocument,
  binding: Binding,
  newId: () => string,
): FormulaDocument {
  if (!binding.step?.kind) return document;
  let at = document.steps.length;
  for (let last = document.steps[at - 1]; last && kindOf(last).finishes; last = document.steps[at - 1]) at--;
  const stepId = newId();
  const before = document.steps[at - 1]?.id;
  const inserted = before
    ? insertStep(document, binding.step.kind, stepId, before)
    : { ...insertStep(document, binding.step.kind, stepId) };
  const stepped = updateStep(inserted, stepId, binding.step);
  return binding.lines.reduce(
    (d, line) =>
      addLine(d, stepId, {
        id: newId(),
        of: { larder: line.larder },
        amount: { kind: "fixed", massG: Math.round(line.massG * 10) / 10 },
        certainty: "stated",
      }),
    stepped,
  );
}
