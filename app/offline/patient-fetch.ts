/** How long until a page that looks again tries once more, ms. */
const TRY_AGAIN_MS = 4000;

/** What the browser throws when no answer came at all; an answer of any kind is none of these. */
export const isNoNetwork = (error: unknown): boolean => error instanceof TypeError;

/** Resolves when the network is back, or after a while; rejects when nobody waits any longer. */
const untilLater = (signal: AbortSignal | undefined): Promise<void> =>
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
    const timer = setTimeout(done, TRY_AGAIN_MS);
    addEventListener("online", done);
    signal?.addEventListener("abort", given, { once: true });
  });

/**
 * A fetch under which a page does not break when the network goes away: what the router reads to show a page and the
 * forms it sends (its `.data`) are tried again until somebody answers or nobody waits any longer. What is sent as JSON
 * is not: who sends it keeps it on the device and tries again himself.
 *
 * @param waits told when something begins to wait, and when nothing does any longer
 */
export function patientFetch(fetch: typeof window.fetch, waits: (any: boolean) => void): typeof window.fetch {
  let waiting = 0;
  let told = false;
  const tell = (any: boolean) => {
    if (any !== told) waits((told = any));
  };
  return async (input, init) => {
    const request = new Request(input, init);
    const ofPage = new URL(request.url).pathname.endsWith(".data");
    if (!ofPage || request.headers.get("Content-Type")?.includes("json")) return fetch(input, init);
    for (;;) {
      try {
        const response = await fetch(request.clone());
        tell(false);
        return response;
      } catch (error) {
        if (!isNoNetwork(error)) throw error;
      }
      waiting += 1;
      tell(true);
      try {
        await untilLater(request.signal);
      } catch (given) {
        if (waiting === 1) tell(false);
        throw given;
      } finally {
        waiting -= 1;
      }
    }
  };
}
