import { choice, defineFamily } from "./family";
import { from, pct, saltTarget, step, toSalt } from "./write";

/** Butter sauce on a reduction of wine, verjus or vinegar. */
export const beurreBlanc = defineFamily({
  id: "beurre-blanc",
  name: "Butter sauce",
  group: "emulsions",
  method:
    "Reduce acid and shallot almost dry, a little cream for safety, mount with cold butter, keep at 48–56 °C.",
  servedAs: "emulsion",
  portionG: 35,
  overagePct: 5,
  storage: { keepC: 4, days: 0, words: "Not kept: 45 minutes warm, then it goes." },
  choices: [
    choice("acid", "Acid", {
      wine: ["wine and vinegar", "the classical edge"],
      verjus: ["verjus", "softer, fruity; no alcohol"],
      cider: ["cider and its vinegar", "apple; good with trout"],
    }),
    choice("cream", "Cream", {
      yes: ["a little", "holds better; dulls the acid a little"],
      no: ["none", "lighter; breaks sooner"],
    }),
  ],
  draft: s => {
    const liquids =
      s.acid === "verjus"
        ? [from("verjus", pct(60))]
        : s.acid === "cider"
          ? [from("cider", pct(45)), from("cider-vinegar", pct(12))]
          : [from("white-wine", pct(45)), from("wine-vinegar", pct(15))];
    return {
      school: `${s.acid}${s.cream === "yes" ? ", with cream" : ""}`,
      base: { name: "butter", massG: 450 },
      targets: [saltTarget(0.9, 0.1)],
      steps: [
        step("add", "reduction", [from("shallot", pct(10)), ...liquids], { durationMin: 3 }),
        step("reduce", "sec", [], {
          target: { by: 0.75 },
          cue: "almost dry, syrupy between the shallots",
        }),
        step("strain", "strain", [], { press: true }),
        s.cream === "yes" && step("add", "cream", [from("cream", pct(15))], { durationMin: 1 }),
        s.cream === "yes" && step("reheat", "warm", [], { toC: 75 }),
        s.cream !== "yes" && step("rest", "off-fire", [], { durationMin: 3, lid: "off" }),
        step("mount", "mount", [from("butter", pct(100))], {
          durationMin: 6,
          why: "Cold butter in warm acid: the fat breaks into droplets before it can melt to oil.",
        }),
        step("season", "season", [from("salt", toSalt(0.9))]),
        step("hold", "hold", [], {
          holdC: 54,
          durationMin: 45,
          lid: "on",
          remark: "The clock starts when it is made.",
        }),
      ],
    };
  },
});
