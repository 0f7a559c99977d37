import clsx from "clsx";
import { Dialog } from "radix-ui";
import { type ReactNode, type Ref, createContext, useContext, useMemo, useState } from "react";
import type { Askable, Explanation } from "~/core/formula";
import { BASIS_WORDS } from "../text/format";

const AskContext = createContext<(asked: Askable) => void>(() => undefined);

/** Makes the numbers below it askable: a tap takes a number apart, and its inputs in turn. */
export function AskProvider({
  explain,
  intervalOf,
  children,
}: {
  explain: (asked: Askable) => Explanation | null;
  intervalOf?: (asked: Askable) => string;
  children: ReactNode;
}) {
  const [trail, setTrail] = useState<readonly Askable[]>([]);
  const ask = useMemo(() => (asked: Askable) => setTrail([asked]), []);
  const asked = trail.at(-1);
  const explanation = asked ? explain(asked) : null;
  const interval = asked && intervalOf ? intervalOf(asked) : "";
  return (
    <AskContext value={ask}>
      {children}
      <Dialog.Root open={explanation !== null} onOpenChange={open => !open && setTrail([])}>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/25" />
          <Dialog.Content
            className="fixed inset-y-0 right-0 z-50 w-[min(27rem,100vw)] overflow-y-auto border-l border-rule bg-paper p-6 text-ink shadow-2xl"
            aria-describedby={undefined}
          >
            {explanation && (
              <>
                {trail.length > 1 && (
                  <button
                    type="button"
                    className="mb-3 text-sm text-copper underline underline-offset-4"
                    onClick={() => setTrail(trail.slice(0, -1))}
                  >
                    ← back to the number before
                  </button>
                )}
                <Dialog.Title className="text-sm text-faded">{explanation.title}</Dialog.Title>
                <p className="mt-1 font-display text-4xl font-semibold">{explanation.value}</p>
                {interval && <p className="text-lg text-faded">{interval} · 90 of 100 times</p>}
                <h3 className="mt-6 text-sm text-faded">Rule</h3>
                <p className="mt-1">{explanation.rule}</p>
                {explanation.symbols && (
                  <p className="mt-2 rounded-md bg-linen px-3 py-2 text-sm">{explanation.symbols}</p>
                )}
                <h3 className="mt-6 text-sm text-faded">What entered</h3>
                <ul className="mt-1 divide-y divide-rule border-y border-rule">
                  {explanation.inputs.map((input, index) => (
                    <li key={index} className="py-2.5">
                      <div className="flex items-baseline justify-between gap-4">
                        <span>{input.label}</span>
                        {input.then ? (
                          <button
                            type="button"
                            className="askable font-semibold whitespace-nowrap"
                            onClick={() => input.then && setTrail([...trail, input.then])}
                          >
                            {input.value}
                          </button>
                        ) : (
                          <span className="font-semibold whitespace-nowrap">{input.value}</span>
                        )}
                      </div>
                      <p className="text-xs text-faded">
                        {BASIS_WORDS[input.basis]}
                        {input.source !== BASIS_WORDS[input.basis] && ` · ${input.source}`}
                        {input.range && ` · ${input.range}`}
                      </p>
                    </li>
                  ))}
                </ul>
                <h3 className="mt-6 text-sm text-faded">What would sharpen it</h3>
                <p className="mt-1">{explanation.sharpen}</p>
                <Dialog.Close className="mt-8 rounded-lg border border-ink bg-enamel px-4 py-2 font-semibold">
                  Close
                </Dialog.Close>
              </>
            )}
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
    </AskContext>
  );
}

/** How a number that can be asked is called. */
export const askLabel = (label: string): string => `${label}: take this number apart`;

/** A number that can be asked. */
export function Ask({
  of: asked,
  label,
  className,
  ref,
  children,
}: {
  of: Askable;
  label: string;
  className?: string;
  ref?: Ref<HTMLButtonElement>;
  children: ReactNode;
}) {
  const ask = useContext(AskContext);
  return (
    <button
      ref={ref}
      type="button"
      className={clsx("askable", className)}
      aria-label={askLabel(label)}
      onClick={event => {
        event.stopPropagation();
        ask(asked);
      }}
    >
      {children}
    </button>
  );
}
