import { choice, defineFamily } from "./family";
import { byFeel, from, pct, perLitre, saltTarget, step, toSalt } from "./write";

/** White stew sauce, bound at the end with yolk and cream. */
export const whiteStew = defineFamily({
  id: "white-stew",
  name: "White stew sauce",
  group: "sauces",
  method:
    "Reduce the poaching liquor, bind lightly, then yolk and cream, tempered and never boiled; lemon at the end.",
  servedAs: "veloute",
  portionG: 90,
  overagePct: 8,
  storage: { keepC: 4, days: 1, words: "Base before the liaison keeps three days; with it, one." },
  choices: [
    choice("flour", "Under the liaison", {
      roux: ["a light roux", "the yolk takes up to 90 °C"],
      none: ["nothing", "finer; 82 °C is the ceiling"],
    }),
  ],
  draft: s => ({
    school: s.flour === "roux" ? "roux and liaison" : "liaison alone",
    base: { name: "poaching liquor", massG: 3000 },
    targets: [saltTarget(0.9)],
    steps: [
      s.flour === "roux" &&
        step("add", "roux", [from("butter", pct(3)), from("wheat-flour", pct(3))], { durationMin: 4 }),
      s.flour === "roux"
        ? step("thicken", "wet", [from("bought-white-stock", pct(100), "liquor")], {
            form: "roux",
            durationMin: 20,
          })
        : step("add", "liquor", [from("bought-white-stock", pct(100), "liquor")], { durationMin: 2 }),
      s.flour === "none" && step("reduce", "reduce", [], { target: { to: 0.6 } }),
      step("liaison", "liaison", [from("egg-yolk", perLitre(54)), from("cream", perLitre(250))], {
        toC: s.flour === "roux" ? 82 : 80,
        why: "Warm the yolk with the sauce, not the sauce with the yolk.",
      }),
      step("season", "lemon", [from("lemon-juice", byFeel(15))], { durationMin: 1 }),
      step("season", "season", [from("salt", toSalt(0.9))]),
    ],
  }),
});
