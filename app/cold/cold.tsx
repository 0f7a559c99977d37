import { Link } from "react-router";
import { useMay } from "../people/use-may";
import type { Route } from "./+types/cold";
import { LotRow } from "./lot-row";
import { Logs } from "./logs";
import { NewLot } from "./new-lot";
import { Pars } from "./pars";
import { Waiting } from "./waiting";

export { action, loader } from "./cold.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Cold · Hondaro" }];

/** What stands in the cold, until when; what should stand there; and the logs of how it got there. */
export default function Cold({ loaderData }: Route.ComponentProps) {
  const { lots, waiting, pars, logs, today, made, vessels, profile, timeZone } = loaderData;
  const mayLog = useMay("log");
  return (
    <main className="mx-auto max-w-6xl px-4 py-6 sm:px-6">
      <div className="flex flex-wrap items-baseline gap-x-6">
        <h1 className="text-3xl">Cold</h1>
        <Link to="/day" className="text-sm text-faded underline underline-offset-4 hover:text-copper">
          To the Day sheet
        </Link>
      </div>
      <p className="mt-1 text-faded">
        What stands ready and until when. Days are proposed by class; local food codes come first.
      </p>
      <div className="mt-5 grid gap-8 lg:grid-cols-[minmax(0,1fr)_24rem]">
        <section aria-label="Containers">
          <h2 className="text-xl">Containers</h2>
          <Waiting waiting={waiting} mayLog={mayLog} timeZone={timeZone} />
          {!lots.length && !waiting.length && (
            <p className="mt-2 text-faded">
              Nothing is booked here. Finish a batch and put it away, or write down what is left over.
            </p>
          )}
          <ul className="mt-2">
            {lots.map(lot => (
              <LotRow
                key={lot.id}
                lot={lot}
                others={lots.filter(o => o.id !== lot.id)}
                today={today}
                mayLog={mayLog}
              />
            ))}
          </ul>
          {mayLog && <NewLot />}
        </section>
        <div className="flex flex-col gap-8">
          <Logs logs={logs} profile={profile} vessels={vessels} mayLog={mayLog} timeZone={timeZone} />
          <Pars pars={pars} made={made} />
        </div>
      </div>
    </main>
  );
}
