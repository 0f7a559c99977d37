import { choice, defineFamily } from "./family";
import { from, pct, perKg, saltTarget, step, toSalt } from "./write";

/** Roux gravy: browned flour and fat, stock, half an hour. */
export const rouxGravy = defineFamily({
  id: "roux-gravy",
  name: "Brown gravy",
  group: "sauces",
  method: "Brown flour in the pan fat, wet with cold stock, simmer until no flour is tasted, pass, season.",
  servedAs: "pan-sauce",
  portionG: 60,
  overagePct: 8,
  storage: { keepC: 4, days: 3, words: "In the cold; boil through before use." },
  choices: [
    choice("flour", "Flour", {
      wheat: ["wheat", "the usual; gluten"],
      buckwheat: ["buckwheat", "nutty and dark; no wheat recorded in it"],
      rice: ["rice flour", "plain; no wheat recorded in it, sets softer"],
    }),
    choice("acid", "Finishing acid", {
      vinegar: ["a little sherry vinegar, half first", "lifts fat and starch"],
      none: ["none", "round and mild"],
    }),
  ],
  draft: s => ({
    school: `${s.flour} roux`,
    base: { name: "stock", massG: 3000 },
    targets: [saltTarget(1.0, 0.1)],
    steps: [
      step("add", "roux-fat", [from("poultry-fat", pct(5)), from(`${s.flour}-flour`, pct(5), "flour")], {
        durationMin: 10,
        vesselId: undefined,
        cue: "hazelnut brown, smells of biscuits",
        remark: "Stir flat and slow; let the roux cool before the stock.",
        why: "The browner the roux, the less it binds: colour costs thickness.",
      }),
      step("thicken", "wet", [from("bought-brown-stock", pct(100), "stock")], {
        form: "roux",
        rouxHot: false,
        colour: "brown",
        durationMin: 30,
      }),
      step("strain", "strain", [], {}),
      s.acid === "vinegar" &&
        step("season", "acid", [from("sherry-vinegar", perKg(4))], {
          durationMin: 1,
          why: "Half of it first: acid cannot be taken out again.",
        }),
      step("season", "season", [from("salt", toSalt(1.0))]),
    ],
  }),
});
