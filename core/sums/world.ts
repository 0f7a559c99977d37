import { type KitchenData, openKitchen } from "../formula";
import type { SumWorld } from "./sum";

/** A kitchen’s larder, kit, air and own facts for the sums. */
export function worldOf(kitchen: KitchenData): SumWorld {
  const { around, facts } = openKitchen(kitchen);
  return {
    ingredients: kitchen.ingredients,
    vessels: kitchen.vessels,
    altitudeM: kitchen.altitudeM,
    around,
    facts,
  };
}
