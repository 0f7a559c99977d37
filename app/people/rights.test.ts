import { expect, test } from "vitest";
import { maySign } from "./rights";

test.each([
  ["chef de cuisine", true],
  ["Sous-chef", true],
  ["saucier", false],
  ["commis", false],
])("who is %s may sign: %s", (role, may) => expect(maySign({ role })).toBe(may));
