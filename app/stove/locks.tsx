import { useId, useState } from "react";
import type { Lock } from "~/core/run";

/** What is closed until it may be done; opened all the same only with a reason, which is kept. */
export function Locks({
  locks,
  onLeaveOut,
  onOverride,
}: {
  locks: readonly Lock[];
  /** Puts none of a line in for now: it waits until it may. */
  onLeaveOut: (lineId: string) => void;
  onOverride: (what: string, reason: string) => void;
}) {
  if (!locks.length) return null;
  return (
    <ul aria-label="Locked" className="space-y-1.5">
      {locks.map(lock => (
        <OneLock key={lock.what} lock={lock} onLeaveOut={onLeaveOut} onOverride={onOverride} />
      ))}
    </ul>
  );
}

const BUTTON = "min-h-14 rounded-lg border-2 px-3 text-left font-bold";

function OneLock({
  lock,
  onLeaveOut,
  onOverride,
}: {
  lock: Lock;
  onLeaveOut: (lineId: string) => void;
  onOverride: (what: string, reason: string) => void;
}) {
  const id = useId();
  const [asked, setAsked] = useState(false);
  const [reason, setReason] = useState("");
  const { lineId } = lock;
  return (
    <li className="rounded-lg border-2 border-glow bg-night-raised px-3 py-2.5">
      <p className="font-bold text-glow">
        <span aria-hidden="true">⊘ </span>
        {lock.what}
      </p>
      <p className="text-sm">{lock.why}</p>
      {asked ? (
        <form
          className="mt-2 space-y-2"
          onSubmit={event => {
            event.preventDefault();
            if (reason.trim()) onOverride(lock.what, reason.trim());
          }}
        >
          <label htmlFor={id} className="block text-sm text-lamp-faded">
            Why all the same? It is kept with the batch.
          </label>
          <input
            id={id}
            // The cook asked for this field a moment ago.
            // eslint-disable-next-line jsx-a11y/no-autofocus
            autoFocus
            maxLength={300}
            autoComplete="off"
            value={reason}
            onChange={event => setReason(event.currentTarget.value)}
            className="min-h-14 w-full rounded-lg border-2 border-lamp-faded bg-night px-3 text-lamp"
          />
          <div className="flex gap-2">
            <button
              type="submit"
              disabled={!reason.trim()}
              className={`${BUTTON} grow border-glow text-glow disabled:opacity-45`}
            >
              Open it
            </button>
            <button type="button" onClick={() => setAsked(false)} className={`${BUTTON} border-night-rule`}>
              Leave it locked
            </button>
          </div>
        </form>
      ) : (
        <div className="mt-2 flex flex-wrap gap-2">
          {lineId !== undefined && (
            <button
              type="button"
              onClick={() => onLeaveOut(lineId)}
              className={`${BUTTON} grow border-leaf text-leaf`}
            >
              Leave it out for now
            </button>
          )}
          <button type="button" onClick={() => setAsked(true)} className={`${BUTTON} border-night-rule`}>
            All the same …
          </button>
        </div>
      )}
    </li>
  );
}
