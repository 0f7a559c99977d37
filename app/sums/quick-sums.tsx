import { useCallback, useEffect, useMemo, useState } from "react";
import {
  REFERENCE_WORLD,
  SUMS,
  type SumWorld,
  type Said,
  inOrder,
  runSum,
  saidWhole,
  sumNamed,
  textsOf,
  worldOf,
} from "~/core/sums";
import { type ScreenCommand, useCommands } from "../ui/commands";
import { type RecentSum, readRecent } from "./recent";
import { useKitchenIfAny } from "../kitchen/context";
import type { OpenSum } from "./open-sum";
import { SumPanel } from "./sum-panel";

/** Let the page come to rest first, ms. */
const REST_MS = 600;

/** The quick sums: each by its name in the palette, or said in one line; the panel for the one that is open. */
export function QuickSums() {
  const kitchen = useKitchenIfAny();
  const [open, setOpen] = useState<OpenSum | null>(null);
  const [recent, setRecent] = useState<readonly RecentSum[]>([]);
  // What this device remembers is looked for when the page has come to rest.
  useEffect(() => {
    const timer = setTimeout(() => setRecent(readRecent(localStorage)), REST_MS);
    return () => clearTimeout(timer);
  }, []);
  const world: SumWorld = useMemo(
    () => (kitchen ? worldOf({ ...kitchen.snapshot, formulas: {} }) : REFERENCE_WORLD),
    [kitchen],
  );

  const begin = useCallback(
    (said: Said) => {
      const { asked, more } = inOrder(said.sum);
      const texts = textsOf([...asked, ...more], said.whole, world);
      setOpen({
        name: said.sum.name,
        texts,
        examples: said.examples,
        unread: said.unread,
        taken: said.taken,
      });
    },
    [world],
  );
  const commands = useMemo<ScreenCommand[]>(
    () => [
      {
        id: "sums-said",
        label: "a sum, as you would say it",
        group: "Quick sums",
        from: typed => {
          const said = saidWhole(typed, world);
          if (!said || (!Object.keys(said.input).length && !said.meant)) return null;
          return { label: labelOf(said, typed, world), run: () => begin(said) };
        },
      },
      ...recent.slice(0, 5).map((r, i): ScreenCommand => ({
        id: `recent-${i}`,
        label: `${sumNamed(r.name)?.title ?? r.name}: ${r.sentence}`,
        group: "Worked out lately",
        run: () => setOpen({ name: r.name, texts: r.texts }),
      })),
      ...SUMS.map((sum): ScreenCommand => ({
        id: `sum-${sum.name}`,
        label: sum.title,
        detail: sum.purpose,
        words: [sum.name, ...sum.words].join(" "),
        group: "Quick sums",
        run: () => {
          const said = saidWhole(sum.name, world);
          if (said) begin(said);
        },
      })),
    ],
    [begin, recent, world],
  );
  useCommands(commands);
  return open ? (
    <SumPanel
      key={`${open.name} ${JSON.stringify(open.texts)}`}
      open={open}
      world={world}
      onClose={() => setOpen(null)}
      onKept={setRecent}
    />
  ) : null;
}

/** A phrase answered with what it said; where an example stands, or a word was not read, that is told first. */
function labelOf(said: Said, typed: string, world: SumWorld): string {
  const answer = runSum(said.sum.name, said.whole, world);
  const meant = said.meant ? `Did you mean “${said.meant}”? ` : "";
  const unread = said.unread.length ? ` · did not read: ${said.unread.join(" ")}` : "";
  if (!answer.ok) return `${meant}${said.sum.title}: ${typed}${unread}`;
  return `${meant}${answer.value.sentence}${said.examples.length ? " – with an example for what was not said" : ""}${unread}`;
}
