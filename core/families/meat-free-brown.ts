import { choice, defineFamily } from "./family";
import { BUTTER } from "./schools";
import { from, guess, mirepoix, parts, pct, perLitre, saltTarget, step, toSalt } from "./write";

/** Meat-free brown base: browned vegetables, dried mushrooms, soy, tomato; umami by plan, not by chance. */
export const meatFreeBrown = defineFamily({
  id: "meat-free-brown",
  name: "Meat-free brown sauce",
  group: "sauces",
  method:
    "Brown vegetables hard, mushroom liquor and tomato for depth, soy for salt and glutamate, reduce, bind lightly.",
  servedAs: "pan-sauce",
  portionG: 55,
  overagePct: 8,
  storage: { keepC: 4, days: 3, words: "In the cold; boil through before use." },
  choices: [
    choice("umami", "Depth", {
      mushroom: [
        "dried mushrooms and tomato",
        "glutamate and guanylate together count far more than each alone",
      ],
      soy: ["soy sauce and miso", "strong and salty: it brings the salt; wheat and soy"],
    }),
    BUTTER("none"),
  ],
  draft: (s, k) => ({
    school: s.umami === "soy" ? "soy and miso" : "mushroom and tomato",
    base: { name: "vegetables", massG: 2000 },
    groups: [mirepoix(100, "vegetables")],
    targets: [saltTarget(1.0, 0.1)],
    steps: [
      step(
        "brown",
        "brown",
        [
          from("sunflower-oil", pct(3)),
          from("onion", parts(3)),
          from("carrot", parts(2)),
          from("celery", parts(1)),
          from("mushroom", parts(2)),
          from("tomato-paste", pct(4)),
        ],
        { durationMin: 25, why: "Without meat all colour comes from here." },
      ),
      step("deglaze", "wine", [from("red-wine", pct(15))], { durationMin: 5 }),
      step(
        "add",
        "wet",
        [
          from("water", pct(180)),
          ...(s.umami === "mushroom" ? [from("dried-shiitake", pct(2)), from("dried-ceps", pct(1))] : []),
        ],
        { durationMin: 3 },
      ),
      step("simmer", "simmer", [guess("thyme", perLitre(1.5)), guess("bay-leaf", perLitre(0.3))], {
        holdC: Math.round(k.boilsC - 6),
        durationMin: 50,
      }),
      step("strain", "strain", [], { press: true }),
      step("reduce", "reduce", [], { target: { to: 0.4 } }),
      s.umami === "soy" &&
        step("season", "soy", [from("soy-sauce", perLitre(25)), from("miso", perLitre(12))]),
      step(
        "thicken",
        "bind",
        [from("arrowroot", perLitre(14)), from("water", perLitre(25), "slurry-water")],
        { form: "slurry", durationMin: 2 },
      ),
      s.butter !== "none" && step("rest", "off-fire", [], { durationMin: 12, lid: "off" }),
      s.butter !== "none" && step("mount", "mount", [from("butter", perLitre(Number(s.butter)))]),
      step("season", "season", [from("salt", toSalt(1.0))]),
    ],
  }),
});
