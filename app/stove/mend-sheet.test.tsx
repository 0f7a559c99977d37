import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import { openKitchen, servedAtC, walk } from "~/core/formula";
import { EMPTY_POT, type PotState } from "~/core/things/pot";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { demo, words } from "../bench/panels/testing";
import { MendSheet } from "./mend-sheet";

const kitchen = openKitchen(DEMO_KITCHEN);
const made = (id: string): { pot: PotState; servedC: number } => {
  const last = walk(demo(id), kitchen).states.at(-1);
  if (!last) throw new Error(`${id} has no steps.`);
  return { pot: last.pot, servedC: servedAtC(demo(id)) };
};
const sheet = (pot: PotState, servedC: number, foreseen?: PotState) => {
  render(
    <MendSheet
      pot={pot}
      foreseen={foreseen}
      servedC={servedC}
      facts={kitchen.facts}
      ingredients={kitchen.data.ingredients}
      onDone={() => {}}
      className=""
    />,
  );
  return screen.getByRole<HTMLButtonElement>("button", { name: "mend" });
};
const complain = async (words: string) => userEvent.click(screen.getByRole("button", { name: words }));
const wish = () => screen.getByRole<HTMLInputElement>("textbox").value;

test("an empty pot has nothing to mend; what the step makes can be, before anything is in", async () => {
  expect(sheet(EMPTY_POT, 60).disabled).toBe(true);
  cleanup();
  const { pot, servedC } = made("smoked-trout-veloute");
  const mend = sheet(EMPTY_POT, servedC, pot);
  expect(mend.disabled).toBe(false);
  fireEvent.click(mend);
  expect(screen.getByRole("dialog", { name: "What is wrong with it?" })).toBeTruthy();
  await userEvent.click(screen.getByRole("button", { name: "Back to the pot" }));
  expect(screen.queryByRole("dialog")).toBeNull();
});
test("a wish begins on the side that was complained of", async () => {
  const { pot, servedC } = made("walnut-oil-mayonnaise");
  fireEvent.click(sheet(pot, servedC));
  await complain("too thin");
  const [thicker, now] = [Number(wish()), Number(/now (\d+)/.exec(words(screen.getByRole("dialog")))?.[1])];
  expect(thicker).toBeGreaterThan(now);
  await complain("too thick");
  expect(Number(wish())).toBeLessThan(now);
});
test("a mayonnaise is mended as one: oil and water by the spoon, no flour and no stock", async () => {
  const { pot, servedC } = made("walnut-oil-mayonnaise");
  fireEvent.click(sheet(pot, servedC));
  await complain("too thick");
  const dialog = words(screen.getByRole("dialog"));
  expect(dialog).toMatch(/water, by the spoon\+[\d.]+ g/);
  expect(dialog).not.toMatch(/stock|flour|starch/);
  await complain("split");
  expect(words(screen.getByRole("dialog"))).toMatch(/onto a spoon of water.*brings egg/);
});
test("a velouté is mended as a sauce", async () => {
  const { pot, servedC } = made("smoked-trout-veloute");
  fireEvent.click(sheet(pot, servedC));
  await complain("too thin");
  expect(words(screen.getByRole("dialog"))).toMatch(/corn starch slurry.*beurre manié.*boil it down/);
});
