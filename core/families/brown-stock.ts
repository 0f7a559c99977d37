import { choice, defineFamily } from "./family";
import { AROMATICS, DEFAT, STRAINING, TOMATO, VEGETABLES } from "./schools";
import { from, guess, mirepoix, parts, pct, perLitre, step } from "./write";

/** Brown stock: roasted bones, browned vegetables, cold water, hours. */
export const brownStock = defineFamily({
  id: "brown-stock",
  name: "Brown stock",
  group: "stocks",
  method:
    "Roast the bones, brown the vegetables, lift the fond, cover cold, simmer long, strain, chill, lift the fat.",
  servedAs: "stock",
  portionG: 45,
  overagePct: 10,
  storage: { keepC: 4, days: 3, words: "Covered and labelled in the cold; boil before use." },
  simmerAtMostMin: 720,
  choices: [
    choice(
      "oven",
      "Roasting",
      {
        "200": ["200 °C, turned half-way", "even colour, no black edges; look at 40 min"],
        "190": ["190 °C, even and slow", "the gentlest; takes longer"],
        "220": ["220 °C, fast", "quick and deep; turn half-way and watch the edges"],
      },
      "200",
    ),
    VEGETABLES("start"),
    AROMATICS("early"),
    TOMATO("paste"),
    choice("heat", "Heat", {
      barely: ["bubbles barely rising, skimmed", "clear; fat and scum are not boiled in"],
      half: ["pot half off the fire", "one side turns, the scum gathers on the other"],
    }),
    STRAINING("drain"),
    DEFAT,
  ],
  draft: (s, k) => {
    const late = s.vegetables !== "start";
    const vegetables = [from("onion", parts(2)), from("carrot", parts(1)), from("celery", parts(1))];
    const herbs = [
      from("parsley-stems", perLitre(4)),
      guess("thyme", perLitre(0.8)),
      guess("bay-leaf", perLitre(0.2)),
    ];
    const holdC = Math.round(k.boilsC - 8);
    const simmer = {
      holdC,
      lid: "off" as const,
      surface: "lazy" as const,
      why: "A boil beats fat and scum into the stock; a simmer leaves them on top.",
      ...(s.heat === "half" && { remark: "Pot half off the fire: skim the cool side." }),
    };
    return {
      school: "long brown school",
      base: { name: "bones", massG: 6000 },
      groups: [mirepoix(12)],
      steps: [
        step("roast", "roast", [from("veal-bones", pct(100), "bones")], {
          ovenC: Number(s.oven),
          durationMin: s.oven === "220" ? 40 : s.oven === "190" ? 65 : 50,
          why: "Colour made here is colour and taste of the stock.",
        }),
        s.tomato === "paste" &&
          step("roast", "paste", [from("tomato-paste", pct(2.5))], {
            ovenC: Number(s.oven),
            durationMin: 10,
            remark: "Paint the paste on the bones.",
            why: "Roasted paste loses its raw sourness and adds colour.",
          }),
        step("degrease", "tray-fat", [], {
          method: "ladle",
          durationMin: 5,
          keeps: { use: "frying", perKg: 2 },
        }),
        !late && step("brown", "brown", vegetables, { durationMin: 15 }),
        step("deglaze", "deglaze", [from("water", pct(10), "fond-water")], {
          durationMin: 6,
          why: "The fond is the best of the roast; its liquid counts as wetting.",
        }),
        step("cover", "cover", [], {
          depthMm: 25,
          perKg: 2.1,
          countFond: true,
          durationMin: 8,
          why: "Cold water draws scum out slowly, so that it can be taken off.",
        }),
        ...(late
          ? [
              step("simmer", "simmer", s.aromatics === "early" ? herbs : [], { ...simmer, durationMin: 315 }),
              step("simmer", "simmer-vegetables", vegetables, { ...simmer, durationMin: 45 }),
            ]
          : [
              step("simmer", "simmer", s.aromatics === "early" ? herbs : [], { ...simmer, durationMin: 360 }),
            ]),
        s.aromatics !== "early" &&
          step("steep", "steep", herbs, { durationMin: s.aromatics === "late" ? 8 : 15 }),
        step("strain", "strain", [], {
          press: s.straining === "press",
          keeps: { use: "second wetting" },
        }),
        s.defat === "skim" && step("degrease", "degrease", [], { method: "ladle", durationMin: 12 }),
        step("cool", "cool", [], { method: "ice-bath", toC: 5 }),
        s.defat === "chill" && step("degrease", "degrease", [], { method: "chilled", durationMin: 10 }),
      ],
      notes: "Unsalted: whatever is reduced from it keeps all its salt.",
    };
  },
});
