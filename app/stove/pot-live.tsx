import { STATUS_WORDS } from "~/core/laws/reduction";
import type { ReactNode } from "react";
import { potMass } from "~/core/things/pot";
import { g, printKilograms, printLength, printMass, printNumber } from "~/core/ground/quantity";
import { stepToRead } from "~/core/run";
import type { PotNow } from "../range/pot-now";
import { bandText, betweenTimes, durationBandText, minutesLeft, momentOf, spread } from "../text/format";
import { PotSection, placePot, snugHeight } from "../ui/pot-section";
import { useWidth } from "../ui/use-size";

/** Tallest drawing, px; low vessels take less. */
const TALLEST = 440;
const TALLEST_NARROW = 300;
const TALLEST_OVER_WORDS = 205;
const TALLEST_BESIDE_PANEL = 250;
/** Room for the words beside a very low vessel, px. */
const LEAST_HEIGHT = 170;
const TALLEST_ALONE = 320;
const NARROW = 520;
/** From here on the drawing has the whole width of an upright tablet. */
const ALONE = 700;
/** A drawing lower than this leaves its words no room beside it, px. */
const LOW = 260;
const LEAST_GAP = 50;

/** The pot is the screen: the words of the step hang on the mark they speak of, the time where the level will be then. */
export function PotLive({
  pot,
  now,
  timeZone,
  compact,
}: {
  pot: PotNow;
  now: number;
  timeZone: string;
  compact: boolean;
}) {
  const { ref, width } = useWidth<HTMLDivElement>(600);
  const { vessel, forecast, state } = pot;
  const progress = state.steps[state.current];
  const narrow = width < NARROW;
  // Beside a low and wide pot there is no room: its words stand under it, as large as the room it leaves.
  const below = narrow || (!compact && vessel !== null && snugHeight(vessel, width, TALLEST, 150) < LOW);
  const words = progress ? (
    <EndWords
      pot={pot}
      now={now}
      timeZone={timeZone}
      size={below && width > ALONE ? "text-4xl" : below ? "text-3xl" : compact ? "text-xl" : "text-2xl"}
    />
  ) : (
    <DoneWords pot={pot} />
  );
  const gutter = below ? 16 : Math.max(150, Math.min(210, width * 0.3));
  if (!vessel || (!progress && pot.nowMm === null))
    return (
      <div ref={ref} className="self-center py-10 text-center text-xl">
        {words}
      </div>
    );
  const tallest = compact
    ? TALLEST_BESIDE_PANEL
    : narrow
      ? TALLEST_NARROW
      : below
        ? width > ALONE
          ? TALLEST_ALONE
          : TALLEST_OVER_WORDS
        : TALLEST;
  const height = Math.max(LEAST_HEIGHT, snugHeight(vessel, width, tallest, gutter));
  const place = placePot(vessel, width, height, gutter);
  const wall = place.half(place.heightMm);
  const moving = progress?.status === "live" && pot.nowMm !== null;
  const massBand =
    forecast?.massNowG != null &&
    bandText({ value: forecast.massNowG, lo: forecast.massLoG ?? 0, hi: forecast.massHiG }, 1000, 2);
  const left: Label[] = [];
  if (pot.startMm !== null && progress && progress.begunAt !== null && pot.endMm !== null)
    left.push({
      y: place.y(pot.startMm),
      body: <>started {printLength(pot.startMm as never)}</>,
      key: "start",
    });
  if (moving && pot.nowMm !== null)
    left.push({
      y: place.y(pot.nowMm),
      key: "now",
      body: (
        <>
          <span className={`${below ? "text-2xl" : "text-lg"} font-bold text-lamp`}>
            now about {printNumber(pot.nowMm)} mm
          </span>
          {pot.nowLoMm !== null && pot.nowHiMm !== null && pot.nowHiMm - pot.nowLoMm > 1 && (
            <span className="block">
              {printNumber(pot.nowLoMm)}–{printNumber(pot.nowHiMm)} mm
            </span>
          )}
          {forecast?.massNowG != null && (
            <>
              <span className="block">{printKilograms(forecast.massNowG)} in the pot</span>
              {massBand && <span className="block">{massBand} kg</span>}
            </>
          )}
        </>
      ),
    });
  const right: Label = {
    y: place.y((progress ? pot.endMm : pot.nowMm) ?? place.heightMm * 0.6),
    key: "end",
    body: words,
  };

  return (
    <div
      ref={ref}
      className={`relative min-w-0 overflow-x-clip ${compact || below ? "self-start" : "self-center"}`}
    >
      <PotSection
        vessel={vessel}
        levelMm={pot.nowMm}
        bulkMm={pot.bulkMm}
        liquid={pot.liquid}
        ghosts={pot.startMm !== null && moving ? [{ levelMm: pot.startMm, label: "" }] : []}
        mark={!progress || pot.endMm === null ? null : { levelMm: pot.endMm, label: "" }}
        stick={vessel.use !== "tray"}
        width={width}
        height={height}
        gutter={gutter}
        night
        title={`${vessel.name}: ${pot.nowMm === null ? "no liquor yet" : `the liquor stands about ${printNumber(pot.nowMm)} mm high`}${pot.markMm === null ? "" : `, stop at ${printNumber(pot.markMm)} mm`}`}
      />
      {below ? (
        <div className="grid gap-x-8 gap-y-2 pt-2 sm:grid-cols-[auto_1fr]">
          <div className="text-lamp-faded sm:order-2 sm:text-right">{right.body}</div>
          <div className="space-y-1 text-lamp-faded">
            {[...left].reverse().map(label => (
              <div key={label.key}>{label.body}</div>
            ))}
          </div>
        </div>
      ) : (
        <>
          {apart(left).map(label => (
            <div
              key={label.key}
              className="absolute -translate-y-1/2 text-right text-sm leading-snug text-lamp-faded"
              style={{
                top: label.y,
                right: width - (place.centre - wall - 22),
                maxWidth: place.centre - wall - 22,
              }}
            >
              {label.body}
            </div>
          ))}
          <div
            className="absolute -ml-1 -translate-y-1/2 rounded bg-night px-1 leading-snug"
            style={{
              top: Math.min(height - 48, Math.max(48, right.y)),
              left: place.centre + wall + 24,
              maxWidth: width - (place.centre + wall + 24),
            }}
          >
            {right.body}
          </div>
        </>
      )}
    </div>
  );
}

interface Label {
  readonly y: number;
  readonly key: string;
  readonly body: ReactNode;
}

/** Labels never lie on one another. */
function apart(labels: readonly Label[]): Label[] {
  let last = -Infinity;
  return [...labels]
    .sort((a, b) => a.y - b.y)
    .map(label => {
      const y = Math.max(label.y, last + LEAST_GAP);
      last = y;
      return { ...label, y };
    });
}

/** What should stand in it when every step is through, and what is left to do. */
function DoneWords({ pot }: { pot: PotNow }) {
  const { state, vessel, reading } = pot;
  const massG = potMass(state.pot);
  const weighed = stepToRead(state)?.readings.some(r => r.massG !== undefined && r.kind !== "added");
  return (
    <>
      {massG >= 1 && (
        <span className="block font-display text-3xl font-bold text-lamp">
          {weighed ? "" : "about "}
          {printMass(massG)} in it
        </span>
      )}
      {massG >= 1 && vessel && vessel.tareG > 0 && reading.weigh && !weighed && (
        <span className="block text-sm">
          {printMass(g(massG + vessel.tareG))} on the scale, {vessel.name} and all
        </span>
      )}
      <span className="mt-1 block max-w-56 text-base text-lamp-faded">
        Every step is through.{" "}
        {weighed ? "Finish the batch." : "Weigh or jug what you have, then finish the batch."}
      </span>
    </>
  );
}

/** Where the step ends, and when. */
function EndWords({
  pot,
  now,
  timeZone,
  size,
}: {
  pot: PotNow;
  now: number;
  timeZone: string;
  /** As large as the room it has: to be read at two metres, where that can be. */
  size: string;
}) {
  const { forecast, state } = pot;
  const progress = state.steps[state.current];
  const foreseen = progress?.foreseen;
  if (pot.improvised)
    return (
      <>
        <span className={`block font-display ${size} font-bold text-lamp`}>
          {printMass(foreseen?.massG ?? potMass(state.pot))} in it
        </span>
        <span className="block max-w-64 text-base text-lamp-faded">
          No formula, no forecast: log what goes in, comes out and is weighed. A draft is made of it at the
          end.
        </span>
      </>
    );
  return (
    <>
      {pot.markMm !== null && (
        <>
          <span className={`block font-display ${size} font-bold text-ember`}>
            stop at {printLength(pot.markMm as never)}
          </span>
          {pot.grossMarkG !== null && pot.reading.weigh && (
            <span className="block text-sm">or {printMass(pot.grossMarkG)} on the scale, pot and all</span>
          )}
          {!pot.reading.weigh && (
            <span className="block max-w-56 text-sm text-lamp-faded">{pot.reading.words}</span>
          )}
        </>
      )}
      {forecast ? (
        <>
          <span className={`block font-display ${size} font-semibold text-lamp`}>
            {pot.offFire ? "not before" : "here at"}{" "}
            <span className="whitespace-nowrap">{momentOf(forecast.endsAt, now, timeZone)}</span>
            {forecast.late && <span className="text-glow"> · late</span>}
          </span>
          <span className="block text-sm text-lamp-faded">{betweenTimes(forecast, now, timeZone)}</span>
          <span className="block text-sm text-lamp-faded">
            {pot.offFire
              ? `off the fire: ${minutesLeft(forecast.endsAt - now)} once it is back`
              : forecast.endsAt > now
                ? `${minutesLeft(forecast.endsAt - now)} left`
                : "time to look"}
          </span>
          {forecast.pace && forecast.pace.words !== STATUS_WORDS["on-pace"] && (
            <span role="status" className="mt-1 block max-w-56 text-sm text-glow">
              ▲ {forecast.pace.words}
            </span>
          )}
        </>
      ) : (
        foreseen && (
          <span className="block text-sm text-lamp-faded">
            about {printNumber(foreseen.durationS / 60)} min once it is begun{" "}
            {durationBandText(spread(foreseen.durationS, pot.band))}
          </span>
        )
      )}
    </>
  );
}
