import { STEP_KINDS, type StepKindName } from "../formula";
import { type Ingredient, saltDoubt } from "../things/larder";
import { CARDINAL, g, printMass, printNumber } from "../ground/quantity";
import { type SaidIngredient, type ShortNames, ingredientsSaid } from "./ingredients-said";
import { kindSaid } from "./verbs";

const AMOUNT_OF = new RegExp(
  `((?:\\d[\\d.,/]*|half an?|an?|${CARDINAL})\\s*(?:kg|kilos?|g|grams?|l|lit(?:re|er)s?|dl|cl|ml|millilit(?:re|er)s?|cups?|tbsp|tablespoons?|tsp|teaspoons?|sprigs?|bunch(?:es)?|handfuls?|oz|ounces?|lbs?|pounds?))\\s+(?:of\\s+)?(?!(?:it|them|this|that|the)\\b)([a-z][a-z -]+?)(?=[,.;]|\\s+(?:at|for|in|with|and|to|until|then|over)\\b|$)`,
  "gi",
);

/** Amounts that stand before a name the larder does not know: they would be lost without a word. */
function amountsOfNothing(clause: string, said: readonly SaidIngredient[]): string[] {
  return [...clause.matchAll(AMOUNT_OF)].flatMap(([, amount = "", name = ""]) =>
    said.some(one => one.said && (amount.includes(one.said) || one.said.includes(amount)))
      ? []
      : [
          `${amount} of “${name}”: the larder has nothing called that. Call it by its full name, or enter it there.`,
        ],
  );
}

/** Words that tell how, where or until when, and not what. */
const NOT_A_THING =
  /\b(?:lid|cover|covered|uncovered|heat|fire|flame|pan|pot|oven|tray|bowl|boil|simmer|low|high|medium|hot|cold|warm|off|on|in|into|over|under|until|till|from|to|for|by|at|bit|little|time|then|once|again|no|not|without|if|when|while|as|it|them|this|that|everything|all|rest|remaining|other|same|taste|colou?r|soft|tender|smooth|clear|dark|golden|glossy|thick|thin|dry|well|season|seasoning|minutes?|hours?|day|night|next|overnight|needed|more|less|further|turns?|edges?|side|skin|top|half|of|be|is|are|should|rinse|clarify|peel|cut|chop|dice|slice|stir|whisk|toss|turn|shake|press|squeeze|scrape|wash|trim|crush|bruise|serve|discard|repeat|let|leave|keep|check|adjust)\b/i;
/** Names of what lies in the pot already. */
const WHAT_IS_THERE =
  /\b(?:stock|liquor|liquid|sauce|fond|juices?|jus|base|mix|mixture|roux|pur[ée]e|reduction|bones|vegetables|trimmings|meat|aromatics|emulsion|contents)\b/i;
const HOW = /(?:ing|ly|ed|en)$/i;

/** Names that stand among what goes in and that the larder does not know, without an amount. */
const RIND = /\b(?:zest|peel|rind) of (?:half an?|an?|the|\S+)? ?[a-z]+/gi;

function unknownNames(clause: string, larder: readonly Ingredient[], shortNames: ShortNames): string[] {
  return clause
    .split(/[,;:()]|\b(?:and|with|plus)\b/i)
    .slice(1)
    .map(part =>
      part
        .replace(/^\s*(?:the|an?|some|a few|fresh|chopped|diced|sliced|whole)\s+/i, "")
        .replace(/[.]$/, "")
        .trim(),
    )
    .filter(
      name =>
        /^[a-zéèêâîôûç' -]{4,30}$/i.test(name) &&
        name.split(/\s+/).length <= 3 &&
        !NOT_A_THING.test(name) &&
        !WHAT_IS_THERE.test(name) &&
        !name.split(/\s+/).some(word => HOW.test(word)) &&
        kindSaid(name) === null &&
        ingredientsSaid(name, larder, shortNames).length === 0,
    );
}

/** What would be lost without a word: amounts and names of what the larder does not know. */
export function namesOfNothing(
  clause: string,
  kind: StepKindName,
  said: readonly SaidIngredient[],
  larder: readonly Ingredient[],
  shortNames: ShortNames,
): string[] {
  const weighed = amountsOfNothing(clause, said);
  const rinds = said.some(one => /zest|peel/.test(one.ingredient.name)) ? [] : (clause.match(RIND) ?? []);
  // Only beside something that goes in: elsewhere a comma tells how, not what.
  const named = STEP_KINDS[kind].takesLines && said.length ? unknownNames(clause, larder, shortNames) : [];
  return [
    ...weighed,
    ...[...rinds, ...named].map(
      name => `“${name}”: the larder has nothing called that. Call it by its full name, or enter it there.`,
    ),
  ];
}

/** A stated share may be off by so much before it is questioned. */
const SHARE_OFF = 0.1;
const SUM_OFF = 0.02;

/** Numbers of one clause that do not fit each other. */
export function contradictions(clause: string, said: readonly SaidIngredient[]): string[] {
  const found: string[] = [];
  const share = /(\d+(?:[.,]\d+)?)\s*%\s*(salt|sugar)/i.exec(clause);
  if (share) {
    const wanted = Number((share[1] ?? "").replace(",", "."));
    const what = (share[2] ?? "salt").toLowerCase();
    const grams = massSaid(clause, said, what);
    if (grams && Math.abs(grams.pct / wanted - 1) > SHARE_OFF)
      found.push(
        `“${share[0]}” and the amounts do not agree: ${printMass(g(grams.partG))} in ${printMass(g(grams.allG))} is ${printNumber(grams.pct, 1)} %.`,
      );
  }
  const total = /(\d+(?:[.,]\d+)?)\s*(kg|g)\b[^:]*:\s*(.+)$/i.exec(clause);
  if (total) {
    const whole = Number((total[1] ?? "").replace(",", ".")) * (/kg/i.test(total[2] ?? "") ? 1000 : 1);
    const parts = [...(total[3] ?? "").matchAll(/(\d+(?:[.,]\d+)?)\s*(kg|g)?\b/gi)].map(
      m => Number((m[1] ?? "").replace(",", ".")) * (/kg/i.test(m[2] ?? "") ? 1000 : 1),
    );
    const sum = parts.reduce((a, b) => a + b, 0);
    if (parts.length > 1 && Math.abs(sum / whole - 1) > SUM_OFF)
      found.push(`The parts add up to ${printMass(g(sum))}, not ${printMass(g(whole))}.`);
  }
  return found;
}

/** Grams of salt or sugar against the whole, from the amounts said or written in the clause. */
function massSaid(
  clause: string,
  said: readonly SaidIngredient[],
  what: string,
): { partG: number; allG: number; pct: number } | null {
  const amounts = [...clause.matchAll(/(\d+(?:[.,]\d+)?)\s*(kg|g|ml|l|litres?)\b/gi)].map(m => {
    const unit = (m[2] ?? "").toLowerCase();
    return {
      value:
        Number((m[1] ?? "").replace(",", ".")) *
        (unit === "kg" || unit === "l" || unit.startsWith("litre") ? 1000 : 1),
      liquid: unit.startsWith("l") || unit === "ml",
    };
  });
  const named = said.find(s => s.ingredient.name.includes(what) && s.massG !== null)?.massG;
  const liquid = amounts.find(a => a.liquid)?.value;
  const solid = named ?? amounts.find(a => !a.liquid)?.value;
  if (!liquid || !solid) return null;
  return { partG: solid, allG: liquid + solid, pct: (100 * solid) / (liquid + solid) };
}

interface Doubted {
  readonly said: readonly SaidIngredient[];
  readonly doubts: readonly string[];
}

/** Salt that cannot be meant, judged on all that the recipe puts in: who salts early thinks of the end. */
export function withSaltDoubts<P extends Doubted>(pieces: readonly P[]): P[] {
  const massOf = (piece: P) => piece.said.reduce((sum, s) => sum + (s.massG ?? 0), 0);
  const all = pieces.reduce((sum, piece) => sum + massOf(piece), 0);
  return pieces.map(piece => {
    const salt = piece.said.reduce(
      (sum, s) => sum + (s.ingredient.composition.salt > 90 ? (s.massG ?? 0) : 0),
      0,
    );
    const { warning } = salt > 0 ? saltDoubt(salt, all - salt) : { warning: null };
    return warning ? { ...piece, doubts: [...piece.doubts, warning.message] } : piece;
  });
}
