import { useCallback, useEffect, useMemo, useState } from "react";
import {
  REFERENCE_WORLD,
  SUMS,
  type SumWorld,
  besides,
  inOrder,
  readSpoken,
  runSum,
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
    (name: string, said: Readonly<Record<string, unknown>> = {}) => {
      const sum = sumNamed(name);
      if (!sum) return;
      const { asked, more } = inOrder(sum);
      const fields = [...asked, ...more];
      // What was said whole needs no example; what is lacking is filled from it, to be typed over.
      const whole = Object.keys(said).length > 0 && runSum(name, said, world).ok;
      const input = whole ? said : besides(fields, exampleOf(sum.example, world), said);
      const texts = textsOf(fields, input, world);
      setOpen({ name, texts });
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
          const spoken = readSpoken(typed, world);
          if (!spoken || !Object.keys(spoken.input).length) return null;
          const answer = runSum(spoken.sum.name, spoken.input, world);
          return {
            label: answer.ok ? answer.value.sentence : `${spoken.sum.title}: ${typed}`,
            run: () => begin(spoken.sum.name, spoken.input),
          };
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
        run: () => begin(sum.name),
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

/** An example begins in the kitchen's own pots, where it has some. */
function exampleOf(example: Readonly<Record<string, unknown>>, world: SumWorld): Record<string, unknown> {
  const pot = world.vessels.find(v => v.use === "pot") ?? world.vessels[0];
  if (!pot || !("vessel" in example)) return { ...example };
  return { ...example, vessel: { id: pot.id } };
}
