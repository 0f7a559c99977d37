import { useEffect, useMemo } from "react";
import { Link, useRevalidator } from "react-router";
import { printLength, printNumber } from "~/core/quantity";
import type { Route } from "./+types/range";
import { kitchenOf } from "../kitchen.server";
import { requirePerson } from "../people/person.server";
import { clockTime, minutesLeft, momentOf } from "../text/format";
import { buttonClass } from "../ui/button";
import { useNow } from "../ui/use-now";
import { Hob } from "./hob";
import { loadLiveRuns } from "./live-run.server";
import { type PotNow, potNow } from "./pot-now";

/** What other cooks log appears this often, ms; the clock between is the page's own. */
const LOOK_AGAIN_MS = 15_000;

export async function loader({ context, request }: Route.LoaderArgs) {
  const { kitchenId } = requirePerson(context, request);
  const kitchen = await kitchenOf(kitchenId);
  return { kitchen, runs: await loadLiveRuns(kitchen), now: Date.now() };
}

export const meta: Route.MetaFunction = () => [{ title: "Range · Hondaro" }];

export default function Range({ loaderData }: Route.ComponentProps) {
  const { kitchen, runs } = loaderData;
  const now = useNow(loaderData.now);
  const { revalidate } = useRevalidator();
  useEffect(() => {
    const timer = setInterval(() => void revalidate(), LOOK_AGAIN_MS);
    return () => clearInterval(timer);
  }, [revalidate]);
  const pots = useMemo(() => runs.map(run => potNow(run, kitchen, now)), [runs, kitchen, now]);

  return (
    <main className="grid lg:grid-cols-[1fr_22rem]">
      <section aria-label="The hob, from above" className="min-w-0 px-4 py-5 sm:px-6">
        <h1 className="text-2xl">{pots.length ? `On the fire, ${clockTime(now, kitchen.timeZone)}` : "Nothing on the fire"}</h1>
        <p className="mt-1 text-faded">
          {pots.length === 0
            ? "Choose a formula on the Bench and cook it; its pot then stands here."
            : `${pots.length === 1 ? "One pot" : `${pots.length} pots`}. In each, the outer line dried where it started, the copper line is where it stops.`}
        </p>
        <div className="mt-4">
          <Hob burners={kitchen.burners} pots={pots} now={now} timeZone={kitchen.timeZone} />
        </div>
        {pots.length === 0 && (
          <p className="mt-6">
            <Link to="/bench" className={buttonClass("act")}>
              To the Bench
            </Link>
          </p>
        )}
      </section>
      <aside aria-label="Next for the section" className="border-rule bg-enamel/60 px-4 py-5 sm:px-6 lg:min-h-[calc(100dvh-3.25rem)] lg:border-l">
        <h2 className="text-xl">Next for the section</h2>
        {pots.length === 0 ? (
          <p className="mt-3 text-faded">No pot, no clock. When something cooks, its next mark and the time to it stand here in order.</p>
        ) : (
          <ol className="mt-3 divide-y divide-rule border-y border-rule">
            {[...pots].sort((a, b) => (a.forecast?.endsAt ?? 0) - (b.forecast?.endsAt ?? 0)).map(pot => (
              <Next key={pot.live.run.id} pot={pot} now={now} timeZone={kitchen.timeZone} />
            ))}
          </ol>
        )}
      </aside>
    </main>
  );
}

function Next({ pot, now, timeZone }: { pot: PotNow; now: number; timeZone: string }) {
  const { forecast, live } = pot;
  return (
    <li className="grid grid-cols-[4.5rem_1fr] gap-x-3 py-3">
      <span className={`font-display text-lg font-semibold ${forecast?.late ? "text-beet" : ""}`}>{forecast ? momentOf(forecast.endsAt, now, timeZone) : "now"}</span>
      <div>
        <Link to={`/stove/${live.run.id}`} className="font-semibold hover:text-copper">
          {live.document.name}: {pot.title.toLowerCase()}
        </Link>
        <p className="text-sm text-faded">
          {forecast
            ? `${forecast.late ? "late; " : ""}${minutesLeft(forecast.endsAt - now)}, between ${momentOf(forecast.earliest, now, timeZone)} and ${forecast.latest === null ? "nobody knows yet" : momentOf(forecast.latest, now, timeZone)}`
            : "waits for somebody to begin"}
        </p>
        {pot.markMm !== null && pot.vessel && (
          <p className="text-sm text-faded">
            stop at {printLength(pot.markMm as never)} on the stick of {pot.vessel.name}
          </p>
        )}
        {forecast?.temperatureNowC != null && <p className="text-sm text-faded">about {printNumber(forecast.temperatureNowC)} °C now</p>}
      </div>
    </li>
  );
}

