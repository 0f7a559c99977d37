import { useEffect } from "react";
import { Link, useFetcher, useRevalidator } from "react-router";
import { HOLD_EVERY_MIN, REHEAT_WITHIN_MIN, spoken } from "~/core/day";
import { printNumber } from "~/core/ground/quantity";
import { VERDICT_WORDS, type Verdict } from "~/core/laws/cooling";
import { useMay } from "../people/use-may";
import { clockTime, dayOf } from "../text/format";
import { Button } from "../ui/button";
import { OnceForm } from "../ui/once-form";
import { Gates } from "./gates";
import type { Route } from "./+types/log";

export { action, loader } from "./log.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.log.name ?? "Log"} · Hondaro` },
];

const ANEW_MS = 30_000;
const KIND_WORDS = {
  cooling: "Cooling",
  holding: "Hot holding",
  reheating: "Warming again",
  tempering: "Out of the cold",
} as const;

/** One log: the curve through its gates, what is coming, what was done; once signed it stays as it is. */
export default function Log({ loaderData }: Route.ComponentProps) {
  const {
    log,
    startedBy,
    kitchen,
    timeZone,
    entries,
    readings,
    nowMin,
    closed,
    limitC,
    profile,
    cooling,
    holding,
    reheating,
    tempering,
    yolk,
    advice,
    probes,
    paceKnown,
  } = loaderData;
  const mayLog = useMay("log");
  const { revalidate } = useRevalidator();
  useEffect(() => {
    if (closed) return;
    const again = setInterval(() => void revalidate(), ANEW_MS);
    return () => clearInterval(again);
  }, [closed, revalidate]);
  const verdict: Verdict =
    cooling?.verdict ?? holding?.verdict ?? reheating?.verdict ?? tempering?.verdict ?? "pending";
  const at = (min: number): string => clockTime(new Date(log.startedAt).getTime() + min * 60_000, timeZone);
  return (
    <main className="mx-auto max-w-5xl px-4 py-6 sm:px-6 print:p-0">
      <Link
        to="/cold"
        className="text-sm text-faded underline underline-offset-4 hover:text-copper print:hidden"
      >
        ← Cold
      </Link>
      <div className="mt-1 flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-3xl">{log.name}</h1>
        <p className="text-faded">
          {[
            KIND_WORDS[log.kind],
            log.massG ? `${printNumber(log.massG / 1000, 2)} kg` : null,
            log.vesselName,
            log.methodWords,
            `since ${dayOf(new Date(log.startedAt), timeZone)} ${clockTime(new Date(log.startedAt), timeZone)}`,
            startedBy,
          ]
            .filter(Boolean)
            .join(" · ")}
        </p>
        <Button look="quiet" className="ml-auto print:hidden" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      {log.demo && (
        <p className="mt-1 font-semibold text-saffron-ink">Demo: this is no record of a kitchen.</p>
      )}
      <p
        role="status"
        className={`mt-3 rounded-md px-3 py-2 text-lg ${verdict === "fail" ? "bg-beet-wash text-beet" : verdict === "pass" ? "bg-linen text-sorrel" : "bg-saffron-wash text-saffron-ink"}`}
      >
        {verdict === "fail" ? "✕ Outside" : verdict === "pass" ? "✓ Inside" : "○"}{" "}
        {verdict === "fail" || verdict === "pass" ? "the limits set in this kitchen" : VERDICT_WORDS[verdict]}
        . <span className="text-base">Trained people and the local food code decide what becomes of it.</span>
      </p>
      {cooling && (
        <div className="mt-4">
          <Gates
            readings={readings}
            profile={profile}
            startMin={cooling.log?.startMin ?? null}
            ahead={closed ? [] : cooling.ahead}
            nowMin={nowMin}
          />
          <ul className="mt-2 space-y-0.5">
            {cooling.log?.stages.map(s => (
              <li key={s.stage.name}>
                <strong>{s.stage.name}</strong>:{" "}
                {s.tookMin === null ? "not there yet" : `took ${spoken(Math.round(s.tookMin))}`}, allowed{" "}
                {spoken(s.stage.allowedMin)}. {VERDICT_WORDS[s.verdict]}.
              </li>
            ))}
          </ul>
          {!closed &&
            cooling.ahead.map(a => (
              <p key={a.name} className={a.outlook === "on-track" ? "text-faded" : "text-saffron-ink"}>
                {a.at
                  ? `${a.endC} °C at about ${at(a.at.value)} (${at(a.at.lo)} to ${a.at.hi === null ? "nobody knows" : at(a.at.hi)})`
                  : `${a.endC} °C is not in sight`}
                {a.dueMin !== null && `, due by ${at(a.dueMin)}`}.
              </p>
            ))}
          {!closed && !paceKnown && readings.length < 2 && (
            <p className="text-sm text-faded">
              No pot or weight is named: the first forecast takes a pace of one hour per fold. A second
              reading tells more.
            </p>
          )}
          {advice && (
            <p className="mt-2 rounded-md border border-saffron bg-saffron-wash px-3 py-2 text-saffron-ink">
              Split it now into {advice.pans === 1 ? "a shallow pan" : `${advice.pans} shallow pans`} (
              {advice.name}, 5 cm deep)
              {advice.atMin !== null && `: ${advice.endC} °C at about ${at(advice.atMin)}`}
              {advice.atMin !== null &&
                advice.insteadMin !== null &&
                advice.insteadMin > advice.atMin &&
                `, ${spoken(Math.round(advice.insteadMin - advice.atMin))} sooner`}
              .
            </p>
          )}
        </div>
      )}
      {holding && (
        <p className="mt-3">
          At least {limitC} °C, looked at every {spoken(HOLD_EVERY_MIN)}.{" "}
          {holding.below.length > 0 &&
            `${holding.below.length} below: bring it up at once or let it go, and write down which. `}
          {!closed && `Next look by ${at(holding.nextMin)}.`}
        </p>
      )}
      {reheating && (
        <p className="mt-3">
          To {limitC} °C within {spoken(REHEAT_WITHIN_MIN)}.{" "}
          {reheating.thereMin === null
            ? "Not there yet."
            : `There after ${spoken(Math.round(reheating.thereMin))}.`}
        </p>
      )}
      {yolk && (
        <p className="mt-2 text-sm">
          If it is bound with yolk: what the probe showed is worth at least {printNumber(yolk.minutes.lo, 1)}{" "}
          min at {yolk.referenceC} °C; {printNumber(yolk.asked, 1)} are asked for plain yolk ({yolk.source}).
          Trained people and the local code decide.
        </p>
      )}
      {tempering && (
        <p className={`mt-3 ${!closed && nowMin >= tempering.tellMin ? "text-lg text-saffron-ink" : ""}`}>
          {closed
            ? `It stood out ${spoken(Math.round(nowMin))}; allowed were ${spoken(tempering.overMin)}.`
            : nowMin >= tempering.overMin
              ? `Over since ${at(tempering.overMin)}: cook it or let it go, and write down which.`
              : `Cooked or back in the cold by ${at(tempering.overMin)}. Then sign and close.`}
        </p>
      )}
      {mayLog && <Enter probes={probes} closed={closed !== null} />}
      <section aria-label="What was entered" className="mt-5">
        <h2 className="text-xl">What was entered</h2>
        <ol className="mt-1">
          {entries.map(entry => (
            <li key={entry.id} className="flex gap-3 border-b border-linen py-1">
              <span className="w-14 tabular-nums">{clockTime(new Date(entry.at), timeZone)}</span>
              <span className="grow">
                {entry.kind === "probe" && entry.c !== null && `${printNumber(entry.c, 1)} °C`}
                {entry.kind === "probe" && entry.deviceId && ", by the instrument"}
                {entry.kind === "action" && entry.words}
                {entry.kind === "closed" && "Signed. From here on it stays as it is."}
              </span>
              <span className="text-sm text-faded">{entry.by}</span>
            </li>
          ))}
        </ol>
        <p className="mt-2 text-xs text-faded">
          {kitchen}. Limits: {profile.name}, {profile.source}. A record of what was read, not a certificate.
        </p>
      </section>
    </main>
  );
}

function Enter({
  probes,
  closed,
}: {
  probes: readonly { key: string; name: string; c: number }[];
  closed: boolean;
}) {
  const probe = useFetcher<{ problems: string[] }>();
  const action = useFetcher<{ problems: string[] }>();
  const end = useFetcher<{ problems: string[] }>();
  const problems = [probe, action, end].flatMap(f => f.data?.problems ?? []);
  return (
    <div className="mt-4 flex flex-wrap items-end gap-x-8 gap-y-3 print:hidden">
      {!closed && (
        <OnceForm fetcher={probe} className="flex flex-wrap items-end gap-2">
          <label className="text-sm text-faded">
            probe, °C
            <input
              name="c"
              inputMode="decimal"
              autoComplete="off"
              className="block h-14 w-28 rounded-md border border-ink bg-enamel px-3 text-2xl text-ink"
            />
          </label>
          <Button type="submit" name="intent" value="probe" look="act" className="h-14 px-6">
            Log it
          </Button>
          {probes.map(shown => (
            <Taken key={shown.key} probe={shown} />
          ))}
        </OnceForm>
      )}
      <OnceForm fetcher={action} className="flex flex-wrap items-end gap-2">
        <label className="text-sm text-faded">
          what was done about it
          <input
            name="words"
            maxLength={300}
            className="block h-11 w-64 rounded-md border border-rule bg-enamel px-2 text-ink"
          />
        </label>
        <Button type="submit" name="intent" value="action">
          Write it down
        </Button>
      </OnceForm>
      {!closed && (
        <OnceForm fetcher={end}>
          <Button type="submit" name="intent" value="close">
            Sign and close
          </Button>
        </OnceForm>
      )}
      {problems.map(problem => (
        <p key={problem} role="alert" className="basis-full text-beet">
          ✕ {problem}
        </p>
      ))}
    </div>
  );
}

/** What an instrument shows now, taken over with one press. */
function Taken({ probe }: { probe: { key: string; name: string; c: number } }) {
  const fetcher = useFetcher();
  return (
    <Button
      className="h-14"
      onClick={() =>
        void fetcher.submit({ intent: "probe", c: String(probe.c), device: probe.key }, { method: "post" })
      }
    >
      {probe.name}: {printNumber(probe.c, 1)} °C
    </Button>
  );
}
