import { data, redirect } from "react-router";
import { brandChange } from "~/core/formula";
import { findIngredient } from "~/core/things/larder";
import { printNumber } from "~/core/ground/quantity";
import type { Problem } from "~/core/ground/result";
import {
  type PricePoint,
  addYieldReading,
  database,
  findStoredIngredient,
  markOf,
  priceHistory,
  saveIngredient,
  savePrice,
  undoYieldReading,
  yieldReadings,
} from "~/data";
import type { Route } from "./+types/ingredient";
import { snapshotOf, wholeKitchen } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import { readIngredientForm } from "./form.server";
import { readPriceForm } from "./price.server";
import { readYieldForm } from "./yield.server";
import { formOf, listsOf } from "../request.server";

export interface Refused {
  readonly problems: readonly Problem[];
  readonly values: Readonly<Record<string, readonly string[]>>;
  /** Odd, but possible: saved when it is sent again with the doubt seen. */
  readonly doubts: readonly string[];
}

const NEW = "new";

export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { kitchenId } = section;
  const { db } = database();
  if (params.ingredientId === NEW)
    return { stored: null, prices: [], pricesSeen: "", brand: null, yields: [], timeZone: "UTC" };
  const [stored, prices, yields, { timeZone }] = await Promise.all([
    findStoredIngredient(db, kitchenId, params.ingredientId),
    priceHistory(db, kitchenId, params.ingredientId),
    yieldReadings(db, kitchenId, params.ingredientId),
    snapshotOf(section),
  ]);
  if (!stored) throw data("The larder has nothing of that name.", { status: 404 });
  const other = new URL(request.url).searchParams.get("instead")?.trim();
  const pricesSeen = markOf(prices);
  if (!other) return { stored, prices, pricesSeen, brand: null, yields, timeZone };
  const kitchen = await wholeKitchen(section);
  const found = findIngredient(kitchen.ingredients, other);
  const brand = found.exact
    ? { other: found.exact.name, moved: brandChange(kitchen, stored.ingredient.id, found.exact), near: [] }
    : { other, moved: null, near: found.near.map(i => i.name) };
  return { stored, prices, pricesSeen, brand, yields, timeZone };
}

export async function action({ context, params, request }: Route.ActionArgs) {
  const { kitchenId, person } = requirePerson(context, request);
  const { db } = database();
  const form = await formOf(request);
  const change = { kitchenId, personId: person.id, now: new Date() };
  const before =
    params.ingredientId === NEW ? null : await findStoredIngredient(db, kitchenId, params.ingredientId);
  const back = (problems: readonly Problem[], doubts: readonly string[] = [], status = 422) =>
    data<Refused>({ problems, doubts, values: listsOf(form) }, { status });

  if (form.get("intent") === "yield-undo") {
    await undoYieldReading(db, change, String(form.get("id") ?? ""));
    return redirect(`/larder/${params.ingredientId}`);
  }
  if (form.get("intent") === "yield") {
    const reading = readYieldForm(form, params.ingredientId);
    if (!reading.ok || !before) return back(reading.ok ? [] : reading.problems);
    await addYieldReading(db, change, reading.value);
    return redirect(`/larder/${params.ingredientId}`);
  }
  if (form.get("intent") === "price") {
    const price = readPriceForm(form);
    if (!price.ok || !before) return back(price.ok ? [] : price.problems);
    const { id } = before.ingredient;
    const kept = await savePrice(db, change, id, price.value, String(form.get("seen") ?? ""));
    if (!kept.kept) {
      const inWords = (p: PricePoint) => `${printNumber(p.perKg, 2)} ${p.currency} from ${p.since}`;
      const theirs = kept.theirs.find(p => p.since === price.value.since) ?? kept.theirs[0];
      return back(
        [
          {
            code: "DUPLICATE",
            field: "perKg",
            message: `Somebody has noted ${theirs ? inWords(theirs) : "another price"} since you opened this. Yours, ${inWords(price.value)}, is not noted yet: send it again to put it beside or in its place.`,
          },
        ],
        [],
        409,
      );
    }
    return redirect(`/larder/${before.ingredient.id}`);
  }
  const read = readIngredientForm(form, before?.ingredient ?? null);
  if (!read.ok) return back(read.problems);
  const doubts = read.warnings.map(w => w.message);
  if (doubts.length && form.get("seen") !== "yes") return back([], doubts);
  const saved = await saveIngredient(db, change, read.value, Math.trunc(Number(form.get("rowVersion"))) || 0);
  if (saved === "stale")
    return back(
      [
        {
          code: "DUPLICATE",
          field: "name",
          message: before
            ? "Somebody else has changed it since you opened it. Your figures stand here still; open it anew beside and compare."
            : "The larder has one of that name already.",
        },
      ],
      [],
      409,
    );
  return redirect(`/larder/${read.value.id}`);
}
