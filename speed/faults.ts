import { STOCK_ID } from "../demo/formulas";
import { attack, broke, inWords } from "./faults/attack";
import { killRounds } from "./faults/kill-rounds";

/** Hostile inputs, and kill rounds: fifty for each of server, database and starter. The seed draws others. */
const url = process.env.HONDARO_URL;
if (!url) throw new Error("HONDARO_URL is not set; ./hondaro bench faults sets it.");
const INPUTS = Number(process.env.HONDARO_INPUTS ?? 10_000);
const ROUNDS = Number(process.env.HONDARO_ROUNDS ?? 150);
const SEED = Number(process.env.HONDARO_SEED ?? 20261129);
const SLOW_MS = 1000;

const answered = await attack(url, { seed: SEED, count: INPUTS, formulaId: STOCK_ID });
const broken = answered.filter(broke);
const slow = answered.filter(a => a.ms > SLOW_MS).sort((a, b) => b.ms - a.ms);
const times = answered.map(a => a.ms).sort((a, b) => a - b);
const at = (share: number) => Math.round(times[Math.floor(share * (times.length - 1))] ?? 0);
console.log(
  `hostile inputs: ${answered.length} sent, ${broken.length} × 5xx or no answer, ${slow.length} over 1 s; median ${at(0.5)} ms, 95th ${at(0.95)} ms, longest ${at(1)} ms`,
);
for (const one of broken.slice(0, 20)) console.log(`  ${inWords(one)}`);
for (const one of slow.slice(0, 10)) console.log(`  slow: ${inWords(one).slice(0, 160)}`);

const counted = await killRounds(ROUNDS, STOCK_ID);
console.log(
  `kill rounds: ${counted.rounds} (${Object.entries(counted.killed)
    .map(([name, times]) => `${name} ${times}`)
    .join(
      ", ",
    )}), readings acknowledged ${counted.acknowledged}, lost ${counted.lost}, doubled ${counted.doubled}, pages broken ${counted.brokenPages}`,
);
process.exitCode = broken.length || counted.lost || counted.doubled || counted.brokenPages ? 1 : 0;
