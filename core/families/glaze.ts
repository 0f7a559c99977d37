import { choice, defineFamily } from "./family";
import { from, pct, step } from "./write";

/** Glaze: soy, fruit or honey and stock, tightened to a film. Salt is in it already. */
export const glaze = defineFamily({
  id: "glaze",
  name: "Glaze",
  group: "sauces",
  method: "Boil the parts together, reduce until it films the spoon; salt climbs with every minute.",
  servedAs: "glaze",
  portionG: 12,
  overagePct: 5,
  storage: { keepC: 4, days: 7, words: "Closed, in the cold." },
  choices: [
    choice(
      "style",
      "What carries it",
      {
        soy: ["soy and honey", "salty and sweet: a small portion, or it is too salty"],
        cider: ["cider and honey", "sour and sweet, no salt of its own"],
        stock: ["stock and gelatin", "meaty; sets as it cools"],
      },
      "cider",
    ),
  ],
  draft: s => ({
    school: s.style ?? "cider",
    base: {
      name: s.style === "soy" ? "soy sauce" : s.style === "stock" ? "stock" : "cider",
      massG: s.style === "soy" ? 400 : 1500,
    },
    steps: [
      s.style === "soy"
        ? step(
            "add",
            "parts",
            [from("soy-sauce", pct(100)), from("honey", pct(100)), from("water", pct(50))],
            { durationMin: 2 },
          )
        : s.style === "stock"
          ? step("add", "parts", [from("bought-brown-stock", pct(100), "stock"), from("honey", pct(4))], {
              durationMin: 2,
            })
          : step(
              "add",
              "parts",
              [from("cider", pct(100)), from("honey", pct(18)), from("cider-vinegar", pct(6))],
              { durationMin: 2 },
            ),
      step("reduce", "reduce", [], {
        target: { to: s.style === "soy" ? 0.6 : s.style === "stock" ? 0.15 : 0.22 },
        cue: "films the spoon, slow blisters",
        why: "The last minute is short: stand by it.",
      }),
      s.style !== "soy" && step("rest", "off-fire", [], { durationMin: 8, lid: "off" }),
      s.style !== "soy" && step("mount", "mount", [from("butter", pct(1.5))]),
    ],
  }),
});
