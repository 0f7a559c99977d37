import { expect, test } from "@playwright/test";
import { withApplication } from "../cli/throw-away.mjs";
import { STOCK_ID } from "../demo/formulas";
import { attack, broke, inWords } from "../speed/faults/attack";
import { killRounds } from "../speed/faults/kill-rounds";

// In a kitchen of their own: what is sent here would stand in everybody else's way.

test("some hundred hostile inputs: every one is answered, and none breaks anything", async () => {
  const broken = await withApplication(async ({ HONDARO_URL }) => {
    const answered = await attack(HONDARO_URL, { seed: 20261129, count: 500, formulaId: STOCK_ID });
    expect(answered).toHaveLength(500);
    return answered.filter(broke).map(inWords);
  });
  expect(broken).toEqual([]);
});

test("server, database and starter are killed while readings come in: none is lost, none is doubled", async () => {
  const counted = await killRounds(3, STOCK_ID);
  expect(counted.acknowledged).toBeGreaterThan(10);
  expect(counted).toMatchObject({
    rounds: 3,
    killed: { server: 1, database: 1, starter: 1 },
    lost: 0,
    doubled: 0,
    brokenPages: 0,
  });
});
