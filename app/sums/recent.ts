/** Sums worked out on this device, the latest first. */
export interface RecentSum {
  readonly name: string;
  readonly texts: Readonly<Record<string, string>>;
  readonly sentence: string;
  readonly at: number;
}

const KEY = "hondaro.sums";
const MOST = 12;

export function readRecent(storage: Pick<Storage, "getItem">): RecentSum[] {
  try {
    const kept: unknown = JSON.parse(storage.getItem(KEY) ?? "[]");
    return Array.isArray(kept) ? (kept as RecentSum[]).filter(r => typeof r.name === "string") : [];
  } catch {
    return [];
  }
}

/** Keeps a sum; the same sum with the same figures moves to the front. */
export function keepRecent(
  storage: Pick<Storage, "getItem" | "setItem">,
  sum: Omit<RecentSum, "at">,
): RecentSum[] {
  const one: RecentSum = { ...sum, at: Date.now() };
  const same = (r: RecentSum) => r.name === one.name && r.sentence === one.sentence;
  const all = [one, ...readRecent(storage).filter(r => !same(r))].slice(0, MOST);
  try {
    storage.setItem(KEY, JSON.stringify(all));
  } catch {
    // A full or forbidden storage loses the list, not the sum.
  }
  return all;
}
