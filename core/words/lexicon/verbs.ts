/**
 * The verbs of a recipe: one entry for each, with what it makes of a sentence. A verb that is a step by itself has the
 * name of that step; the others help, prepare, or say something that only the rest of the sentence decides.
 */
export type Sense =
  | "sweat" | "brown" | "roast" | "blanch" | "deglaze" | "flame" | "simmer" | "boil" | "poach" | "braise" | "cook" | "reduce"
  | "strain" | "pass" | "drain" | "lift" | "skim" | "degrease" | "thicken" | "dust" | "temper" | "mount" | "emulsify"
  | "blend" | "whip" | "dry" | "cool" | "freeze" | "thaw" | "hold" | "rest" | "steep" | "soak" | "reserve" | "portion"
  | "season" | "cure" | "heat" | "add" | "stir" | "melt" | "cover" | "confit" | "render" | "caramel" | "pour" | "set"
  /** Decided by the words beside it: take out, put back, bring to the boil, let down. */
  | "take" | "put" | "bring" | "go" | "keep" | "press" | "return" | "leave"
  /** Nothing of its own: let it simmer. */
  | "help"
  /** Knife work and washing: what it is done to is named for later. */
  | "prepare"
  /** Happens meanwhile, or to the plate: never a step. */
  | "aside"; // prettier-ignore

export interface Verb {
  readonly lemma: string;
  readonly sense: Sense;
}

const words = (text: string): readonly string[] => text.trim().split(/\s+/);

const BY_SENSE: Readonly<Record<Sense, readonly string[]>> = {
  sweat: words("sweat soften saute fondre stew wilt suer"),
  brown: words("brown sear colour color fry caramelise caramelize toast char crisp darken pince colorer saisir dorer rissoler"),
  roast: words("roast bake rotir"),
  blanch: words("blanch parboil blanchir"),
  deglaze: words("deglaze deglase deglacer"),
  flame: words("flame flambe ignite flamber"),
  simmer: words("simmer murmur tick mijoter shiver"),
  boil: words("boil bubble bouillir"),
  poach: words("poach pocher"),
  braise: words("braise"),
  cook: words("cook steam open cuire"),
  reduce: words("reduce reduse tighten concentrate evaporate thickens reduire"),
  strain: words("strain passer filtrer"),
  pass: words("pass sieve rub"),
  drain: words("drain"),
  lift: words("lift move transfer remove fishout discard retrieve withdraw"),
  skim: words("skim ecumer"),
  degrease: words("degrease defat degraisser"),
  thicken: words("thicken bind lier"),
  dust: words("dust sprinkle singer scatter"),
  temper: words("temper"),
  mount: words("mount monter monte swirl"),
  emulsify: words("emulsify drizzle trickle"),
  blend: words("blend blitz whizz liquidise liquidize puree pulse process pound mash mixer"),
  whip: words("whip"),
  dry: words("dry"),
  cool: words("cool chill refrigerate refroidir"),
  freeze: words("freeze"),
  thaw: words("thaw defrost"),
  hold: words("hold"),
  rest: words("rest stand"),
  steep: words("steep infuse macerate infuser"),
  soak: words("soak rehydrate marinate sit"),
  reserve: words("reserve"),
  portion: words("portion fill"),
  season: words("season sharpen correct acidulate assaisonner"),
  cure: words("cure"),
  heat: words("heat warm reheat rewarm chauffer"),
  add: words("add combine incorporate include dissolve toss throw drop pop crumble grate wet moisten mouiller enrich finish thin loosen dilute place squeeze slip scrape hit stop ajouter incorporer"),
  stir: words("stir whisk beat fold mix work shake fouetter remuer"),
  melt: words("melt"),
  cover: words("cover"),
  confit: words("confit"),
  render: words("render"),
  caramel: words("caramel"),
  pour: words("pour tip ladle spoon verser"),
  set: words("set"),
  take: words("take pull took"),
  put: words("put"),
  bring: words("bring come raise"),
  go: words("go get give seize"),
  keep: words("keep store"),
  press: words("push press force wring"),
  return: words("return"),
  leave: words("leave"),
  help: words("let allow start begin continue need make use turn try help aim carry"),
  prepare: words("slice chop dice mince peel cut crush smash trim wash rinse clean shell stud tie pick halve quarter ciseler bruise grind pat shuck debone stone slake emince crack hull top tail separate zest juice scrub score spread lay arrange knead grease line cube shred tear warn butterfly"),
  aside: words("taste watch check tilt serve brush label date wait know want weigh see call say think tell smell catch die curdle split land wake look save buy find expect remember mention gather spit scum stick draw press trust ask read look hang repeat decorate garnish close yield serves makes deserve wipe burn foam hiss sizzle feel fall stay hurry jiggle ripen panic like love roll swing shine promise scramble"),
}; // prettier-ignore

/** Forms no rule makes. */
const IRREGULAR: Readonly<Record<string, readonly string[]>> = {
  take: ["took", "taken"], put: ["put"], bring: ["brought"], go: ["went", "gone"], come: ["came"], keep: ["kept"],
  let: ["let"], make: ["made"], begin: ["began", "begun"], beat: ["beat", "beaten"], cut: ["cut"], fry: ["fried", "fries"],
  dry: ["dried", "dries"], tie: ["tied", "tying"], stand: ["stood"], sit: ["sat"], hold: ["held"], leave: ["left"],
  freeze: ["froze", "frozen"], grind: ["ground"], lay: ["laid"], get: ["got", "gotten"], give: ["gave", "given"],
  set: ["set"], split: ["split"], know: ["knew", "known"], say: ["said"], tell: ["told"], think: ["thought"],
  see: ["saw", "seen"], find: ["found"], catch: ["caught"], fall: ["fell", "fallen"], spread: ["spread"],
  draw: ["drew", "drawn"], stick: ["stuck"], throw: ["threw", "thrown"], hit: ["hit"], buy: ["bought"], read: ["read"],
  feel: ["felt"], hang: ["hung"], steep: ["steeped"], wake: ["woke"], shake: ["shook", "shaken"], swing: ["swung"],
  mash: ["mashed"], season: ["salted", "salting"], singer: ["singe"], lier: ["lie"],
}; // prettier-ignore

const DOUBLES =
  /^(?:drop|stir|skim|tip|top|rub|strip|dip|whip|chop|trim|slip|pop|cut|swirl|get|let|put|set|sit|stud|pat|thin|wet|spit|hit|stop|step|swim|grip)$/;

function formsOf(lemma: string): readonly string[] {
  const last = lemma.at(-1) ?? "";
  const stem = lemma.endsWith("e")
    ? lemma.slice(0, -1)
    : DOUBLES.test(lemma) && !/l$/.test(lemma)
      ? lemma + last
      : lemma;
  const s = /(?:s|sh|ch|x|z)$/.test(lemma)
    ? `${lemma}es`
    : /[^aeiou]y$/.test(lemma)
      ? `${lemma.slice(0, -1)}ies`
      : `${lemma}s`;
  const past = /[^aeiou]y$/.test(lemma) ? `${lemma.slice(0, -1)}ied` : `${stem}ed`;
  return [lemma, s, past, `${stem}ing`, ...(IRREGULAR[lemma] ?? [])];
}

const VERBS: ReadonlyMap<string, Verb> = new Map(
  (Object.entries(BY_SENSE) as [Sense, readonly string[]][])
    .toReversed()
    .flatMap(([sense, lemmas]) =>
      lemmas.flatMap(lemma => formsOf(lemma).map(form => [form, { lemma, sense }] as const)),
    ),
);

export const verbCalled = (plain: string): Verb | null => VERBS.get(plain) ?? null;

/** "pressing", "skimming": said of how something else is done. */
export const isGerund = (plain: string): boolean =>
  plain.endsWith("ing") && plain.length > 4 && plain !== "bring" && plain !== "spring" && plain !== "wring";
/** "chopped", "beaten": what somebody has done to it, or did. */
export const isParticiple = (plain: string): boolean =>
  /(?:ed|en|wn)$/.test(plain) && plain.length > 3 && VERBS.get(plain)?.lemma !== plain;
