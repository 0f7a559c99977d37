import { afterAll, beforeAll, describe, expect, test } from "vitest";
import type { Connection } from "~/data";
import { answered, argsFor, get, openDemo, sentForm } from "../testing/asked.server";
import * as taste from "./taste.server";
import * as tasting from "./tasting.server";
import * as tastings from "./tastings.server";

let connection: Connection;
beforeAll(async () => {
  connection = await openDemo();
});
afterAll(() => connection.close());

async function setUp(fields: Record<string, string> = {}): Promise<string> {
  const form = sentForm({ name: "Less smoke?", kind: "triangle", seats: "6", ...fields });
  const body = await form.formData();
  body.append("sample", "less");
  body.append("sample", "as ever");
  const request = new Request("http://hondaro.test/", { method: "POST", body });
  const { to } = await answered(tastings.action(await argsFor(request)));
  return to?.split("/").at(-1) ?? "";
}
const seen = async (tastingId: string) => tasting.loader(await argsFor(get(), { tastingId }));
const phone = async (params: Record<string, string>, fields: Record<string, string>) =>
  answered(taste.action(await argsFor(sentForm(fields), params, null)));
const sit = async (code: string) => {
  const { to } = await phone({ code }, { name: "Ada" });
  return to?.split("/").at(-1) ?? "";
};
const sheet = async (code: string, token: string) =>
  taste.loader(await argsFor(get(), { code, token }, null));

describe("a tasting", () => {
  test("is answered by code, once, and sealed until it is closed", async () => {
    const id = await setUp();
    const { tasting: set, seats } = await seen(id);
    const { code } = set;
    const token = await sit(code);
    const place = await sheet(code, token);
    if (place.state !== "cups") throw new Error("There are no cups.");
    // A phone is told codes, and nothing of what is in them.
    expect(JSON.stringify(place)).not.toMatch(/less smoke|as ever|"key"/);
    const odd = seats[0]?.cups.find(c => seats[0]?.cups.filter(d => d.key === c.key).length === 1);
    expect((await phone({ code, token }, { chosen: odd?.code ?? "", words: "smoke" })).status).toBe(302);
    // What is sealed does not change.
    const other = place.cups.find(c => c.code !== odd?.code)?.code ?? "";
    await phone({ code, token }, { chosen: other });
    const open = await seen(id);
    expect(open.counts).toEqual({ taken: 1, answered: 1 });
    expect(JSON.stringify(open)).not.toContain('"smoke"');
    expect(open.told).toBeNull();
    await tasting.action(await argsFor(sentForm({ intent: "close" }), { tastingId: id }));
    const closed = await seen(id);
    expect(closed.told?.verdict).toContain("1 of 1 were right");
    expect(closed.told?.shown).toBe(false);
    expect(closed.seats[0]?.words).toBe("smoke");
    expect((await phone({ code }, { name: "late" })).status).toBe(422);
  });
  test("seats as many as were asked for, and no cup that is not one’s own is taken", async () => {
    const id = await setUp({ seats: "1" });
    const { code } = (await seen(id)).tasting;
    const token = await sit(code);
    expect((await phone({ code }, { name: "too many" })).status).toBe(422);
    expect((await phone({ code, token }, { chosen: "000" })).status).toBe(422);
    expect((await sheet(code, token)).state).toBe("cups");
  });
  test("is not closed by a stranger to this kitchen, nor decided while it is sealed", async () => {
    const id = await setUp();
    const decided = await answered(
      tasting.action(await argsFor(sentForm({ decision: "the new one" }), { tastingId: id })),
    );
    expect(decided.status).toBe(409);
    expect((await answered(tasting.loader(await argsFor(get(), { tastingId: "nobody’s" })))).status).toBe(
      404,
    );
  });
  test("what cannot be set up is refused in words, and what was typed comes back", async () => {
    const form = sentForm({ name: "Which is saltier?", kind: "paired comparison", seats: "12" });
    const { status, body } = await answered(tastings.action(await argsFor(form)));
    expect(status).toBe(422);
    expect(body).toMatchObject({ typed: { name: ["Which is saltier?"] } });
    expect(JSON.stringify(body)).toContain("saltier");
  });
  test("a wrong code lets nobody in, and says so", async () => {
    expect(await taste.loader(await argsFor(get(), { code: "ABCDEF" }, null))).toMatchObject({
      state: "code",
      wrong: true,
    });
  });
});
