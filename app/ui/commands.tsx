import { Command } from "cmdk";
import { Dialog } from "radix-ui";
import {
  type ReactNode,
  createContext,
  useCallback,
  useContext,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from "react";
import { createKeybindingsHandler } from "tinykeys";

/** Something a screen can do: in the palette, by its key, and on the page of keys. */
export interface ScreenCommand {
  readonly id: string;
  readonly label: string;
  readonly group: string;
  /** In tinykeys' notation, such as `u` or `$mod+z`. */
  readonly keys?: string;
  /** How the key is shown. */
  readonly shown?: string;
  /** Without it the entry only explains a key of the screen. */
  readonly run?: () => void;
  /** A line under the label, and words that find it besides the label. */
  readonly detail?: string;
  readonly words?: string;
  /** Makes an entry out of what was typed: something said in one line. */
  readonly from?: (typed: string) => { readonly label: string; readonly run: () => void } | null;
}

interface Commands {
  readonly register: (commands: readonly ScreenCommand[]) => () => void;
  readonly openPalette: () => void;
}

const CommandsContext = createContext<Commands | null>(null);

const typing = (event: Event): boolean => {
  const target = event.target;
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
};

/** Enter on a button or a link presses that, whatever else Enter does on the screen. */
const presses = (event: Event, keys: string): boolean =>
  keys === "Enter" &&
  event.target instanceof Element &&
  event.target.closest("button, a, summary, [role=button]") !== null;

/** Puts a screen's commands into the palette, the keyboard and the page of keys while the screen is open. */
export function useCommands(commands: readonly ScreenCommand[]): void {
  const context = useContext(CommandsContext);
  // A key pressed right after a change must meet the screen as it is now, not as it was registered.
  const latest = useRef(commands);
  useLayoutEffect(() => {
    latest.current = commands;
  }, [commands]);
  useEffect(
    () =>
      context?.register(
        commands.map(command => ({
          ...command,
          ...(command.run && { run: () => latest.current.find(c => c.id === command.id)?.run?.() }),
          ...(command.from && {
            from: (typed: string) => latest.current.find(c => c.id === command.id)?.from?.(typed) ?? null,
          }),
        })),
      ),
    [context, commands],
  );
}

export function usePalette(): () => void {
  const context = useContext(CommandsContext);
  return context?.openPalette ?? (() => {});
}

type Open = "palette" | "keys" | null;

export function CommandProvider({ children }: { children: ReactNode }) {
  const [lists, setLists] = useState<readonly (readonly ScreenCommand[])[]>([]);
  const [open, setOpen] = useState<Open>(null);
  const register = useCallback((commands: readonly ScreenCommand[]) => {
    setLists(all => [...all, commands]);
    return () => setLists(all => all.filter(list => list !== commands));
  }, []);
  const context = useMemo(() => ({ register, openPalette: () => setOpen("palette") }), [register]);
  const commands = useMemo(() => lists.flat(), [lists]);

  useEffect(() => {
    const bindings: Record<string, (event: KeyboardEvent) => void> = {
      "$mod+k": event => {
        event.preventDefault();
        setOpen(now => (now === "palette" ? null : "palette"));
      },
      "Shift+?": event => {
        if (!typing(event)) setOpen("keys");
      },
    };
    for (const command of commands)
      if (command.keys && command.run)
        bindings[command.keys] = event => {
          if (presses(event, command.keys ?? "")) return;
          // Undo belongs to the field while somebody types in it; single letters belong to the text.
          if (typing(event) || document.querySelector("[role=dialog]")) return;
          event.preventDefault();
          command.run?.();
        };
    const press = createKeybindingsHandler(bindings);
    // A letter typed into a field is nobody's command: not looked up at all, for it has a line to draw.
    const keydown = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || !typing(event)) press(event);
    };
    window.addEventListener("keydown", keydown);
    return () => window.removeEventListener("keydown", keydown);
  }, [commands]);

  return (
    <CommandsContext value={context}>
      {children}
      <Palette commands={commands} open={open === "palette"} onClose={() => setOpen(null)} />
      <KeysPage commands={commands} open={open === "keys"} onClose={() => setOpen(null)} />
    </CommandsContext>
  );
}

const overlay = "fixed inset-0 z-40 bg-ink/40 no-print";
const panel =
  "fixed left-1/2 z-50 w-[min(36rem,calc(100vw-2rem))] -translate-x-1/2 rounded-xl border border-rule bg-enamel text-ink shadow-2xl no-print";

function Palette({
  commands,
  open,
  onClose,
}: {
  commands: readonly ScreenCommand[];
  open: boolean;
  onClose: () => void;
}) {
  const groups = [...new Set(commands.filter(c => c.run).map(c => c.group))];
  const [typed, setTyped] = useState("");
  const said = typed.trim() ? commands.flatMap(c => c.from?.(typed) ?? []) : [];
  const close = () => {
    setTyped("");
    onClose();
  };
  return (
    <Dialog.Root open={open} onOpenChange={next => !next && close()}>
      <Dialog.Portal>
        <Dialog.Overlay className={overlay} />
        <Dialog.Content className={`${panel} top-[12vh] overflow-hidden`} aria-describedby={undefined}>
          <Dialog.Title className="sr-only">Go to, or do</Dialog.Title>
          <Command label="Go to, or do" loop>
            <Command.Input
              value={typed}
              onValueChange={setTyped}
              placeholder="Go to, do, or work out: ice 8 l 85 to 20 …"
              className="w-full border-b border-rule px-5 py-4 text-lg outline-none"
            />
            <Command.List className="max-h-[50vh] overflow-y-auto p-2">
              <Command.Empty className="px-3 py-6 text-faded">
                Nothing of that name. Try a formula, a step, or a section.
              </Command.Empty>
              {said.map(one => (
                <Command.Item
                  key={one.label}
                  value={`${typed} ${one.label}`}
                  onSelect={() => {
                    close();
                    one.run();
                  }}
                  className="flex cursor-pointer items-center rounded-md px-3 py-2.5 font-semibold aria-selected:bg-linen"
                >
                  {one.label}
                </Command.Item>
              ))}
              {groups.map(group => (
                <Command.Group
                  key={group}
                  heading={group}
                  className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-3 [&_[cmdk-group-heading]]:pb-1 [&_[cmdk-group-heading]]:text-xs [&_[cmdk-group-heading]]:text-faded"
                >
                  {commands
                    .filter(c => c.group === group && c.run)
                    .map(command => (
                      <Command.Item
                        key={command.id}
                        value={`${group} ${command.label} ${command.words ?? ""}`}
                        onSelect={() => {
                          close();
                          command.run?.();
                        }}
                        className="flex cursor-pointer items-center justify-between gap-4 rounded-md px-3 py-2 aria-selected:bg-linen"
                      >
                        <span>
                          {command.label}
                          {command.detail && (
                            <span className="block text-sm text-faded">{command.detail}</span>
                          )}
                        </span>
                        {command.shown && <Key>{command.shown}</Key>}
                      </Command.Item>
                    ))}
                </Command.Group>
              ))}
            </Command.List>
          </Command>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function KeysPage({
  commands,
  open,
  onClose,
}: {
  commands: readonly ScreenCommand[];
  open: boolean;
  onClose: () => void;
}) {
  const keyed = commands.filter(c => c.shown);
  return (
    <Dialog.Root open={open} onOpenChange={next => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className={overlay} />
        <Dialog.Content
          className={`${panel} top-[10vh] max-h-[80vh] overflow-y-auto p-6`}
          aria-describedby={undefined}
        >
          <Dialog.Title className="font-display text-xl font-semibold">Keys of this screen</Dialog.Title>
          <dl className="mt-4 grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
            <dt>
              <Key>Ctrl K</Key>
            </dt>
            <dd>go to, or do anything by name</dd>
            <dt>
              <Key>?</Key>
            </dt>
            <dd>this page</dd>
            {keyed.map(command => (
              <div key={command.id} className="contents">
                <dt>
                  <Key>{command.shown}</Key>
                </dt>
                <dd>{command.label}</dd>
              </div>
            ))}
            <dt>
              <Key>Esc</Key>
            </dt>
            <dd>close what is open</dd>
          </dl>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

export function Key({ children }: { children: ReactNode }) {
  return (
    <kbd className="rounded border border-rule bg-paper px-1.5 py-0.5 font-sans text-xs whitespace-nowrap text-ink">
      {children}
    </kbd>
  );
}
