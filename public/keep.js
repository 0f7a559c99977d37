/*
 * Keeps what a cook needs at the fire on the tablet: the Range, every live pot, what they are drawn with, the kitchen they
 * are walked in. With the network gone they open from here, and say so; with a network nothing is read from here that can change.
 */

const VERSION = new URL(location.href).searchParams.get("v") ?? "0";
const FIXED = `hondaro.fixed.${VERSION}`;
const PAGES = `hondaro.pages.${VERSION}`;
/** What says of an answer that it was kept, and when a page is only kept as a whole. */
const KEPT = "X-Hondaro-Kept";

const MOST_KITCHENS = 8;

/** Pages that are wanted without a network. */
const isKept = path => path === "/" || path.startsWith("/stove/") || path.startsWith("/book/");
/** What never changes under its name. */
const isFixed = path =>
  path.startsWith("/assets/") || path.startsWith("/kitchen/") || path === "/favicon.svg";

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", event =>
  event.waitUntil(
    (async () => {
      for (const name of await caches.keys())
        if (name.startsWith("hondaro.") && name !== FIXED && name !== PAGES) await caches.delete(name);
      await self.clients.claim();
    })(),
  ),
);

self.addEventListener("fetch", event => {
  const { request } = event;
  const url = new URL(request.url);
  if (url.origin !== location.origin) return;
  if (request.method !== "GET") {
    // Somebody else cooks here now: what was kept is of the one before.
    if (url.pathname.startsWith("/who")) event.waitUntil(caches.delete(PAGES));
    return;
  }
  if (isFixed(url.pathname)) return event.respondWith(fixed(request));
  if (request.mode === "navigate") return event.respondWith(page(request, url));
  if (url.pathname.endsWith(".data")) return event.respondWith(data(request, url));
});

async function fixed(request) {
  const cache = await caches.open(FIXED);
  const known = await cache.match(request.url);
  if (known) return known;
  const answer = await fetch(request);
  if (answer.ok) await cache.put(request.url, answer.clone());
  if (answer.ok && request.url.includes("/kitchen/")) await dropOldKitchens(cache);
  return answer;
}

/** Every change of the larder is another kitchen; some of the latest are enough. */
async function dropOldKitchens(cache) {
  const kitchens = (await cache.keys()).filter(({ url }) => url.includes("/kitchen/"));
  for (const old of kitchens.slice(0, -MOST_KITCHENS)) await cache.delete(old);
}

async function page(request, url) {
  try {
    const answer = await fetch(request);
    if (answer.ok && !answer.redirected && isKept(url.pathname)) {
      const kept = answer.clone();
      void caches.open(PAGES).then(cache => cache.put(url.pathname, kept));
    }
    return answer;
  } catch (error) {
    const cache = await caches.open(PAGES);
    const known = await cache.match(url.pathname);
    if (known) return marked(known);
    if (await cache.match("/")) return notHere();
    throw error;
  }
}

/** The page as it was kept, and says so to its own code. */
async function marked(answer) {
  const text = await answer.text();
  const headers = new Headers(answer.headers);
  headers.set(KEPT, "page");
  headers.delete("Content-Encoding");
  headers.delete("Content-Length");
  return new Response(text.replace("<html", '<html data-kept="true"'), { status: 200, headers });
}

const notHere = () =>
  new Response(
    `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>No connection</title>
<body style="font:1.2rem/1.5 sans-serif;max-width:32rem;margin:3rem auto;padding:0 1rem;background:#f7f3ea;color:#231f2b">
<h1>No connection</h1><p>This page was not open on this tablet before, so it is not here. What is on the fire is:</p>
<p><a href="/" style="color:#a9502a;font-weight:bold">To the Range</a></p></body></html>`,
    { status: 200, headers: { "Content-Type": "text/html; charset=utf-8", [KEPT]: "none" } },
  );

async function data(request, url) {
  const path = url.pathname.replace(/\.data$/, "").replace(/^\/_root$/, "/");
  const key = url.pathname + url.search;
  try {
    const answer = await fetch(request);
    if (answer.ok && isKept(path)) {
      const kept = answer.clone();
      void caches.open(PAGES).then(cache => cache.put(key, kept));
    }
    return answer;
  } catch (error) {
    const cache = await caches.open(PAGES);
    const known = await cache.match(key);
    if (known) {
      const headers = new Headers(known.headers);
      headers.set(KEPT, "data");
      return new Response(known.body, { status: known.status, headers });
    }
    // Only the page as a whole is here: whoever asked goes there.
    if (await cache.match(path))
      return new Response("", { status: 503, headers: { [KEPT]: "page-only", "Retry-After": "4" } });
    throw error;
  }
}

/** Pages named by the Range, before anybody has opened them; with all they are drawn with. */
self.addEventListener("message", event => {
  const { keep = [], drop = [] } = event.data ?? {};
  event.waitUntil(
    (async () => {
      const cache = await caches.open(PAGES);
      for (const path of drop) await cache.delete(path);
      for (const path of keep) {
        if (path !== "/" && (await cache.match(path))) continue;
        const answer = await fetch(path, { credentials: "same-origin" }).catch(() => null);
        if (!answer?.ok || answer.redirected) continue;
        await cache.put(path, answer.clone());
        await keepAssets(await answer.text());
      }
    })(),
  );
});

async function keepAssets(text) {
  const named = new Set(text.match(/\/assets\/[\w./-]+\.(?:js|css|woff2)/g) ?? []);
  for (const path of named) {
    const answer = await fixed(new Request(path)).catch(() => null);
    if (answer?.ok && path.endsWith(".css")) await keepAssets(await answer.clone().text());
  }
}
