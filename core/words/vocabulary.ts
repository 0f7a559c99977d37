import { heardAs, plainName } from "../things/larder";

/** A word of the trade: how it is written, heard and misheard, and what it means here. */
export interface Term {
  readonly id: string;
  readonly term: string;
  readonly also: readonly string[];
  readonly meaning: string;
  /** Meanings between which the house chooses. */
  readonly senses?: readonly string[];
}

const t = (term: string, also: readonly string[], meaning: string, senses?: readonly string[]): Term => ({
  id: plainName(term).replace(/\s+/g, "-"),
  term,
  also,
  meaning,
  ...(senses && { senses }),
});

/** Searchable by alias, common misspellings and mishearings among them. */
// prettier-ignore
export const VOCABULARY: readonly Term[] = [
  t("à la minute", ["a la minute"], "made to order, in the pan the meat was cooked in"),
  t("au sec", ["sec", "nearly dry", "almost dry"], "reduced until a spoonful is left in the pan"),
  t("jus", ["au jus", "juice of the meat"], "meat liquor, unbound or hardly bound"),
  t("baste", ["nap the meat"], "to spoon hot fat or sauce over something while it cooks"),
  t("beurre blanc", ["white butter sauce"], "butter whisked into a reduction of wine and vinegar"),
  t("beurre manié", ["manier", "beurre manie", "kneaded butter"], "raw flour and soft butter in equal parts, whisked in by pieces"),
  t("blanch", ["blanche"], "a short boil, then ice; or a first boil of bones whose water goes"),
  t("blond roux", ["blonde roux"], "roux cooked until it smells of pastry, hardly coloured"),
  t("bouquet garni", ["herb bundle", "bouquet"], "herbs tied into a bundle that comes out in one piece"),
  t("brunoise", ["brunoise dice"], "fine, even dice"),
  t("julienne", ["matchsticks"], "fine, even strips"),
  t("concassé", ["concasse", "concassee"], "peeled and seeded tomato, roughly chopped"),
  t("flambé", ["flambe", "flamed", "burnt brandy"], "a spirit lit in the pan; part of its alcohol burns"),
  t("clarified butter", ["drawn butter", "ghee"], "butter without its water and milk solids"),
  t("brown butter", ["browned butter", "nut butter"], "butter heated until its solids smell of nuts"),
  t("gastrique", ["gastric", "gastrick"], "caramel stopped with vinegar"),
  t("caramel", ["cooked sugar"], "sugar cooked until it colours"),
  t("dry hiss", ["the chant", "hiss"], "the sound of a pan when the water has gone"),
  t("chinois", ["chinoise", "chinoa", "fine strainer"], "the conical strainer of the last pass"),
  t("confit", ["confee"], "cooked slowly under fat"),
  t("convection simmer", ["half off the fire"], "pot half off the heat: one side turns, scum gathers on the other"),
  t("coulis", ["coolie", "cooly"], "strained purée that pours"),
  t("cover", ["to cover"], "water to a level above what lies in the pot"),
  t("croûtons", ["croutons"], "bread fried for garnish"),
  t("cure", ["salt cure"], "salt and sugar rubbed on for hours"),
  t("deglaze", ["de glaze", "lift the fond"], "to dissolve what stuck to the pan in a liquid"),
  t("degrease", ["defat", "de grease"], "to take the fat off by ladle, cold or paper"),
  t("demi-glace", ["demi", "demi glass", "demiglace"], "reduced brown stock; how far is for the house to say", ["to one half, unbound", "by 60 %", "by two thirds", "bound with a brown sauce"]),
  t("duxelles", ["ducksell", "duxell"], "chopped mushroom and shallot cooked dry"),
  t("emulsion", ["emulsified"], "fat and water held together; broken, split or curdled when they part"),
  t("espuma", ["foam"], "foam from a siphon"),
  t("flan", ["set custard"], "a purée set with egg"),
  t("fond", ["sucs", "pan drippings"], "what browned and stuck to the metal"),
  t("well coloured", ["gbd", "golden brown"], "an even, deep golden surface"),
  t("glaze", ["tighten the glaze", "glace"], "a liquor reduced to a shining film"),
  t("gratin", ["browned under the grill"], "browned from above"),
  t("scum", ["impurities"], "set protein that rises as foam"),
  t("liaison", ["liason", "liaision"], "yolk and cream stirred in to bind"),
  t("marinière", ["mariniere"], "mussels opened in wine and shallot"),
  t("mirepoix", ["mirpoix", "mirpoy", "milpoir", "mire poix"], "onion, carrot and celery cut for a stock; white ones leave the carrot out"),
  t("mise en place", ["mise", "meez", "mies en place"], "everything weighed and ready before the fire is lit"),
  t("mount", ["monter", "monte au beurre", "mont"], "to swirl cold butter in until it thickens and shines"),
  t("Mornay", ["mornay sauce"], "white sauce with cheese"),
  t("nage", ["court bouillon", "court-bouillon"], "an aromatic poaching liquor that is served with what was poached", ["the poaching liquor", "a second wetting"]),
  t("nappe", ["nappé", "napay", "coats the spoon"], "thick enough to coat the back of a spoon and stay"),
  t("oyster", ["oyster of the bird"], "the round of meat by the hip of a bird, or the shellfish", ["of poultry", "the shellfish"]),
  t("parboil", ["par boil"], "to cook in part"),
  t("pomme purée", ["pomme puree", "mash"], "smooth potato purée"),
  t("quenelle", ["kennel", "canelle shape"], "an oval shaped with two spoons"),
  t("reduce", ["boil down"], "to boil water away: by a share, or to a share; never mix the two"),
  t("remouillage", ["second wetting", "remoo-yazh"], "a second stock from bones already used"),
  t("render", ["melt out"], "to melt fat out of trim"),
  t("rest", ["let rest"], "off the heat, until the juices settle"),
  t("roux", ["roo", "rue"], "flour cooked in fat, to bind"),
  t("standardise", ["scale a recipe"], "to fix and test a recipe so that others can repeat it"),
  t("sear", ["colour", "brown hard"], "to brown at high heat"),
  t("season to taste", ["season"], "salt, acid and pepper to the level of the house"),
  t("sizzle plate", ["sizzle platter"], "small metal plate for holding and heating"),
  t("skim", ["skimming"], "to take scum and fat off the surface"),
  t("slurry", ["starch slurry", "slurrey"], "starch stirred into cold liquid"),
  t("steep", ["infuse"], "to let aromatics draw off the heat"),
  t("stock", ["broth", "fumet"], "bones: stock; meat: broth; fish: fumet"),
  t("sweat", ["sweating"], "to soften in fat without colour"),
  t("syrup consistency", ["syrupy"], "thick and pouring, carried by sugar"),
  t("temper", ["tempering"], "to warm yolks by ladles, or to take meat out of the cold", ["warm yolks by ladles", "take meat out of the cold"]),
  t("tighten", ["tighten up"], "to reduce or bind a little more"),
  t("velouté", ["veloute", "velooty", "valoute"], "stock bound with blond roux"),
  t("vegetation water", ["mushroom water"], "water drawn out of vegetables while they cook"),
  t("whole butter", ["fresh butter"], "butter with its water and solids, not clarified"),
  t("white stock", ["pale stock"], "stock of unroasted bones"),
  t("yield", ["ap", "ep", "as purchased", "edible portion"], "what is obtained; as purchased against what is used"),
];

/** A misheard word may be off by so many letters for its length. */
const OFF_AT_MOST = (length: number): number => (length <= 4 ? 1 : length <= 8 ? 2 : 3);

/**
 * The term a word means, by name, alias or near miss; `null` when nothing is near.
 * @example findTerm("mirpoy")?.term // "mirepoix"
 */
export function findTerm(word: string): Term | null {
  const wanted = plainName(word);
  if (!wanted) return null;
  const spellings = VOCABULARY.flatMap(term =>
    [term.term, ...term.also].map(name => ({ term, name: plainName(name) })),
  );
  const exact = spellings.find(s => s.name === wanted);
  if (exact) return exact.term;
  const near = spellings
    .map(s => ({ ...s, off: heardAs(s.name, wanted) }))
    .filter(s => s.off <= OFF_AT_MOST(wanted.length) && s.off < s.name.length - 1)
    .sort((a, b) => a.off - b.off);
  return near[0]?.term ?? null;
}
