import { existsSync } from "node:fs";
import { ensurePackages } from "./packages.mjs";
import { inRoot } from "./paths.mjs";

/** One quick sum: JSON from standard input, the answer as JSON. A refusal goes to standard error, exit code 2. */
export async function run(args) {
  if (!existsSync(inRoot("node_modules", "tsx"))) await ensurePackages();
  const { tsImport } = await import("tsx/esm/api");
  const { listSums, runSum } = await tsImport(inRoot("core", "sums", "index.ts"), import.meta.url);
  // A reader such as head may close the pipe before all is written.
  process.stdout.on("error", error => {
    if (error.code !== "EPIPE") throw error;
    process.exit(0);
  });
  const [name] = args;
  if (!name || name === "--list") {
    print(process.stdout, listSums());
    return 0;
  }
  const input = parsed(await readAll(process.stdin));
  const answer = input.ok ? runSum(name, input.value) : input;
  if (answer.ok) {
    print(process.stdout, answer.value);
    return 0;
  }
  print(process.stderr, { problem: answer.problems[0], problems: answer.problems });
  return 2;
}

const print = (stream, value) => stream.write(`${JSON.stringify(value, null, 2)}\n`);

async function readAll(stream) {
  if (stream.isTTY) return "";
  let text = "";
  for await (const chunk of stream) text += chunk;
  return text;
}

function parsed(text) {
  if (!text.trim()) return { ok: true, value: {} };
  try {
    return { ok: true, value: JSON.parse(text) };
  } catch {
    const problem = {
      code: "NOT_UNDERSTOOD",
      field: "input",
      message: 'The input is not JSON. Write it as {"volumeMl": 8000, "fromC": 85, "toC": 20}.',
    };
    return { ok: false, problems: [problem] };
  }
}
