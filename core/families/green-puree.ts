import { choice, defineFamily } from "./family";
import { from, pct, saltTarget, step, toSalt } from "./write";

/** Green purée: blanched, iced, blended cold. */
export const greenPuree = defineFamily({
  id: "green-puree",
  name: "Green purée",
  group: "purées and soups",
  method: "Blanch fast, ice at once, press dry, blend cold, warm only to serve.",
  servedAs: "puree",
  portionG: 70,
  overagePct: 8,
  storage: { keepC: 4, days: 2, words: "Cold and dark; acid only at the plate, it browns the green." },
  choices: [
    choice("fat", "Fat", {
      butter: ["butter", "round; milk"],
      oil: ["oil", "brighter; no milk"],
    }),
  ],
  draft: s => ({
    school: s.fat === "oil" ? "with oil" : "with butter",
    base: { name: "greens", massG: 1800 },
    targets: [saltTarget(0.9)],
    steps: [
      step("blanch", "blanch", [from("peas", pct(100), "greens")], {
        durationMin: 2,
        waterPerG: 6,
        ice: true,
        why: "Heat kills the enzymes that turn green to grey; ice stops the heat.",
      }),
      step(
        "blend",
        "blend",
        [
          from("water", pct(12), "blanching-water"),
          s.fat === "oil" ? from("sunflower-oil", pct(6), "fat") : from("butter", pct(8), "fat"),
        ],
        { tool: "jar blender", durationMin: 3, remark: "Blend cold." },
      ),
      step("pass", "pass", [], { yieldPct: 90 }),
      step("season", "season", [from("salt", toSalt(0.9))]),
    ],
  }),
});
