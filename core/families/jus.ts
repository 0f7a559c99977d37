import { choice, defineFamily } from "./family";
import { AROMATICS, BUTTER, STRAINING } from "./schools";
import { from, guess, pct, perLitre, saltTarget, step, toSalt } from "./write";

/** Jus: trim coloured, lifted with stock twice, reduced, never bound with flour. */
export const jus = defineFamily({
  id: "jus",
  name: "Jus",
  group: "sauces",
  method:
    "Colour trim and shallots, pour the fat off, lift with wine, wet with stock twice, reduce, pass, season.",
  servedAs: "pan-sauce",
  portionG: 45,
  overagePct: 10,
  storage: { keepC: 4, days: 3, words: "In the cold; back to the boil before service." },
  choices: [
    choice("binding", "Binding", {
      reduction: ["reduction alone", "clear and intense; the least yield"],
      starch: ["a little slurry", "more yield and less salt for the same body; clouds a little"],
    }),
    AROMATICS("steep"),
    STRAINING("drain"),
    BUTTER("none"),
  ],
  draft: s => {
    const herbs = [guess("thyme", perLitre(2)), guess("bay-leaf", perLitre(0.3))];
    return {
      school: s.binding === "reduction" ? "by reduction" : "lightly bound",
      base: { name: "stock", massG: 3000 },
      targets: [saltTarget(1.1, 0.1)],
      steps: [
        step("brown", "trim", [from("chicken-wings", pct(20), "trim"), from("shallot", pct(4))], {
          durationMin: 20,
          why: "The jus tastes of this colour.",
        }),
        step("degrease", "fat-off", [], {
          method: "ladle",
          durationMin: 3,
          keeps: { use: "frying", perKg: 2 },
        }),
        step("deglaze", "wine", [from("red-wine", pct(10))], { durationMin: 5 }),
        step("reduce", "sec", [], {
          target: { by: 0.85 },
          cue: "almost dry, glossy, no sharp smell",
        }),
        step(
          "add",
          "stock",
          [from("bought-brown-stock", pct(100), "stock"), ...(s.aromatics === "early" ? herbs : [])],
          { durationMin: 3 },
        ),
        step("reduce", "reduce", [], { target: { to: s.binding === "reduction" ? 0.3 : 0.6 } }),
        s.aromatics !== "early" && step("steep", "steep", herbs, { durationMin: 10 }),
        step("strain", "strain", [], { press: s.straining === "press" }),
        s.binding === "starch" &&
          step("thicken", "bind", [from("corn-starch", pct(0.5)), from("water", pct(0.8), "slurry-water")], {
            form: "slurry",
            durationMin: 3,
          }),
        s.butter !== "none" && step("rest", "off-fire", [], { durationMin: 12, lid: "off" }),
        s.butter !== "none" && step("mount", "mount", [from("butter", perLitre(Number(s.butter)))]),
        step("season", "season", [from("salt", toSalt(1.1))]),
      ],
    };
  },
});
