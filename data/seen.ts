import { createHash } from "node:crypto";

/**
 * What a form was filled from, as a short mark that goes out with it and comes back: of two people who save at once, the
 * second is shown what the first has kept.
 */
export const markOf = (value: unknown): string =>
  createHash("sha256").update(canonical(value)).digest("base64url").slice(0, 16);

/** The same text for the same value, whatever the order of its keys. */
export const canonical = (value: unknown): string =>
  JSON.stringify(value ?? null, (_key, inner: unknown) =>
    inner && typeof inner === "object" && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([x], [y]) => (x < y ? -1 : 1)))
      : inner,
  );

/** `theirs`: what somebody kept since the form was filled; nothing was written. */
export type Kept<T> = { readonly kept: true } | { readonly kept: false; readonly theirs: T };
