import { describe, expect, test } from "vitest";
import { usualKitchen } from "../formula";
import { readOut } from ".";

const KITCHEN = usualKitchen();

/** What is done in which pan, in short: "reduce", "small pan: reduce", "bring small pan", "lift → second pan". */
function told(text: string) {
  const read = readOut(text, KITCHEN);
  const steps = (read.document?.steps ?? []).map(step => {
    const to = step.kind === "lift" && step.to ? ` → ${step.to}` : "";
    const from = step.kind === "bring" ? ` ${step.from}` : "";
    return `${step.pan ? `${step.pan}: ` : ""}${step.kind}${to}${from}`;
  });
  return { ...read, steps };
}

describe("what is done in another pan is done there, and comes back where it is said", () => {
  const cases: readonly (readonly [text: string, steps: readonly string[]])[] = [
    [
      "Bring 1 l chicken stock to the boil and reduce by half. In a second pan, sweat 50 g shallots in 20 g butter, add 300 g mushrooms and cook until dry. Add the mushrooms to the stock and simmer 10 minutes.",
      ["reduce", "second pan: sweat", "second pan: dry", "bring second pan", "simmer"],
    ],
    [
      "Sweat 60 g shallots in 20 g butter. Add 1 l chicken stock and reduce by a third. Meanwhile reduce 400 ml cream by half in a small pan. Pour the cream into the sauce.",
      ["sweat", "add", "reduce", "small pan: reduce", "bring small pan"],
    ],
    [
      "Poach 500 g mushrooms in 300 ml chicken stock for 10 minutes. Lift the mushrooms out into a dry pan, fry until brown in 30 g butter. Reduce the stock by half. Return the mushrooms to the stock.",
      ["poach", "lift → second pan", "second pan: brown", "reduce", "bring second pan"],
    ],
    [
      "Sweat 100 g onion in 20 g butter, add 1 l chicken stock, simmer 20 minutes. In another pan reduce 200 ml port by half, then whisk the two together.",
      ["sweat", "add", "simmer", "second pan: reduce", "bring second pan"],
    ],
    [
      "Brown 1 kg chicken wings in 30 g oil. In another pan, soften 100 g onions in 20 g butter. Add the chicken and 2 l water and simmer 1 hour.",
      ["first pot: brown", "sweat", "bring first pot", "add", "simmer"],
    ],
    [
      "Heat 1 l milk. In another pan make a roux with 40 g butter and 40 g flour. Pour the milk onto the roux and simmer 20 minutes.",
      ["add", "thicken", "simmer"],
    ],
    ["Strain 1 l chicken stock into a clean pan and reduce by half.", ["add", "strain", "reduce"]],
  ];
  test.each(cases)("%s", (text, steps) => {
    const read = told(text);
    expect(read.steps).toEqual(steps);
    expect(read.walk?.problems).toEqual([]);
  });

  test("what nobody says comes back is brought in last, and asked", () => {
    const read = told(
      "Simmer 1 l fish stock 10 minutes. In a frying pan cook 200 g mushrooms in 20 g butter.",
    );
    expect(read.steps).toEqual(["simmer", "frying pan: sweat", "bring frying pan"]);
    expect(read.pieces.at(-1)?.questions.join()).toMatch(/frying pan come to the rest\? Taken: at the end/);
    expect(read.pieces.at(-1)?.clear).toBe(false);
  });
});

describe("no measured thing is lost", () => {
  test("“300 ml stock” goes in, and which stock it is gets asked", () => {
    const [piece] = readOut("Simmer 500 g mushrooms in 300 ml stock for 10 minutes.", KITCHEN).pieces;
    expect(piece?.lines.map(l => [l.name, l.known])).toContainEqual(["stock", false]);
    expect(piece?.doubts.join()).toContain("300 ml of “stock”");
  });
  test("half of it now, the other half later, counted once", () => {
    const { pieces } = readOut(
      "Cook 20 g of the 40 g butter with 10 g capers. Add 100 ml white wine, reduce by half. The other half of the butter cold, swirl it in.",
      KITCHEN,
    );
    const butter = pieces.flatMap(p => p.lines).filter(l => /butter/.test(l.name));
    expect(butter.map(l => Math.round(l.massG ?? NaN))).toEqual([20, 20]);
    expect(pieces.at(-1)?.step).toBe("mount");
  });
  test("“to a syrup” is an end", () => {
    const [piece] = readOut("Reduce 200 ml port to a thick syrup.", KITCHEN).pieces;
    expect(piece?.lines.map(l => l.name)).toHaveLength(1);
    expect(piece?.end.body).toBeGreaterThan(35);
  });
});
