import { choice, defineFamily } from "./family";
import { from, pct, step } from "./write";

/** Rendered fat from trim. */
export const renderedFat = defineFamily({
  id: "rendered-fat",
  name: "Rendered fat",
  group: "components",
  method: "Melt skin and trim low with a spoon of water until the fat stands clear, strain, chill.",
  servedAs: "other",
  portionG: 20,
  overagePct: 0,
  storage: { keepC: 4, days: 30, words: "Water-free and strained; labelled salted or cured if it is." },
  choices: [
    choice("trim", "Trim", {
      duck: ["duck skin and trim", "for confit and frying"],
      bacon: ["bacon ends", "smoked and salty: say so on the jar"],
    }),
  ],
  draft: s => ({
    school: s.trim === "bacon" ? "smoked" : "plain",
    base: { name: "trim", massG: 5000 },
    steps: [
      step("render", "render", [from(s.trim === "bacon" ? "bacon" : "duck-skin", pct(100), "trim")], {
        durationMin: 90,
        keeps: { use: "cracklings" },
        why: "Low, until the bubbles stop: they are water, and water spoils the fat.",
      }),
      step("strain", "strain", [], {}),
    ],
    notes: "Rendered is ready when it no longer bubbles: bubbles are water.",
  }),
});
