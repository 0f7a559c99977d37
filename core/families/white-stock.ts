import { choice, defineFamily } from "./family";
import { AROMATICS, DEFAT, STRAINING, VEGETABLES } from "./schools";
import { from, guess, mirepoix, parts, pct, perLitre, step } from "./write";

/** White stock: blanched bones, no colour, no carrot unless the house wants it. */
export const whiteStock = defineFamily({
  id: "white-stock",
  name: "White stock",
  group: "stocks",
  method: "Blanch the bones and throw the water away, cover cold, simmer, strain, chill.",
  servedAs: "stock",
  portionG: 200,
  overagePct: 10,
  storage: { keepC: 4, days: 3, words: "Covered and labelled in the cold; boil before use." },
  simmerAtMostMin: 600,
  choices: [
    choice("scum", "Scum", {
      blanch: ["first boil thrown away", "the clearest and palest; a little taste goes with it"],
      skim: ["skimmed as it comes up", "keeps all taste; wants a hand at the pot"],
    }),
    choice("carrot", "Carrot", {
      without: ["without carrot", "stays pale"],
      with: ["with carrot", "sweeter, a little yellow"],
    }),
    VEGETABLES("after-skim"),
    AROMATICS("steep"),
    STRAINING("drain"),
    DEFAT,
  ],
  draft: (s, k) => {
    const vegetables = [
      from("onion", parts(2)),
      from("leek", parts(1)),
      from("celery", parts(1)),
      ...(s.carrot === "with" ? [from("carrot", parts(1))] : []),
    ];
    const herbs = [
      from("parsley-stems", perLitre(4)),
      guess("thyme", perLitre(0.6)),
      guess("bay-leaf", perLitre(0.2)),
    ];
    const simmer = { holdC: Math.round(k.boilsC - 9), lid: "off" as const, surface: "lazy" as const };
    const late = s.vegetables === "late";
    return {
      school: s.scum === "blanch" ? "blanched" : "skimmed",
      base: { name: "bones", massG: 6000 },
      groups: [mirepoix(12)],
      steps: [
        s.scum === "blanch"
          ? step("blanch", "blanch", [from("veal-bones", pct(100), "bones")], {
              durationMin: 5,
              waterPerG: 1.3,
              why: "The first scum leaves with the first water.",
            })
          : step("add", "add-bones", [from("veal-bones", pct(100), "bones")], { durationMin: 3 }),
        step("cover", "cover", [], { depthMm: 25, perKg: 2.1, countFond: false, durationMin: 8 }),
        s.scum === "skim" && step("skim", "skim", [], { times: 4, durationMin: 20 }),
        step("simmer", "simmer", [...(late ? [] : vegetables), ...(s.aromatics === "early" ? herbs : [])], {
          ...simmer,
          durationMin: late ? 255 : 300,
        }),
        late && step("simmer", "simmer-vegetables", vegetables, { ...simmer, durationMin: 45 }),
        s.aromatics !== "early" &&
          step("steep", "steep", herbs, { durationMin: s.aromatics === "late" ? 8 : 15 }),
        step("strain", "strain", [], {
          press: s.straining === "press",
          keeps: { use: "second wetting" },
        }),
        s.defat === "skim" && step("degrease", "degrease", [], { method: "ladle", durationMin: 12 }),
        step("cool", "cool", [], { method: "ice-bath", toC: 5 }),
        s.defat === "chill" && step("degrease", "degrease", [], { method: "chilled", durationMin: 10 }),
      ],
    };
  },
});
