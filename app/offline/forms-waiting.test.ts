import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { formsWaiting, forgetForm, sectionOf, sendForms, typedIn, waitWithForm } from "./forms-waiting";

const OWNER = { kitchenId: "k", personId: "noor" };
const form = (fields: Record<string, string>, page = "larder/butter") =>
  new Request(`http://kitchen.test/${page}.data`, { method: "POST", body: new URLSearchParams(fields) });
const never = () => new Promise<Response>(() => {});
/** A page that is closed while its form waits: nothing of it goes on. */
const closedWith = async (request: Request, personId = "noor") => {
  void waitWithForm(request, personId, never);
  await vi.waitFor(() => expect(formsWaiting({ personId }).length).toBeGreaterThan(0));
};
const answering = (status: number) =>
  vi.fn<typeof fetch>(() => Promise.resolve(new Response("", { status })));

beforeEach(() => localStorage.clear());
afterEach(() => localStorage.clear());

describe("a form that waits when its page is closed", () => {
  test("goes from the next page, once, with what stands in it", async () => {
    await closedWith(form({ intent: "price", price: "4.20" }));
    const send = answering(200);
    const [sent] = await sendForms(OWNER, send);
    expect(sent?.kind).toBe("taken");
    const [[path, init] = []] = send.mock.calls;
    expect(path).toBe("/larder/butter.data");
    expect(init?.body).toBe("intent=price&price=4.20");
    expect(await sendForms(OWNER, send)).toEqual([]);
    expect(send).toHaveBeenCalledTimes(1);
  });
  test("waits on while nobody answers, and in the order it was sent", async () => {
    await closedWith(form({ price: "4.20" }));
    void waitWithForm(form({ price: "4.50" }), "noor", never);
    await vi.waitFor(() => expect(formsWaiting(OWNER)).toHaveLength(2));
    expect(await sendForms(OWNER, answering(503))).toEqual([]);
    expect(formsWaiting(OWNER).map(typedIn)).toEqual(["price: 4.20", "price: 4.50"]);
  });
  test("is not sent under another cook’s name", async () => {
    await closedWith(form({ price: "4.20" }));
    expect(await sendForms({ ...OWNER, personId: "petr" }, answering(200))).toEqual([]);
    expect(formsWaiting(OWNER)).toHaveLength(1);
  });
  test("that is refused stays with what was typed until a cook has seen it, and is not sent again", async () => {
    await closedWith(form({ intent: "price", price: "4,20,1" }));
    const [sent] = await sendForms(OWNER, answering(422));
    expect(sent).toMatchObject({ kind: "refused", form: { refused: "The kitchen did not take it." } });
    const again = answering(200);
    expect(await sendForms(OWNER, again)).toEqual([]);
    expect(again).not.toHaveBeenCalled();
    const [kept] = formsWaiting(OWNER);
    if (!kept) throw new Error("It is gone.");
    expect([sectionOf(kept), typedIn(kept)]).toEqual(["Larder", "price: 4,20,1"]);
    forgetForm(kept.id);
    expect(formsWaiting(OWNER)).toEqual([]);
  });
});

test("an answer leaves nothing behind, and neither does what brings files or only asks", async () => {
  await waitWithForm(form({ price: "4.20" }), "noor", () => Promise.resolve(new Response("")));
  void waitWithForm(new Request("http://kitchen.test/larder.data"), "noor", never);
  const file = new FormData();
  file.append("file", "name,water");
  void waitWithForm(
    new Request("http://kitchen.test/larder/import.data", { method: "POST", body: file }),
    "noor",
    never,
  );
  await Promise.resolve();
  expect(formsWaiting(OWNER)).toEqual([]);
});

test("what is sent again from the same page takes the place of what that page no longer waits for", async () => {
  const given = waitWithForm(form({ price: "4.20" }), "noor", () => Promise.reject(new Error("aborted")));
  await expect(given).rejects.toThrow("aborted");
  expect(formsWaiting(OWNER)).toHaveLength(1);
  void waitWithForm(form({ price: "4.50" }), "noor", never);
  await vi.waitFor(() => expect(formsWaiting(OWNER).map(typedIn)).toEqual(["price: 4.50"]));
});
