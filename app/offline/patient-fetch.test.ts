import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { isNoNetwork, patientFetch } from "./patient-fetch";

const PAGE = "http://kitchen.test/bench.data";
let network = false;
const asked: string[] = [];
const waits = vi.fn<(any: boolean) => void>();
const fetchOf = (answer = () => new Response("page")) =>
  patientFetch(
    ((input: Request | string) => {
      asked.push(typeof input === "string" ? input : input.url);
      return network ? Promise.resolve(answer()) : Promise.reject(new TypeError("Failed to fetch"));
    }) as typeof window.fetch,
    waits,
  );

beforeEach(() => {
  network = false;
  asked.length = 0;
  waits.mockClear();
  vi.useFakeTimers();
});
afterEach(() => vi.useRealTimers());

describe("a page that reads itself without a network", () => {
  test("waits, and has its answer when the network is back", async () => {
    const reading = fetchOf()(PAGE);
    await vi.advanceTimersByTimeAsync(100);
    network = true;
    window.dispatchEvent(new Event("online"));
    expect(await (await reading).text()).toBe("page");
    expect(asked).toEqual([PAGE, PAGE]);
    expect(waits.mock.calls).toEqual([[true], [false]]);
  });
  test.each([429, 503])(
    "an answer of %i is none: the page stays, and asks when it was told to",
    async status => {
      network = true;
      const answers = [
        new Response("later", { status, headers: { "Retry-After": "2" } }),
        new Response("page"),
      ];
      const reading = fetchOf(() => answers.shift() ?? new Response("none"))(PAGE);
      await vi.advanceTimersByTimeAsync(1900);
      expect(asked).toHaveLength(1);
      await vi.advanceTimersByTimeAsync(200);
      expect(await (await reading).text()).toBe("page");
    },
  );
  test("what is sent as JSON hears at once that nobody took it", async () => {
    network = true;
    const sending = fetchOf(() => new Response("later", { status: 503 }))(PAGE, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: "{}",
    });
    await expect(sending).rejects.toSatisfy(isNoNetwork);
  });
  test("a form that was sent waits as well, with what stands in it", async () => {
    const sent = vi.fn<(text: string) => void>();
    const patient = patientFetch(
      (async (input: Request) => {
        if (!network) throw new TypeError("Failed to fetch");
        sent(await input.text());
        return new Response("done");
      }) as typeof window.fetch,
      waits,
    );
    const sending = patient(PAGE, {
      method: "POST",
      body: new URLSearchParams({ price: "4.20" }),
    });
    await vi.advanceTimersByTimeAsync(9000);
    network = true;
    await vi.advanceTimersByTimeAsync(5000);
    expect((await sending).ok).toBe(true);
    expect(sent.mock.calls).toEqual([["price=4.20"]]);
  });
  test("two that wait are told once", async () => {
    const patient = fetchOf();
    const both = [patient(PAGE), patient(PAGE)];
    await vi.advanceTimersByTimeAsync(3000);
    expect(waits.mock.calls).toEqual([[true]]);
    network = true;
    await vi.advanceTimersByTimeAsync(5000);
    await Promise.all(both);
  });
  test("tries again by itself: a server that was restarted says nothing of it", async () => {
    const reading = fetchOf()(PAGE);
    await vi.advanceTimersByTimeAsync(9000);
    expect(asked.length).toBeGreaterThanOrEqual(3);
    network = true;
    await vi.advanceTimersByTimeAsync(5000);
    expect((await reading).ok).toBe(true);
  });
  test("whoever no longer waits is not kept waiting", async () => {
    const leaving = new AbortController();
    const reading = fetchOf()(PAGE, { signal: leaving.signal });
    const gone = expect(reading).rejects.toThrow();
    await vi.advanceTimersByTimeAsync(100);
    leaving.abort();
    await gone;
    expect(waits.mock.calls).toEqual([[true], [false]]);
    await vi.advanceTimersByTimeAsync(20_000);
    expect(asked).toHaveLength(1);
  });
  test("an answer that is a refusal is an answer", async () => {
    network = true;
    const response = await fetchOf(() => new Response("no", { status: 404 }))(PAGE);
    expect(response.status).toBe(404);
    expect(asked).toHaveLength(1);
  });
});

test.each([
  [PAGE, { method: "POST", body: "{}", headers: { "Content-Type": "application/json" } }],
  ["http://kitchen.test/api/runs/r/events", {}],
])("what is sent as JSON, or is no page, fails at once: %s %o", async (url, init) => {
  const failed = await fetchOf()(url, init).catch((error: unknown) => error);
  expect(isNoNetwork(failed)).toBe(true);
  expect(asked).toHaveLength(1);
});

test("only a missing answer counts as no network", () => {
  expect(isNoNetwork(new TypeError("Failed to fetch"))).toBe(true);
  expect(isNoNetwork(new DOMException("Aborted", "AbortError"))).toBe(false);
  expect(isNoNetwork(new Response())).toBe(false);
});
