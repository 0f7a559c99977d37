import { choice, defineFamily } from "./family";
import { STRAINING } from "./schools";
import { from, guess, mirepoix, parts, pct, perLitre, saltTarget, step, toSalt } from "./write";

/** Braise liquor: what a braise leaves, degreased, reduced and seasoned. */
export const braiseLiquor = defineFamily({
  id: "braise-liquor",
  name: "Braise liquor",
  group: "sauces",
  method:
    "Brown meat and vegetables, lift with wine, braise covered in stock, lift out and keep, degrease, reduce.",
  servedAs: "pan-sauce",
  portionG: 60,
  overagePct: 10,
  storage: { keepC: 4, days: 3, words: "With the meat in it: it keeps moister." },
  choices: [
    choice("flour", "Flour", {
      none: ["none", "clear; body from gelatin"],
      dusted: ["dusted on the meat", "half of it reaches the pan and binds"],
    }),
    STRAINING("press"),
  ],
  draft: s => ({
    school: s.flour === "dusted" ? "dusted" : "unbound",
    base: { name: "meat on the bone", massG: 5000 },
    groups: [mirepoix(15)],
    targets: [saltTarget(1.1, 0.1)],
    steps: [
      step("brown", "meat", [from("oxtail", pct(100), "meat"), from("sunflower-oil", pct(2))], {
        durationMin: 20,
      }),
      step(
        "brown",
        "vegetables",
        [from("onion", parts(2)), from("carrot", parts(1)), from("celery", parts(1))],
        { durationMin: 12 },
      ),
      s.flour === "dusted" &&
        step("thicken", "dust", [from("wheat-flour", pct(1.5))], { form: "dusted", durationMin: 0 }),
      step("deglaze", "wine", [from("red-wine", pct(25))], { durationMin: 6 }),
      step("add", "stock", [from("bought-brown-stock", pct(60), "stock")], { durationMin: 3 }),
      step("braise", "braise", [guess("thyme", perLitre(1.5)), guess("bay-leaf", perLitre(0.3))], {
        where: "oven",
        atC: 150,
        durationMin: 180,
        lid: "on",
        why: "Covered and below the boil the collagen melts and the fibre stays moist.",
      }),
      step("lift", "meat-out", [], { what: "everything solid", keep: true, durationMin: 8 }),
      step("degrease", "degrease", [], { method: "ladle", durationMin: 8 }),
      step("reduce", "reduce", [], { target: { to: 0.5 } }),
      step("season", "season", [from("salt", toSalt(1.1))]),
    ],
  }),
});
