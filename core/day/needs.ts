import {
  type FormulaDocument,
  type Habit,
  type Kitchen,
  WalkCache,
  type Walk,
  formulaIn,
  linesOf,
  multiply,
  walk,
} from "../formula";
import { printNumber } from "../ground/quantity";

/** What a day asks for, sauce by sauce, down to the stocks they are made of, less what stands in the cold. */

/** One sauce on the menu. */
export interface MenuLine {
  readonly id: string;
  readonly formulaId: string;
  readonly covers: number;
  /** The formula’s own portion where nobody has said another. */
  readonly portionG: number | null;
  /** Made over, per cent of the portions. */
  readonly overagePct: number;
  /** Left in pots, ladles and bottles, per cent. */
  readonly lossPct: number;
  /** Ready so many minutes before service. */
  readonly readyMin: number;
}

/** What of a formula stands ready and is good on the day, and until when. */
export interface InStock {
  readonly formulaId: string;
  readonly massG: number;
}

/** One pot of it. */
export interface Batch {
  readonly id: string;
  readonly formulaId: string;
  readonly document: FormulaDocument;
  readonly walked: Walk;
  readonly massG: number;
}

export interface Need {
  readonly formulaId: string;
  readonly name: string;
  readonly needG: number;
  readonly fromStockG: number;
  readonly toMakeG: number;
  /** Who asks: the menu, or a sauce that draws on it. */
  readonly uses: readonly { readonly name: string; readonly massG: number }[];
  readonly batches: readonly Batch[];
  /** What stands in the way, in words; empty where nothing does. */
  readonly problems: readonly string[];
  /** What is counted besides the sums because past batches said so, in words. */
  readonly habits: readonly string[];
}

/**
 * Grams of a sauce for its guests. @example 84 covers of 55 g, 5 % over → 4 851 g
 * Source: common practice, no source: portions × (1 + over), and what stays in the pots on top.
 */
export const massOnMenu = (line: MenuLine, portionG: number): number =>
  (line.covers * (line.portionG ?? portionG) * (1 + line.overagePct / 100)) / (1 - line.lossPct / 100);

/** A pot is divided at most so often. */
const MOST_BATCHES = 12;
const ROUNDS = 6;
const NEAR = 0.002;
/** Less than this is nobody’s to make. */
const LEAST_G = 1;

/**
 * Every formula that a menu needs, those that others draw on after those others.
 *
 * Stock is used first; what is left is made in as many equal pots as the kitchen’s pots ask for.
 * @param stock what stands in the cold and is good on the day
 */
export function needsOf(menu: readonly MenuLine[], kitchen: Kitchen, stock: readonly InStock[]): Need[] {
  const asked = new Map<string, { name: string; massG: number }[]>();
  const ask = (id: string, name: string, massG: number): void => {
    const uses = asked.get(id) ?? [];
    const known = uses.find(use => use.name === name);
    if (known) known.massG += massG;
    else uses.push({ name, massG });
    asked.set(id, uses);
  };
  for (const line of menu) {
    const document = formulaIn(kitchen.data, line.formulaId);
    if (document) ask(line.formulaId, "the menu", massOnMenu(line, document.portionG));
  }
  const needs: Need[] = [];
  for (const id of consumersFirst([...asked.keys()], kitchen)) {
    const document = formulaIn(kitchen.data, id);
    const uses = asked.get(id);
    if (!document || !uses) continue;
    const needG = uses.reduce((sum, use) => sum + use.massG, 0);
    const fromStockG = Math.min(
      needG,
      stock.reduce((sum, s) => sum + (s.formulaId === id ? s.massG : 0), 0),
    );
    const toMakeG = needG - fromStockG > LEAST_G ? needG - fromStockG : 0;
    // Where less comes out than the sums say, more is begun.
    const comesOut = kitchen.data.habits?.[id]?.yield ?? 1;
    const { batches, problems } =
      toMakeG > 0 ? batchesOf(id, document, toMakeG / comesOut, kitchen) : NOTHING;
    for (const batch of batches)
      for (const [drawn, massG] of drawnBy(batch)) ask(drawn, document.name, massG);
    needs.push({
      formulaId: id,
      name: document.name,
      needG,
      fromStockG,
      toMakeG,
      uses,
      batches,
      problems,
      habits: batches.length ? habitsInWords(kitchen.data.habits?.[id]) : [],
    });
  }
  return needs;
}

/** @example { time: 1.12, yield: 0.94 } → "12 % longer than the sums, as the last batches were"; "6 % less comes out …" */
function habitsInWords({ time = 1, yield: comesOut = 1 }: Habit = {}): string[] {
  const off = (times: number): string => printNumber(Math.abs(100 * (times - 1)));
  return [
    ...(time === 1
      ? []
      : [`${off(time)} % ${time > 1 ? "longer" : "quicker"} than the sums, as past batches were`]),
    ...(comesOut === 1
      ? []
      : [
          `${off(comesOut)} % ${comesOut < 1 ? "less" : "more"} comes out than the sums say: begun accordingly`,
        ]),
  ];
}

const NOTHING = { batches: [], problems: [] } as const;

/** Formulas from those on the menu down to what they draw on: none before all that draw on it. */
function consumersFirst(ids: readonly string[], kitchen: Kitchen): string[] {
  const done = new Set<string>();
  const order: string[] = [];
  const visit = (id: string): void => {
    if (done.has(id)) return;
    done.add(id);
    const document = formulaIn(kitchen.data, id);
    if (!document) return;
    for (const { of } of linesOf(document)) if ("formula" in of) visit(of.formula);
    order.push(id);
  };
  // Those drawn on are written first; read backwards, whoever draws comes before.
  for (const id of ids) visit(id);
  return order.reverse();
}

/** What a pot draws of other formulas, g by formula. */
function drawnBy({ document, walked }: Batch): Map<string, number> {
  const of = new Map(linesOf(document).map(line => [line.id, line.of]));
  const drawn = new Map<string, number>();
  for (const state of walked.states)
    for (const line of state.lines) {
      const source = of.get(line.lineId);
      if (source && "formula" in source)
        drawn.set(source.formula, (drawn.get(source.formula) ?? 0) + line.massG);
    }
  return drawn;
}

function batchesOf(
  id: string,
  document: FormulaDocument,
  massG: number,
  kitchen: Kitchen,
): { batches: Batch[]; problems: string[] } {
  const cache = new WalkCache();
  for (let count = 1; count <= MOST_BATCHES; count++) {
    const made = yielding(document, massG / count, kitchen, cache);
    if (!made) continue;
    return {
      batches: Array.from({ length: count }, (_, i) => ({ id: `${id}/${i + 1}`, formulaId: id, ...made })),
      problems: [],
    };
  }
  const once = walk(document, kitchen, { cache });
  return {
    batches: [],
    problems: [
      once.problems[0]?.message ??
        `No pot of this kitchen takes it, not even in ${MOST_BATCHES} parts. Choose other pots on its line.`,
    ],
  };
}

/** The formula at a yield; `null` where it does not walk at that size. */
function yielding(
  document: FormulaDocument,
  massG: number,
  kitchen: Kitchen,
  cache: WalkCache,
): Pick<Batch, "document" | "walked" | "massG"> | null {
  let factor = 1;
  let sized = document;
  let walked = walk(document, kitchen, { cache });
  for (let round = 0; round < ROUNDS && walked.finishedG > 0; round++) {
    if (!walked.problems.length && Math.abs(walked.finishedG / massG - 1) < NEAR) break;
    factor *= massG / walked.finishedG;
    sized = multiply(document, factor);
    walked = walk(sized, kitchen, { cache });
    // Too much for the pots: smaller parts are tried.
    if (walked.problems.length) return null;
  }
  if (walked.problems.length || !(walked.finishedG > 0)) return null;
  return { document: sized, walked, massG: walked.finishedG };
}
