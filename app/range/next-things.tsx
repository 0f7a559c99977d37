import { Link } from "react-router";
import { printLength } from "~/core/ground/quantity";
import type { NextThing } from "~/core/run";
import type { Person } from "~/data";
import { betweenTimes, minutesLeft, momentOf } from "../text/format";
import type { PotNow } from "./pot-now";

/** So many are read at a glance. */
const MOST = 5;

/** The next things the section has to do, in order of time, with what wants the same pair of eyes. */
export function NextThings({
  things,
  pots,
  people,
  now,
  timeZone,
}: {
  things: readonly NextThing[];
  pots: readonly PotNow[];
  people: readonly Person[];
  now: number;
  timeZone: string;
}) {
  const potOf = (key: string) => pots.find(pot => pot.to === key);
  const left = things.length - MOST;
  return (
    <>
      <ol className="mt-2 grid gap-x-8 border-t border-rule md:grid-cols-2">
        {things.slice(0, MOST).map(thing => {
          const pot = potOf(thing.key);
          if (!pot) return null;
          const { forecast } = pot;
          const other = thing.clash && potOf(thing.clash.key);
          const handed = pot.state.told.handOver;
          const has = handed
            ? nameOf(people, handed.toPersonId)
            : (pot.live.run.startedBy.split(" ")[0] ?? "");
          return (
            <li
              key={thing.key + thing.what + thing.words}
              className="grid grid-cols-[4.5rem_1fr] gap-x-3 py-3"
            >
              <span className={`font-display text-lg font-semibold ${thing.late ? "text-beet" : ""}`}>
                {thing.at <= now && thing.what !== "mark" ? "now" : momentOf(thing.at, now, timeZone)}
              </span>
              <div>
                <Link to={thing.key} className="font-semibold hover:text-copper">
                  {pot.name}: {(thing.what === "mark" ? pot.title : thing.words).toLowerCase()}
                </Link>
                {thing.what === "mark" && forecast && (
                  <p className="text-sm text-faded">
                    {pot.offFire
                      ? `off the fire: ${minutesLeft(forecast.endsAt - now)} once it is back`
                      : `${forecast.late ? "late; " : ""}${minutesLeft(forecast.endsAt - now)}, ${betweenTimes(forecast, now, timeZone)} · ${has}`}
                  </p>
                )}
                {thing.what === "begin" && thing.at <= now && (
                  <p className="text-sm text-faded">waits for somebody to begin</p>
                )}
                {thing.what === "timer" && <p className="text-sm text-faded">timer</p>}
                {thing.what === "handed over" && handed && <p className="text-sm text-faded">{has} has it</p>}
                {thing.what === "mark" && pot.markMm !== null && pot.vessel && (
                  <p className="text-sm text-faded">
                    stop at {printLength(pot.markMm as never)} on the stick of {pot.vessel.name}
                  </p>
                )}
                {pot.watch.length > 0 && thing.what === "mark" && (
                  <p className="text-sm font-semibold text-saffron-ink">▲ {pot.watch[0]?.message}</p>
                )}
                {other && thing.clash && (
                  <p className="text-sm font-semibold text-saffron-ink">
                    ▲ wants watching while {other.name} does: better at{" "}
                    {momentOf(thing.clash.betterAt, now, timeZone)}
                  </p>
                )}
              </div>
            </li>
          );
        })}
      </ol>
      {left > 0 && <p className="text-sm text-faded">and {left} more</p>}
    </>
  );
}

const nameOf = (people: readonly Person[], id: string): string =>
  people.find(p => p.id === id)?.name.split(" ")[0] ?? "somebody";
