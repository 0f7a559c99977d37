import { Form } from "react-router";
import type { FormulaMoved } from "~/core/formula";
import { ml, printNumber, printVolume } from "~/core/ground/quantity";
import { Button } from "../ui/button";

export interface Brand {
  readonly other: string;
  /** `null`: the larder has no such thing. */
  readonly moved: readonly FormulaMoved[] | null;
  readonly near: readonly string[];
}

/** What another brand would do to the formulas that use this one. */
export function BrandCompare({ brand, name }: { brand: Brand | null; name: string }) {
  return (
    <section aria-label="Another brand" className="rounded-xl border border-rule p-5">
      <h2 className="text-xl">Another in its place</h2>
      <Form method="get" className="mt-2 flex flex-wrap items-end gap-3">
        <label className="grow">
          <span className="block text-sm text-faded">Instead of {name}</span>
          <input
            name="instead"
            defaultValue={brand?.other ?? ""}
            placeholder="salted butter, cream 30 %, strong vinegar …"
            className="w-full max-w-96 rounded-md border border-rule bg-enamel px-2 py-1 hover:border-faded"
          />
        </label>
        <Button type="submit">See what moves</Button>
      </Form>
      {brand?.moved === null && (
        <p role="alert" className="mt-3 text-beet">
          ✕ The larder has no “{brand.other}”.{" "}
          {brand.near.length ? `Did you mean ${brand.near.join(", ")}?` : "Write it in first."}
        </p>
      )}
      {brand?.moved && brand.moved.length === 0 && (
        <p className="mt-3 text-faded">No formula of this kitchen uses it.</p>
      )}
      {brand?.moved && brand.moved.length > 0 && (
        <ul className="mt-3 divide-y divide-rule border-y border-rule">
          {brand.moved.map(formula => (
            <li key={formula.id} className="py-2">
              <span className="font-semibold">{formula.name}</span>
              {formula.moved.length === 0 ? (
                <span className="text-faded">: nothing anybody would taste</span>
              ) : (
                <ul className="mt-1 flex flex-wrap gap-x-6">
                  {formula.moved.map(m => (
                    <li key={m.what}>
                      {m.what}{" "}
                      {m.unit === "ml"
                        ? `${printVolume(ml(m.before))} → ${printVolume(ml(m.after))}`
                        : `${printNumber(m.before, 2)} → ${printNumber(m.after, 2)} %`}
                    </li>
                  ))}
                </ul>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
