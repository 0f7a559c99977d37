import { printMass, printNumber, g } from "../../ground/quantity";
import { LONGEST_NAME, checkId, checkLength, checkName } from "../../ground/names";
import { type Problem, type Result, type Warning, checkNumber, ok, refuse } from "../../ground/result";
import { type Composition, normaliseComposition } from "./composition";
import { type Ingredient, densityOf } from "./ingredient";
import { checkPrice } from "./price";

/** Something a cook should look at again before it is believed. */
export interface Doubt {
  readonly pct: number;
  readonly warning: Warning | null;
}

/** Salt in a finished sauce, per cent of its mass. Common practice, no source. */
const SALT_USUAL = { from: 0.3, to: 1.5 } as const;

/**
 * Whether an amount of salt can be meant: typed or dictated amounts go wrong by a cup for a spoon.
 * @example 290 g in 2 kg of sauce: 12.7 %, doubtful
 */
export function saltDoubt(saltG: number, otherG: number): Doubt {
  const pct = saltG + otherG > 0 ? (100 * saltG) / (saltG + otherG) : 0;
  if (pct <= SALT_USUAL.to) return { pct, warning: null };
  const usual = (SALT_USUAL.to / 100) * (saltG + otherG);
  return {
    pct,
    warning: {
      code: "IMPLAUSIBLE",
      message: `${printMass(g(saltG))} of salt in ${printMass(g(saltG + otherG))} is ${printNumber(pct, 1)} %; usual is ${SALT_USUAL.from} to ${SALT_USUAL.to} %, at most ${printMass(g(usual))} here. Is the amount meant?`,
    },
  };
}

/** Most of a strong thing that anybody puts in, g per kg of what it seasons. Common practice, no source. */
const STRONG: readonly (readonly [name: RegExp, mostGPerKg: number])[] = [
  [/^nutmeg|^mace/, 1.5],
  [/^cloves?$/, 1],
  [/cayenne/, 1.5],
  [/saffron/, 0.6],
  [/cinnamon|star anise/, 4],
  [/allspice/, 3],
  [/^bay leaf/, 2],
  [/juniper/, 8],
  [/peppercorns?|^(?:black|white) pepper/, 10],
  [/xanthan/, 6],
];

/** Ground and potent: a gram too much of it spoils, and no hand takes it out again. What is whole is lifted out. */
const POTENT = /^nutmeg|^mace\b|cayenne|(?:white|ground) pepper|saffron/;
export const isPotent = ({ name }: Pick<Ingredient, "name">): boolean => POTENT.test(name);

/**
 * Whether a dose of a strong spice or binder can be meant.
 * @example 6 g of nutmeg in a litre: 1.5 g is the most
 */
export function strongDoubt({ name }: Ingredient, massG: number, wholeG: number): Warning | null {
  const most = STRONG.find(([pattern]) => pattern.test(name))?.[1];
  if (most === undefined || massG <= LEAST_DOSE_G || massG <= (most * wholeG) / 1000) return null;
  return {
    code: "IMPLAUSIBLE",
    message: `${printMass(g(massG))} of ${name} in ${printMass(g(wholeG))}: the most anybody takes is ${printMass(g((most * wholeG) / 1000))}. Is the amount meant?`,
  };
}
/** Less than this no scale of a kitchen tells apart, g. */
const LEAST_DOSE_G = 0.3;

/** Density the parts of a composition would have together, g/ml: water and salts near 1, fat below, sugar above. */
const roughDensity = (c: Composition): number => {
  const volume =
    c.water / 0.998 +
    c.fat / 0.917 +
    c.ethanol / 0.789 +
    (c.protein + c.starch) / 1.4 +
    (c.sugars + c.fibre + c.acid) / 1.55 +
    (c.salt + c.other) / 2.1;
  return 100 / volume;
};
/** A density this far from its composition's is somebody's slip; powders hold air and are left alone. */
const DENSITY_OFF = 0.12;
const DRY = 40;
const MOST_SALT_OF_STOCK = 3;

const MOST_ALIASES = 40;
const MOST_MEASURES = 40;
const tooMany = (field: string, message: string): Problem => ({ code: "OUT_OF_RANGE", field, message });

/**
 * Looks an ingredient over as a careful colleague would: what is impossible is refused, what is odd is said.
 *
 * @errors SUM_NOT_100 · SUBSET_TOO_BIG · NOT_FINITE · OUT_OF_RANGE · those of ids, names and prices
 */
export function checkIngredient(ingredient: Ingredient): Result<Ingredient> {
  const composition = normaliseComposition(ingredient.composition);
  const { aliases, measures, price } = ingredient;
  const problems: Problem[] = [
    ...checkId(ingredient.id),
    ...checkName(ingredient.name),
    ...(aliases.length > MOST_ALIASES
      ? [tooMany("aliases", `${aliases.length} other names are too many; ${MOST_ALIASES} fit.`)]
      : aliases.flatMap(alias => checkLength(alias, "aliases", "Another name", LONGEST_NAME))),
    ...(measures.length > MOST_MEASURES
      ? [tooMany("measures", `${measures.length} measures are too many; ${MOST_MEASURES} fit.`)]
      : []),
    ...[
      ingredient.compositionSource,
      ingredient.densitySource,
      ingredient.edibleSource,
      ingredient.juiceSource,
      price?.source,
      ...measures.map(m => m.source),
    ].flatMap(source => (source ? checkLength(source.text, "source", "The source") : [])),
    ...(price ? checkPrice(price) : []),
    ...(composition.ok ? [] : composition.problems),
    ...checkNumber(ingredient.ediblePct, "ediblePct", "The edible portion", {
      min: 0.1,
      max: 100,
      unit: "%",
    }),
    ...ingredient.measures.flatMap((m, i) =>
      m.loG <= m.massG && m.massG <= m.hiG
        ? []
        : [
            {
              code: "OUT_OF_RANGE" as const,
              field: `measures.${i}`,
              value: m.massG,
              message: `A ${m.name} weighs ${printMass(g(m.massG))}, which is not between ${printMass(g(m.loG))} and ${printMass(g(m.hiG))}.`,
            },
          ],
    ),
  ];
  if (!composition.ok || problems.length) return refuse(...problems);
  const c = composition.value;
  const warnings: Warning[] = [];
  const doubt = (message: string) => warnings.push({ code: "IMPLAUSIBLE", message });
  const density = densityOf(ingredient);
  // What is spooned as a powder has air between its grains.
  const powder = c.water < 12 && /powder|flour|ground|lecithin/i.test(ingredient.name);
  if (density !== undefined && !powder && c.water + c.fat + c.ethanol > DRY) {
    const expected = roughDensity(c);
    if (Math.abs(density / expected - 1) > DENSITY_OFF)
      doubt(
        `A litre of this would weigh about ${printNumber(1000 * expected)} g by its composition, not ${printNumber(1000 * density)} g.`,
      );
  }
  if (ingredient.boughtStock && c.salt > MOST_SALT_OF_STOCK && c.water > 50)
    doubt(
      `${printNumber(c.salt, 1)} % of salt in a stock is more than any can be reduced with. Is it the powder?`,
    );
  if (c.ethanol > 0 && !ingredient.diet.includes("alcohol"))
    doubt("There is alcohol in it, but the alcohol flag is not set.");
  if (c.collagen > 1.2 && !ingredient.diet.includes("gelatin"))
    doubt("There is collagen in it, but the gelatin flag is not set.");
  if (
    /\b(milk|cream|butter|cheese|yogurt)\b/i.test(ingredient.name) &&
    !/coconut|almond|oat|soy|peanut|cashew|nut\b|sherry/i.test(ingredient.name) &&
    ingredient.allergens &&
    !ingredient.allergens.includes("milk")
  )
    doubt("By its name this holds milk, but milk is not among its allergens.");
  if (ingredient.phase === "fat" && c.fat < 50)
    doubt("It is said to float as fat, but less than half of it is fat.");
  return ok({ ...ingredient, composition: c }, warnings);
}
