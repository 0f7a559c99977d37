import type { NextFunction, Request, Response } from "express";
import { ownNames } from "../cli/names.mjs";

/** Who may ask, how, and how much at once: settled for every write in one place, before anything reads it. */

const JSON_ONLY = ["application/json"] as const;
const FORMS = ["application/x-www-form-urlencoded", "multipart/form-data"] as const;

export interface Door {
  readonly path: RegExp;
  readonly types: readonly string[];
  readonly mostBytes: number;
}

/** The first that fits holds. A page’s action is posted to the page or, by the application itself, to its `.data`. */
export const DOORS: readonly Door[] = [
  { path: /^\/api\/sums\/[^/]+$/, types: JSON_ONLY, mostBytes: 200_000 },
  { path: /^\/api\/runs\/[^/]+\/events$/, types: JSON_ONLY, mostBytes: 1_000_000 },
  {
    path: /^\/api\/runs\/[^/]+\/photos$/,
    types: ["image/jpeg", "image/png", "image/webp"],
    mostBytes: 15_000_000,
  },
  { path: /^\/api\/devices\/[^/]+\/readings$/, types: [...JSON_ONLY, "text/plain"], mostBytes: 10_000 },
  { path: /^\/api\//, types: JSON_ONLY, mostBytes: 200_000 },
  { path: /^\/first(\.data)?$/, types: FORMS, mostBytes: 200_000_000 },
  { path: /^\/(larder\/import|bench\/new\/file)(\.data)?$/, types: FORMS, mostBytes: 2_000_000 },
  // A formula on the Bench is saved as JSON and put on the fire by a form.
  { path: /^\/bench\/[^/]+(\.data)?$/, types: [...JSON_ONLY, ...FORMS], mostBytes: 1_000_000 },
  { path: /./, types: FORMS, mostBytes: 500_000 },
];

export const doorOf = (path: string): Door => DOORS.find(door => door.path.test(path)) as Door;

const READS = ["GET", "HEAD"];
const LOOPBACK = "127.0.0.1";
/**
 * What this machine goes by: always for itself; for others too where it was told to listen for them (`HOST`), with the
 * names that a proxy or an address book of the house gives it (`HONDARO_NAMES`).
 */
const OWN_NAMES = new Set([
  LOOPBACK,
  "localhost",
  "[::1]",
  ...((process.env.HOST ?? LOOPBACK) === LOOPBACK
    ? []
    : ownNames().map(name => (name.includes(":") ? `[${name}]` : name))),
  ...(process.env.HONDARO_NAMES ?? "").toLowerCase().split(",").filter(Boolean),
]);

interface Refusal {
  readonly status: number;
  readonly sentence: string;
  readonly headers?: Readonly<Record<string, string>>;
}

const megabytes = (bytes: number): string => (bytes >= 1e6 ? `${bytes / 1e6} MB` : `${bytes / 1e3} kB`);

/** What is wrong with a request, judged by its head alone; `null` where it may come in. */
export function refusalOf(request: {
  readonly method: string;
  readonly target: string;
  readonly headers: Readonly<Record<string, string | string[] | undefined>>;
}): Refusal | null {
  const header = (name: string): string | undefined => {
    const value = request.headers[name];
    return Array.isArray(value) ? value[0] : value;
  };
  const { method, target } = request;
  if (!target.startsWith("/") || target.startsWith("//") || !isPath(target))
    return { status: 400, sentence: "That is no address of this kitchen." };
  const host = header("host") ?? "";
  // A name that somebody else’s address book points at this machine is not ours: pages of theirs would speak as ours.
  if (!OWN_NAMES.has(host.replace(/:\d+$/, "").toLowerCase()))
    return {
      status: 421,
      sentence: "Hondaro is served under another name. Use the address it was started with.",
    };
  if (READS.includes(method)) return null;
  if (method !== "POST")
    return {
      status: 405,
      sentence: "This kitchen is read with GET and changed with POST; nothing else.",
      headers: { Allow: "GET, HEAD, POST" },
    };
  const origin = header("origin");
  const site = header("sec-fetch-site");
  if ((origin !== undefined && !isOrigin(origin, host)) || site === "cross-site" || site === "same-site")
    return { status: 403, sentence: "Changes are taken from this kitchen’s own pages only." };
  const { pathname } = new URL(target, "http://here");
  const door = doorOf(pathname);
  const type = (header("content-type") ?? "").split(";")[0]?.trim().toLowerCase() ?? "";
  if (!door.types.includes(type))
    return {
      status: 415,
      sentence: door.types.includes(JSON_ONLY[0])
        ? "Send it as JSON, with the content type application/json."
        : "Send it as a form, the way the page does.",
    };
  if (header("transfer-encoding") !== undefined)
    return { status: 411, sentence: "Say beforehand how long it is (Content-Length)." };
  if (Number(header("content-length") ?? 0) > door.mostBytes)
    return {
      status: 413,
      sentence: `That is too much at once: at most ${megabytes(door.mostBytes)}. Send it in parts.`,
    };
  return null;
}

function isPath(target: string): boolean {
  try {
    decodeURIComponent(new URL(target, "http://here").pathname);
    return !/[\0\\]/.test(target);
  } catch {
    return false;
  }
}

function isOrigin(origin: string, host: string): boolean {
  try {
    return new URL(origin).host === host.toLowerCase();
  } catch {
    return false;
  }
}

/** Refuses in the words of whoever asked: problem+json under /api/, a sentence elsewhere. */
export function sendRefusal(
  response: Response,
  path: string,
  { status, sentence, headers = {} }: Refusal,
): void {
  response.status(status).set(headers).set("Cache-Control", "no-store");
  if (path.startsWith("/api/"))
    response
      .type("application/problem+json")
      .send(JSON.stringify({ type: "about:blank", title: sentence, status, detail: sentence }));
  else response.type("text").send(sentence);
}

export function doors(request: Request, response: Response, next: NextFunction): void {
  const refusal = refusalOf({
    method: request.method,
    target: request.originalUrl,
    headers: request.headers,
  });
  if (refusal) sendRefusal(response, request.path, refusal);
  else next();
}
