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
 * A fetch under which a page does not break when the network goes away: what it reads to show itself (the router's
 * `.data`) is asked for again until somebody answers. What is sent is not: that is for whoever sends it.
 */
export const patientFetch =
  (fetch: typeof window.fetch): typeof window.fetch =>
  async (input, init) => {
    const request = new Request(input, init);
    const reads = request.method === "GET" && new URL(request.url).pathname.endsWith(".data");
    if (!reads) return fetch(input, init);
    for (;;) {
      try {
        return await fetch(request.clone());
      } catch (error) {
        if (!isNoNetwork(error)) throw error;
        await untilLater(request.signal);
      }
    }
  };
