import { choice, defineFamily } from "./family";
import { byFeel, from, perLitre, pct, saltTarget, step, toSalt } from "./write";

/** White sauce, and its cheese daughter. */
export const whiteSauce = defineFamily({
  id: "white-sauce",
  name: "White sauce",
  group: "sauces",
  method: "White roux, cold milk, twenty minutes low, pass; cheese off the heat for the daughter.",
  servedAs: "veloute",
  portionG: 80,
  overagePct: 8,
  storage: { keepC: 4, days: 2, words: "In the cold under paper." },
  choices: [
    choice("daughter", "Daughter", {
      plain: ["plain", "nutmeg and nothing else"],
      cheese: ["with mountain cheese", "salty: the cheese first, then the salt; below 80 °C or it splits"],
    }),
    choice(
      "body",
      "Body",
      {
        thin: ["45 g flour a litre", "for soups"],
        medium: ["60 g flour a litre", "for pouring and gratins"],
        thick: ["90 g flour a litre", "for binding"],
      },
      "medium",
    ),
  ],
  draft: s => {
    const flour = s.body === "thin" ? 4.5 : s.body === "thick" ? 9 : 6;
    return {
      school: `${s.body}, ${s.daughter === "cheese" ? "with cheese" : "plain"}`,
      base: { name: "milk", massG: 4000 },
      targets: [saltTarget(0.9)],
      steps: [
        step("add", "roux", [from("butter", pct(flour)), from("wheat-flour", pct(flour))], {
          durationMin: 4,
          cue: "white and bubbling, no colour",
        }),
        step("thicken", "wet", [from("milk", pct(100))], {
          form: "roux",
          durationMin: 20,
          why: "One hot, one cold, and it stays smooth; then long enough that no flour is tasted.",
        }),
        step("season", "nutmeg", [from("nutmeg", byFeel(1))], { durationMin: 1 }),
        step("strain", "strain", [], {}),
        s.daughter === "cheese" && step("rest", "off-fire", [], { durationMin: 15, lid: "off" }),
        s.daughter === "cheese" &&
          step("add", "cheese", [from("hard-cheese", perLitre(120))], {
            durationMin: 3,
            remark: "Finely grated, off the heat, stirred in one direction.",
            why: "Above 80 °C cheese protein clenches and lets its fat go.",
          }),
        s.daughter === "cheese" && step("blend", "smooth", [], { tool: "stick blender", durationMin: 1 }),
        step("season", "season", [from("salt", toSalt(0.9))]),
      ],
    };
  },
});
