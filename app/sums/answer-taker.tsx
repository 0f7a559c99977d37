import { type ReactNode, createContext, useContext, useEffect, useMemo, useState } from "react";
import type { Answer } from "~/core/sums";

/** Where the answer of a sum can be dropped: the open formula, the run at work. */
export interface AnswerTaker {
  readonly label: string;
  readonly take: (sum: { name: string; input: Readonly<Record<string, unknown>>; answer: Answer }) => void;
}

const TakerContext = createContext<{
  taker: AnswerTaker | null;
  offer: (taker: AnswerTaker | null) => void;
} | null>(null);

export function AnswerTakerProvider({ children }: { children: ReactNode }) {
  const [taker, offer] = useState<AnswerTaker | null>(null);
  const value = useMemo(() => ({ taker, offer }), [taker]);
  return <TakerContext value={value}>{children}</TakerContext>;
}

/** Offers a screen as the place an answer goes to, while the screen is open. */
export function useAnswerTaker(taker: AnswerTaker | null): void {
  const offer = useContext(TakerContext)?.offer;
  useEffect(() => {
    offer?.(taker);
    return () => offer?.(null);
  }, [offer, taker]);
}

export const useOpenTaker = (): AnswerTaker | null => useContext(TakerContext)?.taker ?? null;
