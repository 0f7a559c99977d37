import type { FormulaDocument } from "../core/formula";
import { DEMO_SAUCES, STOCK_ID } from "./sauces";

export { STOCK_ID };

/** Ids are fixed so that a second loading finds what the first one wrote. */
export const GLACE_ID = "guinea-fowl-glace";

const stock: FormulaDocument = {
  schema: 3,
  name: "Guinea-fowl brown stock",
  family: "brown-stock",
  choices: {},
  servedAs: "stock",
  targets: [],
  school: "long brown school",
  base: { name: "carcasses", massG: 6000 },
  groups: [{ id: "mirepoix", name: "mirepoix", total: { kind: "share-of-base", pct: 12 } }],
  portionG: 45,
  overagePct: 10,
  steps: [
    {
      id: "s1",
      kind: "roast",
      lines: [
        {
          id: "carcass",
          of: { larder: "guinea-fowl-carcass" },
          amount: { kind: "share-of-base", pct: 100 },
          certainty: "stated",
        },
      ],
      ovenC: 200,
      durationMin: 50,
    },
    {
      id: "s2",
      kind: "brown",
      durationMin: 15,
      lines: [
        {
          id: "onion",
          of: { larder: "onion" },
          amount: { kind: "part", group: "mirepoix", parts: 2 },
          certainty: "stated",
        },
        {
          id: "carrot",
          of: { larder: "carrot" },
          amount: { kind: "part", group: "mirepoix", parts: 1 },
          certainty: "stated",
        },
        {
          id: "celery",
          of: { larder: "celery" },
          amount: { kind: "part", group: "mirepoix", parts: 1 },
          certainty: "stated",
        },
      ],
    },
    { id: "s3", kind: "degrease", lines: [], method: "ladle", durationMin: 3 },
    {
      id: "s4",
      kind: "deglaze",
      lines: [
        {
          id: "fond-water",
          of: { larder: "water" },
          amount: { kind: "share-of-base", pct: 10 },
          certainty: "stated",
        },
      ],
      durationMin: 7,
    },
    { id: "s5", kind: "cover", lines: [], depthMm: 25, countFond: true, durationMin: 8 },
    {
      id: "s6",
      kind: "simmer",
      lines: [],
      holdC: 88,
      durationMin: 270,
      lid: "off",
      surface: "lazy",
      setting: 1,
    },
    {
      id: "s7",
      kind: "steep",
      durationMin: 15,
      lines: [
        {
          id: "parsley",
          of: { larder: "parsley-stems" },
          amount: { kind: "per-litre", gPerL: 4 },
          certainty: "stated",
        },
        {
          id: "thyme",
          of: { larder: "thyme" },
          amount: { kind: "per-litre", gPerL: 0.8 },
          certainty: "assumed",
        },
        {
          id: "bay",
          of: { larder: "bay-leaf" },
          amount: { kind: "per-litre", gPerL: 0.2 },
          certainty: "assumed",
        },
      ],
    },
    { id: "s8", kind: "strain", lines: [], press: false, durationMin: 20 },
    { id: "s9", kind: "cool", lines: [], method: "ice-bath", toC: 5 },
    { id: "s10", kind: "degrease", lines: [], method: "chilled", durationMin: 10 },
  ],
  storage: { keepC: 4, days: 3, words: "Covered and labelled in the walk-in; boil before use." },
  notes: "Fried in the tray fat, then drained. The fond water is part of the wetting.",
};

const glace: FormulaDocument = {
  schema: 3,
  name: "Guinea-fowl glace",
  choices: {},
  servedAs: "glaze",
  targets: [],
  family: "glace",
  school: "reduction only, unbound",
  base: { name: "stock", massG: 8000 },
  groups: [],
  portionG: 12,
  overagePct: 0,
  steps: [
    {
      id: "g1",
      kind: "add",
      lines: [
        {
          id: "stock",
          of: { formula: STOCK_ID },
          amount: { kind: "share-of-base", pct: 100 },
          certainty: "stated",
        },
      ],
      durationMin: 5,
      vesselId: "low-36",
    },
    { id: "g2", kind: "reduce", lines: [], target: { to: 1 / 3 }, overlap: 1 },
    { id: "g3", kind: "strain", lines: [], press: false, durationMin: 5, vesselId: "saucepan-24" },
    { id: "g4", kind: "reduce", lines: [], target: { to: 1 / 3 }, overlap: 1 },
    { id: "g5", kind: "cool", lines: [], method: "ice-bath", toC: 5 },
  ],
  storage: { keepC: 4, days: 10, words: "Cut in cubes once set; or freeze flat." },
  notes: "Unsalted: every gram of salt stays while the water leaves.",
};

export const DEMO_FORMULAS: Readonly<Record<string, FormulaDocument>> = {
  [STOCK_ID]: stock,
  [GLACE_ID]: glace,
  ...DEMO_SAUCES,
};
