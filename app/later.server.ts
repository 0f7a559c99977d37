const RETRY_AFTER_S = 2;
const SENTENCE = "The kitchen’s records do not answer for a moment. Nothing is lost; ask again.";

/** 503 with the time to wait: pages ask again by themselves, also where no script runs. */
export function later(request: Request): Response {
  const headers = { "Retry-After": String(RETRY_AFTER_S), "Cache-Control": "no-store" };
  const { pathname } = new URL(request.url);
  if (pathname.startsWith("/api/"))
    return new Response(
      JSON.stringify({ type: "about:blank", title: SENTENCE, status: 503, detail: SENTENCE }),
      { status: 503, headers: { ...headers, "Content-Type": "application/problem+json" } },
    );
  const again = request.method === "GET" ? `<meta http-equiv="refresh" content="${RETRY_AFTER_S}">` : "";
  return new Response(
    `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">${again}<title>A moment · Hondaro</title></head><body style="font:1.25rem/1.5 sans-serif;max-width:34rem;margin:18vh auto;padding:0 1.5rem"><h1>A moment</h1><p>${SENTENCE}</p></body></html>`,
    { status: 503, headers: { ...headers, "Content-Type": "text/html; charset=utf-8" } },
  );
}
