import type { FormulaDocument } from "../document/document";
import { keepsDays } from "../walk/egg";
import type { Kitchen } from "../walk/kitchen";
import { multiply } from "../scaling/multiply";
import { walk } from "../walk/walk";
import type { Walk } from "../walk/walked";
import { WalkCache } from "../walk/walk-cache";
import { formulaIn } from "../walk/kitchen";

/** One thing to buy, weigh and get ready, for everything that uses it. */
export interface PrepItem {
  readonly ingredientId: string;
  readonly name: string;
  readonly netG: number;
  readonly purchasedG: number;
  /** Which component takes how much. */
  readonly uses: readonly { readonly component: string; readonly massG: number }[];
}

/** Something this kitchen makes itself on the way. */
export interface Component {
  readonly formulaId: string;
  readonly name: string;
  readonly needG: number;
  readonly minutes: number;
  readonly keeps: { readonly days: number; readonly atC: number };
  /** Components it is made from in turn. */
  readonly parts: readonly Component[];
}

export interface PrepList {
  readonly components: readonly Component[];
  readonly items: readonly PrepItem[];
}

/**
 * Everything a dish needs, sub-formulas taken apart: the tree of components with what each must yield, and one list
 * of ingredients in which the same thing stands once.
 */
export function prepList(document: FormulaDocument, walked: Walk, kitchen: Kitchen): PrepList {
  const items = new Map<
    string,
    { name: string; netG: number; purchasedG: number; uses: { component: string; massG: number }[] }
  >();
  const cache = new WalkCache();
  // `times`: how often what was walked is needed.
  const collect = (doc: FormulaDocument, made: Walk, depth: number, times: number): Component[] => {
    const parts: Component[] = [];
    const sourceOf = new Map(doc.steps.flatMap(step => step.lines.map(line => [line.id, line.of] as const)));
    const put = (id: string, name: string, massG: number, purchasedG: number) => {
      const item = items.get(id) ?? { name, netG: 0, purchasedG: 0, uses: [] };
      item.netG += massG;
      item.purchasedG += purchasedG;
      const use = item.uses.find(u => u.component === doc.name);
      if (use) use.massG += massG;
      else item.uses.push({ component: doc.name, massG });
      items.set(id, item);
    };
    for (const state of made.states) {
      for (const line of state.lines) {
        const needG = line.massG * times;
        const of = sourceOf.get(line.lineId);
        const other = of && "formula" in of ? formulaIn(kitchen.data, of.formula) : undefined;
        if (!of || !("formula" in of) || !other || depth > 6) {
          put(line.ingredientId, line.name, needG, line.purchasedG * times);
          continue;
        }
        const once = walk(other, kitchen, { cache });
        const portion = once.finishedG > 0 ? needG / once.finishedG : 1;
        const scaled = multiply(other, portion);
        const walkedOther = walk(scaled, kitchen);
        // A pot too large for the kitchen: the recipe's own proportions still tell what to buy.
        const [part, counted, often] = walkedOther.problems.length
          ? ([other, once, portion] as const)
          : ([scaled, walkedOther, 1] as const);
        parts.push({
          formulaId: of.formula,
          name: other.name,
          needG,
          minutes: counted.totalS / 60,
          keeps: { days: keepsDays(other, counted, kitchen.facts), atC: other.storage.keepC },
          parts: collect(part, counted, depth + 1, often),
        });
      }
      for (const computed of state.computed)
        if (computed.way === "in" && computed.ingredientId)
          put(computed.ingredientId, computed.what, computed.massG * times, computed.massG * times);
    }
    return parts;
  };
  const components = collect(document, walked, 0, 1);
  return {
    components,
    items: [...items]
      .map(([ingredientId, item]) => ({ ingredientId, ...item }))
      .sort((a, b) => b.netG - a.netG || (a.name < b.name ? -1 : 1)),
  };
}
