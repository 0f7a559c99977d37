import { bundleOf, writeBundle } from "~/core/exchange";
import { wholeKitchen } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import type { Route } from "./+types/formula-files";

/** Every formula of the kitchen in one file, with the ingredients they use. */
export async function loader({ context, request }: Route.LoaderArgs) {
  const kitchen = await wholeKitchen(requirePerson(context, request));
  return new Response(writeBundle(bundleOf(Object.keys(kitchen.formulas), kitchen)), {
    headers: {
      "Content-Type": "application/json; charset=utf-8",
      "Content-Disposition": 'attachment; filename="formulas.json"',
    },
  });
}
