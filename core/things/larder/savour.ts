import type { Ingredient } from "./ingredient";

/** Free glutamate, nucleotides (as IMP) and what is bitter (as caffeine), g per 100 g. */
export interface Savour {
  readonly msgPct: number;
  readonly impPct: number;
  readonly bitterPct: number;
}

/** Source: tables of free glutamate and nucleotides in foods (Ninomiya 2002 and others), from memory; bitter: our estimate. */
const SAVOURS: Readonly<Record<string, readonly [msgPct: number, impPct: number, bitterPct?: number]>> = {
  "soy-sauce": [0.9, 0],
  "fish-sauce": [0.95, 0],
  miso: [0.5, 0],
  anchovies: [0.63, 0.3],
  parmesan: [1.4, 0],
  "hard-cheese": [0.35, 0],
  "blue-cheese": [0.8, 0],
  tomato: [0.15, 0],
  "tinned-tomato": [0.2, 0],
  passata: [0.25, 0],
  "tomato-paste": [0.55, 0],
  mushroom: [0.06, 0.02],
  "dried-shiitake": [1.06, 0.15],
  "dried-ceps": [0.7, 0.1],
  "dried-morels": [0.5, 0.1],
  bacon: [0.2, 0.15],
  "ham-bone": [0.2, 0.1],
  "bought-brown-stock": [0.05, 0.01],
  "stock-powder": [6, 0.3],
  "dark-chocolate": [0, 0, 0.8],
  cocoa: [0, 0, 2],
  coffee: [0, 0, 0.05],
  grapefruit: [0, 0, 0.03],
  endive: [0, 0, 0.05],
};

/** What an ingredient brings of umami and bitterness; nothing where nobody has measured it. */
export function savourOf({ id }: Pick<Ingredient, "id">): Savour | null {
  const found = Object.hasOwn(SAVOURS, id) ? SAVOURS[id] : undefined;
  return found ? { msgPct: found[0], impPct: found[1], bitterPct: found[2] ?? 0 } : null;
}
