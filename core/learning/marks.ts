/** What a chef has said of a learned value: take it, forget what was read before, or keep it as it is. */

export const MARKS = ["accepted", "reset", "frozen", "freed"] as const;

export interface Mark {
  readonly kind: (typeof MARKS)[number];
  /** ms. */
  readonly at: number;
  /** What was accepted. */
  readonly value: number | null;
}

/** How the marks of one value stand together. */
export interface Standing {
  /** Readings up to then are forgotten; −Infinity where nothing is. */
  readonly since: number;
  /** Readings after that do not count; `null` where all do. */
  readonly frozenAt: number | null;
  /** What was taken last, and when; `null` where nothing was, or it was given up since. */
  readonly accepted: { readonly at: number; readonly value: number } | null;
}

export const UNMARKED: Standing = { since: -Infinity, frozenAt: null, accepted: null };

/** @param marks of one value, the oldest first */
export const standingOf = (marks: readonly Mark[]): Standing =>
  marks.reduce<Standing>((before, { kind, at, value }) => {
    switch (kind) {
      case "reset":
        return { since: at, frozenAt: null, accepted: null };
      case "frozen":
        return { ...before, frozenAt: at };
      case "freed":
        return { ...before, frozenAt: null };
      case "accepted":
        return value === null ? before : { ...before, accepted: { at, value } };
    }
  }, UNMARKED);

/** The readings that count. */
export const counted = <T extends { readonly at: number }>(
  readings: readonly T[],
  { since, frozenAt }: Standing,
): T[] => readings.filter(({ at }) => at > since && (frozenAt === null || at <= frozenAt));
