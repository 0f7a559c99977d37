import { choice, defineFamily } from "./family";
import { from, pct, perLitre, saltTarget, step, toSalt } from "./write";

/** Meat-free white base: sweated roots, nut or oat body, a little miso. */
export const meatFreeWhite = defineFamily({
  id: "meat-free-white",
  name: "Meat-free white sauce",
  group: "sauces",
  method:
    "Sweat pale roots, simmer, blend with almonds or cream to a body that needs no flour, pass, season.",
  servedAs: "veloute",
  portionG: 80,
  overagePct: 8,
  storage: { keepC: 4, days: 2, words: "In the cold." },
  choices: [
    choice("body", "Body", {
      almond: ["blanched almonds", "no milk; tree nuts"],
      cream: ["cream", "milk; the smoothest"],
      celeriac: ["celeriac alone", "neither nuts nor milk; celery"],
    }),
  ],
  draft: (s, k) => ({
    school: `bound with ${s.body}`,
    base: { name: "roots", massG: 1200 },
    targets: [saltTarget(0.9)],
    steps: [
      step(
        "sweat",
        "sweat",
        [from("sunflower-oil", pct(3)), from("celeriac", pct(60)), from("leek", pct(40))],
        { durationMin: 12 },
      ),
      step(
        "add",
        "wet",
        [from("water", pct(160)), ...(s.body === "almond" ? [from("almonds", pct(14))] : [])],
        { durationMin: 2 },
      ),
      step("simmer", "simmer", [], {
        holdC: Math.round(k.boilsC - 4),
        durationMin: 30,
        lid: "on",
        why: "Lid on: it should soften and draw, not reduce.",
      }),
      s.body === "cream" && step("add", "cream", [from("cream", pct(20))], { durationMin: 1 }),
      step("blend", "blend", [], { tool: "stick blender", durationMin: 4 }),
      step("pass", "pass", [], { yieldPct: 95 }),
      step("season", "season", [
        from("miso", perLitre(8)),
        from("lemon-juice", perLitre(6)),
        from("salt", toSalt(0.9)),
      ]),
    ],
  }),
});
