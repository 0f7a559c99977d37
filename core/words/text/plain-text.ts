/** A pasted text as lines to read: a web page without its tags, recipe data as its name, list and method. */
export function plainText(text: string): string {
  const data = recipeData(text);
  const lines = data ?? text;
  return (/<\/?[a-z][^>]*>/i.test(lines) ? withoutTags(lines) : lines)
    .replace(/[\u00a0\u2009\u202f]/g, " ")
    .replace(/[\u200b-\u200f\ufeff]/g, "")
    .split(/\r?\n/)
    .flatMap(withoutTable)
    .map(line => line.replace(/[^\S\n]+/g, " ").trimEnd())
    .join("\n")
    .replace(/\n{3,}/g, "\n\n");
}

/** A row of a Markdown table as a line of a list, its head as a heading; its rule is nothing. */
function withoutTable(line: string, i: number, lines: readonly string[]): string[] {
  if (!/^\s*\|.*\|\s*$/.test(line)) return [line];
  const isRule = (row: string | undefined) => row !== undefined && /^\s*\|[\s:|-]+\|\s*$/.test(row);
  if (isRule(line)) return [];
  const cells = line.trim().replace(/^\||\|$/g, "").split("|").map(cell => cell.trim()).filter(Boolean); // prettier-ignore
  return [isRule(lines[i + 1]) ? `${cells.join(" ")}:` : `- ${cells.join(" ")}`];
}

const ENTITIES: Readonly<Record<string, string>> = { amp: "&", lt: "<", gt: ">", quot: '"', nbsp: " ", deg: "°", frac12: "½", frac14: "¼", frac34: "¾", eacute: "é", egrave: "è", apos: "'" }; // prettier-ignore

const withoutTags = (text: string): string =>
  text
    .replace(/<(script|style)\b[\s\S]*?<\/\1>/gi, "")
    .replace(/<(?:br|\/p|\/li|\/h\d|\/div|\/tr)\b[^>]*>/gi, "\n")
    .replace(/<[^>]{0,2000}>/g, "")
    .replace(/&(#\d+|[a-z0-9]+);/gi, (all, name: string) =>
      name.startsWith("#")
        ? String.fromCodePoint(Math.min(0x10ffff, Number(name.slice(1))))
        : (ENTITIES[name.toLowerCase()] ?? all),
    );

/** Recipe data of a web page (schema.org/Recipe in JSON-LD); `null` where it is none. */
function recipeData(text: string): string | null {
  const trimmed = text.trim();
  if (!/^[[{]/.test(trimmed) || !/"recipe(?:Instructions|Ingredient)"/.test(trimmed)) return null;
  let parsed: unknown;
  try {
    parsed = JSON.parse(trimmed);
  } catch {
    return null;
  }
  const recipe = findRecipe(parsed);
  if (!recipe) return null;
  const list = strings(recipe["recipeIngredient"]);
  const steps = strings(recipe["recipeInstructions"]);
  return [
    String(recipe["name"] ?? ""),
    "",
    ...(list.length ? ["Ingredients:", ...list, ""] : []),
    "Method:",
    ...steps,
  ].join("\n");
}

function findRecipe(of: unknown): Record<string, unknown> | null {
  if (Array.isArray(of)) return of.map(findRecipe).find(found => found !== null) ?? null;
  if (typeof of !== "object" || of === null) return null;
  const record = of as Record<string, unknown>;
  if ("recipeIngredient" in record || "recipeInstructions" in record) return record;
  return "@graph" in record ? findRecipe(record["@graph"]) : null;
}

function strings(of: unknown): string[] {
  if (typeof of === "string") return of.split(/\r?\n/).filter(Boolean);
  if (Array.isArray(of)) return of.flatMap(strings);
  if (typeof of !== "object" || of === null) return [];
  const record = of as Record<string, unknown>;
  return "itemListElement" in record
    ? strings(record["itemListElement"])
    : strings(record["text"] ?? record["name"] ?? "");
}
