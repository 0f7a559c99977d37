import { median } from "simple-statistics";
import {
  type FormulaDocument,
  FIGURES,
  WalkCache,
  blankFormula,
  costOf,
  openKitchen,
  updateLine,
  walk,
} from "../core/formula";
import { normaliseComposition } from "../core/things/larder";
import { poolsOf } from "../core/things/pot";
import { g, mm } from "../core/ground/quantity";
import { valueOf } from "../core/ground/result";
import { geometryOfVessel } from "../core/things/vessel";
import { DEMO_KITCHEN } from "../demo/kitchen";

/** The same formula in Hondaro and in a general spreadsheet engine: the same numbers, and how long a change takes. */

const LINES = 40;
const BASE_G = 10_000;
const POT = "tall-2";
const kitchen = openKitchen(DEMO_KITCHEN);
const chosen = DEMO_KITCHEN.ingredients.filter(i => i.phase === "liquor" && i.price).slice(0, LINES);
const pctOf = (i: number) => 1 + (i % 5);
const document: FormulaDocument = {
  ...blankFormula("Forty lines", { name: "base", massG: BASE_G }),
  steps: chosen.map((ingredient, i) => ({
    id: `s${i}`,
    kind: "add",
    durationMin: 1,
    vesselId: POT,
    lines: [
      {
        id: `l${i}`,
        of: { larder: ingredient.id },
        amount: { kind: "share-of-base", pct: pctOf(i) },
        certainty: "stated",
      },
    ],
  })),
};

const vessel = kitchen.vessels.find(v => v.id === POT);
if (!vessel) throw new Error("The tall pot is gone.");
const pot = geometryOfVessel(vessel);

interface Sheet {
  readonly cells: number;
  setShare(line: number, pct: number): void;
  after(
    line: number,
  ): Record<"mass" | "volume" | "level" | "temperature" | "brix" | "salt %" | "spent", number>;
}
const place = process.env.HONDARO_SHEET;
if (!place) throw new Error("HONDARO_SHEET does not say where the sheet is; ./hondaro bench does.");
const { layOut } = (await import(place)) as {
  layOut: (model: object) => Sheet;
};
const sheet = layOut({
  baseG: BASE_G,
  potAreaMm2: (1000 * pot.volumeAtLevel(mm(100))) / 100,
  lines: chosen.map((ingredient, i) => {
    const total = poolsOf(valueOf(normaliseComposition(ingredient.composition)), g(100));
    return {
      pct: pctOf(i),
      ediblePct: ingredient.ediblePct,
      // Water is free here.
      perKg: ingredient.id === "water" ? 0 : (ingredient.price?.perKg ?? 0),
      parts: Object.values(total),
    };
  }),
});

const cache = new WalkCache();
let current = document;
/** The n-th change: another line each time, early and late ones alike. */
const change = (n: number) => ({ line: (n * 7) % LINES, pct: 1 + (n % 50) / 10 });
const ours = (n: number) => {
  const { line, pct } = change(n);
  current = updateLine(current, `l${line}`, { amount: { kind: "share-of-base", pct } });
  const walked = walk(current, kitchen, { cache });
  return { walked, cost: costOf(current, walked) };
};
const theirs = (n: number) => {
  const { line, pct } = change(n);
  sheet.setShare(line, pct);
  return sheet.after(LINES - 1);
};

// The same numbers first: a benchmark of two different sums says nothing.
for (let n = 1; n <= 60; n++) {
  const [mine, other] = [ours(n), theirs(n)];
  const last = mine.walked.states.at(-1);
  if (!last) throw new Error("The forty lines cannot be walked.");
  const pairs: [string, number, number][] = [
    ["mass", mine.walked.finishedG, other.mass],
    ["volume", mine.walked.finishedMl, other.volume],
    ["level", last.levelMm ?? NaN, other.level],
    ["temperature", last.temperatureC, other.temperature],
    ["strength", FIGURES.brix.of(last) ?? NaN, other.brix],
    ["salt", FIGURES.salt.of(last) ?? NaN, other["salt %"]],
    ["cost", mine.cost.foodCost, other.spent],
  ];
  for (const [what, a, b] of pairs)
    if (!(Math.abs(a - b) <= 1e-6 * Math.max(1, Math.abs(b))))
      throw new Error(`Not the same ${what}: ${a} here, ${b} in the sheet.`);
}

/** How long each of so many changes took, ms. */
const timesOf = (job: (n: number) => unknown, from: number, count: number): number[] =>
  Array.from({ length: count }, (_, i) => {
    const start = performance.now();
    job(from + i);
    return performance.now() - start;
  });

// Both in turn: what disturbs the machine disturbs both alike. The first rounds let the engine compile what runs often.
const WARMING = 5;
const ROUNDS = 20;
const OURS = 100;
const THEIRS = 20;
const times = { ours: [] as number[], theirs: [] as number[] };
for (let round = -WARMING; round < ROUNDS; round++) {
  const both = {
    ours: timesOf(ours, (round + WARMING) * OURS + 1, OURS),
    theirs: timesOf(theirs, (round + WARMING) * THEIRS + 1, THEIRS),
  };
  if (round < 0) continue;
  times.ours.push(...both.ours);
  times.theirs.push(...both.theirs);
}
const mine = median(times.ours);
const other = median(times.theirs);
console.log(
  `\nOne amount changed in a formula of ${LINES} costed lines, the pot known after each (${sheet.cells} cells in the sheet); the same numbers out.`,
);
console.log(`${"Hondaro: walk and cost".padEnd(58)} ${mine.toFixed(3).padStart(9)} ms`);
console.log(
  `${"a general spreadsheet engine (hyperformula)".padEnd(58)} ${other.toFixed(3).padStart(9)} ms   × ${(other / mine).toFixed(1)}`,
);
