import { type FormEvent, type ReactNode, useEffect, useRef } from "react";
import type { FetcherWithComponents } from "react-router";
import { ulid } from "ulid";

/** What an action of such a form answers. */
interface Answer {
  readonly problems: readonly unknown[];
}

/**
 * A form whose sending has a sign of its own: brought twice by a bad network, it is done once. What was refused stays as it
 * was typed; what was taken leaves an empty form.
 */
export function OnceForm({
  fetcher,
  action,
  className,
  children,
}: {
  fetcher: FetcherWithComponents<Answer>;
  action?: string;
  className?: string;
  children: ReactNode;
}) {
  const own = useRef<HTMLFormElement>(null);
  const taken = fetcher.state === "idle" && fetcher.data?.problems.length === 0;
  useEffect(() => {
    if (taken) own.current?.reset();
  }, [taken]);
  const send = (event: FormEvent<HTMLFormElement>): void => {
    event.preventDefault();
    const form = new FormData(event.currentTarget, (event.nativeEvent as SubmitEvent).submitter);
    form.set("id", ulid());
    void fetcher.submit(form, { method: "post", ...(action !== undefined && { action }) });
  };
  return (
    <form ref={own} method="post" action={action} onSubmit={send} className={className}>
      {children}
    </form>
  );
}
