import { choice, defineFamily } from "./family";
import { from, guess, mirepoix, parts, pct, perLitre, step } from "./write";

/** Shellfish stock: shells coloured in fat, spirit, tomato, three quarters of an hour. */
export const shellfishStock = defineFamily({
  id: "shellfish-stock",
  name: "Shellfish stock",
  group: "stocks",
  method:
    "Colour the shells hard, lift with spirit and wine, tomato, cover, simmer 45 minutes, press through.",
  servedAs: "stock",
  portionG: 150,
  overagePct: 10,
  storage: { keepC: 4, days: 2, words: "Covered in the cold; two days, or frozen." },
  simmerAtMostMin: 75,
  choices: [
    choice(
      "spirit",
      "Spirit",
      {
        flamed: ["flamed", "takes the raw edge; most of the alcohol stays"],
        reduced: ["reduced almost dry", "no flame; the same place in the taste"],
        none: ["none", "for guests who avoid alcohol"],
      },
      "reduced",
    ),
  ],
  draft: (s, k) => ({
    school: `spirit ${s.spirit}`,
    base: { name: "shells", massG: 3000 },
    groups: [mirepoix(18)],
    steps: [
      step(
        "brown",
        "shells",
        [from("langoustine-shells", pct(100), "shells"), from("sunflower-oil", pct(3))],
        { durationMin: 10, why: "Shells colour dry and hot; wet ones only stew." },
      ),
      step(
        "sweat",
        "vegetables",
        [
          from("onion", parts(2)),
          from("carrot", parts(1)),
          from("fennel", parts(1)),
          from("tomato-paste", pct(3)),
        ],
        { durationMin: 8 },
      ),
      s.spirit === "flamed" && step("flame", "flame", [from("grape-brandy", pct(3))]),
      s.spirit === "reduced" && step("deglaze", "brandy", [from("grape-brandy", pct(3))], { durationMin: 3 }),
      step("deglaze", "wine", [from("white-wine", pct(12))], { durationMin: 4 }),
      step("cover", "cover", [], { depthMm: 10, countFond: true, durationMin: 5 }),
      step("simmer", "simmer", [guess("tarragon", perLitre(2))], {
        holdC: Math.round(k.boilsC - 8),
        durationMin: 45,
      }),
      step("strain", "strain", [], {
        press: true,
        why: "Crushed shells hold a third of the taste; press hard, then pass fine.",
      }),
      step("cool", "cool", [], { method: "ice-bath", toC: 5 }),
    ],
  }),
});
