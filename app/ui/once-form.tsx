import type { FormEvent, ReactNode } from "react";
import { type FetcherWithComponents } from "react-router";
import { ulid } from "ulid";

/** A form whose sending has a sign of its own: brought twice by a bad network, it is done once. */
export function OnceForm({
  fetcher,
  action,
  className,
  children,
}: {
  fetcher: FetcherWithComponents<unknown>;
  action?: string;
  className?: string;
  children: ReactNode;
}) {
  const send = (event: FormEvent<HTMLFormElement>): void => {
    event.preventDefault();
    const form = new FormData(event.currentTarget, (event.nativeEvent as SubmitEvent).submitter);
    form.set("id", ulid());
    void fetcher.submit(form, { method: "post", ...(action !== undefined && { action }) });
  };
  return (
    <form method="post" action={action} onSubmit={send} className={className}>
      {children}
    </form>
  );
}
