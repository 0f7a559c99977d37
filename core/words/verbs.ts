import type { StepKindName } from "../formula";

/** Verbs that tell a step; of two said at the same place the particular stands before the general. */
// prettier-ignore
const VERBS: readonly (readonly [RegExp, StepKindName])[] = [
  [/\b(set aside|reserve|keep back)\b/, "reserve"],
  [/\b(temper|liaison|yolks? and cream)\b/, "liaison"],
  [/\b(whisk|beat|cook)\b[^.;]*\byolks?\b(?=[^.;]*\b(over|bain|ribbon|to \d))/, "liaison"],
  [/\b(emulsify|oil in a (?:thin )?(?:stream|thread)|(?:beat|whisk|trickle|drizzle) in\b[^,.;]*\b(?:oil|(?:melted|warm|clarified) butter))\b/, "emulsify"],
  [/\b(mount|mont(?:er|ez|e)|swirl in|(?:whisk|beat) in\b[^,.;]*\bbutter|finish with\b[^,.;]*\bbutter)\b/, "mount"],
  [/\b(thicken|bind|roux|slurry|beurre mani|(?:dust|sprinkle)\b[^,.;]*\bflour|stir in\b[^,.;]*\bflour)/, "thicken"],
  [/\b(blanch|blanche)\b/, "blanch"],
  [/\b(soak|rehydrate)\b/, "soak"],
  [/\b(render|melt out)\b/, "render"],
  [/\b(roast|in the oven)\b/, "roast"],
  [/\b(sweat|soften|saut[ée])(?![\p{L}])/u, "sweat"],
  [/\b(flame|flamb)/, "flame"],
  [/\b(deglaze|de-glaze|lift the fond|stop (?:it|the \w+) with)/, "deglaze"],
  [/\b(brown|colou?r|sear|caramelise|caramelize|fry|toast)\b/, "brown"],
  [/\b(degrease|defat|(?:skim|pour|spoon|drain|lift|take|remove)(?: off| away)?(?: all| most)?(?: of)?(?: the| any)?(?: excess)? fat)\b/, "degrease"],
  [/\b(skim)\b/, "skim"],
  [/\b(steep|infuse|macerate)\b/, "steep"],
  [/\b(lift out|take out the|(?:remove|discard|fish out)\b[^,.;]*\b(?:herbs?|bay|thyme|rosemary|bundle|bouquet|stems?|stalks|aromatics|cloves?|cinnamon|star anise)\b)/, "lift"],
  [/\b(reduce(?! (?:the )?(?:heat|flame|fire))|boil down|almost dry|au sec)\b/, "reduce"],
  [/\b(strain|chinois)\b/, "strain"],
  [/\b(pass|sieve|through a (?:fine )?sieve)\b/, "pass"],
  [/\b(drain)\b/, "drain"],
  [/\b(blend|liquidise|liquidize|purée|puree|blitz)\b/, "blend"],
  [/\b(cool|chill|ice bath|(?:hold|keep|store)\b[^,.;]*\b(?:fridge|refrigerator|cold room))\b/, "cool"],
  [/\b(freeze)\b/, "freeze"],
  [/\b(thaw|defrost)\b/, "thaw"],
  [/\b(reheat|(?:warm|heat) (?:it )?(?:up|through|to))\b/, "reheat"],
  [/\b(hold|keep warm|bain)\b/, "hold"],
  [/\b(rest)\b/, "rest"],
  [/\b(cure)\b/, "cure"],
  [/\bcover\b[^,.;]*\bwith\b[^,.;]*\bwater\b|\b(?:(?:top up|fill(?: up)?|add|pour(?: in| on| over)?) (?:with )?)?(?:enough )?(?:the )?(?:cold )?water to cover\b/, "cover"],
  [/\b(simmer|cook|bring to|boil|bubble|stew|tick over|poach|braise)\b/, "simmer"],
  [/\b(season|salt to taste|(?:check|correct|adjust) (?:the )?(?:salt|seasoning))\b/, "season"],
  [/\b(dry|until it hisses)\b/, "dry"],
  [/\b(?:add|melt|combine|pour|put|place|(?:stir|fold|mix|beat|drop) in|whisk in|tip in|in goes|top up|cover with|finish with|(?:thin|loosen|let down|moisten|enrich|sharpen|adjust)(?: it)?(?: down| out)? with|take (?=\d|an?\b|some\b))\b/, "add"],
];

/** The verb said first in a clause: the kind of step it tells, and where it stands; `null` where no verb is known. */
export function deedSaid(clause: string): { readonly at: number; readonly kind: StepKindName } | null {
  const text = clause.toLowerCase();
  let first: { at: number; kind: StepKindName } | null = null;
  for (const [pattern, kind] of VERBS) {
    const at = pattern.exec(text)?.index;
    if (at !== undefined && (!first || at < first.at)) first = { at, kind };
  }
  return first;
}

export const kindSaid = (clause: string): StepKindName | null => deedSaid(clause)?.kind ?? null;
