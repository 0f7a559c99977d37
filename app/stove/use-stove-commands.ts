import { useMemo } from "react";
import { type ScreenCommand, useCommands } from "../ui/commands";
import type { StovePanel } from "./stove-buttons";

/** What is opened with one key, and how the palette calls it. */
const OPENED: readonly (readonly [panel: StovePanel, key: string, label: string])[] = [
  ["dip", "d", "dip the stick"],
  ["probe", "p", "probe"],
  ["jug", "j", "jug"],
  ["put in", "i", "put something in"],
  ["move", "m", "move it, lid, flame"],
  ["taste", "t", "taste"],
  ["timer", "c", "set a timer"],
  ["note", "n", "note"],
];

const GROUP = "This pot";

/** Everything that is logged at the Stove, by its key and by its name; nothing of it once the pot is at its end. */
export function useStoveCommands(
  on: boolean,
  {
    weigh,
    open,
    allReady,
    next,
    undo,
  }: {
    /** Whether the pot is light enough for the scales here. */
    readonly weigh: boolean;
    readonly open: (panel: StovePanel) => void;
    readonly allReady: () => void;
    readonly next: () => void;
    readonly undo: () => void;
  },
): void {
  const commands = useMemo<ScreenCommand[]>(() => {
    if (!on) return [];
    const command = (
      id: string,
      keys: string,
      label: string,
      run: () => void,
      shown = keys,
    ): ScreenCommand => ({
      id,
      label,
      group: GROUP,
      keys,
      shown,
      run,
    });
    return [
      weigh
        ? command("weigh", "r", "log a reading: weigh", () => open("weigh"))
        : command("weigh", "r", "log a reading: dip, the pot is too heavy", () => open("dip")),
      ...OPENED.map(([panel, key, label]) => command(panel, key, label, () => open(panel))),
      command("ready", "e", "everything stands ready", allReady),
      command("next", "Enter", "begin, or it is there", next),
      command("undo", "$mod+z", "undo the last reading", undo, "Ctrl Z"),
      { id: "give-up", label: "give this pot up", group: GROUP, run: () => open("give up") },
    ];
  }, [allReady, next, on, open, undo, weigh]);
  useCommands(commands);
}
