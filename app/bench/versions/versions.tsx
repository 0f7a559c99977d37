import { useMemo, useState } from "react";
import { Form, Link, useNavigation, useSearchParams } from "react-router";
import { type KitchenData, compareOutcomes, diffFormulas, openKitchen, walk } from "~/core/formula";
import { useKitchenWith } from "../../kitchen/context";
import { dayOf } from "../../text/format";
import { Button } from "../../ui/button";
import type { Route } from "./+types/versions";
import { ChangeList } from "./change-list";
import { OutcomeTable } from "./outcome-table";
import { useKeptReply } from "../../ui/use-kept-reply";

export { action, loader } from "./versions.server";
export { PageError as ErrorBoundary } from "../../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Versions · Hondaro" }];

const STATE_WORDS = { draft: "", trial: "trial", standard: "standard", retired: "retired" } as const;

type Version = Route.ComponentProps["loaderData"]["versions"][number];

export default function Versions({ loaderData, actionData }: Route.ComponentProps) {
  const reply = useKeptReply(actionData);
  const { versions, drawnOn } = loaderData;
  const kitchen = useKitchenWith(drawnOn);
  const [query, setQuery] = useSearchParams();
  const newest = versions[0];
  const byNumber = (n: string | null) => versions.find(v => String(v.number) === n);
  const after = byNumber(query.get("is")) ?? newest;
  const before =
    byNumber(query.get("was")) ??
    versions.find(v => v.versionId === after?.parentId) ??
    versions.find(v => v !== after);
  if (!newest || !after) return null;
  const choose = (which: "was" | "is", number: number) =>
    setQuery(
      { was: String(before?.number ?? ""), is: String(after.number), [which]: String(number) },
      { preventScrollReset: true, replace: true },
    );
  return (
    <main className="mx-auto max-w-6xl px-4 py-6 sm:px-6">
      <p>
        <Link to={`/bench/${newest.id}`} className="text-faded hover:text-copper">
          ← Bench
        </Link>
      </p>
      <h1 className="mt-1 text-3xl">Versions of {newest.document.name}</h1>
      {reply?.problem && (
        <p role="alert" className="mt-2 rounded-md bg-beet-wash p-2 text-beet">
          ✕ {reply.problem}
        </p>
      )}
      <div className="mt-4 grid gap-x-10 gap-y-8 lg:grid-cols-[23rem_minmax(0,1fr)]">
        <section aria-label="All versions">
          {!newest.frozen && <Keep version={newest} />}
          <div className="mt-4 grid grid-cols-[2.5rem_2rem_1fr] text-xs text-faded" aria-hidden="true">
            <span>from</span>
            <span>to</span>
          </div>
          <ol>
            {versions.map(version => (
              <VersionRow
                key={version.versionId}
                version={version}
                newest={newest}
                parent={versions.find(v => v.versionId === version.parentId)}
                timeZone={kitchen.timeZone}
                was={version === before}
                is={version === after}
                onChoose={choose}
              />
            ))}
          </ol>
        </section>
        {before ? (
          <Difference before={before} after={after} kitchen={kitchen} />
        ) : (
          <p className="text-faded">
            There is one version so far. Keep it with a reason before you change it, and the two can be held
            side by side here.
          </p>
        )}
      </div>
    </main>
  );
}

/** Keeps what stands, with its reason. */
function Keep({ version }: { version: Version }) {
  return (
    <Form method="post" className="flex items-end gap-2">
      <input type="hidden" name="intent" value="keep" />
      <input type="hidden" name="rowVersion" value={version.rowVersion} />
      <label className="grow">
        <span className="block text-xs text-faded">keep version {version.number} as it stands, because</span>
        <input
          name="reason"
          required
          maxLength={300}
          autoComplete="off"
          placeholder="less butter: it was oily"
          className="w-full rounded-md border border-rule bg-enamel px-2 py-1.5"
        />
      </label>
      <Button type="submit" look="act">
        Keep
      </Button>
    </Form>
  );
}

function VersionRow({
  version,
  newest,
  parent,
  timeZone,
  was,
  is,
  onChoose,
}: {
  version: Version;
  newest: Version;
  parent: Version | undefined;
  timeZone: string;
  was: boolean;
  is: boolean;
  onChoose: (which: "was" | "is", number: number) => void;
}) {
  const [open, setOpen] = useState(false);
  const busy = useNavigation().state !== "idle";
  const { number } = version;
  return (
    <li
      className={`grid grid-cols-[2.5rem_2rem_1fr] items-start border-b border-rule py-2 ${is || was ? "bg-enamel" : ""}`}
    >
      {(["was", "is"] as const).map(which => (
        <input
          key={which}
          type="radio"
          name={which}
          aria-label={which === "was" ? `compare from version ${number}` : `compare to version ${number}`}
          checked={which === "was" ? was : is}
          onChange={() => onChoose(which, number)}
          className="mt-1.5 ml-2 size-4 accent-copper"
        />
      ))}
      <div>
        <p className="leading-snug">
          <span className="font-display text-lg font-semibold">{number}</span>
          {version === newest && <span className="text-sm text-sorrel"> on the Bench</span>}
          {STATE_WORDS[version.state] && (
            <span className="text-sm text-saffron-ink"> {STATE_WORDS[version.state]}</span>
          )}
          {parent && parent.number !== number - 1 && (
            <span className="text-sm text-faded"> from {parent.number}</span>
          )}
        </p>
        {version.reason && <p className="leading-snug">“{version.reason}”</p>}
        <p className="text-xs text-faded">
          {version.editedBy}, {dayOf(version.editedAt, timeZone)}
          {!version.frozen && ", still being worked on"}
          {" · "}
          <Link to={`/book/${version.versionId}`} className="text-copper underline underline-offset-4">
            Card of {number}
          </Link>
        </p>
        {version !== newest && (
          <button
            type="button"
            aria-expanded={open}
            onClick={() => setOpen(!open)}
            className="mt-0.5 text-sm text-copper underline underline-offset-4"
          >
            Go on from {number} …
          </button>
        )}
        {open && (
          <Form method="post" className="mt-2 pr-2">
            <input type="hidden" name="rowVersion" value={newest.rowVersion} />
            <input type="hidden" name="version" value={version.versionId} />
            <label>
              <span className="block text-xs text-faded">because</span>
              <input
                name="reason"
                required
                maxLength={300}
                autoComplete="off"
                className="w-full rounded-md border border-rule bg-enamel px-2 py-1"
              />
            </label>
            <p className="mt-2 flex gap-2">
              <Button type="submit" name="intent" value="restore" disabled={busy} className="!px-3 !py-1">
                Put it back
              </Button>
              <Button type="submit" name="intent" value="branch" disabled={busy} className="!px-3 !py-1">
                Try from it
              </Button>
            </p>
            <p className="mt-1 text-xs text-faded">It becomes the newest version; those in between stay.</p>
          </Form>
        )}
      </div>
    </li>
  );
}

/** Two versions held against each other: what was changed, and what it does to the pot. */
function Difference({ before, after, kitchen }: { before: Version; after: Version; kitchen: KitchenData }) {
  const { changes, rows } = useMemo(() => {
    const opened = openKitchen(kitchen);
    const walks = { before: walk(before.document, opened), after: walk(after.document, opened) };
    return {
      changes: diffFormulas(before.document, after.document, walks),
      rows: compareOutcomes(
        [
          { document: before.document, walked: walks.before },
          { document: after.document, walked: walks.after },
        ],
        kitchen.house,
      ),
    };
  }, [before, after, kitchen]);
  return (
    <section aria-label="What changed">
      <h2 className="text-xl">
        From version {before.number} to {after.number}
      </h2>
      {after.reason && <p className="text-faded">“{after.reason}”</p>}
      <ChangeList changes={changes} />
      <div className="mt-6">
        <OutcomeTable rows={rows} names={[`version ${before.number}`, `version ${after.number}`]} />
      </div>
    </section>
  );
}
