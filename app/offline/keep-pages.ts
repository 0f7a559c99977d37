/** Asks the keeper of this browser to have the Range and the live pots at hand, should the network go. */

/** The build this page is of: a new one keeps anew. */
const versionHere = (): string =>
  (globalThis as { __reactRouterManifest?: { version?: string } }).__reactRouterManifest?.version ?? "0";

/** A page lives without a keeper where the browser has none, or on plain http from another machine. */
export function startKeeper(): void {
  if (!("serviceWorker" in navigator)) return;
  void navigator.serviceWorker.register(`/keep.js?v=${encodeURIComponent(versionHere())}`).catch(() => {});
}

let known: readonly string[] = [];

/** Keeps the Range and the pages of these runs, and no longer those of runs that are over. */
export function keepPots(runIds: readonly string[]): void {
  if (!("serviceWorker" in navigator) || !navigator.onLine) return;
  const paths = runIds.map(id => `/stove/${id}`);
  const [fresh, over] = [paths.filter(p => !known.includes(p)), known.filter(p => !paths.includes(p))];
  const first = known.length === 0;
  known = paths;
  if (!fresh.length && !over.length && !first) return;
  void navigator.serviceWorker.ready.then(({ active }) =>
    active?.postMessage({ keep: ["/", ...fresh], drop: over }),
  );
}

const WITH_COST = /\/kitchen\/\d+\.json$/;

/** Whoever sees no cost finds none in what this browser kept for somebody who does. */
export async function forgetCosts(): Promise<void> {
  if (!("caches" in globalThis)) return;
  for (const name of await caches.keys()) {
    const cache = await caches.open(name);
    for (const { url } of await cache.keys())
      if (WITH_COST.test(new URL(url).pathname)) await cache.delete(url);
  }
}
