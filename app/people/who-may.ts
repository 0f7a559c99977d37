import type { Right } from "~/core/things/rank";

/** What a request needs: a right of who is signed in, or nothing where somebody unknown may come in as well. */
export type Need = Right | "open";

/** By what a form says it wants (its `intent`), where one route takes forms of different weight. */
interface ByIntent {
  readonly intents: Readonly<Record<string, Need>>;
  readonly otherwise: Need;
}

export interface Row {
  readonly GET?: Need;
  readonly POST?: Need | ByIntent;
}

/**
 * Every route with who may read it and who may send something to it; what has no entry is refused. A route without a row is
 * answered to nobody. Kept to by one middleware, before any loader or action.
 */
export const WHO_MAY: Readonly<Record<string, Row>> = {
  "/who": { GET: "open", POST: "open" },
  "/first": { GET: "open", POST: "open" },
  // A taster comes in by a code, without an account.
  "/taste/:code?/:token?": { GET: "open", POST: "open" },
  "/me": { GET: "read", POST: "read" },
  "/people": { GET: "people", POST: "people" },
  "/people/changes": { GET: "people" },

  "/": { GET: "read" },
  "/bench": { GET: "read" },
  "/bench/new": { GET: "read", POST: { intents: { "just-cook": "log" }, otherwise: "edit" } },
  "/bench/new/words": { GET: "edit", POST: "edit" },
  "/bench/new/file": { GET: "edit", POST: "edit" },
  "/bench/new/:familyId": { GET: "edit", POST: "edit" },
  // A form puts the formula on the fire; what saves it is JSON and asks for more.
  "/bench/:formulaId": { GET: "read", POST: { intents: { save: "edit" }, otherwise: "log" } },
  "/bench/:formulaId/other-main": { GET: "edit", POST: "edit" },
  "/bench/:formulaId/card": { GET: "read" },
  "/bench/:formulaId/versions": { GET: "read", POST: "edit" },
  "/bench/:formulaId/daughters": { GET: "read" },
  "/bench/:formulaId/readings": { POST: "log" },
  "/day": { GET: "read" },
  "/day/:date": { GET: "read", POST: "edit" },
  "/day/:date/lists": { GET: "read", POST: "log" },
  "/day/:date/service": { GET: "read", POST: "log" },
  "/day/:date/hand-over": { GET: "read" },
  "/day/:date/paper": { GET: "read" },
  "/day/:date/plan.ics": { GET: "read" },
  "/day/:date/order.csv": { GET: "read" },
  "/cold": { GET: "read", POST: { intents: { par: "edit" }, otherwise: "log" } },
  "/cold/:logId": { GET: "read", POST: "log" },
  "/book": { GET: "read" },
  "/book/:versionId": { GET: "read", POST: { intents: { sign: "approve" }, otherwise: "read" } },
  "/book.pdf": { GET: "read" },
  "/book/:versionId/card.pdf": { GET: "read" },
  "/batch/:runId": { GET: "read", POST: "edit" },
  "/batches.csv": { GET: "read" },
  "/ledger": { GET: "read" },
  "/ledger/charts": { GET: "read" },
  "/ledger/charts/:formulaId": { GET: "read", POST: "edit" },
  "/ledger/losses": { GET: "read" },
  "/ledger/learned": { GET: "read", POST: "approve" },
  "/ledger/trials": { GET: "read", POST: "edit" },
  "/ledger/trials/:trialId": { GET: "read", POST: "approve" },
  "/tastings": { GET: "read", POST: "edit" },
  "/tastings/:tastingId": { GET: "read", POST: "edit" },
  "/batch/:runId/labels.pdf": { GET: "read" },
  "/day/:date/labels.pdf": { GET: "read" },
  "/stove/:runId": { GET: "read" },
  "/larder": { GET: "read", POST: "edit" },
  "/larder/import": { GET: "edit", POST: "edit" },
  "/larder/:ingredientId": {
    GET: "read",
    POST: { intents: { yield: "log", "yield-undo": "log" }, otherwise: "edit" },
  },
  "/kitchen.ndjson": { GET: "people" },
  "/larder.csv": { GET: "cost" },
  "/larder.json": { GET: "cost" },
  "/kit": { GET: "read", POST: "edit" },
  "/kit/figures": { GET: "read", POST: "edit" },
  "/kit/:vesselId": { GET: "read", POST: "edit" },
  "/kitchen/:file": { GET: "read" },

  "/api/formulas": { GET: "read" },
  "/api/formulas/:file": { GET: "read" },
  "/api/live": { GET: "read" },
  "/api/words": { POST: "open" },
  "/api/sums": { GET: "open" },
  "/api/sums/:name": { POST: "open" },
  "/api/runs/:runId/events": { POST: "log" },
  "/api/runs/:runId/photos": { POST: "log" },
  "/api/photos/:photoId": { GET: "read" },
  "/api/devices": { GET: "read" },
  // An instrument has a secret of its own.
  "/api/devices/:key/readings": { POST: "open" },
  "/api/rehearsals/:runId": { GET: "read" },
};

/** What a request needs; `null` where nothing of the kind is taken there. */
export function needOf(pattern: string, method: string, intent: string | null): Need | null {
  const row = Object.hasOwn(WHO_MAY, pattern) ? WHO_MAY[pattern] : undefined;
  if (method === "GET" || method === "HEAD") return row?.GET ?? null;
  const post = method === "POST" ? row?.POST : undefined;
  if (post === undefined || typeof post === "string") return post ?? null;
  return intent !== null && Object.hasOwn(post.intents, intent)
    ? (post.intents[intent] ?? null)
    : post.otherwise;
}

export const asksIntent = (pattern: string): boolean => typeof WHO_MAY[pattern]?.POST === "object";
