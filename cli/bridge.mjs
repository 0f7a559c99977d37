import { parseArgs } from "node:util";
import { existsSync } from "node:fs";
import { ensurePackages } from "./packages.mjs";
import { inRoot } from "./paths.mjs";
import { Trouble, say } from "./say.mjs";

const EVERY_MS = 1000;
const PATIENCE_MS = 3000;

/**
 * A stand-in for an instrument with a bridge: it hangs over a pot that is cooked on the simulated stove, and sends what it
 * shows every second, exactly as a real one would.
 */
export async function run(args) {
  const { values } = parseArgs({
    args,
    options: {
      key: { type: "string" },
      secret: { type: "string" },
      kind: { type: "string", default: "scale" },
      formula: { type: "string", default: "guinea-fowl-glace" },
      speed: { type: "string", default: "1" },
      url: { type: "string", default: "http://127.0.0.1:4180" },
      times: { type: "string" },
    },
  });
  if (!values.key || !values.secret)
    throw new Trouble(
      "A bridge needs the key and the secret of its instrument.",
      "Connect one in the Kit: it says both.",
    );
  if (!existsSync(inRoot("node_modules", "tsx"))) await ensurePackages();
  const { tsImport } = await import("tsx/esm/api");
  const { showing } = await tsImport(inRoot("cli", "bridged-pot.ts"), import.meta.url);
  const shows = showing(values.kind, values.formula, Number(values.speed));
  if (!shows)
    throw new Trouble(`There is no formula “${values.formula}” in the demo, or no “${values.kind}”.`);
  for (let n = 0; n < Number(values.times ?? Infinity); n++) {
    const line = shows(Date.now());
    const answer = await fetch(`${values.url}/api/devices/${values.key}/readings`, {
      method: "POST",
      headers: { Authorization: `Bearer ${values.secret}`, "Content-Type": "text/plain" },
      body: line,
      signal: AbortSignal.timeout(PATIENCE_MS),
    }).catch(error => ({ status: 0, text: async () => String(error.message) }));
    say.line(answer.status === 200 ? line : `${line}: not taken, ${answer.status} ${await answer.text()}`);
    await new Promise(done => setTimeout(done, EVERY_MS));
  }
}
