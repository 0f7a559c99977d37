import { describe, expect, test } from "vitest";
import { readAt } from "./at-the-desk";
import { negationsApart } from "./negations";

describe("what is told off is kept as it was said, and never read as an order", () => {
  test.each([
    ["Sweat the shallots until soft, no colour", "Sweat the shallots until soft", ["no colour"]],
    ["Do not boil", "", ["Do not boil"]],
    [
      "You don’t strain it, there is nothing to strain",
      "there is",
      ["You don’t strain it", "nothing to strain"],
    ],
    [
      "Warm it, don't boil it with half a cup of cream",
      "Warm it, with half a cup of cream",
      ["don't boil it"],
    ],
    ["Simmer 20 minutes, never stirring", "Simmer 20 minutes", ["never stirring"]],
    ["Cook until it is no longer raw", "Cook until it is no longer raw", []],
    ["Don't forget to add 20 g butter", "Don't forget to add 20 g butter", []],
    ["Reduce by half", "Reduce by half", []],
  ])("%s", (said, rest, nots) => {
    expect(negationsApart(said)).toEqual({ rest, nots });
  });

  test("it stands on the step before it, and puts nothing in and cooks nothing", () => {
    const { pieces, unread } = readAt(
      "Sweat 100 g shallots in 20 g butter, without colouring. Add 1 l bought white stock. Do not strain. No salt.",
      0,
    );
    expect(pieces.map(piece => piece.kind)).toEqual(["sweat", "add"]);
    expect(unread).toEqual([]);
    expect(pieces.flatMap(piece => piece.lines.map(line => line.name))).not.toContain("fine salt");
  });
  test("a time and a temperature alone are a simmer, or the heat of an oven", () => {
    const [, held, roasted] = readAt(
      "Add 2 kg veal bones and 4 l water. 8 h at 90 °C, never boil. 40 min at 200 °C.",
      0,
    ).pieces;
    expect(held).toMatchObject({ kind: "simmer", end: { minutes: 480, holdC: 90 } });
    expect(roasted?.kind).toBe("roast");
  });
});
