import { useState } from "react";

/**
 * The last answer to a form of this page. The router forgets it as soon as the page is read anew, as news of the kitchen make
 * it do; a refusal, and what was typed for it, stays until the next answer.
 */
export function useKeptReply<T>(answer: T | undefined): T | undefined {
  const [kept, keep] = useState(answer);
  if (answer !== undefined && answer !== kept) keep(answer);
  return answer ?? kept;
}
