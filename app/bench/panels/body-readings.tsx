import { useState } from "react";
import { useFetcher } from "react-router";
import { type BodyReading, type Kitchen } from "~/core/formula";
import { printNumber } from "~/core/ground/quantity";
import { readNumber } from "~/core/ground/quantity";
import {
  KITCHEN_TESTS,
  TEST_IDS,
  type TestId,
  bandOf,
  expectedReading,
  readThickness,
} from "~/core/laws/texture";
import { Button } from "../../ui/button";
import type { ReadingReply } from "../../api/body-readings.server";

/** A spoon, a plate or a syringe read in the kitchen: what it says, and what the kitchen has taught so far. */
export function BodyReadings({
  formulaId,
  family,
  forecast,
  kitchen,
}: {
  formulaId: string;
  family: string;
  forecast: number;
  kitchen: Kitchen;
}) {
  const fetcher = useFetcher<ReadingReply>();
  const [test, setTest] = useState<TestId>("line");
  const [reading, setReading] = useState("");
  const [temperature, setTemperature] = useState("60");
  const t = KITCHEN_TESTS[test];
  const expected = expectedReading(test, forecast);
  const [value, at] = [readNumber(reading, "reading"), readNumber(temperature, "temperatureC")];
  const read =
    value.ok && at.ok
      ? readThickness({ test, reading: value.value.value, options: { temperatureC: at.value.value } })
      : null;
  const readings = (kitchen.data.bodyReadings ?? []).filter(r => r.family === family);
  const learned = kitchen.learnedBody.get(family);
  const problem = fetcher.data?.problems[0]?.message;
  const field = "rounded-md border border-rule bg-enamel px-2 py-1.5";
  const action = `/bench/${formulaId}/readings`;
  return (
    <section
      aria-label="Read it"
      className="grid gap-x-10 gap-y-4 border-t border-rule pt-4 text-sm lg:grid-cols-2"
    >
      <div>
        <h3 className="font-semibold">Read it</h3>
        <fetcher.Form method="post" action={action} className="mt-1 flex flex-wrap items-end gap-3">
          <label className="text-xs text-faded">
            test
            <select
              name="test"
              value={test}
              onChange={e => setTest(e.currentTarget.value as TestId)}
              className={`${field} block text-base text-ink`}
            >
              {TEST_IDS.filter(id => KITCHEN_TESTS[id].first).map(id => (
                <option key={id} value={id}>
                  {KITCHEN_TESTS[id].label}
                </option>
              ))}
              <optgroup label="other">
                {TEST_IDS.filter(id => !KITCHEN_TESTS[id].first).map(id => (
                  <option key={id} value={id}>
                    {KITCHEN_TESTS[id].label}
                  </option>
                ))}
              </optgroup>
            </select>
          </label>
          <label className="text-xs text-faded">
            {t.reading} {t.unit && `(${t.unit})`}
            <input
              name="reading"
              inputMode="decimal"
              value={reading}
              onChange={e => setReading(e.currentTarget.value)}
              className={`${field} block w-24 text-base text-ink`}
            />
          </label>
          <label className="text-xs text-faded">
            at (°C)
            <input
              name="temperatureC"
              inputMode="decimal"
              value={temperature}
              onChange={e => setTemperature(e.currentTarget.value)}
              className={`${field} block w-20 text-base text-ink`}
            />
          </label>
          <Button type="submit" disabled={!read?.ok || fetcher.state !== "idle"}>
            Keep this reading
          </Button>
        </fetcher.Form>
        <p className="mt-1 text-faded">{t.how}</p>
        <p className="mt-1">
          {read?.ok
            ? `It says body ${printNumber(read.value.thickness)} (± ${printNumber(1.645 * read.value.sd)}) as warm as it is: ${bandOf(read.value.thickness).name}.`
            : read && !read.ok
              ? `✕ ${read.problems[0]?.message ?? ""}`
              : expected === null
                ? `The ${t.label} cannot read body ${printNumber(forecast)}: take another test.`
                : `Body ${printNumber(forecast)} should read about ${printNumber(expected, 1)} ${t.unit}.`}
        </p>
        {problem && (
          <p role="alert" className="text-beet">
            ✕ {problem}
          </p>
        )}
      </div>
      <div>
        <h3 className="font-semibold">What this kitchen has taught</h3>
        <p className="mt-1">
          {learned?.trusted ? (
            <>
              ✓ {learned.n} readings: here it comes out{" "}
              <strong>
                {printNumber(Math.abs(learned.a), 1)} points {learned.a >= 0 ? "thicker" : "thinner"}
              </strong>{" "}
              than the sums say at body 45; scatter {printNumber(1.645 * learned.s)}.
              {learned.setAside.length > 0 && ` ${learned.setAside.length} did not fit and is set aside.`}
            </>
          ) : (
            <span className="text-faded">
              Not yet calibrated: {readings.length} of 3 readings of this kind of sauce.
            </span>
          )}
        </p>
        <ul className="mt-1 divide-y divide-rule">
          {readings.map((r, i) => (
            <ReadingRow key={r.id} reading={r} apart={learned?.setAside.includes(i) ?? false}>
              <fetcher.Form method="post" action={action}>
                <input type="hidden" name="intent" value="undo" />
                <input type="hidden" name="id" value={r.id} />
                <button type="submit" className="text-faded underline underline-offset-4 hover:text-copper">
                  take back
                </button>
              </fetcher.Form>
            </ReadingRow>
          ))}
        </ul>
      </div>
    </section>
  );
}

function ReadingRow({
  reading: r,
  apart,
  children,
}: {
  reading: BodyReading;
  apart: boolean;
  children: React.ReactNode;
}) {
  const t = KITCHEN_TESTS[r.test];
  return (
    <li className="flex flex-wrap items-baseline justify-between gap-x-4 py-1">
      <span>
        {r.formulaName}: {t.label} {printNumber(r.reading, 1)} {t.unit} at {printNumber(r.temperatureC)} °C,
        body <strong>{printNumber(r.measured)}</strong> where {printNumber(r.forecast)} was forecast
        {apart && <span className="text-saffron-ink"> ▲ set aside</span>}{" "}
        <span className="text-faded">{r.by}</span>
      </span>
      {children}
    </li>
  );
}
