import { existsSync } from "node:fs";
import { ensurePackages } from "./packages.mjs";
import { inRoot } from "./paths.mjs";

/** One quick sum, said with --say or: JSON from standard input, the answer as JSON. A refusal goes to standard error, exit code 2. */
export async function run(args) {
  if (!existsSync(inRoot("node_modules", "tsx"))) await ensurePackages();
  const { tsImport } = await import("tsx/esm/api");
  const { REFERENCE_WORLD, listSums, runSum, saidWhole } = await tsImport(
    inRoot("core", "sums", "index.ts"),
    import.meta.url,
  );
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
  if (name === "--say") return say(args.slice(1), { REFERENCE_WORLD, runSum, saidWhole });
  const input = parsed(await readAll(process.stdin));
  const answer = input.ok ? runSum(name, input.value) : input;
  if (answer.ok) {
    print(process.stdout, answer.value);
    return 0;
  }
  print(process.stderr, { problem: answer.problems[0], problems: answer.problems });
  return 2;
}

/** A sum as one says it: what was understood, what no field took, and what stands on an example. */
function say(args, { REFERENCE_WORLD, runSum, saidWhole }) {
  const text = args.filter(arg => arg !== "--json").join(" ");
  const said = saidWhole(text, REFERENCE_WORLD);
  if (!said) {
    const message = `No sum begins so: “${text}”. Say it as “ice 8 l 85 to 20”; ./hondaro calc --list names them all.`;
    print(process.stderr, { problem: { code: "NOT_UNDERSTOOD", field: "text", message } });
    return 2;
  }
  const answer = runSum(said.sum.name, said.whole, REFERENCE_WORLD);
  print(process.stdout, {
    sum: said.sum.name,
    input: said.input,
    answer: answer.ok ? answer.value : null,
    unread: said.unread,
    examples: said.examples,
    ...(said.taken.length && { taken: said.taken }),
    ...(said.meant && { meant: said.meant }),
    ...(!answer.ok && { problems: answer.problems }),
  });
  return answer.ok ? 0 : 2;
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
