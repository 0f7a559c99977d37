import sharp from "sharp";
import { ulid } from "ulid";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { openKitchen } from "~/core/formula";
import { batchRecord, fold } from "~/core/run";
import { GLACE_ID, STOCK_ID } from "~/demo/formulas";
import { DEMO_KITCHEN, KITCHEN_ID } from "~/demo/kitchen";
import { type Connection, appendEvents, database, eventsOf, findFormula, findRun, pulseOf } from "~/data";
import * as words from "./api/words.server";
import * as deviceReadings from "./api/device-readings.server";
import * as devices from "./api/devices.server";
import * as live from "./api/live.server";
import * as photo from "./api/photo.server";
import * as photos from "./api/photos.server";
import * as runEvents from "./api/run-events.server";
import * as batch from "./batch/batch.server";
import * as batchTable from "./batch/export.server";
import * as bench from "./bench/bench.server";
import * as formulas from "./bench/formulas.server";
import * as versions from "./bench/versions/versions.server";
import * as book from "./book/book.server";
import * as card from "./book/card.server";
import * as kit from "./kit/kit.server";
import * as vessel from "./kit/vessel.server";
import * as ingredient from "./larder/ingredient.server";
import { answered, argsFor, get, openDemo, putOnFire, sentForm, sentJson } from "./testing/asked.server";

let connection: Connection;
beforeAll(async () => {
  connection = await openDemo();
});
afterAll(() => connection.close());

const reading = (more: object = {}) => ({
  id: ulid(),
  at: new Date().toISOString(),
  clockOffsetMs: 0,
  personId: "noor",
  payload: { kind: "noted", stepId: "s1", text: "clear" },
  ...more,
});

describe("a recipe in words, over the interface", () => {
  const sent = async (body: unknown) =>
    words.action(await argsFor(sentJson(body), {}, null)) as Promise<Response>;
  test("is read and walked in this kitchen: at 1 180 m it boils at 96 °C", async () => {
    const answer = await sent({ text: "Add 1 l water. Reduce by half. Do not boil over." });
    expect(answer.status).toBe(200);
    expect(await answer.json()).toMatchObject({
      pieces: [{ kind: "add" }, { kind: "reduce", end: { by: 0.5 } }],
      walk: { problems: [] },
    });
  });
  test("what is no recipe is refused in words", async () => {
    const answer = await sent({ words: 3 });
    expect(answer.status).toBe(422);
    expect(JSON.stringify(await answer.json())).toContain("Send the recipe as");
  });
});

describe("who asks", () => {
  test.each([
    ["the list of formulas", formulas.loader, "bench"],
    ["the Book", book.loader, "book"],
    ["the Kit", kit.loader, "kit"],
  ])("%s sends anybody unnamed to say who they are", async (_, loader, path) => {
    const { status, to } = await answered(loader(await argsFor(get(path), {}, null)));
    expect([status, to]).toEqual([302, `/who?to=%2F${path}`]);
  });
});

describe("what is not here", () => {
  test.each([
    ["a formula", bench.loader, { formulaId: "unicorn" }],
    ["a card", card.loader, { versionId: "unicorn" }],
    ["a batch", batch.loader, { runId: "unicorn" }],
    ["the versions of one", versions.loader, { formulaId: "unicorn" }],
    ["a vessel", vessel.loader, { vesselId: "unicorn" }],
    ["an ingredient", ingredient.loader, { ingredientId: "unicorn" }],
  ])("%s: 404, in a sentence", async (_, loader, params) => {
    const { status, body } = await answered((loader as (a: never) => unknown)(await argsFor(get(), params)));
    expect(status).toBe(404);
    expect(String(body)).toMatch(/ .*\.$/);
  });
});

describe("readings of a run", () => {
  const send = async (runId: string, events: unknown, as: string | null = "tomas") =>
    answered(runEvents.action(await argsFor(sentJson({ events }), { runId }, as)));
  test("are written by who is signed in, whatever they claim; sent twice they stand once", async () => {
    const runId = await putOnFire();
    const event = reading();
    expect((await send(runId, [event])).status).toBe(200);
    expect((await send(runId, [event])).status).toBe(200);
    const kept = (await eventsOf(database().db, [runId]))[runId]?.filter(e => e.id === event.id);
    expect(kept?.map(e => e.personId)).toEqual(["tomas"]);
  });
  test("are refused from nobody, of no run, in no shape, and where an id says something else", async () => {
    const runId = await putOnFire();
    const event = reading();
    expect((await send(runId, [event], null)).status).toBe(401);
    expect((await send("unicorn", [event])).status).toBe(404);
    expect((await send(runId, [{ ...event, id: "short" }])).status).toBe(422);
    await send(runId, [event]);
    const twisted = { ...event, payload: { ...event.payload, text: "cloudy" } };
    expect((await send(runId, [twisted])).status).toBe(409);
  });
});

describe("the live stream of a kitchen", () => {
  /** What a stream says until it has said something, as text. */
  async function hears(response: Response, until: RegExp): Promise<string> {
    const reader = response.body?.getReader();
    if (!reader) throw new Error("no stream");
    const decoder = new TextDecoder();
    let heard = "";
    while (!until.test(heard)) {
      const { done, value } = await reader.read();
      if (done) break;
      heard += decoder.decode(value, { stream: true });
    }
    await reader.cancel();
    return heard;
  }
  const open = async (path: string, as: string | null = "noor") =>
    live.loader((await argsFor(get(path), {}, as)) as never);
  const log = async (runId: string, text: string) => {
    const event = { ...reading(), payload: { kind: "noted" as const, stepId: "s1", text } };
    await runEvents.action(await argsFor(sentJson({ events: [event] }), { runId }));
    return event;
  };

  test("says what is logged, as it is kept, with its number", async () => {
    const runId = await putOnFire();
    const stream = await open("api/live");
    expect(stream.headers.get("Content-Type")).toBe("text/event-stream");
    const heard = hears(stream, /the spoon stands/);
    // The stream has to stand first.
    await new Promise(done => setTimeout(done, 100));
    await log(runId, "the spoon stands");
    expect(await heard).toMatch(/event: here[^]*id: \d+\nevent: log\ndata: \[\{"runId":"/);
  });
  test("begins where a browser left off: what it missed comes first, each once", async () => {
    const runId = await putOnFire();
    const { seq } = await pulseOf(database().db, KITCHEN_ID);
    await log(runId, "missed one");
    await log(runId, "missed two");
    const heard = await hears(await open(`api/live?since=${seq}`), /event: here/);
    expect(heard.match(/missed (?:one|two)/g)).toEqual(["missed one", "missed two"]);
  });
  test("is for who has said who they are", async () => {
    expect((await open("api/live", null)).status).toBe(401);
  });
});

describe("a connected instrument", () => {
  const connect = async (name: string) => {
    const reply = await answered(
      kit.action(await argsFor(sentForm({ intent: "connect", name, kind: "scale" }))),
    );
    return /Bearer ([\w-]+)/.exec((reply.body as { said?: string }).said ?? "")?.[1] ?? "";
  };
  const send = async (key: string, secret: string, body: string, type = "text/plain") => {
    const request = new Request(`http://localhost/api/devices/${key}/readings`, {
      method: "POST",
      headers: { Authorization: `Bearer ${secret}`, "Content-Type": type },
      body,
    });
    return deviceReadings.action(await argsFor(request, { key }, null));
  };
  const shown = async () =>
    (await (await devices.loader((await argsFor(get("api/devices"))) as never)).json()) as unknown;

  test("shows what it sends, as a line or as JSON, to whoever cooks", async () => {
    const secret = await connect("Pass scale");
    expect((await send("pass-scale", secret, "7812 g")).status).toBe(200);
    expect(await shown()).toContainEqual({ instrument: "scale", name: "Pass scale", value: 7812, unit: "g" });
    await send("pass-scale", secret, JSON.stringify({ value: 7.5, unit: "kg" }), "application/json");
    expect(await shown()).toContainEqual(expect.objectContaining({ value: 7500 }));
  });
  test("is believed by its secret only, and sends nothing that is no reading", async () => {
    const secret = await connect("Back scale");
    expect((await send("back-scale", "guessed", "5 g")).status).toBe(401);
    expect((await send("unicorn", secret, "5 g")).status).toBe(401);
    expect((await send("back-scale", secret, "warm")).status).toBe(422);
    expect(await shown()).not.toContainEqual(expect.objectContaining({ name: "Back scale" }));
  });
});

describe("a picture of a pot", () => {
  const send = async (runId: string, body: Buffer, as: string | null = "noor") => {
    const request = new Request("http://localhost/api/runs/x/photos?step=s1", {
      method: "POST",
      headers: { "Content-Type": "image/jpeg" },
      body: new Uint8Array(body),
    });
    return photos.action(await argsFor(request, { runId }, as));
  };
  const red = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: "#a04020" } });

  test("is kept small, upright, and without what the camera wrote beside it; the next batch sees it", async () => {
    const runId = await putOnFire();
    const large = await red(3000, 2000)
      .jpeg()
      .withExif({ IFD0: { Copyright: "somebody", Artist: "somebody" } })
      .toBuffer();
    const answer = await send(runId, large);
    expect(answer.status).toBe(200);
    const { id } = (await answer.json()) as { id: string };
    const kept = await photo.loader((await argsFor(get(`api/photos/${id}`), { photoId: id })) as never);
    const meta = await sharp(Buffer.from(await kept.arrayBuffer())).metadata();
    expect([meta.format, meta.width, meta.height]).toEqual(["jpeg", 1280, 853]);
    expect(meta.exif).toBeUndefined();
    const next = await putOnFire();
    const before = await photos.loader(
      (await argsFor(get("api/runs/x/photos?step=s1"), { runId: next })) as never,
    );
    expect(await before.json()).toContainEqual(expect.objectContaining({ id }));
  });
  test("C134 becomes what the sauce is held against, and stands first in the next batch; another sauce’s does not", async () => {
    const runId = await putOnFire();
    const { id } = (await (await send(runId, await red(60, 40).png().toBuffer())).json()) as { id: string };
    const hold = async (run: string, photoId: string) =>
      batch.action(
        await argsFor(sentForm({ intent: "reference", photo: photoId, what: "colour" }), { runId: run }),
      );
    await answered(hold(runId, id));
    const next = await putOnFire();
    const shown = await photos.loader(
      (await argsFor(get("api/runs/x/photos?step=s9"), { runId: next })) as never,
    );
    expect(await shown.json()).toMatchObject([{ id, what: "colour" }]);
    const glace = await putOnFire(GLACE_ID);
    expect((await answered(hold(glace, id))).status).toBe(404);
  });
  test("is refused where it is none, from nobody, and of no pot", async () => {
    const runId = await putOnFire();
    expect((await send(runId, Buffer.from("no picture at all"))).status).toBe(422);
    const small = await red(20, 20).png().toBuffer();
    expect((await send(runId, small, null)).status).toBe(401);
    expect((await send("unicorn", small)).status).toBe(404);
    expect((await send(runId, await red(20, 20).gif().toBuffer())).status).toBe(415);
  });
});

describe("a batch", () => {
  test("is shown as it was booked", async () => {
    const runId = await putOnFire(GLACE_ID);
    const found = await findRun(database().db, KITCHEN_ID, runId);
    expect(found?.finishedAt).toBeNull();
    expect((await answered(batch.loader(await argsFor(get(), { runId })))).status).toBe(404);
    const document = (await findFormula(database().db, KITCHEN_ID, GLACE_ID))?.document;
    if (!document) throw new Error("no glace");
    const finished = { ...reading(), payload: { kind: "finished" as const } };
    await appendEvents(database().db, {
      kitchenId: KITCHEN_ID,
      runId,
      events: [finished],
      now: new Date(),
      endOf: events => {
        const state = fold(events, document, openKitchen(DEMO_KITCHEN));
        return { finishedAt: new Date(), abandoned: false, record: batchRecord(state) };
      },
    });
    const { status, body } = await answered(batch.loader(await argsFor(get(), { runId })));
    expect(status).toBe(200);
    expect((body as { since: unknown }).since).toEqual([]);
    expect(body).toMatchObject({ batch: { runId, startedBy: "Noor Adeyi" } });
    const { body: table } = await answered(batchTable.loader(await argsFor(get("batches.csv"))));
    const rows = String(table).trim().split("\n");
    expect(rows[0]).toContain("run,finishedAt,formula,version,by,burner,fromG");
    expect(rows.filter(row => row.includes("Guinea-fowl glace"))).toHaveLength(1);
    const { body: listed } = await answered(book.loader(await argsFor(get("book?q=glace"))));
    expect(listed).toMatchObject({ of: 1, cards: [{ batches: 1 }] });
  });
});

test("a chef signs, and says why where it is early", async () => {
  const version = (await findFormula(database().db, KITCHEN_ID, GLACE_ID))?.versionId ?? "";
  const signed = async (personId: string, reason: string) => {
    const form = sentForm({ intent: "sign", state: "standard", id: ulid(), reason });
    return answered(card.action(await argsFor(form, { versionId: version }, personId)));
  };
  expect((await signed("ilse", "")).status).toBe(422);
  expect((await signed("ilse", "the way it is done here")).body).toEqual({ problem: null });
  const { body } = await answered(card.loader(await argsFor(get(), { versionId: version })));
  expect(body).toMatchObject({
    version: { state: "standard" },
    signatures: [{ by: "Ilse Varga", reason: "the way it is done here" }],
    maySign: false,
  });
});

test("the list of formulas is found by the body of what they make", async () => {
  const listed = async (q: string) => {
    const { body } = await answered(formulas.loader(await argsFor(get(`bench?q=${q}`))));
    return body as { formulas: { name: string; body: string | null }[]; bodiesLeft: number };
  };
  // Bodies nobody has asked for yet are walked so long at a time; what is left is said, and walked when asked again.
  await expect.poll(async () => (await listed("nappe")).bodiesLeft, { timeout: 60_000 }).toBe(0);
  const nappe = await listed("nappe");
  expect(nappe.formulas.length).toBeGreaterThan(0);
  expect(nappe.formulas.every(f => f.body === "nappe" || /nappe/i.test(f.name))).toBe(true);
  expect((await listed("standing")).formulas.map(f => f.name)).toContain("Walnut-oil mayonnaise");
});

describe("a formula saved on the Bench", () => {
  const save = async (value: unknown) =>
    answered(bench.action(await argsFor(sentJson(value), { formulaId: STOCK_ID })));
  test("by two cooks: the second is shown what the first has kept", async () => {
    const stored = await findFormula(database().db, KITCHEN_ID, STOCK_ID);
    if (!stored) throw new Error("no stock");
    const edit = (notes: string) => ({
      intent: "save",
      rowVersion: stored.rowVersion,
      document: { ...stored.document, notes },
    });
    const first = await save(edit("mine"));
    expect([first.status, (first.body as { kind: string }).kind]).toEqual([200, "saved"]);
    const second = await save(edit("theirs"));
    expect(second.body).toMatchObject({ kind: "conflict", theirs: { document: { notes: "mine" } } });
  });
  test("that is none is refused in a sentence, and nothing is written", async () => {
    const stored = await findFormula(database().db, KITCHEN_ID, STOCK_ID);
    const { body } = await save({ intent: "save", rowVersion: stored?.rowVersion, document: { schema: 2 } });
    expect(body).toMatchObject({ kind: "refused" });
    expect((await findFormula(database().db, KITCHEN_ID, STOCK_ID))?.rowVersion).toBe(stored?.rowVersion);
  });
});

describe("the forms of the kit", () => {
  const send = async (fields: Record<string, string>) =>
    answered(kit.action(await argsFor(sentForm(fields))));
  const seen = async () =>
    (await answered(kit.loader(await argsFor(get())))).body as { seen: { air: string; house: string } };
  test("air: kept, refused with what was typed, and stale with both values", async () => {
    const mark = (await seen()).seen.air;
    const air = { intent: "air", altitudeM: "1200", pressureHPa: "", ambientC: "24", humidityPct: "40" };
    expect((await send({ ...air, seen: mark })).body).toMatchObject({ problems: [] });
    const refused = await send({ ...air, ambientC: "hot", seen: mark });
    expect(refused).toMatchObject({ status: 422, body: { values: { ambientC: "hot" } } });
    const stale = await send({ ...air, altitudeM: "900", seen: mark });
    expect(stale.status).toBe(409);
    expect(JSON.stringify(stale.body)).toMatch(/1.200 m.*900 m/);
  });
  test("a barometer at sea level in the mountains is asked about", async () => {
    const { body } = await send({ intent: "air", altitudeM: "1200", pressureHPa: "1013", seen: "" });
    expect(body).toMatchObject({ problems: [{ code: "PRESSURE", field: "pressureHPa" }] });
  });
  test("a burner moved from where it no longer stands", async () => {
    const move = { intent: "move", id: "open-4", xMm: "2100", yMm: "470" };
    expect((await send(move)).body).toMatchObject({ problems: [] });
    const stale = await send({ ...move, xMm: "2600", fromXMm: "1", fromYMm: "1" });
    expect(stale.status).toBe(409);
    expect(JSON.stringify(stale.body)).toMatch(/210 cm from the left/);
  });
  test("a burner moved to nowhere stays: an empty place is not the corner of the hob", async () => {
    const nowhere = await send({ intent: "move", id: "open-4", xMm: "", yMm: "470" });
    expect(nowhere).toMatchObject({ status: 422, body: { problems: [{ code: "MISSING", field: "xMm" }] } });
  });
  test("what no form sends is answered in a sentence", async () => {
    expect(await send({ intent: "juggle" })).toMatchObject({ status: 422 });
  });
});

describe("a price", () => {
  const note = async (perKg: string, seen: string) =>
    answered(
      ingredient.action(
        await argsFor(
          sentForm({ intent: "price", perKg, currency: "EUR", since: "2026-11-29", source: "market", seen }),
          { ingredientId: "butter" },
        ),
      ),
    );
  test("noted twice at once: the second sees the first", async () => {
    const { body } = await answered(ingredient.loader(await argsFor(get(), { ingredientId: "butter" })));
    const { pricesSeen: mark } = body as { pricesSeen: string };
    expect((await note("12.5", mark)).status).toBe(302);
    const second = await note("13", mark);
    expect([second.status, JSON.stringify(second.body)]).toEqual([409, expect.stringContaining("12.50")]);
  });
});
