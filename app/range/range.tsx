import { type ReactNode, useMemo } from "react";
import { DndContext, useDroppable } from "@dnd-kit/core";
import { Link } from "react-router";
import { basisFrom } from "~/core/formula";
import { nextThings, timersOf } from "~/core/run";
import type { Route } from "./+types/range";
import { useKitchen, useMadeHere } from "../kitchen/context";
import { useHeard } from "../live/use-live";
import { betweenTimes, clockTime, minutesLeft, momentOf } from "../text/format";
import { buttonClass } from "../ui/button";
import { PotSection } from "../ui/pot-section";
import { RingingElsewhere } from "../stove/timers";
import { useNow } from "../ui/use-now";
import { useHeardBefore, useKeptHere } from "../offline/use-kept-here";
import { Hob } from "./hob";
import { NextThings } from "./next-things";
import { SHELF, useDraggedPots } from "./use-dragged-pots";
import { type PotNow, foldPot, potsAt } from "./pot-now";
import { useBands } from "./use-bands";

export { loader } from "./range.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Range · Hondaro" }];

export default function Range({ loaderData }: Route.ComponentProps) {
  const runs = useKeptHere(useHeardBefore(useHeard(loaderData.runs)));
  useBands(loaderData.runs);
  const kitchen = useKitchen();
  const madeHere = useMadeHere();
  const now = useNow(loaderData.now);
  // What each was put on in, whatever the kitchen has become since.
  const bases = useMemo(() => runs.map(run => basisFrom(run.basis, kitchen)), [runs, kitchen]);
  const folded = useMemo(
    () => runs.map((run, i) => foldPot(run, bases[i] ?? basisFrom(run.basis, kitchen))),
    [runs, bases, kitchen],
  );
  const pots = useMemo(() => folded.flatMap(pot => potsAt(pot, now)), [folded, now]);
  const onHob = pots.filter(pot => pot.place === "fire" && pot.vessel?.use !== "tray");
  const off = pots.filter(pot => !onHob.includes(pot));

  const drag = useDraggedPots(pots, folded, now, { kitchenId: kitchen.id, personId: loaderData.personId });
  const things = useMemo(
    () =>
      nextThings(
        pots.map(pot => ({
          key: pot.to,
          state: pot.state,
          forecast: pot.forecast,
          timers: pot.pan ? [] : timersOf(pot.live.events, now),
        })),
        now,
      ),
    [pots, now],
  );

  return (
    <DndContext {...drag}>
      <main className="px-4 py-4 sm:px-6">
        <section aria-label="The hob, from above">
          <h1 className="text-2xl">
            {pots.length ? `On the fire, ${clockTime(now, kitchen.timeZone)}` : "Nothing on the fire"}
          </h1>
          <p className="mt-1 text-faded">
            {pots.length === 0
              ? "Choose a formula on the Bench and cook it; its pot then stands here."
              : `${pots.length === 1 ? "One pot" : `${pots.length} pots`}. In each, the outer line dried where it started, the copper line is where it stops.`}
          </p>
          <div className="mt-3">
            <Hob burners={kitchen.burners} pots={onHob} now={now} timeZone={kitchen.timeZone} />
          </div>
          {pots.length === 0 && (
            <p className="mt-6">
              <Link to="/bench" className={buttonClass("act")}>
                To the Bench
              </Link>{" "}
              <Link to="/bench/new" className={buttonClass("plain")}>
                Or just cook
              </Link>
            </p>
          )}
        </section>
        <div
          className={
            pots.length > 0 ? "mt-4 grid gap-x-10 gap-y-4 lg:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]" : "mt-4"
          }
        >
          {(pots.length > 0 || loaderData.rehearsals.length > 0) && (
            <Shelf>
              <h2 className="text-xl">Off the fire</h2>
              {off.length === 0 && <p className="mt-1 text-faded">Drag a pot here to set it aside.</p>}
              <ul className="mt-2 flex flex-wrap gap-3">
                {off.map(pot => (
                  <OffTheFire key={pot.to} pot={pot} now={now} timeZone={kitchen.timeZone} />
                ))}
              </ul>
              {loaderData.rehearsals.length > 0 && (
                <p className="mt-3 text-sm text-faded">
                  Rehearsals of yours:{" "}
                  {loaderData.rehearsals.map(({ id, formulaId, startedAt, speed }) => (
                    <Link key={id} to={`/stove/${id}`} className="mr-3 font-semibold hover:text-copper">
                      {madeHere[formulaId]?.name ?? "a formula"}, × {speed}, begun{" "}
                      {clockTime(startedAt, kitchen.timeZone)}
                    </Link>
                  ))}
                </p>
              )}
            </Shelf>
          )}
          <aside aria-label="Next for the section">
            <h2 className="text-xl">Next for the section</h2>
            <RingingElsewhere
              runs={runs}
              alarms={pots.flatMap(({ alarm, name, to }) =>
                alarm?.rings ? [{ to, words: `${name}: ${alarm.name}` }] : [],
              )}
              now={loaderData.now}
              className="border-2 border-saffron bg-saffron-wash hover:border-copper"
            />
            {pots.length === 0 ? (
              <p className="mt-1 text-faded">
                No pot, no clock. When something cooks, its next mark and the time to it stand here in order.
              </p>
            ) : (
              <NextThings
                things={things}
                pots={pots}
                people={loaderData.people}
                now={now}
                timeZone={kitchen.timeZone}
              />
            )}
          </aside>
        </div>
      </main>
    </DndContext>
  );
}

const PLACE_WORDS = { fire: "on the fire", oven: "in the oven", bench: "on the bench", cold: "in the cold" };

/** The side shelf: what is put there is off the fire. */
function Shelf({ children }: { children: ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id: SHELF });
  return (
    <section
      ref={setNodeRef}
      aria-label="Off the fire"
      className={`-m-2 rounded-xl p-2 ${isOver ? "bg-linen" : ""}`}
    >
      {children}
    </section>
  );
}

function OffTheFire({ pot, now, timeZone }: { pot: PotNow; now: number; timeZone: string }) {
  const { forecast } = pot;
  return (
    <li>
      <Link
        to={pot.to}
        className="flex min-h-18 items-center gap-4 rounded-xl border border-rule bg-enamel px-4 py-2 hover:border-copper"
      >
        {pot.vessel && (
          <PotSection
            vessel={pot.vessel}
            levelMm={pot.nowMm}
            bulkMm={pot.bulkMm}
            liquid={pot.liquid}
            width={92}
            height={64}
            gutter={8}
            bare
            title={pot.vessel.name}
          />
        )}
        <span>
          <span className="block font-semibold">{pot.name}</span>
          <span className="text-sm text-faded">
            {pot.title.toLowerCase()}, {PLACE_WORDS[pot.place]}
            {forecast
              ? `, ${minutesLeft(forecast.endsAt - now)}, at ${momentOf(forecast.endsAt, now, timeZone)} (${betweenTimes(forecast, now, timeZone)})${forecast.late ? ", late" : ""}`
              : pot.improvised
                ? ", without a formula"
                : ", not begun"}
          </span>
        </span>
      </Link>
    </li>
  );
}
