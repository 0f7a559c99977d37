import { choice, defineFamily } from "./family";
import { BUTTER, CREAM } from "./schools";
import { from, pct, perLitre, saltTarget, step, toSalt } from "./write";

/** Velouté: white stock bound with blond roux. */
export const veloute = defineFamily({
  id: "veloute",
  name: "Velouté",
  group: "sauces",
  method:
    "Blond roux, cold white stock a third at a time, twenty minutes, pass, cream reduced to match, season.",
  servedAs: "veloute",
  portionG: 70,
  overagePct: 8,
  storage: { keepC: 4, days: 3, words: "In the cold under paper; boil through before use." },
  choices: [
    choice(
      "stock",
      "Stock",
      {
        fish: ["fish", "for fish and shellfish"],
        poultry: ["poultry", "for white meat and vegetables"],
        vegetable: ["vegetable", "without meat and fish; mind its salt"],
      },
      "poultry",
    ),
    choice("binding", "Binding", {
      roux: ["roux", "smooth, holds hot for hours; wheat"],
      "beurre-manie": ["beurre manié", "quick; raw flour wants its minutes"],
      starch: ["starch slurry", "lighter, no wheat; thins when held"],
    }),
    CREAM("reduced"),
    BUTTER("none"),
  ],
  draft: s => {
    const stock =
      { fish: "bought-fish-stock", poultry: "bought-white-stock", vegetable: "bought-vegetable-stock" }[
        s.stock ?? ""
      ] ?? "bought-white-stock";
    const liquid = from(stock, pct(100), "stock");
    return {
      school: `${s.stock} stock, ${s.binding === "starch" ? "slurry" : s.binding === "roux" ? "roux" : "beurre manié"}`,
      base: { name: "stock", massG: 3000 },
      targets: [saltTarget(0.9)],
      steps: [
        s.binding === "roux" &&
          step("add", "roux", [from("butter", pct(5.5), "roux-butter"), from("wheat-flour", pct(5.5))], {
            durationMin: 5,
            cue: "smells of baked pastry, hardly any colour",
          }),
        s.binding === "roux"
          ? step("thicken", "wet", [liquid], {
              form: "roux",
              colour: "blond",
              durationMin: 20,
              why: "Twenty minutes of simmering: before that it tastes of flour and has not its full body.",
            })
          : step("add", "stock", [liquid], { durationMin: 2 }),
        s.binding === "beurre-manie" &&
          step("thicken", "bind", [from("butter", pct(4.5), "manie-butter"), from("wheat-flour", pct(4.5))], {
            form: "beurre manié",
            durationMin: 8,
          }),
        s.binding === "starch" &&
          step("thicken", "bind", [from("corn-starch", pct(2.6)), from("water", pct(4), "slurry-water")], {
            form: "slurry",
            durationMin: 4,
          }),
        step("strain", "strain", [], {}),
        s.cream !== "none" &&
          step("add", "cream", [from("cream", pct(s.cream === "reduced" ? 10 : 7))], { durationMin: 1 }),
        s.cream === "reduced" &&
          step("simmer", "cream-in", [], { holdC: 92, durationMin: 8, surface: "skin" }),
        s.butter !== "none" && step("rest", "off-fire", [], { durationMin: 20, lid: "off" }),
        s.butter !== "none" && step("mount", "mount", [from("butter", perLitre(Number(s.butter)))]),
        step("season", "season", [from("salt", toSalt(0.9))]),
      ],
    };
  },
});
