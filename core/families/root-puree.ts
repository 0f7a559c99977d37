import { choice, defineFamily } from "./family";
import { from, pct, saltTarget, step, toSalt } from "./write";

/** Root purée. */
export const rootPuree = defineFamily({
  id: "root-puree",
  name: "Root purée",
  group: "purées and soups",
  method: "Cook the root soft in little liquid, drain and dry, blend with butter and warm cream, pass.",
  servedAs: "puree",
  portionG: 90,
  overagePct: 8,
  storage: { keepC: 4, days: 2, words: "In the cold under film; 90 minutes warm." },
  choices: [
    choice("liquid", "Cooked in", {
      milk: ["milk and water", "stays white, rounder"],
      water: ["salted water", "the root alone"],
    }),
    choice("cream", "Cream", {
      warm: ["warm and reduced", "the body does not drop when it goes in"],
      cold: ["cold", "quick, looser"],
      none: ["none", "butter alone"],
    }),
    choice("sieve", "Sieve", {
      fine: ["passed", "smooth; about 4 % stays behind"],
      none: ["not passed", "all of it; a little grain"],
    }),
  ],
  draft: (s, k) => ({
    school: `${s.liquid}, ${s.cream === "none" ? "butter" : `cream ${s.cream}`}`,
    base: { name: "roots, peeled", massG: 2500 },
    targets: [saltTarget(0.9)],
    steps: [
      step(
        "add",
        "root",
        [
          from("salsify", pct(100), "root"),
          from("water", pct(s.liquid === "milk" ? 50 : 100)),
          ...(s.liquid === "milk" ? [from("milk", pct(50))] : []),
          from("salt", pct(0.8), "cooking-salt"),
        ],
        { durationMin: 5, remark: "Lemon in the soaking water keeps it white." },
      ),
      step("simmer", "cook", [], {
        holdC: Math.round(k.boilsC - 2),
        durationMin: 28,
        lid: "ajar",
        cue: "the hardest piece crushes between two fingers",
        why: "Test the hardest piece: one raw core is a grain in every portion.",
      }),
      step("drain", "drain"),
      step("dry", "dry", [], { lossPct: 4, durationMin: 4 }),
      step(
        "blend",
        "blend",
        [from("butter", pct(8)), ...(s.cream === "none" ? [] : [from("cream", pct(12))])],
        { tool: "jar blender", durationMin: 4 },
      ),
      s.sieve === "fine" && step("pass", "pass", [], { yieldPct: 96 }),
      step("season", "season", [from("salt", toSalt(0.9))]),
    ],
  }),
});
