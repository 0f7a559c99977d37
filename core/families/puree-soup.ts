import { choice, defineFamily } from "./family";
import { AROMATICS, BUTTER, CREAM } from "./schools";
import { from, guess, pct, perLitre, saltTarget, step, toSalt } from "./write";

/** Purée soup: the vegetable binds itself. */
export const pureeSoup = defineFamily({
  id: "puree-soup",
  name: "Purée soup",
  group: "purées and soups",
  method: "Sweat, wet, cook soft, blend very smooth with the butter, thin to body, salt last.",
  servedAs: "soup",
  portionG: 220,
  overagePct: 8,
  storage: { keepC: 4, days: 3, words: "In the cold; boil through before use." },
  choices: [
    choice("style", "Style", {
      smooth: ["smooth", "blended and passed; takes butter"],
      chunky: ["in pieces", "no butter: it would float"],
    }),
    CREAM("none"),
    BUTTER("60"),
    AROMATICS("early"),
  ],
  draft: (s, k) => {
    // With cream in it half the butter is as rich.
    const butter = Number(s.butter) / (s.cream === "none" ? 1 : 2);
    return {
      school: s.style ?? "smooth",
      base: { name: "vegetable, peeled", massG: 2500 },
      targets: [saltTarget(0.9)],
      steps: [
        step(
          "sweat",
          "sweat",
          [
            from("butter", pct(2), "sweating-butter"),
            from("onion", pct(12)),
            from("pumpkin", pct(100), "vegetable"),
          ],
          { durationMin: 10 },
        ),
        step(
          "add",
          "wet",
          [
            from("bought-vegetable-stock", pct(90), "stock"),
            ...(s.aromatics === "early" ? [guess("thyme", perLitre(0.8))] : []),
          ],
          { durationMin: 2 },
        ),
        step("simmer", "cook", [], {
          holdC: Math.round(k.boilsC - 4),
          durationMin: 25,
          lid: "ajar",
          why: "Soft to the core blends smooth; undercooked roots stay grainy whatever the blade.",
        }),
        s.aromatics === "early" &&
          step("lift", "aromatics-out", [], { what: "aromatics", tally: "the thyme stalks" }),
        s.style === "smooth" &&
          step("blend", "blend", s.butter === "none" ? [] : [from("butter", perLitre(butter))], {
            tool: "stick blender",
            durationMin: 4,
            reserveFirst: "garnish dice for the plate",
          }),
        s.style === "smooth" && step("pass", "pass", [], { yieldPct: 97 }),
        s.cream !== "none" && step("add", "cream", [from("cream", perLitre(80))], { durationMin: 1 }),
        step("season", "season", [from("salt", toSalt(0.9))]),
      ],
    };
  },
});
