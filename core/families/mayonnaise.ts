import { choice, defineFamily } from "./family";
import { EGGS, yolkOf } from "./schools";
import { byFeel, from, pct, saltTarget, step, toSalt } from "./write";

/** Mayonnaise and its daughters. */
export const mayonnaise = defineFamily({
  id: "mayonnaise",
  name: "Mayonnaise",
  group: "emulsions",
  method:
    "Yolk, acid, salt and a little water first, then oil: thin drops for the first tenth, then a thread.",
  servedAs: "emulsion",
  portionG: 25,
  overagePct: 5,
  storage: { keepC: 4, days: 3, words: "Cold at once, 5 °C or below." },
  choices: [
    EGGS,
    choice("oil", "Oil", {
      neutral: ["neutral", "carries anything"],
      walnut: ["15 % walnut oil", "nut oil whole would be bitter; tree nuts"],
      olive: ["a third olive oil", "peppery; beaten hard it turns bitter"],
    }),
    choice("daughter", "Daughter", {
      plain: ["plain", "the mother"],
      herbs: ["herbs", "after the emulsion, cut fine"],
      capers: ["capers and gherkins", "salty: salt after them"],
    }),
  ],
  draft: s => {
    const oil =
      s.oil === "walnut"
        ? [from("sunflower-oil", pct(85)), from("walnut-oil", pct(15))]
        : s.oil === "olive"
          ? [from("sunflower-oil", pct(67)), from("olive-oil", pct(33))]
          : [from("sunflower-oil", pct(100))];
    return {
      school: `${s.eggs} egg, ${s.oil} oil`,
      base: { name: "oil", massG: 720 },
      targets: [saltTarget(1.0, 0.1)],
      steps: [
        step(
          "emulsify",
          "start",
          [
            from(yolkOf(s.eggs), pct(10)),
            from("mustard", pct(2.8)),
            from("wine-vinegar", pct(4.2)),
            from("water", pct(5)),
          ],
          {
            durationMin: 2,
            remark: "All at room temperature.",
            why: "Cold yolk holds less oil and lets go sooner.",
          },
        ),
        step("emulsify", "oil", oil, { tool: "whisk", durationMin: 7 }),
        s.daughter === "herbs" &&
          step("add", "herbs", [from("parsley", pct(2)), from("chives", pct(1.5))], { durationMin: 1 }),
        s.daughter === "capers" &&
          step("add", "capers", [from("capers", pct(4)), from("gherkins", pct(5))], { durationMin: 1 }),
        step("season", "season", [from("lemon-juice", byFeel(8)), from("salt", toSalt(1.0))]),
      ],
    };
  },
});
