import type { Cause } from "~/data";

/** What was said of one figure, by run. */
export const causesFor = (causes: readonly Cause[], figure: string): Record<string, string> =>
  Object.fromEntries(causes.filter(c => c.figure === figure).map(c => [c.runId, c.words]));
