import { expect, test } from "vitest";
import { inside } from "./inside";

test("after saying who cooks one goes on inside this kitchen, never elsewhere", () => {
  expect(inside("/bench/x?base=8%20kg")).toBe("/bench/x?base=8%20kg");
  for (const elsewhere of [
    "https://elsewhere.example/",
    "//elsewhere.example/",
    "/\\elsewhere.example/",
    "/\t/elsewhere.example/",
    "/.//elsewhere.example/",
    "elsewhere",
    "",
    null,
  ])
    expect(inside(elsewhere), String(elsewhere)).toBe("/");
});
