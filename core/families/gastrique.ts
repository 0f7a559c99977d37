import { choice, defineFamily } from "./family";
import { from, pct, step } from "./write";

/** Gastrique: caramel stopped with vinegar, reduced to a syrup; sweet and sour for a sauce. */
export const gastrique = defineFamily({
  id: "gastrique",
  name: "Gastrique",
  group: "components",
  method: "Melt the sugar, take it to the colour, stop it with vinegar off the heat, reduce to a syrup.",
  servedAs: "glaze",
  portionG: 10,
  overagePct: 0,
  storage: { keepC: 18, days: 30, words: "Closed, at room temperature; sets thicker as it cools." },
  choices: [
    choice(
      "caramel",
      "Caramel",
      {
        light: ["light", "sweet, little bitterness"],
        amber: ["amber", "the usual: sweet with a bitter edge"],
        none: ["none", "sugar melted only: honeyed, no bitterness"],
      },
      "amber",
    ),
    choice("fruit", "With", {
      plain: ["nothing", "carries any sauce"],
      beetroot: ["beetroot juice from the purée", "colour and earth"],
      berries: ["sour berries", "fruit acid beside the vinegar"],
    }),
  ],
  draft: s => ({
    school: `${s.caramel} caramel`,
    base: { name: "sugar", massG: 400 },
    steps: [
      step("add", "sugar", [from("sugar", pct(100)), from("water", pct(25))], {
        durationMin: 4,
        cue: "clear syrup, no crystals on the wall",
        why: "Do not stir once it boils: one crystal turns the pan to sand.",
      }),
      step("dry", "caramel", [], {
        lossPct: s.caramel === "none" ? 17 : s.caramel === "light" ? 19 : 19.8,
        durationMin: 8,
        cue: s.caramel === "amber" ? "amber, first thread of smoke" : "pale gold",
        remark: "Watch it: seconds from here.",
      }),
      step("add", "vinegar", [from("red-wine-vinegar", pct(75))], {
        durationMin: 2,
        remark: "Off the heat, at arm’s length: it spits and the fumes bite.",
        why: "Cold vinegar stops the caramel at once; in lined or stainless pans only.",
      }),
      s.fruit === "berries" && step("add", "berries", [from("lingonberries", pct(60))], { durationMin: 1 }),
      s.fruit === "beetroot" && step("add", "beetroot", [from("beetroot", pct(80))], { durationMin: 1 }),
      s.fruit !== "plain" && step("simmer", "simmer", [], { holdC: 90, durationMin: 12 }),
      s.fruit !== "plain" && step("strain", "strain", [], { press: true }),
      step("reduce", "reduce", [], {
        target: { to: 0.75 },
        cue: "large slow bubbles; a drop on a cold plate holds",
      }),
    ],
    notes: "60 g in a litre of sauce is a start; acid and sweetness come together.",
  }),
});
