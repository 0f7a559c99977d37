import { defineFamily } from "./family";
import { AROMATICS, DEFAT, STRAINING, VEGETABLES } from "./schools";
import { from, guess, mirepoix, parts, pct, perLitre, step } from "./write";

/** Light poultry stock: carcasses, vegetables late, herbs off the heat. */
export const poultryStock = defineFamily({
  id: "poultry-stock",
  name: "Light poultry stock",
  group: "stocks",
  method: "Cover the carcasses cold, skim, simmer, vegetables for the last 45 minutes, herbs off the heat.",
  servedAs: "stock",
  portionG: 200,
  overagePct: 10,
  storage: { keepC: 4, days: 3, words: "Covered and labelled in the cold; boil before use." },
  simmerAtMostMin: 360,
  choices: [VEGETABLES("late"), AROMATICS("steep"), STRAINING("drain"), DEFAT],
  draft: (s, k) => {
    const vegetables = [from("onion", parts(2)), from("carrot", parts(1)), from("celery", parts(1))];
    const herbs = [
      from("parsley-stems", perLitre(4)),
      guess("thyme", perLitre(0.6)),
      guess("peppercorns", perLitre(0.5)),
    ];
    const simmer = { holdC: Math.round(k.boilsC - 8), lid: "off" as const, surface: "lazy" as const };
    const late = s.vegetables === "late";
    return {
      school: late ? "vegetables late" : "vegetables from the start",
      base: { name: "carcasses", massG: 6000 },
      groups: [mirepoix(12)],
      steps: [
        step("add", "carcasses", [from("chicken-carcass", pct(100), "carcass")], { durationMin: 4 }),
        step("cover", "cover", [], { depthMm: 25, perKg: 2.1, countFond: false, durationMin: 8 }),
        step("skim", "skim", [], {
          times: 3,
          durationMin: 15,
          why: "Skim before anything green is in to hold the scum.",
        }),
        step("simmer", "simmer", [...(late ? [] : vegetables), ...(s.aromatics === "early" ? herbs : [])], {
          ...simmer,
          durationMin: late ? 165 : 210,
        }),
        late && step("simmer", "simmer-vegetables", vegetables, { ...simmer, durationMin: 45 }),
        s.aromatics !== "early" && step("steep", "steep", herbs, { durationMin: 15 }),
        step("strain", "strain", [], {
          press: s.straining === "press",
          keeps: { use: "second wetting" },
        }),
        s.defat === "skim" && step("degrease", "degrease", [], { method: "ladle", durationMin: 10 }),
        step("cool", "cool", [], { method: "ice-bath", toC: 5 }),
        s.defat === "chill" &&
          step("degrease", "degrease", [], {
            method: "chilled",
            durationMin: 8,
            keeps: { use: "roux and frying", perKg: 3 },
          }),
      ],
    };
  },
});
