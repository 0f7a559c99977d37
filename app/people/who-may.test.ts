import type { RouteConfigEntry } from "@react-router/dev/routes";
import { expect, test } from "vitest";
import { EXPECTED } from "../../e2e/who-may-table";
import routes from "../routes";
import { WHO_MAY, needOf } from "./who-may";

const patternsOf = (entries: readonly RouteConfigEntry[]): string[] =>
  entries.flatMap(entry => [
    ...(entry.path !== undefined || entry.index ? [`/${entry.path ?? ""}`] : []),
    ...patternsOf(entry.children ?? []),
  ]);

test("every route has a row that says who may come in, and is asked over the wire; no row is left over", () => {
  const all = patternsOf(routes).sort();
  expect(Object.keys(WHO_MAY).sort()).toEqual(all);
  expect([...new Set(EXPECTED.map(([pattern]) => pattern))].sort()).toEqual(all);
});

test("a route without a row, a method without an entry and an intent that is a word of JavaScript are nobody’s", () => {
  expect(needOf("/nowhere", "GET", null)).toBeNull();
  expect(needOf("/constructor", "GET", null)).toBeNull();
  expect(needOf("/book", "POST", null)).toBeNull();
  expect(needOf("/book/:versionId", "DELETE", null)).toBeNull();
  expect(needOf("/book/:versionId", "POST", "constructor")).toBe("read");
  expect(needOf("/book/:versionId", "POST", "sign")).toBe("approve");
});
