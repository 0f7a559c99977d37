import { choice, defineFamily } from "./family";
import { EGGS, yolkOf } from "./schools";
import { from, pct, saltTarget, step, toSalt } from "./write";

/** Warm yolk and butter emulsion. */
export const warmButter = defineFamily({
  id: "warm-butter",
  name: "Warm butter emulsion",
  group: "emulsions",
  method: "Reduce acid, cook the yolks in it to a ribbon, beat in warm clarified butter, lemon and salt.",
  servedAs: "emulsion",
  portionG: 40,
  overagePct: 5,
  storage: { keepC: 4, days: 0, words: "Not kept: 60 minutes warm, then it goes." },
  choices: [
    choice("daughter", "Daughter", {
      plain: ["plain", "lemon and butter"],
      tarragon: ["tarragon and chervil", "herbs after the emulsion stands"],
    }),
    EGGS,
  ],
  draft: s => ({
    school: s.daughter === "tarragon" ? "with herbs" : "plain",
    base: { name: "clarified butter", massG: 600 },
    targets: [saltTarget(0.9, 0.1)],
    steps: [
      step(
        "add",
        "reduction",
        [from("white-wine", pct(12)), from("wine-vinegar", pct(8)), from("shallot", pct(5))],
        { durationMin: 2 },
      ),
      step("reduce", "sec", [], { target: { by: 0.6 } }),
      step("strain", "strain", [], { press: true }),
      step("add", "yolks", [from(yolkOf(s.eggs), pct(20)), from("water", pct(10))], { durationMin: 1 }),
      step("liaison", "ribbon", [], {
        toC: 72,
        durationMin: 6,
        cue: "the whisk leaves a ribbon that stays",
        remark: "Over water that does not boil.",
      }),
      step("emulsify", "butter", [from("clarified-butter", pct(100))], {
        tool: "whisk",
        durationMin: 8,
        why: "Butter at 55 °C: colder it sets, hotter it curdles the yolk.",
      }),
      s.daughter === "tarragon" &&
        step("add", "herbs", [from("tarragon", pct(1.2)), from("chervil", pct(0.8))], { durationMin: 1 }),
      step("season", "season", [from("lemon-juice", pct(3)), from("salt", toSalt(0.9))]),
      step("hold", "hold", [], { holdC: 58, durationMin: 60, lid: "on" }),
    ],
  }),
});
