import { beforeEach, expect, test } from "vitest";
import { keepRecent, readRecent } from "./recent";

const store = (() => {
  let kept = new Map<string, string>();
  return {
    clear: () => (kept = new Map()),
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
  };
})();
beforeEach(() => store.clear());
const one = (n: number) => ({ name: "ice", texts: { fromC: String(n) }, sentence: `${n} g of ice.` });

test("the latest stands first, the same sum only once, a dozen at most", () => {
  for (let n = 0; n < 20; n++) keepRecent(store, one(n));
  keepRecent(store, one(15));
  const kept = readRecent(store);
  expect(kept).toHaveLength(12);
  expect(kept[0]?.sentence).toBe("15 g of ice.");
  expect(kept.filter(r => r.sentence === "15 g of ice.")).toHaveLength(1);
});
test("a spoiled or full storage loses the list, never the page", () => {
  store.setItem("hondaro.sums", "{not json");
  expect(readRecent(store)).toEqual([]);
  const full = {
    getItem: () => null,
    setItem: () => {
      throw new Error("full");
    },
  };
  expect(keepRecent(full, one(1))).toHaveLength(1);
});
