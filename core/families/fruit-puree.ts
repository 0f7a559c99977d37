import { choice, defineFamily } from "./family";
import { from, guess, pct, step } from "./write";

/** Fruit purée for sauces. */
export const fruitPuree = defineFamily({
  id: "fruit-puree",
  name: "Fruit purée",
  group: "purées and soups",
  method: "Cook the fruit covered until it falls, blend, pass, sweeten or sharpen to the strength wanted.",
  servedAs: "other",
  portionG: 40,
  overagePct: 5,
  storage: { keepC: 4, days: 3, words: "In the cold, or frozen flat." },
  choices: [
    choice("sugar", "Sugar", {
      none: ["none", "for savoury sauces"],
      little: ["to 16 °Bx", "rounds a sour fruit"],
    }),
  ],
  draft: (s, k) => ({
    school: s.sugar === "none" ? "unsweetened" : "to 16 °Bx",
    base: { name: "fruit, cored", massG: 2000 },
    steps: [
      step(
        "add",
        "fruit",
        [from("apple", pct(100), "fruit"), from("water", pct(12)), guess("lemon-juice", pct(0.8))],
        { durationMin: 4 },
      ),
      step("simmer", "cook", [], {
        holdC: Math.round(k.boilsC - 3),
        durationMin: 15,
        lid: "on",
        why: "Lid on: the fruit softens in its own water and keeps its perfume.",
      }),
      step("blend", "blend", [], { tool: "stick blender", durationMin: 3 }),
      step("pass", "pass", [], { yieldPct: 93 }),
      s.sugar === "little" &&
        step("season", "sweeten", [{ ...from("sugar", { kind: "to-reach", what: "brix", value: 16 }) }]),
    ],
  }),
});
