import { type Result, ok, refuse } from "./result";

/**
 * Reads JSON that came from outside. Beside the syntax it refuses what no program writes by mistake and what no table can
 * keep: half a character (a lone surrogate) and fields that reach behind an object (`__proto__`).
 *
 * @errors NOT_UNDERSTOOD with what is wrong
 */
export function readJson(text: string): Result<unknown> {
  let wrong: string | null = null;
  const look = (key: string, value: unknown): unknown => {
    if (key === "__proto__") wrong ??= "A field is called “__proto__”; nothing of Hondaro is.";
    else if (!isWhole(key) || (typeof value === "string" && !isWhole(value)))
      wrong ??= `${key ? `“${key.toWellFormed()}”` : "The text"} holds half a character. Type it again.`;
    return value;
  };
  try {
    const value: unknown = JSON.parse(text, look);
    return wrong === null ? ok(value) : refuse({ code: "NOT_UNDERSTOOD", field: "input", message: wrong });
  } catch {
    return refuse({
      code: "NOT_UNDERSTOOD",
      field: "input",
      message: "This is not JSON: a bracket or comma is missing, or it is another kind of file.",
    });
  }
}

const isWhole = (text: string): boolean => text.isWellFormed();
