import { expect, test } from "vitest";
import { valueOf } from "./result";
import { readJson } from "./json";

test("JSON from outside is read as it stands", () =>
  expect(valueOf(readJson('{"a":[1,"é",null]}'))).toEqual({ a: [1, "é", null] }));
test.each([
  ["{", /not JSON/],
  ["", /not JSON/],
  ['{"name":"\\ud800"}', /“name” holds half a character/],
  ['{"\\udc00":1}', /half a character/],
  ['[{"__proto__":{"a":1}}]', /__proto__/],
])("%s is refused with what is wrong", (text, message) => {
  const read = readJson(text);
  expect(read.ok ? "" : read.problems[0]?.message).toMatch(message);
});
