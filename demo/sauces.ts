import { FAMILIES, formulaOf } from "../core/families";
import {
  type AmountRelation,
  type FormulaDocument,
  type Line,
  addLine,
  insertStep,
  removeStep,
  updateLine,
  updateStep,
} from "../core/formula";
import { pressureAtAltitude, saturationTemperature } from "../core/things/pot";
import { InvariantError, valueOf } from "../core/ground/result";

/** Ids are fixed so that a second loading finds what the first one wrote. */
export const STOCK_ID = "guinea-fowl-brown-stock";
export const FUMET_ID = "trout-fumet";
export const VEGETABLE_STOCK_ID = "mushroom-barley-stock";
export const COULIS_ID = "nettle-coulis";
const SALSIFY_ID = "salsify-puree";

export const ALTITUDE_M = 1180;
const boilsC = valueOf(saturationTemperature(valueOf(pressureAtAltitude(ALTITUDE_M))));

const shareOfBase = (pct: number): AmountRelation => ({ kind: "share-of-base", pct });
const larderLine = (
  id: string,
  larder: string,
  amount: AmountRelation,
  certainty: Line["certainty"] = "stated",
): Line => ({
  id,
  of: { larder },
  amount,
  certainty,
});

/** A formula worked out on the Bench: a family, its schools, and what this kitchen changed. */
function worked(
  familyId: string,
  name: string,
  schools: Readonly<Record<string, string>>,
  ...changes: ((document: FormulaDocument) => FormulaDocument)[]
): FormulaDocument {
  const family = FAMILIES.find(f => f.id === familyId);
  if (!family) throw new InvariantError(`No family ${familyId}`);
  const template = formulaOf(family, schools, { boilsC, demiGlace: { to: 0.5, bound: false } }, name);
  return changes.reduce((document, change) => change(document), template);
}

const base = (name: string, massG: number) => (d: FormulaDocument) => ({ ...d, base: { name, massG } });
const use = (lineId: string, of: Line["of"]) => (d: FormulaDocument) => updateLine(d, lineId, { of });
const amount = (lineId: string, relation: AmountRelation) => (d: FormulaDocument) =>
  updateLine(d, lineId, { amount: relation });
const withoutStep = (id: string) => (d: FormulaDocument) => removeStep(d, id);
const and = (stepId: string, line: Line) => (d: FormulaDocument) => addLine(d, stepId, line);
const change = (stepId: string, patch: Parameters<typeof updateStep>[2]) => (d: FormulaDocument) =>
  updateStep(d, stepId, patch);
const whole = (patch: Partial<FormulaDocument>) => (d: FormulaDocument) => ({ ...d, ...patch });

const fumet = worked(
  "fish-stock",
  "Trout fumet",
  { wine: "sec", straining: "drain" },
  base("trout frames", 4500),
  use("frames-line", { larder: "trout-frames" }),
  amount("white-wine-line", shareOfBase(9)),
);

const vegetableStock = worked(
  "vegetable-stock",
  "Mushroom and barley stock",
  { colour: "brown", umami: "mushroom" },
  base("vegetables", 3200),
);

const veloute = worked(
  "veloute",
  "Smoked-trout velouté",
  { stock: "fish", binding: "roux", cream: "reduced", butter: "none" },
  base("trout fumet", 3000),
  use("stock-line", { formula: FUMET_ID }),
  and("cream", larderLine("smoked-trout-line", "smoked-trout", shareOfBase(6))),
  d => insertStep(d, "blend", "smooth", "cream-in"),
  change("smooth", { tool: "stick blender", durationMin: 2 }),
  whole({ notes: "Smoked trout is salty: the salt goes in after it, to the last grams." }),
);

const ciderSauce = worked(
  "pan-sauce",
  "Cider and juniper pan sauce",
  { style: "cider", wine: "sec", spice: "juniper", straining: "press", cream: "none", butter: "30" },
  base("guinea-fowl stock", 2500),
  use("stock-line", { formula: STOCK_ID }),
  amount("liquid-line", shareOfBase(20)),
);

const verjusButter = worked(
  "beurre-blanc",
  "Verjus butter sauce",
  { acid: "verjus", cream: "yes" },
  base("butter", 600),
);

const mayonnaise = worked(
  "mayonnaise",
  "Walnut-oil mayonnaise",
  { eggs: "raw", oil: "walnut", daughter: "plain" },
  base("oil", 1500),
);

const gastrique = worked(
  "gastrique",
  "Beetroot gastrique",
  { caramel: "amber", fruit: "beetroot" },
  base("sugar", 500),
);

const salsify = worked(
  "root-puree",
  "Salsify purée",
  { liquid: "milk", cream: "warm", sieve: "fine" },
  base("salsify, peeled", 3000),
  d => ({
    ...d,
    steps: d.steps.map(step => ({
      ...step,
      lines: step.lines.map(line =>
        line.id === "root-line" ? { ...line, trim: { use: "stock vegetables", perKg: 0.4 } } : line,
      ),
    })),
  }),
);

const coulis = worked(
  "coulis",
  "Nettle coulis",
  { body: "potato" },
  base("young nettles", 1600),
  use("stock-line", { formula: VEGETABLE_STOCK_ID }),
);

/** Three things from one base. */
const derived = (
  name: string,
  patch: Partial<FormulaDocument>,
  lines: readonly Line[],
  massG: number,
): FormulaDocument => ({
  ...worked("coulis", name, {}),
  family: "own",
  school: "from nettle coulis",
  choices: {},
  base: { name: "nettle coulis", massG },
  steps: [
    {
      id: "base",
      kind: "reheat",
      lines: [
        { id: "coulis-line", of: { formula: COULIS_ID }, amount: shareOfBase(100), certainty: "stated" },
      ],
      toC: 60,
      setting: 0.3,
    },
    { id: "into", kind: "emulsify", lines: [...lines], tool: "whisk", durationMin: 3 },
    {
      id: "season",
      kind: "season",
      lines: [
        larderLine("salt-line", "salt", {
          kind: "to-reach",
          what: "salt",
          value: patch.targets?.[0]?.value ?? 0.9,
        }),
      ],
      durationMin: 2,
    },
  ],
  ...patch,
});

const nettleSoup = derived(
  "Nettle soup",
  { servedAs: "soup", portionG: 220, targets: [{ what: "salt", value: 0.9, tolerance: 0.05 }] },
  [
    { id: "stock-line", of: { formula: VEGETABLE_STOCK_ID }, amount: shareOfBase(80), certainty: "stated" },
    larderLine("cream-line", "cream", shareOfBase(10)),
  ],
  1200,
);
const nettleSauce = derived(
  "Nettle butter sauce",
  { servedAs: "veloute", portionG: 40, targets: [{ what: "salt", value: 0.9, tolerance: 0.05 }] },
  [
    larderLine("butter-line", "butter", shareOfBase(12)),
    larderLine("lemon-line", "lemon-juice", { kind: "by-feel", massG: 6 }, "assumed"),
  ],
  640,
);
const nettleFlan = derived(
  "Nettle flan base",
  { servedAs: "other", portionG: 35, targets: [{ what: "salt", value: 1, tolerance: 0.05 }] },
  [
    larderLine("yolk-line", "egg-yolk", shareOfBase(28)),
    larderLine("oil-line", "sunflower-oil", shareOfBase(9)),
  ],
  640,
);

const bisque = worked(
  "bisque",
  "Langoustine bisque",
  { spirit: "reduced", cream: "reduced" },
  base("langoustine shells", 2600),
);

const morelCream = worked(
  "pan-sauce",
  "Morel cream",
  { style: "wine", wine: "sec", spice: "none", straining: "drain", cream: "reduced", butter: "none" },
  base("mushroom and barley stock", 1800),
  use("stock-line", { formula: VEGETABLE_STOCK_ID }),
  use("liquid-line", { larder: "madeira" }),
  amount("liquid-line", shareOfBase(12)),
  amount("cream-line", shareOfBase(25)),
  withoutStep("strain"),
  d => insertStep(d, "soak", "morels", undefined),
  d => ({ ...d, steps: [d.steps.at(-1) as FormulaDocument["steps"][number], ...d.steps.slice(0, -1)] }),
  and("morels", larderLine("dried-morels-line", "dried-morels", shareOfBase(4))),
  and(
    "morels",
    larderLine("soaking-water-line", "water", { kind: "equal-to", line: "dried-morels-line", factor: 10 }),
  ),
  // A stock without gelatin: all of its body is cream, so it stays lighter than a nappe and no richer than it must be.
  change("reduce-cream", { target: { body: 28 } }),
  change("morels", {
    drinks: 3,
    leavePct: 10,
    durationMin: 40,
    remark: "Strain the liquor through a cloth; it goes in and boils with the rest.",
    why: "Morels are never raw: soaked, then cooked through with their liquor.",
  }),
  whole({ notes: "Wild mushrooms only from a trusted source; never raw, cooked through." }),
);

const gravy = worked(
  "roux-gravy",
  "Buckwheat brown gravy",
  { flour: "buckwheat", acid: "vinegar" },
  base("guinea-fowl stock", 3000),
  use("stock-line", { formula: STOCK_ID }),
);

/** Two pans beside the pot: the mushrooms are lifted and fried dry, the cream is boiled down by itself. */
const forester = worked(
  "pan-sauce",
  "Forester’s cream",
  {},
  base("button mushrooms", 600),
  whole({
    family: "own",
    school: "mushrooms fried dry, cream reduced apart",
    choices: {},
    groups: [],
    servedAs: "veloute",
    portionG: 60,
    targets: [{ what: "salt", value: 0.9, tolerance: 0.05 }],
    notes: "",
    steps: [
      {
        id: "shallots",
        kind: "sweat",
        lines: [
          larderLine("butter-line", "butter", shareOfBase(3)),
          larderLine("shallot-line", "shallot", shareOfBase(8)),
        ],
        durationMin: 5,
      },
      {
        id: "mushrooms",
        kind: "add",
        lines: [
          larderLine("mushroom-line", "mushroom", shareOfBase(100)),
          larderLine("wine-line", "white-wine", shareOfBase(30)),
          {
            id: "stock-line",
            of: { formula: VEGETABLE_STOCK_ID },
            amount: shareOfBase(80),
            certainty: "stated",
          },
        ],
        durationMin: 3,
      },
      {
        id: "soften",
        kind: "simmer",
        lines: [],
        holdC: 95,
        durationMin: 12,
        lid: "on",
        surface: "lazy",
        setting: 1,
        keepCovered: "none",
      },
      {
        id: "out",
        kind: "lift",
        lines: [],
        what: "everything solid",
        keep: false,
        to: "mushroom pan",
        durationMin: 3,
        remark: "Let them drip over the pot.",
      },
      {
        id: "cream",
        kind: "add",
        lines: [larderLine("cream-line", "cream", shareOfBase(95))],
        pan: "cream pan",
        durationMin: 1,
      },
      { id: "cream-down", kind: "reduce", lines: [], target: { to: 0.6 }, pan: "cream pan", overlap: 1 },
      {
        id: "fry",
        kind: "brown",
        lines: [larderLine("frying-butter-line", "butter", shareOfBase(4))],
        pan: "mushroom pan",
        durationMin: 10,
        why: "In the sauce they stew; by themselves they colour.",
      },
      { id: "liquor-down", kind: "reduce", lines: [], target: { to: 0.35 }, overlap: 1 },
      {
        id: "cream-in",
        kind: "bring",
        lines: [],
        from: "cream pan",
        what: "everything",
        share: 1,
        durationMin: 2,
      },
      {
        id: "mushrooms-in",
        kind: "bring",
        lines: [],
        from: "mushroom pan",
        what: "everything",
        share: 1,
        durationMin: 2,
      },
      {
        id: "season",
        kind: "season",
        lines: [larderLine("salt-line", "salt", { kind: "to-reach", what: "salt", value: 0.9 })],
        durationMin: 2,
      },
    ],
  }),
);

/** What the sauce section makes besides its brown stock and glace, by id. */
export const DEMO_SAUCES: Readonly<Record<string, FormulaDocument>> = {
  [FUMET_ID]: fumet,
  [VEGETABLE_STOCK_ID]: vegetableStock,
  "smoked-trout-veloute": veloute,
  "cider-juniper-pan-sauce": ciderSauce,
  "verjus-butter-sauce": verjusButter,
  "walnut-oil-mayonnaise": mayonnaise,
  "beetroot-gastrique": gastrique,
  [SALSIFY_ID]: salsify,
  [COULIS_ID]: coulis,
  "nettle-soup": nettleSoup,
  "nettle-butter-sauce": nettleSauce,
  "nettle-flan-base": nettleFlan,
  "langoustine-bisque": bisque,
  "morel-cream": morelCream,
  "buckwheat-brown-gravy": gravy,
  "foresters-cream": forester,
};
