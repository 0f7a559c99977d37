import { describe, expect, test } from "vitest";
import { refusalOf } from "./doors";

const HOST = "127.0.0.1:4180";
const asked = (method: string, target: string, headers: Record<string, string> = {}) =>
  refusalOf({ method, target, headers: { host: HOST, ...headers } });
const FORM = { "content-type": "application/x-www-form-urlencoded", origin: `http://${HOST}` };
const JSON_BODY = { "content-type": "application/json; charset=utf-8" };

describe("who may come in", () => {
  test("pages, forms of this kitchen’s own pages, and programs that send JSON", () => {
    expect(asked("GET", "/bench/x?base=8%20kg")).toBeNull();
    expect(asked("POST", "/kit.data", FORM)).toBeNull();
    expect(asked("POST", "/api/sums/ice", JSON_BODY)).toBeNull();
    expect(asked("POST", "/bench/x.data", JSON_BODY)).toBeNull();
    expect(asked("GET", "/", { host: "localhost:4180" })).toBeNull();
    expect(asked("GET", "/", { host: "[::1]:4180" })).toBeNull();
  });
  test("a name that somebody else’s address book gives this machine is not ours", () =>
    expect(asked("GET", "/", { host: "elsewhere.example:4180" })?.status).toBe(421));
  test.each([
    ["another site’s page", { origin: "http://elsewhere.example" }],
    ["another port of this machine", { origin: "http://127.0.0.1:9000" }],
    ["a page without an origin of its own", { origin: "null" }],
    ["a browser that says it comes from elsewhere", { "sec-fetch-site": "cross-site" }],
  ])("a write from %s is refused, also where it needs no preflight", (_who, headers) => {
    for (const path of ["/api/runs/x/events", "/bench/x/readings", "/kit"])
      expect(asked("POST", path, { "content-type": "text/plain", ...headers })?.status).toBe(403);
  });
});

describe("how it is sent", () => {
  test.each(["TRACE", "PUT", "DELETE", "OPTIONS", "PURGE"])("%s is no way here", method => {
    const refusal = asked(method, "/kit", FORM);
    expect(refusal?.status).toBe(405);
    expect(refusal?.headers).toEqual({ Allow: "GET, HEAD, POST" });
  });
  test.each([
    ["/kit", "application/json"],
    ["/kit", "text/plain"],
    ["/kit", ""],
    ["/api/sums/ice", "text/plain"],
    ["/api/runs/x/events", "application/x-www-form-urlencoded"],
    ["/bench/x", "text/plain"],
  ])("%s takes no %j", (path, type) => {
    const refusal = asked("POST", path, { "content-type": type });
    expect(refusal?.status).toBe(415);
    expect(refusal?.sentence).toMatch(/^Send it as/);
  });
  test.each(["http://elsewhere.example/", "//elsewhere.example/", "*", "/%E0%A4%A", "/a\\b"])(
    "%s is no address",
    target => expect(asked("GET", target)?.status).toBe(400),
  );
});

describe("how much at once", () => {
  test.each([
    ["/api/sums/ice", JSON_BODY, 200_000],
    ["/api/runs/x/events", JSON_BODY, 1_000_000],
    ["/larder/import", FORM, 2_000_000],
    ["/kit", FORM, 500_000],
  ])("%s", (path, headers, most) => {
    const sent = (bytes: number) => asked("POST", path, { ...headers, "content-length": String(bytes) });
    expect(sent(most)).toBeNull();
    expect(sent(most + 1)?.status).toBe(413);
    expect(sent(most + 1)?.sentence).toMatch(/at most [\d.]+ [km]B/i);
  });
  test("what does not say how long it is", () =>
    expect(asked("POST", "/kit", { ...FORM, "transfer-encoding": "chunked" })?.status).toBe(411));
});
