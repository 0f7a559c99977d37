import { createContext, useContext, useMemo } from "react";
import type { FormulaDocument, KitchenData } from "~/core/formula";
import type { KitchenSnapshot } from "~/data";

/** Names of what this kitchen makes, by formula. */
export type MadeHere = Readonly<Record<string, { readonly name: string }>>;

/** The kitchen as this page has it: fetched once for each revision, never sent along with a page. */
export interface KitchenAtHand {
  readonly snapshot: KitchenSnapshot;
  readonly madeHere: MadeHere;
}

/** What the first page of a visit is drawn from, on the server and here. */
export const FirstKitchen = createContext<KitchenAtHand | null>(null);

/** What pages are drawn from now; null before anybody has said who is cooking. */
export const KitchenContext = createContext<KitchenAtHand | null>(null);

export const useKitchenIfAny = (): KitchenAtHand | null => useContext(KitchenContext);

function useAtHand(): KitchenAtHand {
  const kitchen = useContext(KitchenContext);
  if (!kitchen) throw new Error("A page of the kitchen was drawn without its kitchen.");
  return kitchen;
}

/** Larder, kit, air and facts. */
export const useKitchen = (): KitchenSnapshot => useAtHand().snapshot;

export const useMadeHere = (): MadeHere => useAtHand().madeHere;

const NONE: Readonly<Record<string, FormulaDocument>> = {};

/** All that walking needs: the kitchen with the formulas that a page was sent. */
export function useKitchenWith(
  formulas: Readonly<Record<string, FormulaDocument>> = NONE,
): KitchenData & { readonly demo: boolean } {
  const { snapshot, madeHere } = useAtHand();
  return useMemo(() => ({ ...snapshot, madeHere, formulas }), [snapshot, madeHere, formulas]);
}
