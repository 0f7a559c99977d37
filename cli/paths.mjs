import { dirname, join, resolve } from "node:path";
import { fileURLToPath } from "node:url";

/** Top of the checkout. */
export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), "..");

/** Folder for everything a running kitchen keeps. */
export const dataFolder = given => resolve(ROOT, given ?? process.env.HONDARO_DATA ?? ".data");

export const inRoot = (...parts) => join(ROOT, ...parts);
