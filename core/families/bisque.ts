import { choice, defineFamily } from "./family";
import { CREAM } from "./schools";
import { from, mirepoix, parts, pct, perLitre, saltTarget, step, toSalt } from "./write";

/** Shellfish bisque, bound with rice. */
export const bisque = defineFamily({
  id: "bisque",
  name: "Bisque",
  group: "purées and soups",
  method:
    "Colour shells, flame or reduce the spirit, wine, tomato, wet, simmer, set meat aside, rice until it falls apart, blend, press through.",
  servedAs: "soup",
  portionG: 200,
  overagePct: 8,
  storage: { keepC: 4, days: 2, words: "In the cold; rice-bound soups chill fast." },
  choices: [
    choice("spirit", "Spirit", {
      reduced: ["reduced almost dry", "no flame"],
      flamed: ["flamed", "follow the fire rule; most of the alcohol stays"],
    }),
    CREAM("reduced"),
  ],
  draft: (s, k) => ({
    school: `rice, spirit ${s.spirit}`,
    base: { name: "shells", massG: 2000 },
    groups: [mirepoix(20)],
    targets: [saltTarget(0.9)],
    steps: [
      step(
        "brown",
        "shells",
        [from("langoustine-shells", pct(100), "shells"), from("sunflower-oil", pct(4))],
        { durationMin: 10 },
      ),
      step(
        "sweat",
        "vegetables",
        [
          from("onion", parts(2)),
          from("carrot", parts(1)),
          from("celery", parts(1)),
          from("tomato-paste", pct(5)),
        ],
        { durationMin: 8 },
      ),
      s.spirit === "flamed"
        ? step("flame", "flame", [from("grape-brandy", pct(5))])
        : step("deglaze", "brandy", [from("grape-brandy", pct(5))], { durationMin: 3 }),
      step("deglaze", "wine", [from("white-wine", pct(20))], { durationMin: 4 }),
      step("add", "wet", [from("water", pct(220))], { durationMin: 3 }),
      step("simmer", "simmer", [], { holdC: Math.round(k.boilsC - 7), durationMin: 40 }),
      step("reserve", "meat", [], { sharePct: 0, what: "the tail meat for the plate" }),
      step("strain", "strain", [], { press: true }),
      step("add", "rice", [from("rice", perLitre(35))], {
        durationMin: 1,
        why: "Rice binds without flour and melts to nothing under the blade.",
      }),
      step("simmer", "cook-rice", [], { holdC: Math.round(k.boilsC - 3), durationMin: 28, surface: "skin" }),
      step("blend", "blend", [], { tool: "stick blender", durationMin: 5, reserveFirst: "the tail meat" }),
      step("pass", "pass", [], { yieldPct: 96 }),
      s.cream !== "none" &&
        step("add", "cream", [from("cream", perLitre(s.cream === "reduced" ? 70 : 50))], { durationMin: 1 }),
      step("season", "season", [from("salt", toSalt(0.9))]),
    ],
  }),
});
