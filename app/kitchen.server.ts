import type { KitchenData } from "~/core/formula";
import { database, loadKitchen } from "~/data";

/** The kitchen of the request with everything a walk needs. */
export async function kitchenOf(kitchenId: string): Promise<KitchenData & { demo: boolean }> {
  const kitchen = await loadKitchen(database().db, kitchenId);
  if (!kitchen) throw new Response("This kitchen is not here any more.", { status: 404 });
  return kitchen;
}
