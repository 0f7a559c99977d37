import { choice, defineFamily } from "./family";
import { byFeel, from, pct, saltTarget, step, toSalt } from "./write";

/** Herb or vegetable coulis, the mother of several. */
export const coulis = defineFamily({
  id: "coulis",
  name: "Coulis",
  group: "purées and soups",
  method: "Blanch, ice, blend with stock to a pour, pass fine; derive soup, sauce and flan from one base.",
  servedAs: "veloute",
  portionG: 35,
  overagePct: 5,
  storage: { keepC: 4, days: 2, words: "Cold and dark; frozen flat it keeps its colour." },
  choices: [
    choice("body", "Body", {
      plain: ["the leaf alone", "loose and bright"],
      potato: ["with cooked potato", "stands on the plate"],
    }),
  ],
  draft: s => ({
    school: s.body === "potato" ? "bound with potato" : "leaf alone",
    base: { name: "leaves", massG: 1500 },
    targets: [saltTarget(0.8)],
    steps: [
      step(
        "blanch",
        "blanch",
        [from("nettles", pct(100), "leaves"), ...(s.body === "potato" ? [from("potato-waxy", pct(15))] : [])],
        { durationMin: 2, waterPerG: 6, ice: true },
      ),
      step(
        "blend",
        "blend",
        [from("bought-vegetable-stock", pct(35), "stock"), from("sunflower-oil", pct(4))],
        { tool: "jar blender", durationMin: 4, remark: "Cold, in short bursts." },
      ),
      step("pass", "pass", [], {
        yieldPct: 90,
        why: "Skins and fibres stay back; what is left pours and keeps its colour.",
      }),
      step("season", "season", [from("lemon-juice", byFeel(4)), from("salt", toSalt(0.8))]),
    ],
  }),
});
