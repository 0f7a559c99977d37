import type { Refused } from "./ingredient.server";
import { Link, useNavigation } from "react-router";
import { ALLERGENS, type Ingredient } from "~/core/things/larder";
import { printMass, printNumber, g } from "~/core/ground/quantity";
import type { Route } from "./+types/ingredient";
import { Button } from "../ui/button";
import { BrandCompare } from "./brand-compare";
import { IngredientForm, valuesOf } from "./ingredient-form";
import { Jar } from "./jar";
import { PriceCard } from "./price-card";
import { sourceWords } from "./source-words";
import { YieldReadings } from "./yield-readings";
import { EditForm } from "../people/edit-form";
import { useKeptReply } from "../ui/use-kept-reply";

export { action, loader } from "./ingredient.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  {
    title: `${(loaderData as { stored?: { ingredient: Ingredient } } | undefined)?.stored?.ingredient.name ?? "New ingredient"} · Hondaro`,
  },
];

export default function IngredientSheet({ loaderData, actionData }: Route.ComponentProps) {
  const { stored, prices, pricesSeen, brand, yields, timeZone } = loaderData;
  const refused = useKeptReply(actionData as Refused | undefined);
  const busy = useNavigation().state === "submitting";
  const ingredient = stored?.ingredient ?? null;
  return (
    <main className="mx-auto max-w-6xl px-4 py-6 sm:px-6">
      <p>
        <Link to="/larder" className="text-faded hover:text-copper">
          ← Larder
        </Link>
      </p>
      <h1 className="mt-1 text-3xl">{ingredient ? ingredient.name : "New ingredient"}</h1>
      {ingredient && ingredient.aliases.length > 0 && (
        <p className="text-faded">also {ingredient.aliases.join(", ")}</p>
      )}
      <div className="mt-5 grid gap-x-10 gap-y-8 lg:grid-cols-[20rem_minmax(0,1fr)]">
        <div className="space-y-6">
          {ingredient ? (
            <>
              <figure>
                <Jar name={ingredient.name} composition={ingredient.composition} />
                <figcaption className="mt-1 text-sm text-faded">
                  100 g as it would settle. Source: {sourceWords(ingredient.compositionSource)}.
                </figcaption>
              </figure>
              <Facts ingredient={ingredient} />
            </>
          ) : (
            <p className="rounded-xl border border-dashed border-rule p-6 text-faded">
              Name it and say what 100 g of it hold. It then settles here in its jar.
            </p>
          )}
          {ingredient && <PriceCard prices={prices} seen={pricesSeen} problems={refused?.problems ?? []} />}
          {ingredient && (
            <YieldReadings
              ingredient={ingredient}
              readings={yields}
              problems={refused?.problems ?? []}
              typed={refused?.values ?? {}}
              timeZone={timeZone}
            />
          )}
        </div>
        <div className="space-y-8">
          {ingredient && <BrandCompare brand={brand} name={ingredient.name} />}
          <EditForm className="rounded-xl border border-rule bg-enamel p-5">
            <h2 className="text-xl">{ingredient ? "Change it" : "What it is"}</h2>
            <input type="hidden" name="rowVersion" value={stored?.rowVersion ?? 0} />
            <IngredientForm
              key={stored?.rowVersion ?? 0}
              values={refused?.values ?? valuesOf(ingredient)}
              problems={refused?.problems ?? []}
            />
            {refused && refused.doubts.length > 0 && (
              <div role="alert" className="mt-4 rounded-lg bg-saffron-wash p-3 text-saffron-ink">
                {refused.doubts.map(doubt => (
                  <p key={doubt}>▲ {doubt}</p>
                ))}
                <label className="mt-2 flex items-center gap-2 font-semibold">
                  <input type="checkbox" name="seen" value="yes" /> It is meant so
                </label>
              </div>
            )}
            <Button type="submit" look="act" className="mt-5" disabled={busy}>
              {ingredient ? "Save" : "Put it in the larder"}
            </Button>
          </EditForm>
        </div>
      </div>
    </main>
  );
}

function Facts({ ingredient }: { ingredient: Ingredient }) {
  const rows: [string, string, string][] = [
    ["used", `${printNumber(ingredient.ediblePct)} %`, sourceWords(ingredient.edibleSource)],
    ...(ingredient.juicePct && ingredient.juiceSource
      ? [
          ["juice", `${printNumber(ingredient.juicePct)} %`, sourceWords(ingredient.juiceSource)] as [
            string,
            string,
            string,
          ],
        ]
      : []),
    ...(ingredient.densityGPerMl && ingredient.densitySource
      ? [
          [
            "a litre",
            printMass(g(ingredient.densityGPerMl * 1000)),
            sourceWords(ingredient.densitySource),
          ] as [string, string, string],
        ]
      : []),
    ...ingredient.measures.map((m): [string, string, string] => [
      m.name,
      `${printMass(g(m.massG))}${m.hiG > m.loG ? ` (${printMass(g(m.loG))}–${printMass(g(m.hiG))})` : ""}`,
      sourceWords(m.source),
    ]),
  ];
  return (
    <div>
      <dl className="divide-y divide-rule border-y border-rule">
        {rows.map(([label, value, source]) => (
          <div key={label} className="grid grid-cols-[6rem_1fr] py-1.5">
            <dt className="text-faded">{label}</dt>
            <dd>
              {value}
              <span className="block text-xs text-faded">{source}</span>
            </dd>
          </div>
        ))}
      </dl>
      <p className="mt-2 text-sm">
        {ingredient.allergens === null
          ? "Allergens: nobody has entered them, so every sauce with it counts as not known."
          : `Allergens recorded: ${ingredient.allergens.map(a => ALLERGENS[a]).join(", ") || "none"}.`}
        {ingredient.diet.length > 0 && ` Flags: ${ingredient.diet.join(", ")}.`}
        {ingredient.boughtStock &&
          ` Bought stock with ${printNumber(ingredient.composition.salt, 1)} % salt: mind it before you reduce.`}
      </p>
    </div>
  );
}
