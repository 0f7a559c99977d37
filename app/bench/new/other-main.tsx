import { useMemo, useState } from "react";
import { Form, Link } from "react-router";
import {
  type FormulaDocument,
  type Kitchen,
  labelOf,
  linesOf,
  openKitchen,
  swapMain,
  walk,
} from "~/core/formula";
import { ALLERGENS, type Ingredient } from "~/core/things/larder";
import { useKitchenWith } from "../../kitchen/context";
import { Button } from "../../ui/button";
import { IngredientField, IngredientNames } from "../ingredient-field";
import { useTypedEarly } from "../../ui/use-typed-early";
import type { Route } from "./+types/other-main";
import { DraftPreview } from "./draft-preview";
import { useKeptReply } from "../../ui/use-kept-reply";

export { action, loader } from "./other-main.server";
export { PageError as ErrorBoundary } from "../../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Other main ingredient · Hondaro" }];

/** The same method with another main ingredient: what cannot be known any more is asked. */
export default function OtherMain({ loaderData, actionData }: Route.ComponentProps) {
  const reply = useKeptReply(actionData);
  const { stored } = loaderData;
  const kitchenData = useKitchenWith(loaderData.drawnOn);
  const kitchen = useMemo(() => openKitchen(kitchenData), [kitchenData]);
  const used = useMemo(
    () =>
      [...new Set(linesOf(stored.document).flatMap(l => ("larder" in l.of ? [l.of.larder] : [])))].flatMap(
        id => kitchen.ingredientById.get(id) ?? [],
      ),
    [stored.document, kitchen],
  );
  const [fromId, setFrom] = useState(used[0]?.id ?? "");
  const [to, setTo] = useState<Ingredient | null>(null);
  const [name, setName] = useState("");
  const nameField = useTypedEarly<HTMLInputElement>(setName);
  const from = kitchen.ingredientById.get(fromId);
  const document = useMemo(
    () =>
      from && to
        ? swapMain(stored.document, from, to, name.trim() || `${stored.document.name}, with ${to.name}`)
        : null,
    [from, to, name, stored.document],
  );
  return (
    <main className="mx-auto max-w-5xl px-4 py-6 sm:px-6">
      <p>
        <Link to={`/bench/${stored.id}`} className="text-faded hover:text-copper">
          ← {stored.document.name}
        </Link>
      </p>
      <h1 className="mt-1 text-3xl">Same method, other main ingredient</h1>
      <p className="mt-1 max-w-2xl text-faded">
        Every relation stays. Times and amounts that were written for the old ingredient are asked again;
        allergens are worked out anew.
      </p>
      <IngredientNames kitchen={kitchen} />
      <div className="mt-5 flex flex-wrap items-start gap-x-6 gap-y-3 border-y border-rule py-4">
        <label>
          <span className="block text-xs text-faded">in place of</span>
          <select
            value={fromId}
            onChange={event => setFrom(event.currentTarget.value)}
            className="rounded-md border border-rule bg-enamel px-2 py-1.5"
          >
            {used.map(i => (
              <option key={i.id} value={i.id}>
                {i.name}
              </option>
            ))}
          </select>
        </label>
        <IngredientField
          hideLabel={false}
          label="take"
          of={{ larder: to?.id ?? "" }}
          kitchen={kitchen}
          onRead={of => setTo("larder" in of ? (kitchen.ingredientById.get(of.larder) ?? null) : null)}
        />
        <label className="min-w-52 grow">
          <span className="block text-xs text-faded">name of the new formula</span>
          <input
            ref={nameField}
            value={name}
            maxLength={120}
            placeholder={document?.name ?? ""}
            autoComplete="off"
            onChange={event => setName(event.currentTarget.value)}
            className="w-full rounded-md border border-rule bg-enamel px-2 py-1"
          />
        </label>
        <Form method="post" className="self-end">
          <input type="hidden" name="document" value={JSON.stringify(document)} />
          <input type="hidden" name="id" value={loaderData.newId} />
          <Button type="submit" look="act" disabled={!document}>
            Put it on the Bench
          </Button>
        </Form>
      </div>
      {reply?.problem && (
        <p role="alert" className="mt-2 text-beet">
          ✕ {reply.problem}
        </p>
      )}
      {document && (
        <>
          <LabelChange before={stored.document} after={document} kitchen={kitchen} />
          <DraftPreview document={document} kitchen={kitchen} />
        </>
      )}
    </main>
  );
}

/** What the swap does to the label, sub-formulas included. */
function LabelChange({
  before,
  after,
  kitchen,
}: {
  before: FormulaDocument;
  after: FormulaDocument;
  kitchen: Kitchen;
}) {
  const labels = [before, after].map(document => labelOf(walk(document, kitchen)));
  const [was, is] = labels;
  if (!was || !is) return null;
  const added = is.allergens.filter(a => !was.allergens.includes(a));
  const gone = was.allergens.filter(a => !is.allergens.includes(a));
  return (
    <p className="my-4 text-sm">
      {added.length + gone.length === 0 && "The recorded allergens stay the same. "}
      {added.length > 0 && (
        <span className="text-saffron-ink">
          ▲ The label gains {added.map(a => ALLERGENS[a]).join(", ")}.{" "}
        </span>
      )}
      {gone.length > 0 && <span>It loses {gone.map(a => ALLERGENS[a]).join(", ")}. </span>}
      {!is.known && (
        <span className="text-saffron-ink">
          ▲ Not known: nobody has entered allergens for {is.notEntered.join(", ")}.
        </span>
      )}
    </p>
  );
}
