import { useState } from "react";
import { useLocation } from "react-router";

/**
 * The last answer to a form of this page. The router forgets it as soon as the page is read anew, as news of the kitchen make
 * it do; a refusal, and what was typed for it, stays until the next answer, or until another page is gone to.
 */
export function useKeptReply<T>(answer: T | undefined): T | undefined {
  const { pathname } = useLocation();
  const [kept, keep] = useState({ answer, pathname });
  if (answer !== undefined && answer !== kept.answer) keep({ answer, pathname });
  return answer ?? (kept.pathname === pathname ? kept.answer : undefined);
}
