import { spawnSync } from "node:child_process";
import { expect, test } from "vitest";

const calc = (args: readonly string[], input: string) =>
  spawnSync("./hondaro", ["calc", ...args], { input, encoding: "utf8" });

test("one sum from standard input, its answer as JSON", () => {
  const done = calc(["ice"], JSON.stringify({ volumeMl: 8000, fromC: 85, toC: 20 }));
  expect(done.status).toBe(0);
  expect((JSON.parse(done.stdout) as { iceG: number }).iceG).toBeCloseTo(6404, -1);
  expect(done.stderr).not.toContain("problem");
}, 30_000);
test("a refusal goes to standard error with exit code 2", () => {
  const done = calc(["ice"], JSON.stringify({ volumeMl: -8000, fromC: 85 }));
  expect(done.status).toBe(2);
  expect(done.stdout).toBe("");
  const { problem, problems } = JSON.parse(done.stderr.slice(done.stderr.indexOf("{"))) as {
    problem: { code: string };
    problems: unknown[];
  };
  expect(problem.code).toBe("NEGATIVE");
  expect(problems).toHaveLength(2);
}, 30_000);
test("what is no JSON, and no sum, is said", () => {
  expect(calc(["ice"], "8 litres").status).toBe(2);
  expect(calc(["gravy"], "{}").stderr).toContain("no sum");
}, 30_000);
test("the list names every sum with its fields", () => {
  const list = JSON.parse(calc(["--list"], "").stdout) as { name: string }[];
  expect(list.map(l => l.name)).toContain("reduce-track");
}, 30_000);
