import { Form, Link, useNavigation } from "react-router";
import { GROUPS, GROUP_IDS, type Learned } from "~/core/learning";
import { LedgerHead } from "../ledger/ledger-head";
import { dayOf } from "../text/format";
import { Button } from "../ui/button";
import { useKeptReply } from "../ui/use-kept-reply";
import type { Route } from "./+types/learned";
import { DotStrip } from "./dot-strip";
import { FirstWeek } from "./first-week";
import { inWords, readingsInWords, valueText } from "./words";

export { action, loader } from "./learned.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Learned · Ledger · Hondaro" }];

/** What the kitchen’s readings teach: each value with its evidence, before and after. */
export default function LearnedPage({ loaderData, actionData }: Route.ComponentProps) {
  const { learned, week, maySay, timeZone } = loaderData;
  const problem = useKeptReply(actionData)?.problem;
  const waiting = learned.filter(one => one.status === "proposed");
  return (
    <main className="mx-auto max-w-6xl px-4 py-8 sm:px-6">
      <LedgerHead title="Learned" />
      <p className="mt-1 max-w-prose">
        {waiting.length > 0 ? (
          <b className="text-saffron-ink">
            ▲ {waiting.length === 1 ? "One value waits" : `${waiting.length} values wait`} for a chef.
          </b>
        ) : (
          "Nothing waits for a chef."
        )}{" "}
        <span className="text-faded">
          A dot is a reading, the dashed mark what the sums say, copper what this kitchen says.
        </span>
      </p>
      {problem && (
        <p role="alert" className="mt-3 rounded-lg bg-beet-wash p-3 text-beet">
          ✕ {problem}
        </p>
      )}
      {learned.length === 0 && (
        <p className="mt-8 max-w-prose text-faded">
          Nothing was read yet. Weigh a pot four times on its way down, read a sauce on the plate, weigh what
          a crate of leeks leaves: it stands here from the first reading on.
        </p>
      )}
      {waiting.length > 0 && (
        <Section title="Waits for a chef" said="Nothing counts with these until a chef takes them.">
          <Rows of={waiting} maySay={maySay} timeZone={timeZone} />
        </Section>
      )}
      {GROUP_IDS.map(group => {
        const own = learned.filter(one => one.group === group && one.status !== "proposed");
        const [known, young] = [own.filter(isSettled), own.filter(one => !isSettled(one))];
        const { label, way, changes } = GROUPS[group];
        return (
          own.length > 0 && (
            <Section
              key={group}
              title={label}
              said={`${way === "follows" ? "Counts by itself in" : "Counts once a chef has taken it, in"} ${changes}.`}
            >
              <Rows of={known} maySay={maySay} timeZone={timeZone} />
              {young.length > 0 && (
                <details className="mt-2">
                  <summary className="cursor-pointer text-sm text-faded hover:text-copper">
                    {young.length === 1 ? "one more" : `${young.length} more`}, read once or twice so far
                  </summary>
                  <Rows of={young} maySay={maySay} timeZone={timeZone} />
                </details>
              )}
            </Section>
          )
        );
      })}
      <FirstWeek week={week} />
    </main>
  );
}

function Section({ title, said, children }: { title: string; said: string; children: React.ReactNode }) {
  return (
    <section aria-label={title} className="mt-8">
      <h2 className="text-xl">{title}</h2>
      <p className="text-sm text-faded">{said}</p>
      {children}
    </section>
  );
}

function Rows({ of, ...how }: { of: readonly Learned[]; maySay: boolean; timeZone: string }) {
  return (
    of.length > 0 && (
      <ul className="mt-2 divide-y divide-linen border-y border-rule">
        {of.map(one => (
          <Row key={`${one.group} ${one.key}`} one={one} {...how} />
        ))}
      </ul>
    )
  );
}

/** Enough readings to be looked at, or a chef has said something of it. */
const isSettled = ({ n, accepted, frozen }: Learned): boolean => n >= 3 || accepted !== null || frozen;

const STATUS = {
  learning: ["·", "too few readings yet", "text-faded"],
  agrees: ["✓", "as the sums say", "text-faded"],
  proposed: ["▲", "waits for a chef", "text-saffron-ink"],
  counts: ["✓", "counts", "text-sorrel"],
} as const;

function Row({ one, maySay, timeZone }: { one: Learned; maySay: boolean; timeZone: string }) {
  const { group, before, now, lo, hi, n, status, frozen, accepted, evidence } = one;
  const text = (value: number): string => valueText(group, value);
  const [mark, words, colour] = STATUS[status];
  const busy = useNavigation().state === "submitting";
  return (
    <li className="grid gap-x-6 gap-y-1 py-3 md:grid-cols-[17rem_11rem_minmax(0,1fr)_auto]">
      <div>
        <h3 className="font-sans text-base font-semibold">{one.title}</h3>
        <p className={status === "proposed" ? "font-semibold text-saffron-ink" : ""}>{inWords(one)}</p>
        <p className={`text-sm ${status === "proposed" ? "text-faded" : colour}`}>
          {status === "proposed" ? GROUPS[group].label : `${mark} ${frozen ? "frozen" : words}`}
          {accepted &&
            status !== "proposed" &&
            `, taken ${dayOf(new Date(accepted.at), timeZone)} at ${text(accepted.value)}`}
        </p>
      </div>
      <p>
        <span className="text-2xl font-semibold">{text(now)}</span>{" "}
        <span className="text-sm text-faded">{GROUPS[group].unit}</span>
        <span className="block text-sm text-faded">
          {before !== null &&
            `${group === "trim" || group === "piece" ? "larder" : "sums"} ${text(before)} · `}
          {lo !== null && hi !== null && `${text(lo)} to ${text(hi)} · `}
          {n > 0 ? readingsInWords(n) : "none since"}
        </span>
      </p>
      <div className="min-w-0">
        <DotStrip evidence={evidence} before={before} now={now} lo={lo} hi={hi} text={text} />
        {one.note && <p className="text-sm">{one.note}</p>}
        <details className="text-sm">
          <summary className="cursor-pointer text-faded hover:text-copper">readings</summary>
          <ul className="mt-1 max-h-52 overflow-y-auto">
            {[...evidence].reverse().map((e, i) => (
              <li key={`${e.at} ${i}`} className={`flex gap-3 ${e.counts ? "" : "text-faded line-through"}`}>
                <span className="w-16 shrink-0 text-right font-semibold">{text(e.value)}</span>
                <span className="w-24 shrink-0 text-faded">{dayOf(new Date(e.at), timeZone)}</span>
                {e.runId ? (
                  <Link to={`/batch/${e.runId}`} className="underline underline-offset-2 hover:text-copper">
                    {e.words}
                  </Link>
                ) : (
                  <span>{e.words}</span>
                )}
              </li>
            ))}
          </ul>
        </details>
      </div>
      {maySay && (
        <Form method="post" preventScrollReset className="flex flex-wrap content-start gap-2 md:justify-end">
          <input type="hidden" name="group" value={group} />
          <input type="hidden" name="key" value={one.key} />
          {GROUPS[group].way === "proposes" && n > 0 && (
            <Button
              type="submit"
              name="kind"
              value="accepted"
              look={status === "proposed" ? "act" : "plain"}
              disabled={busy}
              aria-label={`Take ${text(now)} for ${one.title}`}
            >
              Take it
            </Button>
          )}
          <Button
            type="submit"
            name="kind"
            value={frozen ? "freed" : "frozen"}
            disabled={busy}
            aria-label={`${frozen ? "Let it learn again" : "Freeze"}: ${one.title}`}
          >
            {frozen ? "Learn again" : "Freeze"}
          </Button>
          <Button type="submit" name="kind" value="reset" disabled={busy} aria-label={`Reset: ${one.title}`}>
            Reset
          </Button>
        </Form>
      )}
    </li>
  );
}
