import { choice, defineFamily } from "./family";
import { from, pct, step } from "./write";

/** Glace and house demi-glace: a stock reduced, passed, reduced again. */
export const glace = defineFamily({
  id: "glace",
  name: "Glace and demi-glace",
  group: "components",
  method: "Reduce unsalted stock, pass it into a smaller pan, reduce on to the mark.",
  servedAs: "glaze",
  portionG: 12,
  overagePct: 0,
  storage: { keepC: 4, days: 7, words: "Cut in cubes once set; or frozen flat." },
  choices: [
    choice(
      "strength",
      "How far",
      {
        demi: [
          "this house’s demi-glace",
          "the share of the stock the house has settled on; printed on the label",
        ],
        third: ["to a third", "a light glace that still pours"],
        glace: ["to a ninth", "a light glace: sets hard, a spoon lifts a sauce"],
      },
      "demi",
    ),
  ],
  draft: (s, k) => {
    const to = s.strength === "demi" ? k.demiGlace.to : s.strength === "third" ? 1 / 3 : 1 / 9;
    const first = Math.max(0.34, Math.sqrt(to));
    const bound = s.strength === "demi" && k.demiGlace.bound;
    return {
      school:
        s.strength === "demi"
          ? `reduced to ${Math.round(to * 100)} %${bound ? ", bound" : ", unbound"}`
          : "reduction only, unbound",
      base: { name: "stock", massG: 8000 },
      steps: [
        step("add", "stock", [from("bought-brown-stock", pct(100), "stock")], { durationMin: 5 }),
        step("reduce", "reduce", [], {
          target: { to: s.strength === "glace" ? first : to },
          why: "Unsalted from start to end: every gram of salt stays while the water leaves.",
        }),
        s.strength === "glace" && step("strain", "pass", [], {}),
        s.strength === "glace" && step("reduce", "reduce-on", [], { target: { to: to / first } }),
        bound &&
          step("thicken", "bind", [from("wheat-flour", pct(1.2)), from("butter", pct(1.2))], {
            form: "roux",
            durationMin: 25,
          }),
        step("cool", "cool", [], { method: "ice-bath", toC: 5 }),
      ],
      notes: `Let down: 1 part and ${(1 / to - 1).toFixed(to > 0.2 ? 1 : 0)} parts of water give the stock back.`,
    };
  },
});
