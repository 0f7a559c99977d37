import { createConnection } from "mysql2/promise";
import { GLACE_ID } from "../demo/formulas";
import { KITCHEN_ID } from "../demo/kitchen";
import { signIn } from "./faults/client";

/**
 * The ledger of a kitchen that has made 100 000 batches: its first page, a page far down, its groups and a chart of a year, as
 * the server answers them, beside a page that asks for almost nothing. Wanted: nineteen in twenty under 50 ms.
 */
const url = process.env.HONDARO_URL;
const databaseUrl = process.env.DATABASE_URL;
if (!url || !databaseUrl) throw new Error("HONDARO_URL is not set; ./hondaro bench ledger sets it.");
const BATCHES = 100_000;
const TIMES = 40;
const WANTED_MS = 50;

const connection = await createConnection({ uri: databaseUrl });
await connection.query(
  `INSERT INTO run (id, kitchen_id, formula_id, formula_version_id, base_g, burner_id, started_by, started_at, finished_at)
   SELECT CONCAT('made-run-', seq), f.kitchen_id, f.id, f.current_version_id, 4000,
          ELT(1 + seq MOD 3, 'open-1', 'open-2', 'open-3'), ELT(1 + seq MOD 3, 'noor', 'tomas', 'petr'),
          NOW(3) - INTERVAL 15 * seq MINUTE, NOW(3) - INTERVAL 15 * seq MINUTE
   FROM seq_1_to_${BATCHES}
   JOIN (SELECT *, ROW_NUMBER() OVER (ORDER BY id) - 1 AS n, COUNT(*) OVER () AS k FROM formula WHERE kitchen_id = ?) f
     ON f.n = seq MOD f.k`,
  [KITCHEN_ID],
);
await connection.query(
  `INSERT INTO batch (run_id, kitchen_id, formula_id, person_id, burner_id, formula_version_id, base_g,
     planned_g, actual_g, planned_min, actual_min, salt_planned, salt, score, incidents, finished_at, record)
   SELECT id, kitchen_id, formula_id, started_by, burner_id, formula_version_id, base_g,
     3000, 2900 + 200 * RAND(3), 120, 115 + 20 * RAND(4), 1, 0.95 + 0.1 * RAND(5), FLOOR(6 + 4 * RAND(6)), RAND(7) < 0.02, finished_at,
     '{"startedAt":null,"finishedAt":null,"steps":[],"yieldMl":{"what":"yield","unit":"ml","planned":null,"actual":null,"deviation":null},"yieldG":{"what":"yield","unit":"g","planned":3000,"actual":2980,"deviation":-0.01},"minutes":{"what":"time","unit":"min","planned":120,"actual":118,"deviation":-0.02},"strainYield":null}'
   FROM run WHERE id LIKE 'made-run-%'`,
);
await connection.query("ANALYZE TABLE batch");
await connection.end();

const cook = await signIn(url);
const ask = async (path: string): Promise<number> => {
  const begun = performance.now();
  const answer = await fetch(new URL(path, url), { headers: cook.headers });
  await answer.text();
  if (answer.status !== 200) throw new Error(`${path}: ${answer.status}`);
  return performance.now() - begun;
};
const share = (of: readonly number[], part: number): number =>
  [...of].sort((a, b) => a - b)[Math.min(of.length - 1, Math.floor(part * of.length))] ?? 0;

const day = (back: number): string => new Date(Date.now() - back * 86_400_000).toISOString().slice(0, 10);
const deep = new Date(Date.now() - 500 * 86_400_000).toISOString();
const PATHS = {
  "almost nothing": "/me.data",
  "the first page": "/ledger.data",
  "a page far down": `/ledger.data?after=${encodeURIComponent(`${deep}~made-run-1`)}`,
  "least yield first": "/ledger.data?sort=least+yield",
  "one sauce": `/ledger.data?sauce=${GLACE_ID}`,
  "by cook, a quarter": `/ledger.data?by=cook&from=${day(90)}`,
  "a chart of a year": `/ledger/charts/${GLACE_ID}.data?figure=yield&weeks=52`,
  "losses of a year": "/ledger/losses.data",
};
console.log(`${BATCHES} batches, ${TIMES} times each, ms\n`);
let bare = 0;
for (const [name, path] of Object.entries(PATHS)) {
  await ask(path);
  const took: number[] = [];
  for (let n = 0; n < TIMES; n++) took.push(await ask(path));
  const [half, most] = [share(took, 0.5), share(took, 0.95)];
  bare ||= half;
  console.log(
    `${name.padEnd(20)} median ${half.toFixed(1).padStart(7)}  95 % ${most.toFixed(1).padStart(7)}  ${(half / bare).toFixed(1).padStart(6)} × almost nothing  ${most < WANTED_MS ? "" : `over ${WANTED_MS}`}`,
  );
}
