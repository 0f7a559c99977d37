import { afterAll, beforeAll, describe, expect, test } from "vitest";
import {
  countTry,
  forgetTries,
  type Connection,
  DEMO_SIGN_IN,
  addPerson,
  database,
  endSessionsOf,
  hashSecret,
  listPeople,
  openSession,
  setSecret,
  signedIn,
} from "~/data";
import { KITCHEN_ID } from "~/demo/kitchen";
import { answered, argsFor, get, openDemo, sentForm } from "../testing/asked.server";
import * as changes from "./changes.server";
import * as first from "./first.server";
import * as me from "./me.server";
import * as people from "./people.server";
import * as who from "./who.server";

let connection: Connection;
beforeAll(async () => {
  connection = await openDemo();
});
afterAll(() => connection.close());

/** A form sent to the page of names, with what the device keeps. */
async function sign(fields: Record<string, string>, cookies: readonly string[] = []) {
  const request = sentForm(fields);
  if (cookies.length) request.headers.set("Cookie", cookies.join("; "));
  const got: unknown = await (who.action as (args: never) => Promise<unknown>)(
    await argsFor(request, {}, null),
  );
  const kept =
    got instanceof Response ? got.headers.getSetCookie().map(line => line.split(";")[0] ?? "") : [];
  const { status, body, to } = await answered(got);
  return { status, to, kept, problem: (body as { problem?: string } | null)?.problem ?? null };
}

const SAID = { login: "tomas", password: DEMO_SIGN_IN.password };

describe("signing in", () => {
  test("with name and password, and on to where one wanted to go; elsewhere leads nowhere", async () => {
    const done = await sign({ ...SAID, login: " Tomas ", to: "/bench" });
    expect([done.status, done.to, done.kept.length]).toEqual([302, "/bench", 1]);
    expect((await sign({ ...SAID, to: "https://elsewhere.example" })).to).toBe("/");
  });
  test("a wrong password and a name that is not there are answered alike", async () => {
    const [wrong, nobody] = [
      await sign({ ...SAID, password: "x" }),
      await sign({ ...SAID, login: "nobody" }),
    ];
    expect(wrong.problem).toBe(nobody.problem);
    expect([wrong.status, nobody.kept]).toEqual([422, []]);
  });
  test("after ten wrong ones even the right password waits, and nobody else has to", async () => {
    for (let i = 0; i < 10; i++) await sign({ login: "petr", password: `x${i}` });
    const late = await sign({ login: "petr", password: DEMO_SIGN_IN.password });
    expect([late.status, late.problem]).toEqual([
      429,
      expect.stringMatching(/Wait 1[45] minutes/) as unknown,
    ]);
    expect((await sign(SAID)).status).toBe(302);
  });
  test("good passwords of a whole brigade behind one address shut nobody out; bad ones do", async () => {
    const address = "203.0.113.9";
    for (let i = 0; i < 70; i++) {
      expect(await countTry({ address })).toBeNull();
      await forgetTries({}, { address });
    }
    for (let i = 0; i < 60; i++) await countTry({ address });
    expect(await countTry({ address })).not.toBeNull();
  });
  test("a PIN counts only on a device that somebody made a shared one", async () => {
    const pin = { intent: "pin", person: "noor", pin: DEMO_SIGN_IN.pin };
    expect((await sign(pin)).problem).toContain("several cooks share");
    const shared = await sign({ ...SAID, shares: "on" });
    expect(shared.kept).toHaveLength(2);
    expect((await sign(pin, shared.kept)).status).toBe(302);
    for (let i = 0; i < 5; i++) await sign({ ...pin, person: "ilse", pin: `000${i}` }, shared.kept);
    expect((await sign({ ...pin, person: "ilse" }, shared.kept)).status).toBe(429);
    expect((await sign({ ...pin, person: "noor" }, shared.kept)).status).toBe(302);
  });
  test("a cookie that somebody has changed is nobody’s", async () => {
    const { kept } = await sign({ ...SAID, shares: "on" });
    const forged = kept.map(cookie => `${cookie.slice(0, -3)}abc`);
    const pin = { intent: "pin", person: "noor", pin: DEMO_SIGN_IN.pin };
    expect((await sign(pin, forged)).status).toBe(422);
  });
});

describe("sessions", () => {
  const NOW = new Date("2026-11-25T08:00:00Z");
  const later = (days: number) => new Date(NOW.getTime() + days * 24 * 3600_000);
  const open = (personId: string) =>
    openSession(database().db, { personId, tabletId: null, way: "password", now: NOW });

  test("last a month after the last sign of life; signing out everywhere ends them all", async () => {
    const token = await open("noor");
    const at = (days: number) => signedIn(database().db, token, later(days));
    expect((await at(20))?.person.id).toBe("noor");
    expect(await at(45)).not.toBeNull();
    expect(await at(90)).toBeNull();
    await endSessionsOf(database().db, "noor");
    expect(await at(46)).toBeNull();
  });
  test("a new password signs out whoever was signed in with the old one", async () => {
    const token = await open("sana");
    const change = { kitchenId: KITCHEN_ID, personId: "sana", now: NOW };
    await setSecret(database().db, change, "sana", { passwordHash: await hashSecret("copper pot lid") });
    expect(await signedIn(database().db, token, NOW)).toBeNull();
    expect((await sign({ login: "sana", password: "copper pot lid" })).status).toBe(302);
  });
});

describe("looking after people", () => {
  const ask = async (fields: Record<string, string>, as = "ilse") => {
    const done = await answered(people.action(await argsFor(sentForm(fields), {}, as)));
    return done.body as { problem: string | null; said: string | null };
  };
  test("somebody new signs in with the password that is told once; whoever leaves does no more", async () => {
    const { said } = await ask({ intent: "add", name: "Żoë Lindh", role: "entremetier", rank: "cook" });
    expect(said).toContain("signs in as “zoe.lindh”");
    const password = /password “([^”]+)”/.exec(said ?? "")?.[1] ?? "";
    expect((await sign({ login: "zoe.lindh", password })).status).toBe(302);
    const added = (await listPeople(database().db, KITCHEN_ID)).find(p => p.login === "zoe.lindh");
    await ask({ intent: "leaves", person: added?.id ?? "" });
    expect((await sign({ login: "zoe.lindh", password })).status).toBe(422);
  });
  test("a sign-in name is one person’s, a kitchen keeps a chef", async () => {
    expect((await ask({ intent: "add", name: "Noor", login: "noor", rank: "cook" })).problem).toContain(
      "already",
    );
    expect((await ask({ intent: "rank", person: "ilse", rank: "cook" })).problem).toContain("keeps a chef");
    expect((await ask({ intent: "leaves", person: "ilse" })).problem).toContain("keeps a chef");
    expect((await ask({ intent: "rank", person: "tomas", rank: "chef" })).said).toContain(
      "Tomas Reyhl is chef",
    );
  });
  test("who changed what can be read, and holds no secret", async () => {
    await addPerson(
      database().db,
      { kitchenId: KITCHEN_ID, personId: "ilse", now: new Date() },
      { id: "x1", name: "X", role: "x", rank: "viewer", login: "x1" },
    );
    const { body } = await answered(changes.loader(await argsFor(get("people/changes"), {}, "ilse")));
    const said = JSON.stringify(body);
    expect(said).toContain('"what":"person"');
    expect(said).not.toContain("argon2");
  });
});

describe("one’s own password and PIN", () => {
  const ask = async (fields: Record<string, string>) =>
    (await answered(me.action(await argsFor(sentForm(fields), {}, "noor")))).body as {
      problem: string | null;
      said: string | null;
    };
  test("are changed by who knows the present password only", async () => {
    expect((await ask({ intent: "pin", password: "wrong", pin: "2580" })).problem).toContain(
      "present password",
    );
    expect((await ask({ intent: "pin", password: DEMO_SIGN_IN.password, pin: "1111" })).problem).toContain(
      "first PIN",
    );
    expect((await ask({ intent: "pin", password: DEMO_SIGN_IN.password, pin: "2580" })).said).toBe(
      "Your PIN is set.",
    );
    expect(
      (await ask({ intent: "password", password: DEMO_SIGN_IN.password, next: "short" })).problem,
    ).toContain("at least 8");
  });
});

test("a house that has a kitchen is not founded again", async () => {
  const { status, to } = await answered((first.loader as () => unknown)());
  expect([status, to]).toEqual([302, "/"]);
});
