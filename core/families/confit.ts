import { choice, defineFamily } from "./family";
import { from, guess, pct, step } from "./write";

/** Confit: cured, rinsed, cooked under fat. */
export const confit = defineFamily({
  id: "confit",
  name: "Confit",
  group: "components",
  method: "Cure overnight, rinse and dry, cover with fat, hours below the simmer, cool in the fat.",
  servedAs: "other",
  portionG: 180,
  overagePct: 4,
  storage: {
    keepC: 4,
    days: 14,
    words: "Under fat, in the cold; garlic in oil or fat never at room temperature.",
  },
  choices: [
    choice("cure", "Cure", {
      overnight: ["2.5 % salt, 16 h", "seasoned through; rinsed off"],
      short: ["1.2 % salt, 4 h", "lighter; cook it sooner"],
    }),
    choice("fat", "Fat", {
      duck: ["duck fat", "the taste of it"],
      oil: ["neutral oil", "lighter, cheaper; tops up a short jar"],
    }),
  ],
  draft: s => ({
    school: s.cure === "short" ? "short cure" : "overnight cure",
    base: { name: "legs", massG: 4000 },
    steps: [
      step(
        "cure",
        "cure",
        [from("duck-legs", pct(100), "legs"), guess("thyme", pct(0.2)), guess("garlic", pct(0.5))],
        {
          saltPct: s.cure === "short" ? 1.2 : 2.5,
          sugarPct: s.cure === "short" ? 0 : 0.8,
          durationMin: s.cure === "short" ? 240 : 960,
        },
      ),
      step(
        "add",
        "fat",
        [s.fat === "oil" ? from("sunflower-oil", pct(85), "fat") : from("duck-fat", pct(85), "fat")],
        { durationMin: 10, vesselId: undefined, remark: "Covered by a finger of fat." },
      ),
      step("confit", "cook", [], {
        where: "oven",
        fatC: 88,
        durationMin: 240,
        why: "Below the simmer collagen melts and nothing dries.",
      }),
      step("cool", "cool", [], { method: "ice-bath", toC: 5, remark: "In its fat, in shallow trays." }),
    ],
  }),
});
