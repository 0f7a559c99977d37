/** Whether what this page shows was kept on the tablet, because nobody could be reached. */

const KEPT = "X-Hondaro-Kept";

let data = false;

/** What is shown is what was kept: its times are not of now. */
export const isKept = (): boolean =>
  data || (typeof document !== "undefined" && document.documentElement.dataset.kept === "true");

/** Looks at an answer on its way to the page. */
export function lookAtAnswer(response: Response): void {
  const kept = response.headers.get(KEPT);
  data = kept === "data";
  if (kept === null && response.ok) delete document.documentElement.dataset.kept;
}

/** Only the page as a whole is kept, not what the router asks for. */
export const isPageOnly = (response: Response): boolean => response.headers.get(KEPT) === "page-only";
