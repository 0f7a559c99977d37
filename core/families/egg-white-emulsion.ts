import { choice, defineFamily } from "./family";
import { from, pct, saltTarget, step, toSalt } from "./write";

/** White emulsion: egg white carries the oil. */
export const eggWhiteEmulsion = defineFamily({
  id: "egg-white-emulsion",
  name: "Egg-white emulsion",
  group: "emulsions",
  method: "Egg white, acid and ice under a stick blender, oil in a thread until it stands.",
  servedAs: "emulsion",
  portionG: 20,
  overagePct: 5,
  storage: { keepC: 4, days: 3, words: "Cold at once, 5 °C or below." },
  choices: [
    choice("start", "Start", {
      ice: ["with ice", "stays cold under the blade; lighter"],
      water: ["with water", "a little denser"],
    }),
  ],
  draft: s => ({
    school: s.start === "ice" ? "over ice" : "with water",
    base: { name: "oil", massG: 500 },
    targets: [saltTarget(1.0, 0.1)],
    steps: [
      step(
        "emulsify",
        "start",
        [from("egg-white", pct(22)), from("lemon-juice", pct(5)), from("water", pct(10), "ice")],
        { durationMin: 1, remark: s.start === "ice" ? "Drinking-water ice." : undefined },
      ),
      step("emulsify", "oil", [from("grapeseed-oil", pct(100))], {
        tool: "stick blender",
        durationMin: 4,
        why: "A thread at a time: each drop has to be wrapped before the next one comes.",
      }),
      step("season", "season", [from("salt", toSalt(1.0))]),
    ],
  }),
});
