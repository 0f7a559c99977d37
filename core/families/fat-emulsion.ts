import { choice, defineFamily } from "./family";
import { from, pct, step } from "./write";

/** Rendered fat as the taste of an emulsion. */
export const fatEmulsion = defineFamily({
  id: "fat-emulsion",
  name: "Rendered-fat emulsion",
  group: "emulsions",
  method:
    "Egg white, vinegar and ice, liquid fat cut with neutral oil beaten in; the fat brings its own salt.",
  servedAs: "emulsion",
  portionG: 15,
  overagePct: 5,
  storage: { keepC: 4, days: 1, words: "Cold at once; sets in half an hour." },
  choices: [
    choice("fat", "Fat", {
      duck: ["duck fat", "rich; salty when it comes from a cure"],
      dripping: ["beef dripping", "roast taste; sets firmer"],
      lard: ["lard", "the mildest"],
    }),
  ],
  draft: s => {
    const fat = { duck: "duck-fat", dripping: "beef-dripping", lard: "lard" }[s.fat ?? ""] ?? "duck-fat";
    return {
      school: `${s.fat} fat`,
      base: { name: "fat and oil", massG: 100 },
      steps: [
        step(
          "emulsify",
          "start",
          [
            from("egg-white", pct(45)),
            from("wine-vinegar", pct(15)),
            from("water", pct(30), "ice"),
            from("salt", pct(2)),
          ],
          { durationMin: 1 },
        ),
        step("emulsify", "fat", [from(fat, pct(60), "fat"), from("sunflower-oil", pct(40))], {
          tool: "stick blender",
          durationMin: 4,
          remark: "Fat at 35 °C: liquid, not hot.",
          why: "Too cold it sets in grains, too hot it sets the egg.",
        }),
        step("cool", "cool", [], { method: "walk-in", toC: 5 }),
      ],
      notes: "Salt of the fat itself is not known unless it was weighed in: taste before adding more.",
    };
  },
});
