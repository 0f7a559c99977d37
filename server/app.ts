import { randomBytes } from "node:crypto";
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express from "express";
import { rateLimit } from "express-rate-limit";
import helmet from "helmet";
import { pinoHttp } from "pino-http";
import { RouterContextProvider } from "react-router";
import { addressContext, databaseAwayContext, nonceContext } from "../app/context.server";
import { endStreams } from "../app/live/stream.server";
import { closePool, warmPool } from "../app/workers/pool.server";
import { database } from "../data";
import { doors, sendRefusal } from "./doors";
import { watchLoop } from "./loop-watch";
import { logger } from "~/app/log.server";

/** Writes one address may send in a minute: a busy section, not a flood. */
const WRITES_PER_MINUTE = Number(process.env.HONDARO_WRITES_PER_MINUTE ?? 600);

/** How many proxies stand before us, or their addresses; nobody’s word is taken for where a request comes from otherwise. */
function trustOf(said: string | undefined): number | string | false {
  if (!said) return false;
  return /^\d+$/.test(said) ? Number(said) : said;
}

let draining = false;
export const beginDraining = (): void => {
  draining = true;
  // An open stream would keep the server waiting; browsers come back to the next one.
  endStreams();
};
export const close = async (): Promise<void> => {
  await Promise.all([closePool(), database().close()]);
};

export const app = express();
warmPool();
app.disable("x-powered-by");
app.set("trust proxy", trustOf(process.env.TRUST_PROXY));

app.get("/healthz", (_request, response) => {
  response
    .status(draining ? 503 : 200)
    .type("text")
    .send(draining ? "stopping" : "ok");
});
if (process.env.HONDARO_WATCH_LOOP) watchLoop(app);
app.get("/readyz", async (_request, response) => {
  const ready =
    !draining &&
    (await database()
      .ping()
      .then(
        () => true,
        () => false,
      ));
  response
    .status(ready ? 200 : 503)
    .type("text")
    .send(ready ? "ready" : "not ready");
});

app.use(doors);
app.use(compression());
app.use(helmet.noSniff());
app.use("/assets", express.static("build/client/assets", { immutable: true, maxAge: "1y" }));
app.use("/assets", (_request, response) => {
  response
    .status(404)
    .type("text")
    .send("That file is not part of this Hondaro any more. Load the page again.");
});
app.use(express.static("build/client", { maxAge: "1h" }));
app.use(
  pinoHttp({
    logger,
    customLogLevel: (_request, response, error) => (error || response.statusCode >= 500 ? "error" : "debug"),
    quietReqLogger: true,
  }),
);

app.use((request, response, next) => {
  // Pages of a kitchen are for whoever asked; no machine between keeps them.
  if (!/^\/(api\/(?:sums|live)|kitchen\/)/.test(request.path))
    response.set("Cache-Control", "private, no-store");
  response.locals.nonce = randomBytes(16).toString("base64");
  next();
});
app.use(
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        "default-src": ["'self'"],
        "script-src": [
          "'self'",
          (_request, response) => `'nonce-${(response as express.Response).locals.nonce}'`,
          "'strict-dynamic'",
        ],
        "style-src": ["'self'", "'unsafe-inline'"],
        "img-src": ["'self'", "data:", "blob:"],
        "font-src": ["'self'"],
        "worker-src": ["'self'"],
        "connect-src": ["'self'"],
        "object-src": ["'none'"],
        "base-uri": ["'self'"],
        "form-action": ["'self'"],
        "frame-ancestors": ["'none'"],
      },
    },
    xFrameOptions: { action: "deny" },
    // Without a referrer a plain form posts “Origin: null”, which the router must take for a forgery.
    referrerPolicy: { policy: "same-origin" },
    // A promise of https given on plain http would only lock people out.
    strictTransportSecurity: process.env.HONDARO_CERT
      ? { maxAge: 30 * 24 * 3600, includeSubDomains: false }
      : false,
  }),
);
app.use(
  rateLimit({
    windowMs: 60_000,
    limit: WRITES_PER_MINUTE,
    skip: request => request.method === "GET" || request.method === "HEAD",
    standardHeaders: true,
    legacyHeaders: false,
    message: "Too many changes from this address in one minute. Wait a moment; nothing typed is lost.",
  }),
);
app.use(
  createRequestHandler({
    build: () => import("virtual:react-router/server-build"),
    getLoadContext: (request, response) => {
      const context = new RouterContextProvider();
      context.set(nonceContext, response.locals.nonce as string);
      context.set(addressContext, request.ip ?? "");
      context.set(databaseAwayContext, { away: false });
      return context;
    },
  }),
);
app.use(((error, request, response, next) => {
  if (response.headersSent) return next(error);
  logger.error(
    { name: error instanceof Error ? error.name : "unknown", url: request.path },
    "request failed",
  );
  sendRefusal(response, request.path, {
    status: 500,
    sentence: "Something broke on our side. Nothing you logged is lost; load the page again.",
  });
}) satisfies express.ErrorRequestHandler);
