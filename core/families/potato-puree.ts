import { choice, defineFamily } from "./family";
import { from, pct, saltTarget, step, toSalt } from "./write";

/** Potato purée: never a blade on floury potato. */
export const potatoPuree = defineFamily({
  id: "potato-puree",
  name: "Potato purée",
  group: "purées and soups",
  method: "Cook whole pieces below the boil, drain, dry by weight, rice, enrich in two doses.",
  servedAs: "puree",
  portionG: 150,
  overagePct: 8,
  storage: { keepC: 4, days: 1, words: "Best at once; 90 minutes warm." },
  choices: [
    choice(
      "richness",
      "Richness",
      {
        light: ["10 % butter, milk", "a side"],
        rich: ["20 % butter, reduced cream", "the smooth table style"],
      },
      "rich",
    ),
    choice("tool", "Tool", {
      ricer: ["ricer", "dry and light"],
      "food mill": ["food mill", "finer; two passes"],
    }),
  ],
  draft: (s, k) => ({
    school: `${s.richness}, ${s.tool}`,
    base: { name: "potato, peeled", massG: 4000 },
    targets: [saltTarget(1.1)],
    steps: [
      step(
        "add",
        "potato",
        [
          from("potato-floury", pct(100), "potato"),
          from("water", pct(110)),
          from("salt", pct(1), "cooking-salt"),
        ],
        { durationMin: 8 },
      ),
      step("simmer", "cook", [], { holdC: Math.round(k.boilsC - 3), durationMin: 35, lid: "ajar" }),
      step("drain", "drain"),
      step("dry", "dry", [], { lossPct: 6, durationMin: 5, why: "What leaves here is room for butter." }),
      step("blend", "rice", [], {
        tool: s.tool === "food mill" ? "food mill" : "ricer",
        durationMin: 8,
        why: "A blade tears the starch open: glue.",
      }),
      step(
        "add",
        "dose-1",
        [
          from("butter", pct(s.richness === "rich" ? 10 : 5)),
          from("cream", pct(s.richness === "rich" ? 6 : 0.1), "cream"),
        ],
        { durationMin: 2, remark: "First half of the enrichment." },
      ),
      step(
        "emulsify",
        "dose-2",
        [
          from("butter", pct(s.richness === "rich" ? 10 : 5), "butter-2"),
          from(s.richness === "rich" ? "cream" : "milk", pct(s.richness === "rich" ? 6 : 10), "cream-2"),
        ],
        { tool: "whisk", durationMin: 3, remark: "The rest to texture." },
      ),
      step("season", "season", [from("salt", toSalt(1.1))]),
    ],
  }),
});
