import { randomBytes } from "node:crypto";
import { type Cookie, createCookie } from "react-router";

/**
 * What signs the cookies: the first signs, all are understood, so a new one can be put before the old. `./hondaro start`
 * keeps one beside the data. Without any, whoever is signed in has to sign in again after a restart.
 */
const SECRETS = (process.env.HONDARO_SECRETS ?? "").split(",").filter(Boolean);
if (!SECRETS.length) SECRETS.push(randomBytes(32).toString("base64url"));

const A_YEAR_S = 365 * 24 * 3600;

/** Over https a cookie is bound to this very host and never leaves the encrypted line. */
function pair(name: string): { readonly plain: Cookie; readonly secure: Cookie } {
  const common = { httpOnly: true, sameSite: "lax", path: "/", maxAge: A_YEAR_S, secrets: SECRETS } as const;
  return {
    plain: createCookie(name, common),
    secure: createCookie(`__Host-${name}`, { ...common, secure: true }),
  };
}

const SESSION = pair("hondaro_session");
const TABLET = pair("hondaro_tablet");

const over = (of: typeof SESSION, request: Request): Cookie =>
  new URL(request.url).protocol === "https:" ? of.secure : of.plain;

async function read(of: typeof SESSION, request: Request): Promise<string | null> {
  const value: unknown = await over(of, request).parse(request.headers.get("Cookie"));
  return typeof value === "string" && value ? value : null;
}

export const sessionToken = (request: Request) => read(SESSION, request);
export const tabletToken = (request: Request) => read(TABLET, request);

/** The header that lets the device keep a token; `null` takes it back. */
const header = (of: typeof SESSION, request: Request, token: string | null): Promise<string> =>
  over(of, request).serialize(token ?? "", token === null ? { maxAge: 0 } : {});

export const keepSession = (request: Request, token: string | null) => header(SESSION, request, token);
export const keepTablet = (request: Request, token: string | null) => header(TABLET, request, token);
