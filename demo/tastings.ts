import { type Answer, type Cup, servingPlan } from "../core/tasting";
import { valueOf } from "../core/ground/result";
import { type Database, addTasting, closeTasting, decideTasting, listVersions, seatPanel } from "../data";
import { KITCHEN_ID } from "./kitchen";

/** Two tastings: one that settled a question, one that could not. Invented. */

const DAY_MS = 24 * 3600 * 1000;
const GUESTS = ["Ada", "Bo", "Cleo", "Dag", "Eva", "Finn", "Gry", "Hugo", "Ida", "Jon", "Kaja", "Leo"];

const oddOf = (cups: readonly Cup[]): Cup | undefined =>
  cups.find(cup => cups.filter(other => other.key === cup.key).length === 1);

export async function loadTastings(db: Database, now: Date): Promise<void> {
  const cider = await listVersions(db, KITCHEN_ID, "cider-juniper-pan-sauce");
  const triangle = async (
    name: string,
    samples: readonly { name: string; versionId: string | null }[],
    daysAgo: number,
    right: readonly number[],
    words: Readonly<Record<number, string>>,
    decision: string,
  ) => {
    const at = new Date(now.getTime() - daysAgo * DAY_MS);
    const change = { kitchenId: KITCHEN_ID, personId: "ilse", now: at };
    const plan = valueOf(
      servingPlan("triangle", { samples: 2, seats: 24, duplicate: false, start: 137 * daysAgo }),
    );
    const id = await addTasting(
      db,
      change,
      {
        name,
        kind: "triangle",
        question: "",
        expected: "A",
        samples: samples.map(sample => ({ ...sample, runId: null })),
        duplicate: false,
        demo: true,
      },
      plan,
    );
    const told = new Set(right);
    await seatPanel(
      db,
      id,
      plan.map((cups, place) => {
        const odd = oddOf(cups);
        const other = cups.find(cup => cup !== odd);
        const answer: Answer = { chosen: (told.has(place) ? odd : other)?.code ?? null };
        return { place, name: GUESTS[place % GUESTS.length] ?? "", answer, words: words[place] ?? "" };
      }),
      at,
    );
    await closeTasting(db, { ...change, now: new Date(at.getTime() + 3_600_000) }, id);
    await decideTasting(db, change, id, decision);
  };
  await triangle(
    "Cider sauce with half the butter: does anybody notice?",
    [
      { name: "60 g of butter a litre", versionId: cider[1]?.versionId ?? null },
      { name: "30 g of butter a litre", versionId: cider[0]?.versionId ?? null },
    ],
    22,
    [0, 1, 2, 4, 5, 7, 8, 10, 11, 13, 16, 18, 20, 21, 23],
    { 4: "one of them is oily at the end", 11: "two are rounder" },
    "They notice. The one with less butter goes on: fewer plates came back.",
  );
  await triangle(
    "Trout velouté with the new cream",
    [
      { name: "cream of the old dairy", versionId: null },
      { name: "cream of the new dairy", versionId: null },
    ],
    9,
    [1, 3, 6, 8, 9, 13, 14, 19, 22],
    { 8: "I guessed" },
    "Open: not shown either way. Taste again with twice as many before the order is changed.",
  );
}
