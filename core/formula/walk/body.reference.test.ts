import { describe, expect, test } from "vitest";
import { degC } from "../../ground/quantity";
import { bodyOnSpoon, readAtC } from "../../laws/texture";
import { sauceOf } from "../steps/as-sauce";
import { after, kitchen, lines, potOf } from "../steps/testing";
import { bodyAcross, bodyOfPot } from "./body";

const body = (pot: Parameters<typeof bodyOfPot>[0], atC: number) =>
  bodyOfPot(pot, atC, kitchen.facts)?.thickness ?? NaN;

/** Bands of docs/models.md “As cooks see it”: common practice, no source. */
describe("milk that stands, fat that sets, films that cool", () => {
  test.each([
    ["crème fraîche out of the fridge holds on a spoon", potOf(["creme-fraiche", 200]), 8, 65, 88],
    ["yogurt, stirred, out of the fridge", potOf(["yogurt", 200]), 8, 50, 72],
    [
      "stock finished with two fifths crème fraîche",
      potOf(["bought-white-stock", 300], ["creme-fraiche", 200]),
      60,
      16,
      32,
    ],
    [
      "stock finished with a quarter fresh cheese",
      potOf(["bought-white-stock", 450], ["fresh-cheese", 150]),
      60,
      25,
      45,
    ],
  ])("%s", (_what, pot, atC, from, to) => {
    expect(body(pot, atC)).toBeGreaterThan(from);
    expect(body(pot, atC)).toBeLessThan(to);
  });

  const hotMilk = { ...potOf(["milk", 1000], ["wheat-flour", 60], ["butter", 60]), temperatureC: degC(75) };
  const cheese = lines(["hard-cheese", 120]);
  test("cheese melts into a sauce that is hot enough and binds it; in a cold one it stays in pieces", () => {
    const white = after("simmer", { durationMin: 20 }, { pot: hotMilk, vessel: kitchen.vessels[0] ?? null });
    const melted = after("add", {}, { pot: { ...white.pot, temperatureC: degC(75) }, lines: cheese });
    expect(melted.pot.solids).toHaveLength(0);
    const gain = body(melted.pot, 60) - body(white.pot, 60);
    expect(gain).toBeGreaterThan(5);
    expect(gain).toBeLessThan(16);
    const cold = after("add", {}, { pot: { ...hotMilk, temperatureC: degC(20) }, lines: cheese });
    expect(cold.pot.solids.map(part => part.name)).toEqual(["mountain cheese"]);
  });

  test("butter beaten into a little liquor is cut, not poured, once it has stood in the cold; oil is not", () => {
    const beaten = (fat: string) =>
      after(
        "emulsify",
        { tool: "whisk" },
        { pot: potOf(["egg-yolk", 60], ["water", 40]), lines: lines([fat, 250]) },
      ).pot;
    const chilled = (fat: string) => body({ ...beaten(fat), temperatureC: degC(8) }, 8);
    expect(chilled("clarified-butter")).toBeGreaterThan(90);
    expect(chilled("sunflower-oil")).toBeLessThan(80);
  });
  test("the butter of a roux leaves a velouté as it is in the cold", () => {
    const pot = after(
      "simmer",
      { durationMin: 20 },
      { pot: hotMilk, vessel: kitchen.vessels[0] ?? null },
    ).pot;
    const known = bodyOfPot(pot, 60, kitchen.facts);
    const cold = known && bodyAcross(pot, known, kitchen.facts).find(a => a.words === "cold");
    expect(cold?.thickness).toBeLessThan(75);
  });

  test("a jus full of gelatin is read by its film, as cool as the spoon; a thin one as it is", () => {
    const jus = (leaves: number) =>
      sauceOf(potOf(["bought-white-stock", 300], ["gelatin-leaf", leaves]), kitchen.facts);
    const thick = { state: jus(30), facts: kitchen.facts };
    expect(readAtC("coat", 75, thick)).toBe(45);
    expect(readAtC("line", 75, thick)).toBe(75);
    expect(readAtC("coat", 75, { ...thick, state: jus(2) })).toBe(75);
    expect(bodyOnSpoon(thick.state, 60, kitchen.facts)).toBeGreaterThan(
      bodyOnSpoon(thick.state, 45.1, kitchen.facts) - 0.5,
    );
  });
});
