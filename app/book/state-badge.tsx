import type { SignedState } from "~/data";

const LOOK = {
  draft: "border-rule text-faded",
  trial: "border-saffron bg-saffron-wash text-ink",
  standard: "border-ink bg-ink font-bold text-enamel",
  retired: "border-rule text-faded line-through",
} as const;

/** What a version is, in one word. */
export function StateBadge({ state }: { state: "draft" | SignedState }) {
  return <span className={`rounded-full border px-2.5 py-0.5 text-sm ${LOOK[state]}`}>{state}</span>;
}
