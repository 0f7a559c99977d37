import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { ulid } from "ulid";
import { type Connection, addTrial, addYieldReading, listTrials, listVersions, readSnapshot } from "~/data";
import { KITCHEN_ID } from "~/demo/kitchen";
import { answered, argsFor, get, openDemo, sentForm } from "../testing/asked.server";
import * as ingredient from "../larder/ingredient.server";
import * as trial from "../trials/trial.server";
import * as trials from "../trials/trials.server";
import * as learned from "./learned.server";

let connection: Connection;
beforeAll(async () => {
  connection = await openDemo();
  for (const [i, gotG] of [2100, 2180, 2140].entries())
    await addYieldReading(
      connection.db,
      { kitchenId: KITCHEN_ID, personId: "petr", now: new Date(Date.now() - (9 - i) * 3600_000) },
      { id: ulid(), ingredientId: "leek", what: "trimmed", from: 5000, gotG },
    );
}, 180_000);
afterAll(() => connection.close());

const say = async (group: string, key: string, kind: string) =>
  answered(learned.action(await argsFor(sentForm({ group, key, kind }), {}, "ilse")));
const shown = async (as = "ilse") => learned.loader(await argsFor(get("ledger/learned"), {}, as));
const leek = async () =>
  (await readSnapshot(connection.db, KITCHEN_ID))?.ingredients.find(i => i.id === "leek");

describe("the learned page", () => {
  test("a value that was weighed three times waits; taken, the larder says what and how often; it then agrees", async () => {
    const [trim] = (await shown()).learned.filter(one => one.key === "leek");
    expect(trim).toMatchObject({ group: "trim", status: "proposed", n: 3 });
    expect(trim?.now).toBeCloseTo(42.8, 6);
    expect((await say("trim", "leek", "accepted")).status).toBe(200);
    expect(await leek()).toMatchObject({
      ediblePct: expect.closeTo(42.8, 6) as number,
      edibleSource: {
        mark: "measured",
        text: expect.stringMatching(/^3 readings in this kitchen/) as string,
      },
    });
    expect((await shown()).learned.find(one => one.key === "leek")?.status).toBe("counts");
  });
  test("what is not learned here cannot be marked, and a word that is none is refused", async () => {
    expect((await say("time", "unicorn", "accepted")).status).toBe(404);
    expect((await say("trim", "leek", "kept")).status).toBe(404);
  });
  test("a cook sees it all and may say nothing", async () => {
    const page = await shown("noor");
    expect(page.maySay).toBe(false);
    expect(page.week.map(day => day.done)).toEqual(page.week.map(() => 0));
  });
  test("a weighing that cannot be is given back as it was typed", async () => {
    const form = sentForm({ intent: "yield", yieldFrom: "500", yieldGot: "620", yieldWhat: "trimmed" });
    const answer = await answered(ingredient.action(await argsFor(form, { ingredientId: "leek" })));
    expect(answer.status).toBe(422);
    expect(answer.body).toMatchObject({
      problems: [{ field: "yieldGot" }],
      values: { yieldFrom: ["500"], yieldGot: ["620"] },
    });
  });
});

describe("a trial", () => {
  const SAUCE = "cider-juniper-pan-sauce";
  const open = async (versionIds: readonly string[]) => {
    const id = ulid();
    await addTrial(
      connection.db,
      { kitchenId: KITCHEN_ID, personId: "ilse", now: new Date() },
      { id, formulaId: SAUCE, name: "Less butter", difference: "30 g a litre", versionIds },
    );
    return id;
  };
  const decide = async (trialId: string, form: Record<string, string>) =>
    answered(trial.action(await argsFor(sentForm(form), { trialId }, "ilse")));

  test("wants two versions of one sauce and what differs", async () => {
    const [first] = await listVersions(connection.db, KITCHEN_ID, SAUCE);
    const form = {
      formulaId: SAUCE,
      name: "One alone",
      difference: "nothing",
      version: first?.versionId ?? "",
    };
    const answer = await answered(trials.action(await argsFor(sentForm(form))));
    expect(answer.status).toBe(422);
    expect(answer.body).toMatchObject({ typed: { name: ["One alone"] } });
    expect(await listTrials(connection.db, KITCHEN_ID)).toEqual([]);
  });
  test("foresees each variant, says how many things differ, hides costs from who may not see them", async () => {
    const versions = await listVersions(connection.db, KITCHEN_ID, SAUCE);
    const id = await open(versions.slice(0, 2).map(v => v.versionId));
    const page = async (as: string) => trial.loader(await argsFor(get(), { trialId: id }, as));
    const chef = await page("ilse");
    expect(chef.rows.find(row => row.label === "yield")?.variants.every(v => (v.foreseen ?? 0) > 0)).toBe(
      true,
    );
    expect(chef.variants[1]?.changes.length).toBeGreaterThan(0);
    expect(chef.rows.some(row => row.label === "cost")).toBe(true);
    expect((await page("petr")).rows.some(row => row.label === "cost")).toBe(false);
    expect((await decideNothing(id)).status).toBe(422);
  });
  const decideNothing = (id: string) => decide(id, { adopted: "", decision: " " });
  test("the variant that is taken up becomes the newest version, with the decision as its reason", async () => {
    const [newest, older] = await listVersions(connection.db, KITCHEN_ID, SAUCE);
    const id = await open([newest?.versionId ?? "", older?.versionId ?? ""]);
    await decide(id, { adopted: older?.versionId ?? "", decision: "rounder with more butter" });
    const [now] = await listVersions(connection.db, KITCHEN_ID, SAUCE);
    expect(now?.number).toBeGreaterThan(newest?.number ?? 0);
    expect(now?.document.steps).toEqual(older?.document.steps);
    expect(now?.reason).toBe("Less butter: rounder with more butter");
    expect((await listTrials(connection.db, KITCHEN_ID)).find(t => t.id === id)).toMatchObject({
      adopted: older?.versionId,
      decision: "rounder with more butter",
    });
  });
});
