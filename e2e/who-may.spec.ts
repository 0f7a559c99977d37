import { type APIRequestContext, expect, request, test } from "@playwright/test";
import { PASSWORD } from "./kitchen";
import { EXPECTED, type Least, RANKS, type Rank } from "./who-may-table";

const LOGINS: Readonly<Record<Exclude<Rank, "nobody">, string>> = {
  viewer: "sana",
  trainee: "petr",
  cook: "noor",
  chef: "ilse",
};

const reaches = (rank: Rank, least: Least): boolean =>
  least !== "never" && RANKS.indexOf(rank) >= RANKS.indexOf(least);

/** Refused: told who one is not, or led to sign in; anything else was let in, also where nothing of that name is there. */
function refused(status: number, location: string | undefined): boolean {
  return [401, 403, 405].includes(status) || (status === 302 && Boolean(location?.startsWith("/who?")));
}

const JSON_ONLY = /^\/api\/(?!runs\/:runId\/photos)/;

async function send(as: APIRequestContext, pattern: string, path: string, fields: Record<string, string>) {
  const common = { maxRedirects: 0 };
  if (fields["{"]) return as.post(path, { ...common, data: { intent: "save" } });
  if (pattern.endsWith("/photos"))
    return as.post(path, { ...common, headers: { "Content-Type": "image/png" }, data: Buffer.from("x") });
  if (JSON_ONLY.test(pattern)) return as.post(path, { ...common, data: {} });
  return as.post(path, { ...common, form: fields });
}

for (const rank of RANKS)
  test(`who is ${rank}: every route, read and sent to`, async ({ baseURL }) => {
    const as = await request.newContext({ ...(baseURL && { baseURL }) });
    if (rank !== "nobody") {
      const form = { login: LOGINS[rank], password: PASSWORD };
      expect((await as.post("/who", { form, maxRedirects: 0 })).status()).toBe(302);
    }
    const wrong: string[] = [];
    const note = (what: string, status: number, location: string | undefined, least: Least) => {
      if (refused(status, location) === reaches(rank, least))
        wrong.push(`${what}: ${status} where ${least} may`);
    };
    for (const [pattern, get, post, fields = {}] of EXPECTED) {
      const path = pattern.replace(/:\w+/g, "none");
      if (pattern !== "/api/live" || rank === "nobody") {
        const read = await as.get(path, { maxRedirects: 0 });
        note(`GET ${pattern}`, read.status(), read.headers()["location"], get);
      }
      const sent = await send(as, pattern, path, fields);
      note(`POST ${pattern}`, sent.status(), sent.headers()["location"], post);
      // What a page’s own script sends goes the same way.
      if (!pattern.startsWith("/api/") && !pattern.includes(".") && pattern !== "/") {
        const byScript = await send(as, pattern, `${path}.data`, fields);
        if (byScript.status() !== 202) note(`POST ${pattern}.data`, byScript.status(), undefined, post);
      }
    }
    expect(wrong).toEqual([]);
    await as.dispose();
  });
