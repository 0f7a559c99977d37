import fc from "fast-check";

/** Good documents spoiled: what hostile senders and broken programs put where something else belongs. */

const LONE = "\ud800 half";
export const HUGE = "x".repeat(5000);
const nasty = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    "",
    " ",
    0,
    -1,
    1,
    5e-324,
    1e308,
    -1e308,
    2 ** 31,
    2 ** 53,
    0.1,
    [],
    {},
    true,
    "constructor",
    "__proto__",
    "hasOwnProperty",
    "EURO",
    "yesterday",
    LONE,
    HUGE,
    "NaN",
    "’; DROP",
    "\u0000",
    [[[[]]]],
    { shape: "constructor" },
    { id: "__proto__" },
    "2026-13-45",
    "../..",
    "%00",
  ),
  fc.double(),
  fc.string({ unit: "binary", maxLength: 40 }),
  fc.integer(),
);

type Path = readonly (string | number)[];

/** Every place of a document that could hold something else. */
function pathsOf(value: unknown, path: Path = []): Path[] {
  if (typeof value !== "object" || value === null) return [path];
  return [path, ...Object.entries(value).flatMap(([key, inner]) => pathsOf(inner, [...path, key]))];
}

function withAt(value: unknown, path: Path, to: unknown): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return to;
  if (typeof value !== "object" || value === null) return value;
  if (Array.isArray(value))
    return value.map((inner: unknown, i) => (String(i) === String(key) ? withAt(inner, rest, to) : inner));
  return { ...value, [key]: withAt((value as Record<string, unknown>)[key], rest, to) };
}

/** A good document with one to three places spoiled. */
export const spoiled = (good: unknown): fc.Arbitrary<unknown> => {
  const paths = pathsOf(good);
  return fc
    .array(fc.tuple(fc.constantFrom(...paths), nasty), { minLength: 1, maxLength: 3 })
    .map(changes => changes.reduce((value, [path, to]) => withAt(value, path, to), good));
};
