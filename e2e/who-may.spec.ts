import { type APIRequestContext, expect, request, test } from "@playwright/test";
import type { RouteConfigEntry } from "@react-router/dev/routes";
import { WHO_MAY } from "../app/people/who-may";
import routes from "../app/routes";
import { PASSWORD } from "./kitchen";

type Rank = "nobody" | "viewer" | "trainee" | "cook" | "chef";
const RANKS: readonly Rank[] = ["nobody", "viewer", "trainee", "cook", "chef"];
const LOGINS: Readonly<Record<Exclude<Rank, "nobody">, string>> = {
  viewer: "sana",
  trainee: "petr",
  cook: "noor",
  chef: "ilse",
};

/**
 * The least rank that may read a route and send to it, written down here once more and by hand: what the application goes
 * by is held against it, asked over the wire. “never” is refused to everybody.
 */
type Least = Rank | "never";
const EXPECTED: readonly (readonly [
  pattern: string,
  get: Least,
  post: Least,
  fields?: Record<string, string>,
])[] = [
  ["/who", "nobody", "nobody"],
  ["/first", "nobody", "nobody"],
  ["/me", "viewer", "viewer"],
  ["/people", "chef", "chef"],
  ["/people/changes", "chef", "never"],
  ["/", "viewer", "never"],
  ["/bench", "viewer", "never"],
  ["/bench/new", "viewer", "cook", { name: "x".repeat(500) }],
  ["/bench/new/words", "cook", "cook"],
  ["/bench/new/file", "cook", "cook"],
  ["/bench/new/:familyId", "cook", "cook"],
  ["/bench/:formulaId", "viewer", "trainee"],
  ["/bench/:formulaId", "viewer", "cook", { "{": '"intent":"save"}' }],
  ["/bench/:formulaId/other-main", "cook", "cook"],
  ["/bench/:formulaId/card", "viewer", "never"],
  ["/bench/:formulaId/versions", "viewer", "cook"],
  ["/bench/:formulaId/readings", "never", "trainee"],
  ["/book", "viewer", "never"],
  ["/book/:versionId", "viewer", "viewer"],
  ["/book/:versionId", "viewer", "chef", { intent: "sign" }],
  ["/book.pdf", "viewer", "never"],
  ["/book/:versionId/card.pdf", "viewer", "never"],
  ["/batch/:runId", "viewer", "cook"],
  ["/batch/:runId/labels.pdf", "viewer", "never"],
  ["/larder", "viewer", "cook"],
  ["/larder/import", "cook", "cook"],
  ["/larder/:ingredientId", "viewer", "cook"],
  ["/kit", "viewer", "cook"],
  ["/kit/figures", "viewer", "cook"],
  ["/kit/:vesselId", "viewer", "cook"],
  ["/stove/:runId", "viewer", "never"],
  ["/larder.csv", "cook", "never"],
  ["/larder.json", "cook", "never"],
  ["/api/formulas/:file", "viewer", "never"],
  ["/api/formulas", "viewer", "never"],
  ["/kitchen/:file", "viewer", "never"],
  // A stream does not end: asked for by its head alone it is not asked for here.
  ["/api/live", "viewer", "never"],
  ["/api/words", "never", "nobody"],
  ["/api/sums", "nobody", "never"],
  ["/api/sums/:name", "never", "nobody"],
  ["/api/runs/:runId/events", "never", "trainee"],
  ["/api/runs/:runId/photos", "never", "trainee"],
  ["/api/photos/:photoId", "viewer", "never"],
  ["/api/devices", "viewer", "never"],
  // An instrument has a secret of its own; whoever is signed in has not.
  ["/api/devices/:key/readings", "never", "never"],
  ["/api/rehearsals/:runId", "viewer", "never"],
];

const patternsOf = (entries: readonly RouteConfigEntry[]): string[] =>
  entries.flatMap(entry => [
    ...(entry.path !== undefined || entry.index ? [`/${entry.path ?? ""}`] : []),
    ...patternsOf(entry.children ?? []),
  ]);

test("every route has a row that says who may come in, and no row is left over", () => {
  const all = patternsOf(routes).sort();
  expect(Object.keys(WHO_MAY).sort()).toEqual(all);
  expect([...new Set(EXPECTED.map(([pattern]) => pattern))].sort()).toEqual(all);
});

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
