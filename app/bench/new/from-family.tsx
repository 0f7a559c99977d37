import { useMemo, useState } from "react";
import { Form, Link } from "react-router";
import { familyById, formulaOf, schoolsOf } from "~/core/families";
import { openKitchen, atSize } from "~/core/formula";
import { g, printNumber } from "~/core/ground/quantity";
import { useKitchenWith } from "../../kitchen/context";
import { Button } from "../../ui/button";
import { readMass } from "../../ui/read";
import { TypedField } from "../../ui/typed-field";
import { useTypedEarly } from "../../ui/use-typed-early";
import type { Route } from "./+types/from-family";
import { DraftPreview } from "./draft-preview";
import { useKeptReply } from "../../ui/use-kept-reply";

export { action, loader } from "./from-family.server";
export { PageError as ErrorBoundary } from "../../ui/page-error";

export const meta: Route.MetaFunction = ({ params }) => [
  { title: `New: ${familyById(params.familyId)?.name ?? "formula"} · Hondaro` },
];

export default function FromFamily({ loaderData, actionData }: Route.ComponentProps) {
  const reply = useKeptReply(actionData);
  const family = familyById(loaderData.familyId);
  const kitchenData = useKitchenWith();
  const kitchen = useMemo(() => openKitchen(kitchenData), [kitchenData]);
  const [taken, setTaken] = useState<Readonly<Record<string, string>>>({});
  const [name, setName] = useState("");
  const nameField = useTypedEarly<HTMLInputElement>(setName);
  const [baseG, setBaseG] = useState<number | null>(null);
  const document = useMemo(() => {
    if (!family) return null;
    const template = { boilsC: kitchen.boilsC, demiGlace: kitchen.data.house.demiGlace };
    const usual = formulaOf(family, taken, template, name.trim() || family.name);
    return baseG === null ? usual : atSize(usual, g(baseG));
  }, [family, kitchen, taken, name, baseG]);
  if (!family || !document) return null;
  const schools = schoolsOf(family, taken);
  return (
    <main className="mx-auto max-w-6xl px-4 py-6 sm:px-6">
      <p>
        <Link to="/bench/new" className="text-faded hover:text-copper">
          ← All methods
        </Link>
      </p>
      <h1 className="mt-1 text-3xl">{family.name}</h1>
      <p className="mt-1 max-w-2xl text-faded">{family.method}</p>
      <div className="mt-5 flex flex-wrap items-end gap-x-6 gap-y-3 border-y border-rule py-4">
        <label className="min-w-56 grow">
          <span className="block text-xs text-faded">name of the formula</span>
          <input
            ref={nameField}
            value={name}
            maxLength={120}
            placeholder={family.name}
            autoComplete="off"
            onChange={event => setName(event.currentTarget.value)}
            className="w-full rounded-md border border-rule bg-enamel px-3 py-2 text-lg"
          />
        </label>
        <TypedField
          label={`from ${document.base.name}`}
          shown={`${printNumber(document.base.massG / 1000, 2)} kg`}
          read={readMass("The base", "kg")}
          onRead={setBaseG}
          width="w-28"
          look="h-11.5 rounded-md border bg-enamel px-2 text-lg"
        />
        <Form method="post">
          <input type="hidden" name="document" value={JSON.stringify(document)} />
          <input type="hidden" name="id" value={loaderData.newId} />
          <Button type="submit" look="act">
            Put it on the Bench
          </Button>
        </Form>
      </div>
      {reply?.problem && (
        <p role="alert" className="mt-2 text-beet">
          ✕ {reply.problem}
        </p>
      )}
      <div className="mt-5 grid gap-x-12 gap-y-8 lg:grid-cols-2">
        <section aria-label="Schools">
          <h2 className="text-xl">Where good cooks differ</h2>
          {family.choices.length === 0 && <p className="mt-2 text-faded">Nowhere: there is one way.</p>}
          {family.choices.map(choice => (
            <fieldset key={choice.id} className="mt-4">
              <legend className="font-semibold">{choice.label}</legend>
              {choice.schools.map(school => (
                <label key={school.id} className="mt-1.5 flex cursor-pointer items-start gap-2 leading-snug">
                  <input
                    type="radio"
                    name={choice.id}
                    checked={schools[choice.id] === school.id}
                    onChange={() => setTaken({ ...taken, [choice.id]: school.id })}
                    className="mt-1 accent-copper"
                  />
                  <span>
                    <span className={schools[choice.id] === school.id ? "font-bold" : ""}>
                      {school.label}
                    </span>
                    {school.id === choice.usual && (
                      <span className="text-xs text-faded"> · house default</span>
                    )}
                    <span className="block text-sm text-faded">{school.why}</span>
                  </span>
                </label>
              ))}
            </fieldset>
          ))}
        </section>
        <DraftPreview document={document} kitchen={kitchen} />
      </div>
    </main>
  );
}
