import { waitWithForm } from "./forms-waiting";
import { isPageOnly, lookAtAnswer } from "./kept";

/** How long until a page that looks again tries once more, ms. */
const TRY_AGAIN_MS = 4000;

/** What the browser throws when no answer came at all; an answer of any kind is none of these. */
export const isNoNetwork = (error: unknown): boolean => error instanceof TypeError;

/** Busy or away for a moment: an answer that asks to be asked again. */
const LATER: ReadonlySet<number> = new Set([429, 503]);
const LONGEST_WAIT_MS = 15_000;

/** As long as the answer asks for, within reason, ms. */
function askedToWait(response: Response): number {
  const seconds = Number(response.headers.get("Retry-After"));
  return seconds > 0 ? Math.min(1000 * seconds, LONGEST_WAIT_MS) : TRY_AGAIN_MS;
}

/** Resolves when the network is back, or after a while; rejects when nobody waits any longer. */
const untilLater = (signal: AbortSignal | undefined, waitMs: number): Promise<void> =>
  new Promise((resolve, reject) => {
    const done = () => {
      clearTimeout(timer);
      removeEventListener("online", done);
      signal?.removeEventListener("abort", given);
      resolve();
    };
    const given = () => {
      clearTimeout(timer);
      removeEventListener("online", done);
      reject(signal?.reason as Error);
    };
    const timer = setTimeout(done, waitMs);
    addEventListener("online", done);
    signal?.addEventListener("abort", given, { once: true });
  });

/** The fetch of the browser, which waits for nobody: a courier comes by again by himself. */
export let plainFetch: typeof window.fetch = (input, init) => fetch(input, init);

/**
 * A fetch under which a page does not break when the network goes away: what the router reads to show a page and the
 * forms it sends (its `.data`) are tried again until somebody answers or nobody waits any longer; an answer that asks to be
 * asked again is none. A form that waits is kept on the device, for the case that its page is closed. What is sent as JSON is
 * not tried again: who sends it keeps it on the device and does so himself.
 *
 * @param waits told when something begins to wait, and when nothing does any longer
 * @param personId who is cooking here
 * @param goTo goes to a page that is kept on the tablet only as a whole
 */
export function patientFetch(
  fetch: typeof window.fetch,
  waits: (any: boolean) => void,
  personId: () => string | null = () => null,
  goTo: (path: string) => void = path => location.assign(path),
): typeof window.fetch {
  plainFetch = fetch;
  let waiting = 0;
  let told = false;
  const tell = (any: boolean) => {
    if (any !== told) waits((told = any));
  };
  /** The answer, or how long to wait for one. */
  const ask = async (request: Request): Promise<{ response?: Response; waitMs: number }> => {
    try {
      const response = await fetch(request.clone());
      lookAtAnswer(response);
      if (isPageOnly(response) && request.method === "GET")
        goTo(new URL(request.url).pathname.replace(/\.data$/, ""));
      if (LATER.has(response.status)) return { waitMs: askedToWait(response) };
      tell(false);
      return { response, waitMs: 0 };
    } catch (error) {
      if (!isNoNetwork(error)) throw error;
      return { waitMs: TRY_AGAIN_MS };
    }
  };
  const untilAnswered = async (request: Request, firstWaitMs: number): Promise<Response> => {
    for (let waitMs = firstWaitMs; ;) {
      waiting += 1;
      tell(true);
      try {
        await untilLater(request.signal, waitMs);
      } catch (given) {
        if (waiting === 1) tell(false);
        throw given;
      } finally {
        waiting -= 1;
      }
      const next = await ask(request);
      if (next.response) return next.response;
      ({ waitMs } = next);
    }
  };
  return async (input, init) => {
    const request = new Request(input, init);
    const { pathname } = new URL(request.url);
    const ofPage = pathname.endsWith(".data");
    if (!ofPage) return fetch(input, init);
    if (request.headers.get("Content-Type")?.includes("json")) {
      const response = await fetch(input, init);
      if (LATER.has(response.status)) throw new TypeError("asked to come again later");
      return response;
    }
    const first = await ask(request);
    if (first.response) return first.response;
    return waitWithForm(request, personId(), () => untilAnswered(request, first.waitMs));
  };
}
