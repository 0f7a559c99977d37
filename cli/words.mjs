import { existsSync, readFileSync } from "node:fs";
import { parseArgs } from "node:util";
import { ensurePackages } from "./packages.mjs";
import { inRoot } from "./paths.mjs";
import { Trouble } from "./say.mjs";

/** What both commands on a recipe share: its text, where it is cooked, and how the answer is wanted. */
const OPTIONS = {
  json: { type: "boolean" },
  all: { type: "boolean" },
  text: { type: "boolean" },
  altitude: { type: "string" },
};

async function asked(args) {
  let parsed;
  try {
    parsed = parseArgs({ args, options: OPTIONS, allowPositionals: true });
  } catch (error) {
    throw new Trouble(error.message, "./hondaro help shows the options.");
  }
  const [file, ...more] = parsed.positionals;
  if (!file || more.length)
    throw new Trouble("Name one file, or - to read from standard input.", "./hondaro read sauce.txt");
  const altitudeM = Number(parsed.values.altitude ?? 0);
  if (!(altitudeM >= -430 && altitudeM <= 5500))
    throw new Trouble(
      `An altitude of “${parsed.values.altitude}” is outside −430 to 5500 m.`,
      "Type it in metres, such as --altitude 1180.",
    );
  return { input: await contentOf(file), altitudeM, ...parsed.values };
}

async function contentOf(file) {
  if (file !== "-") {
    if (!existsSync(file)) throw new Trouble(`There is no file “${file}”.`, "Look at its name and folder.");
    return readFileSync(file, "utf8");
  }
  let text = "";
  for await (const chunk of process.stdin) text += chunk;
  return text;
}

/** The sums of words and walks, translated as they are read; no database, no server. */
async function core() {
  if (!existsSync(inRoot("node_modules", "tsx"))) await ensurePackages();
  const { tsImport } = await import("tsx/esm/api");
  // A reader such as head may close the pipe before all is written.
  process.stdout.on("error", error => {
    if (error.code !== "EPIPE") throw error;
    process.exit(0);
  });
  return tsImport(inRoot("core", "words", "at-the-desk.ts"), import.meta.url);
}

const print = value => process.stdout.write(`${JSON.stringify(value, null, 2)}\n`);
const jsonOf = text => {
  try {
    return JSON.parse(text);
  } catch {
    throw new Trouble("The input is not JSON.", "For a recipe in words, leave --all out or add --text.");
  }
};

/** What became of every piece of a recipe in words; `--all` takes a JSON list of texts and answers a list. */
export async function read(args) {
  const { input, altitudeM, json, all } = await asked(args);
  const { readAt, inWords } = await core();
  if (all) {
    const texts = jsonOf(input);
    if (!Array.isArray(texts) || texts.some(text => typeof text !== "string"))
      throw new Trouble("--all reads a JSON list of texts.", '["Sweat 40 g shallots …", "…"]');
    print(texts.map(text => readAt(text, altitudeM)));
    return 0;
  }
  const found = readAt(input, altitudeM);
  if (json) print(found);
  else process.stdout.write(inWords(found));
  return 0;
}

/** A formula, or with `--text` a recipe in words, walked step by step. */
export async function walk(args) {
  const { input, altitudeM, json, text } = await asked(args);
  const { walkAt, walkInWords } = await core();
  const found = walkAt(text ? { text: input } : { formula: jsonOf(input) }, altitudeM);
  if (!found.ok)
    throw new Trouble(
      found.problems.map(problem => problem.message).join(" "),
      "Give a formula file, or a recipe in words with --text.",
    );
  if (json) print(found.value);
  else process.stdout.write(walkInWords(found.value));
  return found.value.problems.length ? 2 : 0;
}
