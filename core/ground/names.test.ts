import { describe, expect, test } from "vitest";
import { checkId, checkLength, checkName, idFor } from "./names";

describe("ids", () => {
  test.each(["guinea-fowl-brown-stock", "01JDZ3V1X8QZ6M2C7B9T4K5N0P", "x"])("%s may come in", id =>
    expect(checkId(id)).toEqual([]),
  );
  test.each([
    "",
    ".",
    "..",
    "new",
    "New",
    "__proto__",
    "a b",
    "x ",
    "-x",
    "x-",
    "é",
    "a".repeat(41),
    "\ud800",
  ])("%j may not", id => expect(checkId(id)).toHaveLength(1));
  test("none made of a name is one that a page goes by", () => {
    expect(idFor("New")).toBe("new-1");
    expect(idFor("Import!")).toBe("import-1");
    for (const name of ["Crème fraîche", "味醂", "x".repeat(90), `${"a".repeat(39)} b`])
      expect(checkId(idFor(name)), name).toEqual([]);
  });
});

test("names and words fit their columns, and are whole", () => {
  expect(checkName("Cider gastrique")).toEqual([]);
  expect(checkName("  ")[0]?.code).toBe("MISSING");
  expect(checkName("x".repeat(121))[0]?.message).toContain("121 signs; 120 fit");
  expect(checkLength("half \ud800", "text", "The note")[0]?.message).toContain("half a character");
});
