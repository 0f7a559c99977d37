import { useState } from "react";
import { Link } from "react-router";
import { KINDS, KIND_IDS, type Kind } from "~/core/tasting";
import { printNumber } from "~/core/ground/quantity";
import { useKitchen } from "../kitchen/context";
import { EditForm } from "../people/edit-form";
import { dayOf } from "../text/format";
import { Button } from "../ui/button";
import { useKeptReply } from "../ui/use-kept-reply";
import type { Route } from "./+types/tastings";

export { action, loader } from "./tastings.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Tastings · Hondaro" }];

const FIELD = "mt-0.5 block h-11 w-full rounded-md border border-rule bg-enamel px-2 text-base text-ink";

/** Which is better, without fooling oneself. */
export default function Tastings({ loaderData, actionData }: Route.ComponentProps) {
  const { tastings, needed } = loaderData;
  const { timeZone } = useKitchen();
  const reply = useKeptReply(actionData);
  return (
    <main className="mx-auto max-w-6xl px-4 py-8 sm:px-6">
      <h1 className="text-3xl">Tastings</h1>
      <p className="mt-1 max-w-prose text-faded">
        Blind, in coded cups, each taster on his own phone. Answers stay sealed until the tasting is closed.
      </p>
      <div className="mt-6 grid gap-10 lg:grid-cols-[minmax(0,1fr)_26rem]">
        <section aria-label="Tastings so far">
          <h2 className="text-xl">So far</h2>
          {tastings.length === 0 && <p className="mt-2 text-faded">None yet. Set the first one up beside.</p>}
          <ul className="mt-2 divide-y divide-rule border-y border-rule">
            {tastings.map(t => (
              <li
                key={t.id}
                className="grid items-baseline gap-x-4 gap-y-1 py-3 sm:grid-cols-[6rem_minmax(0,1fr)_auto]"
              >
                <span className="text-sm text-faded">{dayOf(new Date(t.at), timeZone)}</span>
                <span className="min-w-0">
                  <Link
                    to={`/tastings/${t.id}`}
                    className="text-lg font-semibold underline underline-offset-4 hover:text-copper"
                  >
                    {t.name}
                  </Link>
                  <span className="block text-sm text-faded">
                    {KINDS[t.kind].label}: {t.samples.map(s => s.name).join(" · ")}
                  </span>
                  {t.decision && <span className="block text-sm">{t.decision}</span>}
                </span>
                <span className={t.closedAt ? "text-faded" : "font-semibold text-copper"}>
                  {t.closedAt
                    ? `${printNumber(t.answered)} answers`
                    : `open: ${printNumber(t.answered)} of ${printNumber(t.seats)} answered`}
                </span>
              </li>
            ))}
          </ul>
        </section>
        <div className="space-y-6">
          <SetUp
            loaded={loaderData}
            key={reply ? "refused" : "new"}
            problems={reply?.problems ?? []}
            typed={reply?.typed ?? {}}
          />
          <section aria-label="How many tasters" className="rounded-2xl border border-rule p-5">
            <h2 className="text-lg">How many tasters do I need?</h2>
            <p className="text-sm text-faded">To find in four of five tastings what so many people notice:</p>
            <table className="mt-2 w-full text-sm">
              <thead>
                <tr className="text-left text-faded">
                  <th className="font-normal">notice it</th>
                  <th className="text-right font-normal">triangle</th>
                  <th className="text-right font-normal">duo–trio</th>
                </tr>
              </thead>
              <tbody>
                {needed.map(({ noticing, triangle, duo }) => (
                  <tr key={noticing} className="border-t border-linen">
                    <td className="py-1">{printNumber(100 * noticing)} % of people</td>
                    <td className="text-right font-bold">{triangle ?? "too many"}</td>
                    <td className="text-right font-bold">{duo ?? "too many"}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        </div>
      </div>
    </main>
  );
}

function SetUp({
  loaded: { versions, asked },
  problems,
  typed,
}: {
  loaded: Route.ComponentProps["loaderData"];
  problems: readonly string[];
  typed: Readonly<Record<string, readonly string[]>>;
}) {
  const one = (name: string, usual = ""): string => typed[name]?.[0] ?? usual;
  const [kind, setKind] = useState<Kind>(KIND_IDS.find(k => k === one("kind")) ?? "triangle");
  const [least, most] = KINDS[kind].samples;
  const [n, setN] = useState(Math.max(2, typed.sample?.length ?? 2));
  const shown = Math.min(most, Math.max(least, n));
  return (
    <EditForm
      aria-label="Set a tasting up"
      className="grid grid-cols-2 gap-3 rounded-2xl border border-rule bg-enamel p-5"
    >
      <h2 className="col-span-2 text-xl">Set one up</h2>
      <label className="col-span-2 text-sm text-faded">
        what it is to settle
        <input name="name" defaultValue={one("name")} maxLength={120} className={FIELD} />
      </label>
      <label className="text-sm text-faded">
        how
        <select
          name="kind"
          value={kind}
          onChange={event => setKind(event.currentTarget.value as Kind)}
          className={FIELD}
        >
          {KIND_IDS.map(id => (
            <option key={id} value={id}>
              {KINDS[id].label}
            </option>
          ))}
        </select>
      </label>
      <label className="text-sm text-faded">
        tasters
        <input name="seats" inputMode="numeric" defaultValue={one("seats", "24")} className={FIELD} />
      </label>
      <p className="col-span-2 text-sm">Tasters are asked: {KINDS[kind].says}</p>
      {Array.from({ length: shown }, (_, i) => (
        <div key={i} className="col-span-2 grid grid-cols-2 gap-2">
          <label className="text-sm text-faded">
            sample {String.fromCharCode(65 + i)}, a version
            <select
              name="version"
              defaultValue={typed.version?.[i] ?? (i === 0 ? asked.a : i === 1 ? asked.b : "")}
              className={FIELD}
            >
              <option value="">something else</option>
              {versions.map(version => (
                <option key={version.versionId} value={version.versionId}>
                  {version.name}, version {version.number}
                </option>
              ))}
            </select>
          </label>
          <label className="text-sm text-faded">
            or called
            <input name="sample" defaultValue={typed.sample?.[i] ?? ""} maxLength={120} className={FIELD} />
          </label>
        </div>
      ))}
      {most > 2 && shown < most && (
        <Button look="quiet" className="col-span-2 justify-self-start" onClick={() => setN(shown + 1)}>
          + one more sample
        </Button>
      )}
      {kind === "paired comparison" && (
        <>
          <label className="text-sm text-faded">
            which is …
            <input
              name="question"
              defaultValue={one("question")}
              placeholder="saltier"
              maxLength={60}
              className={FIELD}
            />
          </label>
          <label className="text-sm text-faded">
            expected of
            <select name="expected" defaultValue={one("expected", "A")} className={FIELD}>
              <option value="A">sample A</option>
              <option value="B">sample B</option>
            </select>
          </label>
        </>
      )}
      {kind === "scores" && (
        <label className="col-span-2 flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            name="duplicate"
            value="yes"
            defaultChecked={one("duplicate") === "yes"}
            className="size-5 accent-copper"
          />
          serve sample A twice, to see how steady the judges are
        </label>
      )}
      {problems.map(problem => (
        <p key={problem} role="alert" className="col-span-2 text-beet">
          ✕ {problem}
        </p>
      ))}
      <Button type="submit" look="act" className="col-span-2">
        Set it up
      </Button>
    </EditForm>
  );
}
