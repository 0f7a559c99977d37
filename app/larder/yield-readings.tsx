import { useId } from "react";
import { Form, Link } from "react-router";
import { type Ingredient } from "~/core/things/larder";
import { pieceOf, yieldOf } from "~/core/learning";
import { printNumber } from "~/core/ground/quantity";
import type { Problem } from "~/core/ground/result";
import type { KeptYield } from "~/data";
import { dayOf } from "../text/format";
import { useMay } from "../people/use-may";
import { Button } from "../ui/button";

const FIELD = "h-11 w-full rounded-md border border-rule bg-enamel px-3";

/** Weighings of what is left of it, or what a piece gives; the chef takes their middle on the Learned page. */
export function YieldReadings({
  ingredient,
  readings,
  problems,
  typed,
  timeZone,
}: {
  ingredient: Ingredient;
  readings: readonly KeptYield[];
  problems: readonly Problem[];
  typed: Readonly<Record<string, readonly string[]>>;
  timeZone: string;
}) {
  const mayLog = useMay("log");
  const piece = pieceOf(ingredient)?.name ?? "piece";
  return (
    <section aria-label="Weighed here" className="rounded-xl border border-rule bg-enamel p-4">
      <h2 className="text-lg">Weighed here</h2>
      {readings.length > 0 ? (
        <>
          <ul className="mt-1 text-sm">
            {[...readings].reverse().map(one => (
              <li key={one.id} className="flex flex-wrap items-baseline gap-x-3 border-b border-linen py-1">
                <b>
                  {one.what === "trimmed"
                    ? `${printNumber(yieldOf(one), 1)} %`
                    : `${printNumber(yieldOf(one), 1)} g a ${piece}`}
                </b>
                <span className="grow text-faded">
                  {printNumber(one.from)} {one.what === "trimmed" ? "g" : "of them"} gave{" "}
                  {printNumber(one.gotG)} g · {one.by.split(" ")[0]}, {dayOf(new Date(one.at), timeZone)}
                </span>
                {mayLog && (
                  <Form method="post">
                    <input type="hidden" name="intent" value="yield-undo" />
                    <input type="hidden" name="id" value={one.id} />
                    <button className="underline underline-offset-2 hover:text-copper">take back</button>
                  </Form>
                )}
              </li>
            ))}
          </ul>
          <Link
            to="/ledger/learned"
            className="mt-1 inline-block text-sm underline underline-offset-4 hover:text-copper"
          >
            What they come to
          </Link>
        </>
      ) : (
        <p className="text-sm text-faded">
          Three weighings say what is left of it in this kitchen, better than any table.
        </p>
      )}
      {mayLog && (
        <Form method="post" className="mt-3 grid grid-cols-2 gap-2" key={readings.length}>
          <input type="hidden" name="intent" value="yield" />
          <YieldField name="yieldFrom" label="as bought" typed={typed} problems={problems} />
          <label className="text-sm">
            <span className="text-faded">counted in</span>
            <select name="yieldWhat" defaultValue={typed.yieldWhat?.[0] ?? "trimmed"} className={FIELD}>
              <option value="trimmed">grams</option>
              <option value="per piece">pieces</option>
            </select>
          </label>
          <YieldField name="yieldGot" label="and gave, g" typed={typed} problems={problems} />
          <Button type="submit" className="self-end">
            Keep it
          </Button>
        </Form>
      )}
    </section>
  );
}

function YieldField({
  name,
  label,
  typed,
  problems,
}: {
  name: string;
  label: string;
  typed: Readonly<Record<string, readonly string[]>>;
  problems: readonly Problem[];
}) {
  const id = useId();
  const own = problems.find(p => p.field === name);
  return (
    <label className="text-sm" htmlFor={id}>
      <span className="text-faded">{label}</span>
      <input
        id={id}
        name={name}
        inputMode="decimal"
        defaultValue={typed[name]?.[0] ?? ""}
        aria-invalid={!!own}
        aria-describedby={own ? `${id}-why` : undefined}
        className={FIELD}
      />
      {own && (
        <span id={`${id}-why`} className="block text-beet">
          ✕ {own.message}
        </span>
      )}
    </label>
  );
}
