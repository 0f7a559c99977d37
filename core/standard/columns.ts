import {
  type FormulaDocument,
  type Kitchen,
  type ScaleTo,
  type StateAfterStep,
  type Step,
  atSize,
  kindOf,
  scaleFormula,
  walk,
} from "../formula";
import { type Grams, type Millilitres, type Seconds, g, ml, printNumber } from "../ground/quantity";
import { type Result, ok, refuse } from "../ground/result";
import { type Vessel, geometryOfVessel, grossTarget } from "../things/vessel";

/** A size a card has a column for: a pot of the kitchen as full as is planned, a weight of the base, a plain multiple. */
export type ColumnAsked =
  | { readonly of: "pot"; readonly vesselId: string }
  | { readonly of: "base"; readonly massG: number }
  | { readonly of: "times"; readonly times: number };

/** What one step is at one size. */
export interface ColumnStep {
  readonly durationS: Seconds;
  readonly vesselName: string | null;
  /** Where it ends on the stick and on the scale; `null` where it does not end at a mark. */
  readonly stop: { readonly markMm: number; readonly grossG: Grams } | null;
  /** Water and other amounts nobody types, by what they are. */
  readonly computed: Readonly<Record<string, Grams>>;
}

/** One batch size of a card, with what does not multiply put right. */
export interface Column {
  /** "Tall pot No 2, 8.6 kg", "2 × Low pot 36, 17 kg", "× 3". */
  readonly title: string;
  /** Of all batches together. */
  readonly baseG: Grams;
  readonly factor: number;
  /** Equal batches it is made in; the figures below are of one. */
  readonly batches: number;
  readonly lines: Readonly<Record<string, Grams>>;
  readonly steps: Readonly<Record<string, ColumnStep>>;
  readonly finishedMl: Millilitres;
  readonly finishedG: Grams;
  readonly totalS: Seconds;
  /** Multiplied as a calculator would, nothing put right. */
  readonly plain: boolean;
}

/** Two figures of a weight are enough to remember: 8 637 g is a batch of 8.6 kg. */
function memorable(massG: number): Grams {
  const step = 10 ** (Math.floor(Math.log10(massG)) - 1);
  return g(Math.max(step, Math.floor(massG / step) * step));
}

/** Without noughts that say nothing: "8.6 kg", "17 kg". */
const kilograms = (massG: Grams): string => {
  const hundredths = Math.round(massG / 10);
  return `${printNumber(hundredths / 100, hundredths % 100 === 0 ? 0 : hundredths % 10 === 0 ? 1 : 2)}\u00a0kg`;
};

/** The pot a recipe is cooked in: that of its longest step with liquor in it. */
const cookedIn = (states: readonly StateAfterStep[]): Vessel | null =>
  states.reduce<StateAfterStep | null>(
    (longest, state) =>
      state.vessel &&
      state.levelMm !== null &&
      kindOf(state.step).steams &&
      state.durationS > (longest?.durationS ?? 0)
        ? state
        : longest,
    null,
  )?.vessel ??
  states.findLast(state => state.levelMm !== null)?.vessel ??
  null;

/** The formula with one pot in place of the one it is cooked in. */
function inPot(document: FormulaDocument, kitchen: Kitchen, vesselId: string): FormulaDocument {
  const { states } = walk(document, kitchen);
  const was = cookedIn(states)?.id;
  return {
    ...document,
    steps: document.steps.map((step, i) =>
      states[i]?.vessel?.id === was && "vesselId" in kindOf(step).fields
        ? ({ ...step, vesselId } as Step)
        : step,
    ),
  };
}

/**
 * A column of a card.
 *
 * A pot’s column is a batch that fills it as full as is planned, its base rounded down to two figures, and is refused where
 * another pot than that would be taken for it. A plain multiple is walked, but nothing of it is put right.
 *
 * @errors those of `scaleFormula` · UNKNOWN_ID · NOTHING_FITS the pot is not one this recipe is made in
 */
export function columnOf(document: FormulaDocument, kitchen: Kitchen, asked: ColumnAsked): Result<Column> {
  if (asked.of === "times") return plainColumn(document, kitchen, asked.times);
  if (asked.of === "base") return scaled(document, kitchen, { by: "base", massG: asked.massG });
  const vessel = kitchen.vessels.find(v => v.id === asked.vesselId);
  const there = inPot(document, kitchen, asked.vesselId);
  const full = scaleFormula(there, kitchen, { by: "vessel", vesselId: asked.vesselId });
  if (!full.ok) return full;
  const massG = memorable(document.base.massG * full.value.factor);
  const column = scaled(there, kitchen, { by: "base", massG });
  if (!column.ok) return column;
  return column.value.title.startsWith(`${vessel?.name}, `)
    ? column
    : refuse({
        code: "NOTHING_FITS",
        field: "vesselId",
        value: asked.vesselId,
        message: `${vessel?.name ?? "That pot"} is not one this recipe is made in.`,
      });
}

function scaled(document: FormulaDocument, kitchen: Kitchen, to: ScaleTo): Result<Column> {
  const found = scaleFormula(document, kitchen, to);
  if (!found.ok) return found;
  const { document: one, batches, factor, lines } = found.value;
  const walked = walk(one, kitchen);
  if (walked.problems.length) return refuse(...walked.problems);
  const pot = cookedIn(walked.states)?.name;
  const baseG = g(document.base.massG * factor);
  return ok({
    title: [pot && (batches > 1 ? `${batches} × ${pot}` : pot), kilograms(baseG)].filter(Boolean).join(", "),
    baseG,
    factor,
    batches,
    lines: Object.fromEntries(lines.map(line => [line.lineId, g(line.oursG)])),
    ...figuresOf(walked),
    plain: false,
  });
}

function plainColumn(document: FormulaDocument, kitchen: Kitchen, times: number): Result<Column> {
  const walked = walk(atSize(document, g(document.base.massG * times)), kitchen);
  if (walked.problems.length) return refuse(...walked.problems);
  const lines = walked.states.flatMap(state => state.lines);
  return ok({
    title: `× ${printNumber(times, 2)}`,
    baseG: g(document.base.massG * times),
    factor: times,
    batches: 1,
    lines: Object.fromEntries(lines.map(line => [line.lineId, line.massG])),
    ...figuresOf(walked),
    plain: true,
  });
}

const figuresOf = (walked: ReturnType<typeof walk>) => ({
  steps: Object.fromEntries(walked.states.map(state => [state.step.id, stepOf(state)])),
  finishedMl: ml(walked.finishedMl),
  finishedG: walked.finishedG,
  totalS: walked.totalS,
});

function stepOf({ durationS, vessel, mark, massG, computed }: StateAfterStep): ColumnStep {
  return {
    durationS,
    vesselName: vessel?.name ?? null,
    stop: vessel && mark ? { markMm: mark.markMm, grossG: grossTarget(g(vessel.tareG), massG) } : null,
    computed: Object.fromEntries(computed.filter(c => c.way === "in").map(c => [c.what, c.massG])),
  };
}

/** So many columns are read at a glance. */
export const MOST_COLUMNS = 4;

const litres = (vessel: Vessel): number => geometryOfVessel(vessel).capacityMl;

/**
 * The columns a card has where nobody asks for others: one for each of the kitchen’s own pots that the recipe is made in,
 * the smallest first.
 */
export function ownColumns(document: FormulaDocument, kitchen: Kitchen): Column[] {
  const use = cookedIn(walk(document, kitchen).states)?.use;
  const found: Column[] = [];
  const pots = kitchen.vessels.filter(v => v.use === use && !v.closed).sort((a, b) => litres(a) - litres(b));
  for (const { id } of pots) {
    const column = columnOf(document, kitchen, { of: "pot", vesselId: id });
    if (column.ok && !found.some(other => other.title === column.value.title)) found.push(column.value);
  }
  return found.length ? found.slice(-MOST_COLUMNS) : multiples(document, kitchen);
}

/** What is made in no pot of the kitchen alone has columns for as much as is written, twice and four times that. */
const multiples = (document: FormulaDocument, kitchen: Kitchen): Column[] =>
  [1, 2, 4].flatMap(times => {
    const column = columnOf(document, kitchen, { of: "base", massG: document.base.massG * times });
    return column.ok ? [column.value] : [];
  });

/**
 * What was asked for as columns, in a cook’s words: “1.5 kg, 8.6 kg, ×3, Tall pot No 2”.
 *
 * @param readMassG how a weight is read, g, or `null` where the words are none
 * @errors NOT_UNDERSTOOD · OUT_OF_RANGE more than fit on a page
 */
export function readColumns(
  text: string,
  vessels: readonly Vessel[],
  readMassG: (words: string) => number | null,
): Result<ColumnAsked[]> {
  const parts = text
    .split(/[;\n]|,(?!\d)/)
    .map(part => part.trim())
    .filter(Boolean);
  const asked: ColumnAsked[] = [];
  for (const part of parts) {
    const times = /^[×x]\s*(\d+(?:[.,]\d+)?)$|^(\d+(?:[.,]\d+)?)\s*[×x]$/i.exec(part);
    const pot = vessels.find(v => v.name.toLowerCase() === part.toLowerCase());
    const massG = readMassG(part);
    if (times) asked.push({ of: "times", times: Number((times[1] ?? times[2] ?? "").replace(",", ".")) });
    else if (pot) asked.push({ of: "pot", vesselId: pot.id });
    else if (massG !== null && massG > 0) asked.push({ of: "base", massG });
    else
      return refuse({
        code: "NOT_UNDERSTOOD",
        field: "columns",
        value: part,
        message: `“${part}” is no batch size. Type weights of the base, pots or multiples: 1.5 kg; Tall pot No 2; ×3.`,
      });
  }
  return asked.length > MOST_COLUMNS
    ? refuse({
        code: "OUT_OF_RANGE",
        field: "columns",
        value: asked.length,
        message: `A card has room for ${MOST_COLUMNS} sizes; ${asked.length} were asked for.`,
      })
    : ok(asked);
}
