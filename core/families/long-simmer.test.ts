import { describe, expect, test } from "vitest";
import { updateStep } from "../formula";
import { FAMILIES, familyById, formulaOf, longSimmer, meansLongSimmer } from ".";

describe("C47 each kind of stock knows how long is long enough", () => {
  const fish = familyById("fish-stock");
  if (!fish) throw new Error("no fish stock");
  const usual = formulaOf(fish);
  const simmer = usual.steps.find(s => s.kind === "simmer");
  if (!simmer) throw new Error("it simmers");
  test("fish is at most 40 min; its own template keeps to it", () => {
    expect(fish.simmerAtMostMin).toBe(40);
    expect(longSimmer(usual)).toBeNull();
  });
  test("nine hours ask whether they are meant, and stand once they are", () => {
    const nine = updateStep(usual, simmer.id, { durationMin: 9 * 60 });
    expect(longSimmer(nine)).toMatchObject({ stepId: simmer.id, minutes: 540, atMostMin: 40 });
    expect(longSimmer(meansLongSimmer(nine))).toBeNull();
  });
  test.each(FAMILIES.filter(f => f.simmerAtMostMin).map(f => [f.id, f] as const))(
    "%s keeps to its own limit in every school",
    (_, family) => {
      for (const choice of family.choices)
        for (const school of choice.schools)
          expect(longSimmer(formulaOf(family, { [choice.id]: school.id }))).toBeNull();
    },
  );
});

describe("C165 reasons for those who learn", () => {
  test("every family says why at one step at least", () => {
    const silent = FAMILIES.filter(family => !formulaOf(family).steps.some(step => step.why));
    expect(silent.map(f => f.id)).toEqual([]);
  });
});
