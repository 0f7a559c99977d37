import { Form, Link, useNavigation } from "react-router";
import { LedgerHead } from "../ledger/ledger-head";
import { EditForm } from "../people/edit-form";
import { dayOf } from "../text/format";
import { Button } from "../ui/button";
import { useKeptReply } from "../ui/use-kept-reply";
import type { Route } from "./+types/trials";

export { action, loader } from "./trials.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Trials · Ledger · Hondaro" }];

const FIELD = "mt-0.5 block h-11 w-full rounded-md border border-rule bg-enamel px-2 text-base text-ink";

/** Versions of a sauce set against each other, one thing different. */
export default function Trials({ loaderData, actionData }: Route.ComponentProps) {
  const { trials, timeZone } = loaderData;
  const reply = useKeptReply(actionData);
  return (
    <main className="mx-auto max-w-6xl px-4 py-8 sm:px-6">
      <LedgerHead title="Trials" />
      <p className="mt-1 max-w-prose text-faded">
        Two versions, one thing different, cooked and tasted beside each other. What wins becomes the recipe.
      </p>
      <div className="mt-6 grid gap-10 lg:grid-cols-[minmax(0,1fr)_26rem]">
        <section aria-label="Trials so far">
          <h2 className="text-xl">So far</h2>
          {trials.length === 0 && <p className="mt-2 text-faded">None yet. Set the first one up beside.</p>}
          <ul className="mt-2 divide-y divide-rule border-y border-rule">
            {trials.map(trial => (
              <li
                key={trial.id}
                className="grid items-baseline gap-x-4 gap-y-1 py-3 sm:grid-cols-[6rem_minmax(0,1fr)_auto]"
              >
                <span className="text-sm text-faded">{dayOf(new Date(trial.at), timeZone)}</span>
                <span className="min-w-0">
                  <Link
                    to={`/ledger/trials/${trial.id}`}
                    className="text-lg font-semibold underline underline-offset-4 hover:text-copper"
                  >
                    {trial.name}
                  </Link>
                  <span className="block text-sm text-faded">
                    {trial.formulaName}: {trial.difference}
                  </span>
                  {trial.decision && <span className="block text-sm">{trial.decision}</span>}
                </span>
                <span className={trial.decidedAt ? "text-faded" : "font-semibold text-copper"}>
                  {trial.decidedAt ? "decided" : "open"}
                </span>
              </li>
            ))}
          </ul>
        </section>
        <SetUp loaded={loaderData} problems={reply?.problems ?? []} typed={reply?.typed ?? {}} />
      </div>
    </main>
  );
}

function SetUp({
  loaded: { sauces, sauce, versions, timeZone },
  problems,
  typed,
}: {
  loaded: Route.ComponentProps["loaderData"];
  problems: readonly string[];
  typed: Readonly<Record<string, readonly string[]>>;
}) {
  const busy = useNavigation().state === "submitting";
  return (
    <section aria-label="Set a trial up" className="self-start rounded-2xl border border-rule bg-enamel p-5">
      <h2 className="text-xl">Set one up</h2>
      <Form className="mt-2 flex items-end gap-2">
        <label className="grow text-sm text-faded">
          sauce
          <select name="sauce" key={sauce?.id ?? ""} defaultValue={sauce?.id ?? ""} className={FIELD}>
            <option value="">choose one</option>
            {sauces.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <Button type="submit">Its versions</Button>
      </Form>
      {sauce && versions.length < 2 && (
        <p className="mt-4">
          {sauce.name} has one version only.{" "}
          <Link to={`/bench/${sauce.id}/versions`} className="underline underline-offset-4 hover:text-copper">
            Branch a trial from it
          </Link>
          , change the one thing, and come back.
        </p>
      )}
      {sauce && versions.length >= 2 && (
        <EditForm className="mt-4 space-y-3">
          <input type="hidden" name="formulaId" value={sauce.id} />
          <fieldset>
            <legend className="text-sm text-faded">versions, two or more</legend>
            <ul className="mt-1 max-h-64 divide-y divide-linen overflow-y-auto border-y border-rule">
              {versions.map(version => (
                <li key={version.versionId}>
                  <label className="flex min-h-11 items-center gap-3 py-1">
                    <input
                      type="checkbox"
                      name="version"
                      value={version.versionId}
                      defaultChecked={typed.version?.includes(version.versionId)}
                      className="size-5"
                    />
                    <span>
                      <b>{version.number}</b> {version.state}
                      <span className="block text-sm text-faded">
                        {version.reason ?? `changed ${dayOf(new Date(version.editedAt), timeZone)}`}
                      </span>
                    </span>
                  </label>
                </li>
              ))}
            </ul>
          </fieldset>
          <label className="block text-sm text-faded">
            the one thing that differs
            <input
              name="difference"
              maxLength={300}
              defaultValue={typed.difference?.[0] ?? ""}
              placeholder="vegetables in at the start, or in the last hour"
              className={FIELD}
            />
          </label>
          <label className="block text-sm text-faded">
            called
            <input name="name" maxLength={120} defaultValue={typed.name?.[0] ?? ""} className={FIELD} />
          </label>
          {problems.map(problem => (
            <p key={problem} role="alert" className="text-beet">
              ✕ {problem}
            </p>
          ))}
          <Button type="submit" look="act" disabled={busy}>
            Set it up
          </Button>
        </EditForm>
      )}
    </section>
  );
}
