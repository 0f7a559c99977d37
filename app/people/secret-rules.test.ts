import { expect, test } from "vitest";
import { passwordProblems, pinProblems } from "./secret-rules";

const of = { login: "noor", name: "Noor Adeyi" };

test.each([
  ["copper pot lid", true],
  ["short", false],
  ["noor adeyi", false],
  ["aaaaaaaaaa", false],
  ["12345678", false],
  ["x".repeat(201), false],
])("the password %j will do: %s", (password, does) =>
  expect(passwordProblems(password, of).length === 0).toBe(does),
);

test.each([
  ["2468", true],
  ["27182818", true],
  ["123", false],
  ["1111", false],
  ["1234", false],
  ["4321", false],
  ["12a4", false],
])("the PIN %s will do: %s", (pin, does) => expect(pinProblems(pin).length === 0).toBe(does));
