import { useState } from "react";
import { Link } from "react-router";
import { printNumber } from "~/core/ground/quantity";
import { COOLING_METHOD_WORDS, PROFILES, VERDICT_WORDS } from "~/core/laws/cooling";
import { dayOf } from "../text/format";
import { Button } from "../ui/button";
import { OnceForm } from "../ui/once-form";
import { type Loaded, FIELD, Problems, useDone } from "./parts";

export function Logs({
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
