import type { Ingredient } from "../../things/larder";
import { type FormulaDocument, linesOf } from "../document/document";
import { type KitchenData, formulaIn, openKitchen } from "../walk/kitchen";
import { sameValue } from "./merge";
import { walk } from "../walk/walk";

/** Remembers which ingredients a walk looked up. */
class Watched extends Map<string, Ingredient> {
  readonly asked = new Set<string>();
  override get(id: string): Ingredient | undefined {
    this.asked.add(id);
    return super.get(id);
  }
}

/**
 * What a formula is walked in, and nothing else: the ingredients it and those it draws on look up, with their prices; the
 * formulas it draws on; every vessel, burner and tool, among which the walk chooses; air, facts and words of the house.
 * Kept beside a run or a version, its card says the same for ever, whatever the kitchen becomes.
 *
 * @param kitchen with at least the formulas that `document` draws on
 */
export function basisOf(document: FormulaDocument, kitchen: KitchenData, burnerId?: string): KitchenData {
  const opened = openKitchen(kitchen, {}, burnerId);
  const watched = new Watched(opened.ingredientById);
  walk(document, { ...opened, ingredientById: watched });
  const formulas: Record<string, FormulaDocument> = {};
  const take = (of: FormulaDocument): void => {
    for (const line of linesOf(of)) {
      // Also where the walk ended before it came there: at another size it may go on.
      if ("larder" in line.of) watched.asked.add(line.of.larder);
      const id = "formula" in line.of ? line.of.formula : "";
      const other = Object.hasOwn(formulas, id) ? undefined : formulaIn(kitchen, id);
      if (!other) continue;
      formulas[id] = other;
      take(other);
    }
  };
  take(document);
  watched.asked.add("water");
  const { madeHere: _names, ...own } = kitchen;
  return { ...own, formulas, ingredients: kitchen.ingredients.filter(i => watched.asked.has(i.id)) };
}

/** Things of a basis, by the list of the kitchen they stand in. */
const LISTS = ["ingredients", "vessels", "burners", "appliances"] as const;
type ListName = (typeof LISTS)[number];
type Thing<L extends ListName> = KitchenData[L][number];

/** Figures that stand for themselves. */
const FIGURES_OF_A_KITCHEN = [
  "name",
  "altitudeM",
  "pressurePa",
  "ambientC",
  "humidity",
  "timeZone",
  "defaultBurnerId",
  "facts",
  "house",
  "bodyReadings",
  "paceReadings",
] as const;

/** How a basis differs from the kitchen of today: what is the same is named, what is not goes along. */
export interface BasisDelta {
  readonly id: string;
  readonly things: { readonly [L in ListName]: readonly (string | Thing<L>)[] };
  readonly figures: Partial<Pick<KitchenData, (typeof FIGURES_OF_A_KITCHEN)[number]>>;
  readonly formulas: KitchenData["formulas"];
}

/** @param now the kitchen of today, as a page has it at hand */
export function deltaOf(basis: KitchenData, now: Omit<KitchenData, "formulas">): BasisDelta {
  const things = Object.fromEntries(
    LISTS.map(list => {
      const here = new Map((now[list] as readonly { id: string }[]).map(thing => [thing.id, thing]));
      return [
        list,
        (basis[list] as readonly { id: string }[]).map(thing =>
          sameValue(here.get(thing.id), thing) ? thing.id : thing,
        ),
      ];
    }),
  ) as unknown as BasisDelta["things"];
  const figures = Object.fromEntries(
    FIGURES_OF_A_KITCHEN.filter(key => !sameValue(basis[key], now[key])).map(key => [key, basis[key]]),
  );
  return { id: basis.id, things, figures, formulas: basis.formulas };
}

/** The basis again, from how it differs. A thing that is named and not here any more is left out. */
export function basisFrom(delta: BasisDelta, now: Omit<KitchenData, "formulas">): KitchenData {
  const lists = Object.fromEntries(
    LISTS.map(list => {
      const here = new Map((now[list] as readonly { id: string }[]).map(thing => [thing.id, thing]));
      return [
        list,
        (delta.things[list] as readonly (string | { id: string })[]).flatMap(thing =>
          typeof thing === "string" ? (here.get(thing) ?? []) : [thing],
        ),
      ];
    }),
  ) as unknown as Pick<KitchenData, ListName>;
  return { ...now, ...delta.figures, ...lists, formulas: delta.formulas };
}

const FIGURE_WORDS: Partial<Record<(typeof FIGURES_OF_A_KITCHEN)[number], string>> = {
  altitudeM: "the altitude",
  pressurePa: "the barometer",
  ambientC: "the kitchen air",
  humidity: "the humidity",
  facts: "figures the sums rest on",
  house: "words or rates of the house",
  bodyReadings: "readings of body",
  paceReadings: "what pots on burners were found to do",
};

/**
 * What has changed in the kitchen since, in a cook's words; empty where nothing that matters here has.
 * @param formulas what the formulas drawn on say today
 */
export function changedSince(
  basis: KitchenData,
  now: Omit<KitchenData, "formulas">,
  formulas: KitchenData["formulas"],
): string[] {
  const changed: string[] = [];
  const compare = <T extends { id: string; name: string }>(
    was: readonly T[],
    is: readonly T[],
    say: (a: T, b: T | undefined) => string,
  ) => {
    const here = new Map(is.map(thing => [thing.id, thing]));
    for (const thing of was) {
      const other = here.get(thing.id);
      if (!sameValue(other, thing)) changed.push(say(thing, other));
    }
  };
  compare(basis.ingredients, now.ingredients, (was, is) => {
    if (!is) return `${was.name} is gone`;
    const { price: before, ...rest } = was;
    const { price: after, ...own } = is;
    return sameValue(rest, own) && !sameValue(before, after) ? `the price of ${was.name}` : was.name;
  });
  compare(basis.vessels, now.vessels, (was, is) => (is ? was.name : `${was.name} is gone`));
  // Where a burner stands moves no figure.
  const heat = ({ xMm: _x, yMm: _y, ...burner }: KitchenData["burners"][number]) => burner;
  compare(basis.burners.map(heat), now.burners.map(heat), (was, is) =>
    is ? was.name : `${was.name} is gone`,
  );
  for (const key of FIGURES_OF_A_KITCHEN) {
    const words = FIGURE_WORDS[key];
    if (words && !sameValue(basis[key], now[key])) changed.push(words);
  }
  for (const [id, was] of Object.entries(basis.formulas)) {
    const is = Object.hasOwn(formulas, id) ? formulas[id] : undefined;
    if (!sameValue(is, was)) changed.push(is ? was.name : `${was.name} is gone`);
  }
  return changed;
}
