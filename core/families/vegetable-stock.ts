import { choice, defineFamily } from "./family";
import { from, guess, mirepoix, parts, pct, perLitre, step } from "./write";

/** Vegetable stock: sweated or browned, an hour at most. */
export const vegetableStock = defineFamily({
  id: "vegetable-stock",
  name: "Vegetable stock",
  group: "stocks",
  method: "Sweat or brown the vegetables, wet cold, three quarters of an hour, steep herbs, pass.",
  servedAs: "stock",
  portionG: 200,
  overagePct: 10,
  storage: { keepC: 4, days: 3, words: "Covered in the cold." },
  simmerAtMostMin: 60,
  choices: [
    choice("colour", "Colour", {
      pale: ["sweated, no colour", "light, sweet; for white sauces"],
      brown: ["browned", "deeper; takes the place of a meat stock"],
    }),
    choice("umami", "Depth", {
      mushroom: ["mushrooms and barley", "glutamate and body from plants alone"],
      kombu: ["tomato and dried mushroom", "stronger; a little acid of its own"],
      plain: ["vegetables only", "the cleanest"],
    }),
  ],
  draft: (s, k) => {
    const vegetables = [
      from("onion", parts(3)),
      from("carrot", parts(2)),
      from("celery", parts(2)),
      from("leek", parts(1)),
    ];
    const depth =
      s.umami === "mushroom"
        ? [from("mushroom", pct(25)), from("barley", pct(4))]
        : s.umami === "kombu"
          ? [from("tomato-paste", pct(3)), from("dried-shiitake", pct(1.5))]
          : [];
    return {
      school: s.colour === "brown" ? "browned" : "pale",
      base: { name: "vegetables", massG: 3000 },
      groups: [mirepoix(100, "vegetables")],
      steps: [
        s.colour === "brown"
          ? step("brown", "brown", [from("sunflower-oil", pct(2)), ...vegetables], { durationMin: 18 })
          : step("sweat", "sweat", [from("sunflower-oil", pct(1)), ...vegetables], { durationMin: 12 }),
        step(s.colour === "brown" ? "deglaze" : "add", "wet", [from("water", pct(200), "water"), ...depth], {
          durationMin: 4,
        }),
        step("simmer", "simmer", [], {
          holdC: Math.round(k.boilsC - 6),
          durationMin: 45,
          why: "After an hour vegetables give bitterness and nothing else.",
        }),
        step(
          "steep",
          "steep",
          [
            from("parsley-stems", perLitre(5)),
            guess("thyme", perLitre(0.8)),
            guess("bay-leaf", perLitre(0.2)),
          ],
          { durationMin: 15 },
        ),
        step("strain", "strain", [], { press: false }),
        step("cool", "cool", [], { method: "ice-bath", toC: 5 }),
      ],
    };
  },
});
