import { type Result, ok, refuse } from "../ground/result";

/** Who gets what in which order: balanced, coded, and the same list whenever it is asked for. */

export const KINDS = {
  triangle: {
    label: "Triangle",
    says: "Two cups are the same. Which is the odd one?",
    samples: [2, 2],
    cups: 3,
  },
  "duo-trio": {
    label: "Duo–trio",
    says: "Taste the one marked R first. Which of the other two is the same?",
    samples: [2, 2],
    cups: 3,
  },
  "paired comparison": { label: "Which has more", says: "Which has more of it?", samples: [2, 2], cups: 2 },
  "paired preference": {
    label: "Which is liked better",
    says: "Which do you like better?",
    samples: [2, 2],
    cups: 2,
  },
  ranking: { label: "Put in order", says: "Put them in order, the best first.", samples: [3, 6], cups: null },
  scores: { label: "Scores", says: "Give each 0 to 10.", samples: [1, 6], cups: null },
} as const;
export type Kind = keyof typeof KINDS;
export const KIND_IDS = [
  "triangle",
  "duo-trio",
  "paired comparison",
  "paired preference",
  "ranking",
  "scores",
] as const satisfies readonly Kind[];

/** One cup as it stands before a taster: its three figures, and what is in it. */
export interface Cup {
  readonly code: string;
  readonly key: string;
  /** The one that is known, in a duo–trio. */
  readonly reference?: true;
}

export const MOST_SEATS = 120;
/** Names of the samples, in the order they were entered. */
export const keyAt = (i: number): string => String.fromCharCode(65 + i);

/** Three-figure codes, each once: 900 cups, walked in steps that share no factor with 900. */
const CODES = 900;
const STEP = 389;
const codeAt = (start: number, i: number): string => String(100 + ((start + i * STEP) % CODES));

/** For t samples t (or 2t) rows in which each stands everywhere equally often, and follows each other equally often. */
function balancedRows(t: number): number[][] {
  const first = Array.from({ length: t }, (_, i) => (i % 2 ? (i + 1) / 2 : (t - i / 2) % t));
  const rows = Array.from({ length: t }, (_, shift) => first.map(x => (x + shift) % t));
  return t % 2 ? [...rows, ...rows.map(row => [...row].reverse())] : rows;
}

const TRIANGLES = ["AAB", "BBA", "ABA", "BAB", "BAA", "ABB"];
/** The known one, then the two. */
const DUOS = ["AAB", "BAB", "ABA", "BBA"];

/** The rows of a kind, of keys; taken in turn. */
function rowsOf(kind: Kind, samples: number): string[] {
  if (kind === "triangle") return TRIANGLES;
  if (kind === "duo-trio") return DUOS;
  if (kind === "paired comparison" || kind === "paired preference") return ["AB", "BA"];
  return balancedRows(samples).map(row => row.map(keyAt).join(""));
}

/**
 * Cups for each taster in turn.
 *
 * @param start   0–899, where the codes begin: another tasting, other codes
 * @param samples how many different ones; one that is served twice unknown (`duplicate`) counts once
 * @errors OUT_OF_RANGE · TOO_MANY more cups than codes of three figures
 * Source: Williams’ squares for order and carry-over; the six orders of a triangle (ISO 4120). docs/models.md "Tastings".
 */
export function servingPlan(
  kind: Kind,
  {
    samples,
    seats,
    duplicate,
    start,
  }: {
    readonly samples: number;
    readonly seats: number;
    readonly duplicate: boolean;
    readonly start: number;
  },
): Result<Cup[][]> {
  const [least, most] = KINDS[kind].samples;
  const bad = (field: string, message: string) => refuse({ code: "OUT_OF_RANGE", field, message });
  if (!Number.isInteger(samples) || samples < least || samples > most)
    return bad(
      "samples",
      least === most
        ? `${KINDS[kind].label}: it takes ${least} samples.`
        : `${KINDS[kind].label}: it takes ${least} to ${most} samples.`,
    );
  if (!Number.isInteger(seats) || seats < 1 || seats > MOST_SEATS)
    return bad("seats", `It takes 1 to ${MOST_SEATS} tasters.`);
  const served = samples + (duplicate && kind === "scores" ? 1 : 0);
  const rows = rowsOf(kind, served);
  const cups = seats * (rows[0]?.length ?? 0);
  if (cups > CODES)
    return bad("seats", `${cups} cups: three figures tell ${CODES} apart. Take fewer tasters.`);
  let at = 0;
  return ok(
    Array.from({ length: seats }, (_, seat) =>
      [...(rows[seat % rows.length] ?? "")].map((letter, i): Cup => {
        // The one too many is the first once more.
        const key = letter === keyAt(samples) && served > samples ? "A" : letter;
        return {
          code: codeAt(start, at++),
          key,
          ...(kind === "duo-trio" && i === 0 && { reference: true as const }),
        };
      }),
    ),
  );
}
