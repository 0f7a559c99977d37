import { choice, defineFamily } from "./family";
import { BUTTER, CREAM, STRAINING } from "./schools";
import { from, guess, pct, perLitre, saltTarget, step, toSalt } from "./write";

/** What lifts the fond, by style: liquid and its share of the stock, and what else the style brings. */
const STYLES = {
  cider: { liquid: "cider", share: 25, more: [] },
  wine: { liquid: "white-wine", share: 20, more: [] },
  "red-wine": { liquid: "red-wine", share: 25, more: [] },
  spirit: { liquid: "grape-brandy", share: 8, more: [] },
  vinegar: { liquid: "sherry-vinegar", share: 6, more: [guess("honey", pct(1))] },
  mustard: { liquid: "white-wine", share: 15, more: [from("wholegrain-mustard", pct(3))] },
  fruit: { liquid: "port", share: 12, more: [from("redcurrant-jelly", pct(4))] },
  soy: {
    liquid: "dry-sherry",
    share: 10,
    more: [from("soy-sauce", pct(3)), from("redcurrant-jelly", pct(3))],
  },
} as const;

/** Pan sauce: fond, a liquid that lifts it, stock, a reduction, a finish. */
export const panSauce = defineFamily({
  id: "pan-sauce",
  name: "Pan sauce",
  group: "sauces",
  method:
    "Sweat shallots on the fond, lift with the liquid, reduce it, wet with stock, reduce until it films the spoon, pass, finish, season last.",
  servedAs: "pan-sauce",
  portionG: 40,
  overagePct: 5,
  storage: { keepC: 4, days: 2, words: "Base before butter and cream keeps two days; finished it does not." },
  choices: [
    choice("style", "What lifts the fond", {
      cider: ["cider", "apple and acid; good with fowl and pork"],
      wine: ["white wine", "acid without sweetness"],
      "red-wine": ["red wine", "tannin and colour; reduce it well"],
      spirit: ["spirit", "perfume; little liquid, much alcohol"],
      vinegar: ["vinegar", "sharp; a little sweetness beside it"],
      mustard: ["wine and mustard", "salty and hot: salt after it"],
      fruit: ["fortified wine and fruit jelly", "sweet and sour; for game"],
      soy: ["soy and preserve", "very salty: the salt is in the soy; wheat and soy"],
    }),
    choice("wine", "How far the liquid goes", {
      sec: ["almost dry", "nothing raw is left; the taste is in the pan"],
      half: ["by half", "more of its own acid stays"],
      flamed: ["flamed first", "for spirits: follow the fire rule; most of the alcohol stays"],
    }),
    STRAINING("press"),
    CREAM("none"),
    BUTTER("30"),
    choice("spice", "Perfume", {
      none: ["none", "the main thing alone"],
      juniper: ["juniper, steeped and taken out", "resin and forest; counted in and out"],
      thyme: ["thyme, steeped and taken out", "herbal; counted in and out"],
    }),
  ],
  draft: s => {
    const style = STYLES[s.style as keyof typeof STYLES] ?? STYLES.cider;
    const liquid = from(style.liquid, pct(style.share), "liquid");
    return {
      school: `${s.style?.replace("-", " ")}, ${s.wine === "half" ? "by half" : s.wine === "flamed" ? "flamed" : "almost dry"}`,
      base: { name: "stock", massG: 2000 },
      targets: [saltTarget(1.1, 0.05)],
      steps: [
        step("sweat", "shallots", [from("shallot", pct(6)), from("butter", pct(1.5), "sweating-butter")], {
          durationMin: 5,
          remark: "In the pan the meat was browned in.",
        }),
        s.wine === "flamed"
          ? step("flame", "flame", [liquid])
          : step("deglaze", "deglaze", [liquid], {
              durationMin: 2,
              why: "The fond dissolves into the liquid; a changed pan loses it.",
            }),
        s.wine !== "flamed" &&
          step("reduce", "reduce-liquid", [], {
            target: { by: s.wine === "half" ? 0.5 : 0.85 },
            cue: s.wine === "half" ? "half the height" : "almost dry, glossy, no sharp smell",
          }),
        step("add", "stock", [from("bought-brown-stock", pct(100), "stock")], { durationMin: 2 }),
        s.spice !== "none" && step("reduce", "reduce-first", [], { target: { to: 0.7 } }),
        s.spice !== "none" &&
          step(
            "steep",
            "perfume",
            [guess(s.spice === "thyme" ? "thyme" : "juniper", perLitre(s.spice === "thyme" ? 3 : 4))],
            { durationMin: 10 },
          ),
        step("strain", "strain", [], { press: s.straining === "press" }),
        step("reduce", "reduce", [], {
          // Soy brings its own salt: what is taken down to a quarter would be too salty with it.
          target: { to: (s.style === "soy" ? 0.4 : 0.25) / (s.spice === "none" ? 1 : 0.7) },
          why: "Thickness first, salt last: all the salt stays while the water leaves.",
        }),
        s.cream !== "none" &&
          step("add", "cream", [from("cream", pct(s.cream === "reduced" ? 12 : 8))], { durationMin: 1 }),
        s.cream === "reduced" && step("reduce", "reduce-cream", [], { target: { body: 37 } }),
        style.more.length > 0 && step("season", "style", style.more, { durationMin: 1 }),
        s.butter !== "none" && step("rest", "off-fire", [], { durationMin: 10, lid: "off" }),
        s.butter !== "none" && step("mount", "mount", [from("butter", perLitre(Number(s.butter)))]),
        step("season", "season", [from("salt", toSalt(1.1))]),
      ],
    };
  },
});
