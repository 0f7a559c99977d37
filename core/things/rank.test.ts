import { expect, test } from "vitest";
import { RANKS, RIGHTS, may, refusedWords } from "./rank";

test.each([
  ["chef", "read log edit cost approve people"],
  ["cook", "read log edit cost"],
  ["trainee", "read log"],
  ["viewer", "read"],
] as const)("a %s may: %s", (rank, rights) =>
  expect(RIGHTS.filter(right => may({ rank }, right)).join(" ")).toBe(rights),
);

test("a higher rank may all that a lower may", () => {
  for (const [i, rank] of RANKS.entries())
    for (const lower of RANKS.slice(i + 1))
      for (const right of RIGHTS) if (may({ rank: lower }, right)) expect(may({ rank }, right)).toBe(true);
});

test("each refusal is a sentence", () => {
  for (const right of RIGHTS) expect(refusedWords(right)).toMatch(/^[A-Z].*\.$/);
});
