import { useState } from "react";
import { useFetcher } from "react-router";
import { ulid } from "ulid";
import { printNumber } from "~/core/ground/quantity";
import type { Readiness } from "~/core/standard";
import type { Signature, SignedState } from "~/data";
import { dayOf } from "../text/format";
import { Button } from "../ui/button";
import { StateBadge } from "./state-badge";

/** What a version is, who said so, how ready it is, and the place to sign. */
export function Signatures({
  state,
  signatures,
  ready,
  maySign,
  timeZone,
  refused = null,
}: {
  state: "draft" | SignedState;
  signatures: readonly Signature[];
  /** `null` where no batch was measured. */
  ready: Readiness | null;
  maySign: boolean;
  timeZone: string;
  /** Why a signature was not taken that was sent before any script ran. */
  refused?: string | null;
}) {
  return (
    <section aria-label="What it is" className="no-print mt-5 rounded-2xl border border-rule bg-enamel p-5">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2 className="text-lg">What it is</h2>
        <StateBadge state={state} />
      </div>
      <Ready ready={ready} />
      {signatures.length > 0 && (
        <ul className="mt-3 space-y-1 text-sm">
          {signatures.map(({ state: as, by, at, reason, score }) => (
            <li key={at.toISOString() + as}>
              <b>{as}</b>, {by}, {dayOf(at, timeZone)}: {reason}
              {as === "standard" && score !== null && (
                <span className="text-faded"> (readiness {printNumber(score)} of 100)</span>
              )}
            </li>
          ))}
        </ul>
      )}
      {maySign ? (
        <SignForm state={state} ready={ready} refused={refused} />
      ) : (
        <p className="mt-3 text-sm text-faded">A chef signs it.</p>
      )}
    </section>
  );
}

function Ready({ ready }: { ready: Readiness | null }) {
  if (!ready) return <p className="mt-2 text-faded">No batch of it was measured yet.</p>;
  return (
    <>
      <p className="mt-2">
        Readiness <b>{printNumber(ready.score)}</b> of 100
        {ready.ready
          ? ": its batches show it."
          : `: ${ready.missing} more ${ready.missing === 1 ? "batch" : "batches"} inside, and it is.`}
      </p>
      <ul className="mt-1 flex flex-wrap gap-x-5 gap-y-1 text-sm text-faded">
        {ready.attributes.map(({ name, n, inside, alarm }) => (
          <li key={name}>
            {name}: {inside} of {n} inside{alarm && ", the last one far off"}
          </li>
        ))}
      </ul>
    </>
  );
}

const NEXT: readonly (readonly [SignedState, string])[] = [
  ["trial", "Try it"],
  ["standard", "Make it the standard"],
  ["retired", "Retire it"],
];

function SignForm({
  state,
  ready,
  refused,
}: {
  state: "draft" | SignedState;
  ready: Readiness | null;
  refused: string | null;
}) {
  const fetcher = useFetcher<{ problem: string | null }>();
  // One signature each time it stands anew.
  const [ids] = useState(() => new Map<string, string>());
  const idFor = (as: string) => {
    const key = `${state} ${as}`;
    const known = ids.get(key) ?? ulid();
    ids.set(key, known);
    return known;
  };
  const problem = fetcher.data?.problem ?? refused;
  return (
    <fetcher.Form method="post" className="mt-4 flex flex-wrap items-end gap-3">
      <input type="hidden" name="intent" value="sign" />
      <label className="min-w-60 grow text-xs text-faded">
        why
        <input
          name="reason"
          maxLength={300}
          autoComplete="off"
          placeholder={ready?.ready ? "its batches show it" : "why, before its batches show it"}
          className="mt-0.5 block w-full rounded-md border border-rule bg-enamel px-2 py-1.5 text-base text-ink"
        />
      </label>
      {NEXT.filter(([as]) => as !== state).map(([as, label]) => (
        <Button
          key={as}
          type="submit"
          name="state"
          value={as}
          look={as === "standard" ? "act" : "plain"}
          disabled={fetcher.state !== "idle"}
          onClick={event => {
            event.preventDefault();
            const form = event.currentTarget.form;
            if (!form) return;
            const said = new FormData(form);
            said.set("state", as);
            said.set("id", idFor(as));
            void fetcher.submit(said, { method: "post" });
          }}
        >
          {label}
        </Button>
      ))}
      {!ready?.ready && state !== "standard" && (
        <p className="basis-full text-sm text-saffron-ink">
          ▲ Signed now it would be signed early
          {ready ? `: ${printNumber(ready.score)} of 100, 90 are wanted.` : ": nothing was measured."}
        </p>
      )}
      {problem && (
        <p role="alert" className="basis-full text-sm text-beet">
          ✕ {problem}
        </p>
      )}
    </fetcher.Form>
  );
}
