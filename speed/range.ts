import { readFileSync } from "node:fs";
import { GLACE_ID } from "../demo/formulas";
import { note, post, signIn, startRun } from "./faults/client";

/** A busy Range: 40 live pots, 10 tablets that look. How soon a reading stands on all of them, and what that costs the server. */
const url = process.env.HONDARO_URL;
const pid = process.env.HONDARO_SERVER_PID;
if (!url || !pid) throw new Error("HONDARO_URL is not set; ./hondaro bench range sets it.");
const POTS = 40;
const TABLETS = 10;
const READINGS = 60;
const EVERY_MS = 500;
const TICKS_PER_S = 100;

const cook = await signIn(url);
const runs: string[] = [];
for (let n = 0; n < POTS; n++) runs.push(await startRun(cook, GLACE_ID));

/** CPU seconds of the server so far, its own and those of its workers. */
const cpuS = (): number => {
  const fields = readFileSync(`/proc/${pid}/stat`, "utf8").split(") ")[1]?.split(" ") ?? [];
  return (Number(fields[11]) + Number(fields[12])) / TICKS_PER_S;
};

const heardAt = new Map<string, number[]>();
const over = new AbortController();
async function tablet(): Promise<void> {
  const stream = await fetch(`${url}/api/live`, { headers: cook.headers, signal: over.signal });
  const reader = stream.body?.getReader();
  const decoder = new TextDecoder();
  while (reader) {
    const { done, value } = await reader.read();
    if (done) return;
    for (const [, id = ""] of decoder.decode(value, { stream: true }).matchAll(/"id":"(\w{26})"/g))
      heardAt.set(id, [...(heardAt.get(id) ?? []), performance.now()]);
  }
}
for (let n = 0; n < TABLETS; n++) void tablet().catch(() => {});
await new Promise(done => setTimeout(done, 1500));

const sentAt = new Map<string, number>();
const [cpu0, t0] = [cpuS(), performance.now()];
for (let n = 0; n < READINGS; n++) {
  const event = note(`reading ${n}`);
  sentAt.set(event.id, performance.now());
  await post(cook, `/api/runs/${runs[n % POTS]}/events`, { events: [event] });
  await new Promise(done => setTimeout(done, EVERY_MS));
}
await new Promise(done => setTimeout(done, 1500));
const share = (cpuS() - cpu0) / ((performance.now() - t0) / 1000);
over.abort();

const late = [...sentAt].map(([id, at]) => {
  const heard = heardAt.get(id) ?? [];
  return heard.length < TABLETS ? Infinity : Math.max(...heard) - at;
});
late.sort((a, b) => a - b);
const ms = (part: number) => Math.round(late[Math.floor(part * (late.length - 1))] ?? Infinity);
console.log(
  `range: ${POTS} pots, ${TABLETS} tablets, ${READINGS} readings; on all tablets after median ${ms(0.5)} ms, 95th ${ms(0.95)} ms, longest ${ms(1)} ms (wanted under 1000); server ${(100 * share).toFixed(0)} % of a core (wanted under 50)`,
);
process.exitCode = late.every(one => one < 1000) ? 0 : 1;
