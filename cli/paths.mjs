import { dirname, join, resolve } from "node:path";
import { fileURLToPath } from "node:url";

/** Top of the checkout. */
export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), "..");

/** Folder for everything a running kitchen keeps. */
export const dataFolder = given => resolve(ROOT, given ?? process.env.HONDARO_DATA ?? ".data");

export const inRoot = (...parts) => join(ROOT, ...parts);

/** A file as somebody typed it: from where they stand, not from the checkout that the starter goes to. */
export const asTyped = file => resolve(process.env.OLDPWD ?? process.cwd(), file);
