import { startTransition, useEffect, useRef, useState } from "react";
import { useFetcher } from "react-router";
import type { Burner } from "~/core/laws/reduction";
import type { BurnerPlace } from "~/data";
import type { KitReply } from "./kit-reply";

export interface BurnerMoves {
  /** The burners, each where it was put last. */
  readonly burners: readonly Burner[];
  readonly move: (id: string, to: BurnerPlace) => void;
  /** Nothing was moved yet, something is on its way, or everything is kept. */
  readonly state: "unmoved" | "keeping" | "kept";
  /** Why the kitchen did not take the last move, in a cook's words. */
  readonly refused: string | null;
}

/**
 * Moves of burners, sent one after the other: the last one is what the kitchen keeps, however fast they follow.
 * What is on its way stands where it was put already.
 */
export function useBurnerMoves(kept: readonly Burner[]): BurnerMoves {
  const { submit, data } = useFetcher<KitReply>();
  const [wanted, setWanted] = useState<ReadonlyMap<string, BurnerPlace>>(new Map());
  const [moved, setMoved] = useState(false);
  const newest = useRef(new Map<string, BurnerPlace>());
  const queue = useRef(Promise.resolve());
  /** Where each stood when the kitchen last told; of one that is under way it has yet to tell. */
  const known = useRef(new Map<string, BurnerPlace>());
  useEffect(() => {
    if (newest.current.size === 0) known.current = new Map(kept.map(b => [b.id, b]));
  }, [kept]);

  const send = async (id: string, to: BurnerPlace) => {
    // Overtaken by a later place of the same burner: that one is sent.
    if (newest.current.get(id) !== to) return;
    const from = known.current.get(id);
    known.current.delete(id);
    await submit(
      {
        intent: "move",
        id,
        xMm: String(to.xMm),
        yMm: String(to.yMm),
        ...(from && { fromXMm: String(from.xMm), fromYMm: String(from.yMm) }),
      },
      { method: "post" },
    );
    if (newest.current.get(id) !== to) return;
    newest.current.delete(id);
    // Not before the kitchen's own word of it is drawn, which comes the same way.
    startTransition(() => setWanted(new Map(newest.current)));
  };
  const move = (id: string, to: BurnerPlace) => {
    newest.current.set(id, to);
    setWanted(new Map(newest.current));
    setMoved(true);
    // What goes wrong on the way is told by the page; the next move is sent all the same.
    queue.current = queue.current.then(() => send(id, to)).catch(() => undefined);
  };
  return {
    burners: kept.map(burner => ({ ...burner, ...wanted.get(burner.id) })),
    move,
    state: wanted.size > 0 ? "keeping" : moved ? "kept" : "unmoved",
    refused: wanted.size === 0 ? (data?.problems[0]?.message ?? null) : null,
  };
}
