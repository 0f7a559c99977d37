import { Link } from "react-router";
import { printNumber } from "~/core/ground/quantity";
import { useMay } from "../people/use-may";
import { Button } from "../ui/button";
import { OnceForm } from "../ui/once-form";
import { type Loaded, FIELD, Problems, kg, useDone } from "./parts";

export function Pars({ pars, made }: { pars: Loaded["pars"]; made: Loaded["made"] }) {
  const fetcher = useDone();
  const mayEdit = useMay("edit");
  return (
    <section aria-label="What should stand ready">
      <h2 className="text-xl">What should stand ready</h2>
      {!pars.length && (
        <p className="text-faded">Say of a stock or a glace how much of it should always be there.</p>
      )}
      <ul>
        {pars.map(par => (
          <li key={par.formulaId} className="border-b border-linen py-2">
            <p className="flex items-baseline gap-2">
              <span className="grow font-semibold">{par.name}</span>
              <span className="tabular-nums">
                {kg(par.haveG)} of {kg(par.parG)}
              </span>
            </p>
            <div aria-hidden className="mt-1 h-2 overflow-hidden rounded-full bg-linen">
              <div
                className="h-full bg-broth"
                style={{ width: `${Math.min(100, (100 * par.haveG) / par.parG)}%` }}
              />
            </div>
            <p className="mt-1 text-sm text-faded">
              {par.makeG > 0 ? <span className="text-saffron-ink">Make {kg(par.makeG)}. </span> : "Enough. "}
              {par.perDayG === null
                ? "Too little was taken yet to say how fast it goes."
                : `${kg(par.perDayG)} a day, lasts ${printNumber(par.daysLeft ?? 0, 1)} days${par.everyDays ? `; a pot of ${kg(par.batchG ?? 0)} every ${par.everyDays === 1 ? "day" : `${par.everyDays} days`}` : ""}.`}{" "}
              <Link to={`/bench/${par.formulaId}`} className="underline underline-offset-4 hover:text-copper">
                make it
              </Link>
            </p>
          </li>
        ))}
      </ul>
      {mayEdit && (
        <OnceForm fetcher={fetcher} className="mt-2 flex flex-wrap items-center gap-2">
          <select name="formulaId" aria-label="of what" className={`${FIELD} max-w-56`}>
            {made.map(f => (
              <option key={f.id} value={f.id}>
                {f.name}
              </option>
            ))}
          </select>
          <input
            name="parG"
            inputMode="decimal"
            placeholder="g ready"
            aria-label="grams that should stand ready"
            className={`${FIELD} w-24`}
          />
          <input
            name="batchG"
            inputMode="decimal"
            placeholder="g a pot"
            aria-label="grams of a usual pot"
            className={`${FIELD} w-24`}
          />
          <Button type="submit" name="intent" value="par">
            Set
          </Button>
          <Problems of={fetcher.data?.problems} />
        </OnceForm>
      )}
    </section>
  );
}
