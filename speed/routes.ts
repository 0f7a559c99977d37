import { request } from "node:http";
import { createConnection } from "mysql2/promise";
import { GLACE_ID, STOCK_ID } from "../demo/formulas";
import { signIn, startRun } from "./faults/client";
import { makeLarge } from "./large-kitchen";

/**
 * Every page as the server answers it: first byte, what it weighs compressed, and how long it kept everybody else waiting;
 * in the demo kitchen, and in one with 5 000 ingredients, 5 000 formulas and 20 000 runs.
 */
const url = process.env.HONDARO_URL;
const databaseUrl = process.env.DATABASE_URL;
if (!url || !databaseUrl) throw new Error("HONDARO_URL is not set; ./hondaro bench routes sets it.");
const TIMES = 30;

const cook = await signIn(url);
const runId = await startRun(cook, GLACE_ID);

interface Answer {
  readonly status: number;
  readonly firstMs: number;
  readonly bytes: number;
}

/** One page, as a browser asks for it: compressed. */
const ask = (path: string): Promise<Answer> =>
  new Promise((resolve, reject) => {
    const begun = performance.now();
    const asked = request(
      new URL(path, url),
      { headers: { ...cook.headers, "Accept-Encoding": "gzip" } },
      answer => {
        const firstMs = performance.now() - begun;
        let bytes = 0;
        answer.on("data", (part: Buffer) => (bytes += part.length));
        answer.on("end", () => resolve({ status: answer.statusCode ?? 0, firstMs, bytes }));
        answer.on("error", reject);
      },
    );
    asked.on("error", reject);
    asked.end();
  });

const held = async (): Promise<number> => {
  const answer = await fetch(`${url}/healthz/held`);
  return ((await answer.json()) as { heldMs: number }).heldMs;
};

const share = (of: readonly number[], part: number): number =>
  [...of].sort((a, b) => a - b)[Math.min(of.length - 1, Math.floor(part * of.length))] ?? 0;

async function measure(name: string, paths: (n: number) => string, times = TIMES): Promise<void> {
  await ask(paths(-1));
  await held();
  const answers: Answer[] = [];
  for (let n = 0; n < times; n++) answers.push(await ask(paths(n)));
  const wrong = answers.find(a => a.status !== 200);
  const first = answers.map(a => a.firstMs);
  const ms = (x: number) => x.toFixed(0).padStart(5);
  console.log(
    `  ${name.padEnd(24)} first byte ${ms(share(first, 0.5))} ms, 95th ${ms(share(first, 0.95))} ms; ${((answers[0]?.bytes ?? 0) / 1024).toFixed(1).padStart(6)} kB; longest hold ${ms(await held())} ms${wrong ? `; answered ${wrong.status}` : ""}`,
  );
}

async function everyRoute(versionId: string, fromG: number): Promise<void> {
  const pages: readonly (readonly [string, string])[] = [
    ["Range", "/"],
    ["list of formulas", "/bench"],
    ["Bench", `/bench/${STOCK_ID}`],
    ["Book", "/book"],
    ["card, its own size", `/book/${versionId}`],
    ["Larder", "/larder"],
    ["Kit", "/kit"],
    ["figures of the kitchen", "/kit/figures"],
    ["Stove", `/stove/${runId}`],
  ];
  for (const [name, path] of pages) await measure(name, () => path);
  await measure(
    "card, a new size",
    n => `/book/${versionId}?base=${fromG + 137 * n}${encodeURIComponent(" g")}`,
    5,
  );
}

const connection = await createConnection(databaseUrl);
const [[version]] = (await connection.query("SELECT formula_version_id AS id FROM run WHERE id = ?", [
  runId,
])) as unknown as [[{ id: string }]];
console.log("pages of the demo kitchen:");
await everyRoute(version.id, 4000);
await makeLarge(connection);
console.log("pages of a kitchen with 5 000 ingredients, 5 000 formulas and 20 000 runs:");
await everyRoute(version.id, 5003);
console.log("the Book searched, 5 000 cards in it (wanted: under 30 ms at the 95th percentile):");
const SEARCHES = [
  "q=veloute",
  "q=glaze+butter",
  "q=bis",
  "q=stock+4711",
  "family=brown-stock",
  "state=standard",
  "without=milk",
  "q=gravy&without=celery",
  "q=made&state=draft",
  "q=nothing+like+it",
];
const TIMES_SEARCHED = 200;
await measure(
  "mixed searches",
  n => `/book.data?${SEARCHES[(n + SEARCHES.length) % SEARCHES.length]}&n=${n}`,
  TIMES_SEARCHED,
);
for (const search of SEARCHES) await measure(`  ${search}`, () => `/book.data?${search}`);
await connection.end();
