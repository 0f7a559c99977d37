import { choice, defineFamily } from "./family";
import { STRAINING } from "./schools";
import { from, guess, mirepoix, parts, pct, perLitre, step } from "./write";

/** Fish stock: minutes, not hours. */
export const fishStock = defineFamily({
  id: "fish-stock",
  name: "Fish fumet",
  group: "stocks",
  method:
    "Sweat white vegetables and frames, wine almost dry, cover, half an hour below the boil, steep, pass.",
  servedAs: "stock",
  portionG: 120,
  overagePct: 10,
  storage: { keepC: 4, days: 2, words: "Covered in the cold; used within two days or frozen." },
  simmerAtMostMin: 40,
  choices: [
    choice("wine", "Wine", {
      sec: ["reduced almost dry", "the raw edge and most of the alcohol are gone"],
      none: ["without wine", "no alcohol; finish with a little acid at the end"],
    }),
    STRAINING("drain"),
  ],
  draft: (s, k) => ({
    school: s.wine === "sec" ? "with wine" : "without wine",
    base: { name: "frames", massG: 4000 },
    groups: [mirepoix(12, "white vegetables")],
    steps: [
      step(
        "sweat",
        "sweat",
        [from("butter", pct(1)), from("onion", parts(2)), from("leek", parts(1)), from("fennel", parts(1))],
        { durationMin: 8 },
      ),
      step("sweat", "sweat-frames", [from("white-fish-frames", pct(100), "frames")], {
        durationMin: 4,
        remark: "Gills out, rinsed clear.",
        why: "Blood and gills turn a fumet grey and bitter.",
      }),
      s.wine === "sec" && step("deglaze", "wine", [from("white-wine", pct(8))], { durationMin: 3 }),
      step("cover", "cover", [], { depthMm: 10, countFond: true, durationMin: 5 }),
      step("simmer", "simmer", [], {
        holdC: Math.round(k.boilsC - 10),
        durationMin: 25,
        why: "Fish gives all it has in half an hour; after that it gives glue and bitterness.",
      }),
      step("steep", "steep", [from("parsley-stems", perLitre(4)), guess("white-pepper", perLitre(0.3))], {
        durationMin: 10,
      }),
      step("strain", "strain", [], { press: s.straining === "press" }),
      step("cool", "cool", [], { method: "ice-bath", toC: 5 }),
    ],
  }),
});
