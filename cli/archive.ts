import { createHash } from "node:crypto";
import { createReadStream, createWriteStream, existsSync } from "node:fs";
import { open, rename, rm } from "node:fs/promises";
import { createInterface } from "node:readline";
import { pipeline } from "node:stream/promises";
import { createGunzip, createGzip } from "node:zlib";
import { archiveLines, checkArchive, migrateDatabase, openDatabase, restoreArchive } from "../data";

/** `backup FILE` keeps a kitchen with its pictures and secrets, and reads it back; `restore FILE` brings one into an empty house. */

const [way, file = ""] = process.argv.slice(2);
const url = process.env.DATABASE_URL ?? "";

/** The lines of a file, packed or not. */
async function* linesOf(path: string): AsyncGenerator<string> {
  const handle = await open(path);
  const { buffer } = await handle.read(Buffer.alloc(2), 0, 2, 0);
  await handle.close();
  const packed = buffer[0] === 0x1f && buffer[1] === 0x8b;
  const bytes = createReadStream(path);
  const input = packed ? bytes.pipe(createGunzip()) : bytes;
  for await (const line of createInterface({ input, crlfDelay: Infinity })) if (line) yield line;
}

class Refused extends Error {}

async function contentsOf(path: string) {
  const read = await checkArchive(linesOf(path)).catch((error: unknown) => {
    // A packed file that is cut off ends in the middle of its packing.
    throw new Refused(
      `${path} is cut off or spoiled: ${error instanceof Error ? error.message : "it cannot be read"}.`,
    );
  });
  if (!read.ok) throw new Refused(read.problems[0]?.message);
  return read.value;
}

const total = (rows: Readonly<Record<string, number>>): number =>
  Object.values(rows).reduce((sum, n) => sum + n, 0);

async function backup(): Promise<string> {
  const { db, close } = openDatabase(url);
  // Whole or not at all: a full disk leaves the backup that was there.
  const half = `${file}.${process.pid}`;
  try {
    await pipeline(
      archiveLines(db, new Date(), true),
      createGzip(),
      createWriteStream(half, { mode: 0o600 }),
    );
    const handle = await open(half, "r+");
    await handle.sync();
    await handle.close();
    const { rows, kitchens } = await contentsOf(half);
    await rename(half, file);
    return `${kitchens.join(", ")}: ${total(rows)} entries with ${rows.photo ?? 0} pictures kept in ${file}, and read back whole.\nIt holds the hashes of passwords: keep it where only you can read it.`;
  } finally {
    await close();
    await rm(half, { force: true });
  }
}

async function restore(): Promise<string> {
  if (!existsSync(file)) throw new Refused(`There is no file ${file}.`);
  const contents = await contentsOf(file);
  await migrateDatabase(url);
  const { db, close } = openDatabase(url);
  try {
    if (!(await restoreArchive(db, linesOf(file))))
      throw new Refused(
        "There is a kitchen here already; nothing was changed. Restore into an empty folder: --data FOLDER.",
      );
    // What is there now is taken away once more, and must be what came in.
    const [was, is] = [createHash("sha256"), createHash("sha256")];
    for await (const line of linesOf(file)) was.update(line);
    for await (const line of archiveLines(db, new Date(contents.at), contents.secrets))
      is.update(line.trimEnd());
    if (was.digest("hex") !== is.digest("hex"))
      throw new Refused(
        "What was written is not what the file holds. Keep the file, and tell whoever looks after Hondaro.",
      );
    return `${contents.kitchens.join(", ")}: ${total(contents.rows)} entries brought back, and compared.`;
  } finally {
    await close();
  }
}

try {
  console.log(await (way === "backup" ? backup() : restore()));
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exitCode = 1;
}
