import { choice, defineFamily } from "./family";
import { from, guess, pct, saltTarget, step } from "./write";

/** Duxelles: mushrooms and shallot cooked dry. */
export const duxelles = defineFamily({
  id: "duxelles",
  name: "Duxelles",
  group: "components",
  method: "Sweat shallot, add chopped mushrooms, cook until it hisses, finish with a spoon of wine, season.",
  servedAs: "other",
  portionG: 30,
  overagePct: 5,
  storage: { keepC: 4, days: 3, words: "In the cold, pressed flat." },
  choices: [
    choice(
      "wine",
      "Wine",
      {
        madeira: ["madeira, cooked dry", "sweetness and nuts"],
        none: ["none", "the mushroom alone"],
      },
      "none",
    ),
  ],
  draft: s => ({
    school: s.wine === "none" ? "plain" : "with madeira",
    base: { name: "mushrooms, chopped", massG: 2500 },
    targets: [saltTarget(1.0, 0.1)],
    steps: [
      step("sweat", "shallot", [from("butter", pct(4)), from("shallot", pct(8))], { durationMin: 5 }),
      step("add", "mushrooms", [from("mushroom", pct(100)), guess("lemon-juice", pct(0.5))], {
        durationMin: 3,
      }),
      s.wine === "madeira" && step("add", "madeira", [from("madeira", pct(5))], { durationMin: 1 }),
      step("dry", "dry", [], {
        lossPct: s.wine === "madeira" ? 56 : 54,
        durationMin: 18,
        cue: "a hiss, not a bubble; no liquor when the spoon draws a line",
        why: "Water left here weeps into whatever it fills.",
      }),
      step("season", "season", [from("salt", pct(0.5))]),
    ],
  }),
});
