import { printNumber } from "../ground/quantity";
import type { Outcome } from "./answers";
import { ASKED, WORTH_FINDING, tastersNeeded } from "./discrimination";
import { LEAST_JUDGES } from "./scores";
import { type Kind, keyAt } from "./serving";

/** What a tasting says in plain words, and what cannot be concluded from it. */

const pct = (share: number): string => `${printNumber(100 * share)} %`;
/** A probability as people say it. */
export const pInWords = (p: number): string =>
  p < 0.001 ? "less than 1 in 1 000" : `${printNumber(100 * p, p < 0.1 ? 1 : 0)} in 100`;

export interface Told {
  /** The answer in one sentence. */
  readonly verdict: string;
  readonly shown: boolean;
  readonly more: readonly string[];
}

/**
 * @param names of the samples, the first is A
 * @param question what a directed question asks, as in “saltier”
 */
export function tastingTold(
  kind: Kind,
  outcome: Outcome,
  {
    names,
    question,
    expected,
  }: { readonly names: readonly string[]; readonly question: string; readonly expected: string },
): Told {
  const name = (key: string): string => names[key.charCodeAt(0) - 65] ?? key;
  const [a = "the first", b = "the second"] = names;
  if (outcome.of === "choice") {
    const { found, none } = outcome;
    const { n, right, p, shown, share, power, least, few } = found;
    const by = `by chance alone it would come about ${pInWords(p)} times`;
    const more: string[] = [];
    let verdict: string;
    if (kind === "paired preference") {
      const [liked, times] = right * 2 >= n ? [a, right] : [b, n - right];
      verdict = shown
        ? `${liked} is liked better: ${times} of ${n} chose it.`
        : `Which is liked better is not shown: ${a} ${right}, ${b} ${n - right}.`;
      more.push(`${by}. Of all guests ${pct(share.lo)} to ${pct(share.hi)} would choose ${a}.`);
      if (none) more.push(`${none} had no preference and are left out.`);
    } else if (kind === "paired comparison") {
      verdict = shown
        ? `${name(expected)} is ${question}: ${right} of ${n} said so.`
        : `That ${name(expected)} is ${question} is not shown: ${right} of ${n} said so.`;
      more.push(`${by}.`);
    } else {
      verdict = shown
        ? `People can tell them apart: ${right} of ${n} were right.`
        : `That people can tell them apart is not shown: ${right} of ${n} were right.`;
      more.push(
        `${by}. About ${pct(share.value)} of people really notice; it may be ${pct(share.lo)} to ${pct(share.hi)}.`,
      );
    }
    if (!shown) {
      more.push(
        least === null
          ? `${n} answers can show nothing, whatever they are.`
          : `${least} of ${n} would have shown it.`,
      );
      const needed = tastersNeeded(found.test, WORTH_FINDING, 0.9);
      more.push(
        `That is no proof they are the same: had half of the guests noticed, this panel would have shown it ${pct(power)} of the time.` +
          (needed.ok && power < 0.9 ? ` ${needed.value} tasters would in nine of ten.` : ""),
      );
    }
    if (few && ASKED[found.test].chance < 0.5) more.push("So few answers say little: take 18 or more.");
    return { verdict, shown, more: more.map(capital) };
  }
  if (outcome.of === "ranking") {
    const { sums, p, shown, leastDifference, judges, exact } = outcome.found;
    const order = sums.map((sum, i) => ({ sum, name: names[i] ?? keyAt(i) })).sort((x, y) => x.sum - y.sum);
    const apart = order.filter(o => o.sum - (order[0]?.sum ?? 0) > leastDifference).map(o => o.name);
    return {
      shown,
      verdict: shown
        ? `${order[0]?.name} ranks first${apart.length ? `, shown before ${listed(apart)}` : ""}.`
        : `No order is shown among ${judges} judges.`,
      more: [
        `Sums of places, the smallest the best: ${order.map(o => `${o.name} ${printNumber(o.sum, 1)}`).join(", ")}.`,
        `Were there no difference, it would come about ${pInWords(p)} times${exact ? "" : ", about"}.`,
        ...(shown
          ? [`Sums that differ by less than ${printNumber(leastDifference, 1)} are not shown apart.`]
          : ["That is no proof they are the same."]),
      ],
    };
  }
  const { each, found, repeats } = outcome;
  const told = each.map((one, i) =>
    one
      ? `${names[i] ?? keyAt(i)} ${printNumber(one.mean, 1)} (${printNumber(one.lo, 1)}–${printNumber(one.hi, 1)})`
      : `${names[i] ?? keyAt(i)}: one judge alone`,
  );
  const judges = found?.judges ?? each[0]?.n ?? 1;
  const best = found && found.means.indexOf(Math.max(...found.means));
  const behind =
    found && best !== null
      ? found.means.flatMap((mean, i) =>
          (found.means[best] ?? 0) - mean > found.leastDifference ? [names[i] ?? keyAt(i)] : [],
        )
      : [];
  const odd = repeats.filter(r => !r.accepted).length;
  return {
    shown: found?.shown ?? false,
    verdict: !found
      ? `Scored ${told.join(", ")}.`
      : found.shown
        ? `${names[best ?? 0] ?? ""} scores best${behind.length ? `, shown above ${listed(behind)}` : ""}.`
        : "No difference between the scores is shown.",
    more: [
      ...(found
        ? [
            `Means: ${told.join(", ")}.`,
            `Were there no difference, it would come about ${pInWords(found.p)} times; each judge’s own level is taken out.`,
            found.shown
              ? `Means that differ by less than ${printNumber(found.leastDifference, 1)} are not shown apart.`
              : "That is no proof they are the same.",
          ]
        : []),
      ...(repeats.length
        ? [
            `One sample came twice: ${repeats.length - odd} of ${repeats.length} judges scored it the same within half a point${odd ? `; the other ${odd} are not steady` : ""}.`,
          ]
        : []),
      ...(judges < LEAST_JUDGES ? [`${judges} judges say little: take eight or more.`] : []),
    ],
  };
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join("") : `${names.slice(0, -1).join(", ")} and ${names.at(-1) ?? ""}`;
