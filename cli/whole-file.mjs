import {
  closeSync,
  existsSync,
  fsyncSync,
  openSync,
  readFileSync,
  renameSync,
  rmSync,
  writeSync,
} from "node:fs";

/** Writes a file whole or not at all: a full disk or a killed process leaves the one that was there. */
export function writeWhole(path, text, mode = 0o600) {
  if (existsSync(path) && readFileSync(path, "utf8") === text) return;
  const half = `${path}.${process.pid}`;
  try {
    const file = openSync(half, "w", mode);
    try {
      writeSync(file, text);
      fsyncSync(file);
    } finally {
      closeSync(file);
    }
    renameSync(half, path);
  } catch (error) {
    rmSync(half, { force: true });
    throw error;
  }
}

/** What a JSON file holds; `null` where there is none, and where what is there cannot be read. */
export function readJsonFile(path) {
  try {
    const value = JSON.parse(readFileSync(path, "utf8"));
    return value && typeof value === "object" ? value : null;
  } catch {
    return null;
  }
}
