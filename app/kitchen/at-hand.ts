import type { KitchenSnapshot } from "~/data";
import type { Rank } from "~/core/things/rank";
import { forgetCosts } from "../offline/keep-pages";
import type { Owner } from "../offline/queue";
import type { KitchenAtHand, MadeHere } from "./context";

/** Which kitchen a page was made of; null before anybody has said who is cooking. */
export interface Heads {
  readonly revision: number | null;
  readonly namesRevision: number | null;
  /** Without what things cost: that is not for everybody. */
  readonly plain: boolean;
  /** Of who is cooking: what they may do. */
  readonly rank: Rank | null;
  /** Who is cooking, and in which kitchen. */
  readonly owner: Owner | null;
}

let latest: (KitchenAtHand & { readonly key: string; readonly plain: boolean }) | null = null;
type Revisions = Pick<Heads, "revision" | "namesRevision" | "plain">;
const keyOf = ({ revision, namesRevision, plain }: Revisions): string =>
  `${revision} ${namesRevision} ${plain}`;

async function read<T>(file: string): Promise<T> {
  const answer = await fetch(`/kitchen/${file}.json`);
  if (!answer.ok) throw new TypeError(`The kitchen did not come: ${answer.status}`);
  return (await answer.json()) as T;
}

/**
 * The kitchen at a revision, from the server or from what the browser keeps of it: a revision never changes.
 * Where it does not come the one before stands; the next page asks again.
 */
export async function fetchKitchen(heads: Revisions): Promise<KitchenAtHand | null> {
  if (heads.revision === null || latest?.key === keyOf(heads)) return latest;
  try {
    const [snapshot, madeHere] = await Promise.all([
      latest?.snapshot.revision === heads.revision && latest.plain === heads.plain
        ? latest.snapshot
        : read<KitchenSnapshot>(`${heads.plain ? "plain-" : ""}${heads.revision}`),
      read<MadeHere>(`names-${heads.namesRevision}`),
    ]);
    if (heads.plain && !latest?.plain) void forgetCosts();
    latest = { key: keyOf(heads), plain: heads.plain, snapshot, madeHere };
  } catch (error) {
    if (!latest) throw error;
  }
  return latest;
}

/** What was fetched last. */
export const kitchenAtHand = (): KitchenAtHand | null => latest;
