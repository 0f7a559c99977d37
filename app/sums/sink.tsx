import { type ReactNode, createContext, useContext, useEffect, useMemo, useState } from "react";
import type { Answer } from "~/core/sums";

/** Where the answer of a sum can be dropped: the open formula, the run at work. */
export interface Sink {
  readonly label: string;
  readonly take: (sum: { name: string; input: Readonly<Record<string, unknown>>; answer: Answer }) => void;
}

const SinkContext = createContext<{ sink: Sink | null; offer: (sink: Sink | null) => void } | null>(null);

export function SinkProvider({ children }: { children: ReactNode }) {
  const [sink, offer] = useState<Sink | null>(null);
  const value = useMemo(() => ({ sink, offer }), [sink]);
  return <SinkContext value={value}>{children}</SinkContext>;
}

/** Offers a screen as the place an answer goes to, while the screen is open. */
export function useSink(sink: Sink | null): void {
  const offer = useContext(SinkContext)?.offer;
  useEffect(() => {
    offer?.(sink);
    return () => offer?.(null);
  }, [offer, sink]);
}

export const useOpenSink = (): Sink | null => useContext(SinkContext)?.sink ?? null;
