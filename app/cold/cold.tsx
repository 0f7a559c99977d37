import { useState } from "react";
import { Link, useFetcher } from "react-router";
import { printNumber } from "~/core/ground/quantity";
import { COOLING_METHOD_WORDS, PROFILES, VERDICT_WORDS } from "~/core/laws/cooling";
import { useMay } from "../people/use-may";
import { dayOf } from "../text/format";
import { Button } from "../ui/button";
import { OnceForm } from "../ui/once-form";
import type { Route } from "./+types/cold";

export { action, loader } from "./cold.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Cold · Hondaro" }];

type Loaded = Route.ComponentProps["loaderData"];
const kg = (g: number): string => (g >= 1000 ? `${printNumber(g / 1000, 2)} kg` : `${printNumber(g, 0)} g`);
const shortDay = (date: string): string =>
  new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", timeZone: "UTC" }).format(
    new Date(`${date}T12:00:00Z`),
  );
const FIELD = "h-11 min-w-0 rounded-md border border-rule bg-enamel px-2";

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

/** Batches that stand somewhere and are booked nowhere; the rest behind a word. */
const SHOWN = 2;

function Waiting({
  waiting,
  mayLog,
  timeZone,
}: {
  waiting: Loaded["waiting"];
  mayLog: boolean;
  timeZone: string;
}) {
  const row = (batch: Loaded["waiting"][number]) => (
    <li key={batch.runId} className="rounded-xl border border-saffron bg-saffron-wash p-3">
      <PutAway batch={batch} mayLog={mayLog} timeZone={timeZone} />
    </li>
  );
  if (!waiting.length) return null;
  return (
    <>
      <ul className="mt-2 space-y-2">{waiting.slice(0, SHOWN).map(row)}</ul>
      {waiting.length > SHOWN && (
        <details className="mt-2">
          <summary className="cursor-pointer text-sm text-saffron-ink">
            {waiting.length - SHOWN} more that are not put away
          </summary>
          <ul className="mt-2 space-y-2">{waiting.slice(SHOWN).map(row)}</ul>
        </details>
      )}
    </>
  );
}

const useDone = () => useFetcher<{ problems: string[] }>();
function Problems({ of }: { of: string[] | undefined }) {
  return (
    <>
      {of?.map(problem => (
        <p key={problem} role="alert" className="basis-full text-sm text-beet">
          ✕ {problem}
        </p>
      ))}
    </>
  );
}

function PutAway({
  batch,
  mayLog,
  timeZone,
}: {
  batch: Loaded["waiting"][number];
  mayLog: boolean;
  timeZone: string;
}) {
  const fetcher = useDone();
  return (
    <OnceForm fetcher={fetcher} className="flex flex-wrap items-center gap-2">
      <input type="hidden" name="runId" value={batch.runId} />
      <p className="grow">
        <Link
          to={`/batch/${batch.runId}`}
          className="font-semibold underline underline-offset-4 hover:text-copper"
        >
          {batch.name}
        </Link>
        <span className="block text-sm text-saffron-ink">
          finished {dayOf(new Date(batch.finishedAt), timeZone)}, not put away yet
          {batch.measured ? "" : "; nobody weighed it"}
        </span>
      </p>
      {mayLog && (
        <>
          <input
            name="massG"
            inputMode="decimal"
            aria-label={`grams of ${batch.name} put away`}
            defaultValue={batch.massG ? Math.round(batch.massG) : ""}
            className={`${FIELD} w-24`}
          />
          g
          <input name="place" placeholder="where" aria-label="where" className={`${FIELD} w-32`} />
          <Button type="submit" name="intent" value="put-away" look="act">
            Put away
          </Button>
        </>
      )}
      <Problems of={fetcher.data?.problems} />
    </OnceForm>
  );
}

const KINDS = [
  ["used", "used"],
  ["wasted", "thrown away"],
  ["counted", "counted: so much is there"],
  ["moved", "moved"],
  ["frozen", "frozen"],
  ["thawed", "thawed"],
] as const;

function LotRow({
  lot,
  others,
  today,
  mayLog,
}: {
  lot: Loaded["lots"][number];
  others: readonly Loaded["lots"][number][];
  today: string;
  mayLog: boolean;
}) {
  const [open, setOpen] = useState(false);
  const [kind, setKind] = useState<string>("used");
  const fetcher = useDone();
  const over = lot.useBy < today;
  const plain = kind === "moved" || kind === "frozen" || kind === "thawed";
  return (
    <li className="border-b border-rule py-2">
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        className="flex w-full flex-wrap items-baseline gap-x-3 text-left hover:text-copper"
      >
        <span
          className={`w-20 font-display text-xl ${over ? "text-beet" : lot.useBy === today ? "text-saffron-ink" : ""}`}
        >
          {shortDay(lot.useBy)}
        </span>
        <span className="min-w-0 grow">
          <span className="font-semibold">{lot.name}</span>
          {over && <span className="text-beet"> ✕ past its day</span>}
          {lot.useBy === today && <span className="text-saffron-ink"> last day</span>}
          {lot.frozen && <span> · frozen</span>}
        </span>
        <span className="font-display text-xl tabular-nums">{kg(lot.massG)}</span>
        <span className="basis-full pl-20 text-sm text-faded">
          {[
            lot.place,
            lot.note,
            `made ${shortDay(lot.madeOn)}`,
            lot.oldestOn < lot.madeOn && `its oldest part ${shortDay(lot.oldestOn)}`,
            lot.allergens === null
              ? "allergens not entered"
              : lot.allergens.length
                ? lot.allergens.join(", ")
                : "no allergen recorded",
          ]
            .filter(Boolean)
            .join(" · ")}
        </span>
      </button>
      {lot.usedIn.length > 0 && (
        <p className="pl-20 text-sm">
          Goes into:{" "}
          {lot.usedIn.map(word => (
            <Link
              key={word}
              to={`/bench?q=${encodeURIComponent(word)}`}
              className="mr-3 underline underline-offset-4 hover:text-copper"
            >
              formulas with {word}
            </Link>
          ))}
        </p>
      )}
      {open && mayLog && (
        <div className="mt-2 flex flex-col gap-2 pl-20">
          <OnceForm fetcher={fetcher} className="flex flex-wrap items-center gap-2">
            <input type="hidden" name="lot" value={lot.id} />
            <select
              name="kind"
              aria-label="what became of it"
              value={kind}
              onChange={e => setKind(e.target.value)}
              className={FIELD}
            >
              {KINDS.map(([id, label]) => (
                <option key={id} value={id}>
                  {label}
                </option>
              ))}
            </select>
            {!plain && (
              <>
                <input name="massG" inputMode="decimal" aria-label="grams" className={`${FIELD} w-24`} />g
              </>
            )}
            <input
              name="place"
              placeholder={kind === "moved" ? "where to" : "where"}
              aria-label="where"
              className={`${FIELD} w-32`}
            />
            <input name="note" placeholder="note" aria-label="note" className={`${FIELD} w-32`} />
            <Button type="submit" name="intent" value="move">
              Note it
            </Button>
            <Problems of={fetcher.data?.problems} />
          </OnceForm>
          {others.length > 0 && <Pour lot={lot} others={others} />}
        </div>
      )}
    </li>
  );
}

function Pour({ lot, others }: { lot: Loaded["lots"][number]; others: readonly Loaded["lots"][number][] }) {
  const fetcher = useDone();
  return (
    <OnceForm fetcher={fetcher} className="flex flex-wrap items-center gap-2">
      <input type="hidden" name="lot" value={lot.id} />
      pour
      <input
        name="massG"
        inputMode="decimal"
        aria-label="grams poured"
        defaultValue={Math.round(lot.massG)}
        className={`${FIELD} w-24`}
      />
      g into
      <select name="into" aria-label="into" className={`${FIELD} max-w-56`}>
        {others.map(other => (
          <option key={other.id} value={other.id}>
            {other.name}, {shortDay(other.madeOn)}
          </option>
        ))}
      </select>
      <Button type="submit" name="intent" value="pour">
        Pour together
      </Button>
      <p className="basis-full text-xs text-faded">
        The pooled pot is as old as its oldest part and holds the allergens of both.
      </p>
      <Problems of={fetcher.data?.problems} />
    </OnceForm>
  );
}

function NewLot() {
  const fetcher = useDone();
  return (
    <details className="mt-4">
      <summary className="cursor-pointer font-semibold">Trim, fat or something left over</summary>
      <OnceForm fetcher={fetcher} className="mt-2 flex flex-wrap items-center gap-2">
        <input
          name="name"
          placeholder="mushroom trimmings"
          aria-label="what it is"
          className={`${FIELD} w-56`}
        />
        <input name="massG" inputMode="decimal" aria-label="grams" className={`${FIELD} w-24`} />g
        <input
          name="keepDays"
          inputMode="numeric"
          defaultValue="2"
          aria-label="days it keeps"
          className={`${FIELD} w-16`}
        />
        days
        <input name="place" placeholder="where" aria-label="where" className={`${FIELD} w-32`} />
        <Button type="submit" name="intent" value="lot">
          Put away
        </Button>
        <Problems of={fetcher.data?.problems} />
      </OnceForm>
    </details>
  );
}

function Pars({ pars, made }: { pars: Loaded["pars"]; made: Loaded["made"] }) {
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

function Logs({
  logs,
  profile,
  vessels,
  mayLog,
  timeZone,
}: {
  logs: Loaded["logs"];
  profile: Loaded["profile"];
  vessels: Loaded["vessels"];
  mayLog: boolean;
  timeZone: string;
}) {
  const fetcher = useDone();
  const [kind, setKind] = useState("cooling");
  return (
    <section aria-label="Logs">
      <h2 className="text-xl">Cooling, holding, warming again</h2>
      <p className="text-sm text-faded">
        Cooled by:{" "}
        {PROFILES[profile].stages
          .map(s => `${s.name} within ${printNumber(s.allowedMin / 60, 1)} h`)
          .join(", ")}
        . The local food code decides.
      </p>
      <ul className="mt-1">
        {logs.map(log => (
          <li key={log.id} className="border-b border-linen py-1.5">
            <Link to={`/cold/${log.id}`} className="flex flex-wrap items-baseline gap-x-2 hover:text-copper">
              <span className="font-semibold">{log.name}</span>
              <span className="text-sm text-faded">
                {log.kind}, {dayOf(new Date(log.startedAt), timeZone)}
                {!log.closed && log.last !== null && `, ${printNumber(log.last, 1)} °C`}
              </span>
              <span
                className={`basis-full text-sm ${log.verdict === "fail" ? "text-beet" : log.verdict === "pass" ? "text-sorrel" : "text-saffron-ink"}`}
              >
                {log.verdict === "fail" ? "✕ " : log.verdict === "pass" ? "✓ " : "○ "}
                {VERDICT_WORDS[log.verdict]}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {mayLog && (
        <details className="mt-3">
          <summary className="cursor-pointer font-semibold">Begin a log</summary>
          <OnceForm fetcher={fetcher} className="mt-2 flex flex-wrap items-center gap-2">
            <input
              name="name"
              placeholder="what it is"
              aria-label="what it is"
              className={`${FIELD} w-full`}
            />
            <select
              name="kind"
              aria-label="kind of log"
              value={kind}
              onChange={e => setKind(e.target.value)}
              className={FIELD}
            >
              <option value="cooling">cooling</option>
              <option value="holding">holding hot</option>
              <option value="reheating">warming again</option>
              <option value="tempering">out of the cold</option>
            </select>
            <input
              name="massG"
              inputMode="decimal"
              placeholder="g"
              aria-label="grams"
              className={`${FIELD} w-24`}
            />
            {kind === "cooling" ? (
              <>
                <select name="method" aria-label="where it cools" className={FIELD}>
                  {Object.entries(COOLING_METHOD_WORDS).map(([id, label]) => (
                    <option key={id} value={id}>
                      {label}
                    </option>
                  ))}
                </select>
                <select name="vesselId" aria-label="in what" className={`${FIELD} max-w-44`}>
                  <option value="">pot not said</option>
                  {vessels.map(v => (
                    <option key={v.id} value={v.id}>
                      {v.name}
                    </option>
                  ))}
                </select>
              </>
            ) : kind === "tempering" ? (
              <input
                name="limitMin"
                inputMode="numeric"
                placeholder="30 min"
                aria-label="minutes at most"
                className={`${FIELD} w-24`}
              />
            ) : (
              <>
                <input
                  name="limitC"
                  inputMode="decimal"
                  placeholder="least °C"
                  aria-label="least °C"
                  className={`${FIELD} w-24`}
                />
              </>
            )}
            <Button type="submit" name="intent" value="log" look="act">
              Begin
            </Button>
            <Problems of={fetcher.data?.problems} />
          </OnceForm>
        </details>
      )}
    </section>
  );
}
