import { randomBytes } from "node:crypto";
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express from "express";
import { rateLimit } from "express-rate-limit";
import helmet from "helmet";
import { pinoHttp } from "pino-http";
import { RouterContextProvider } from "react-router";
import { nonceContext } from "../app/context.server";
import { database } from "../data";
import { logger } from "./log";

/** Writes one address may send in a minute: a busy section, not a flood. */
const WRITES_PER_MINUTE = 600;

let draining = false;
export const beginDraining = (): void => {
  draining = true;
};
export const close = (): Promise<void> => database().close();

export const app = express();
app.disable("x-powered-by");

app.get("/healthz", (_request, response) => {
  response
    .status(draining ? 503 : 200)
    .type("text")
    .send(draining ? "stopping" : "ok");
});
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

app.use(compression());
app.use(helmet.noSniff());
app.use(
  "/assets",
  express.static("build/client/assets", { immutable: true, maxAge: "1y", fallthrough: false }),
);
app.use(express.static("build/client", { maxAge: "1h" }));
app.use(
  pinoHttp({
    logger,
    customLogLevel: (_request, response, error) => (error || response.statusCode >= 500 ? "error" : "debug"),
    quietReqLogger: true,
  }),
);

app.use((_request, response, next) => {
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
    // Served on plain http on loopback: a promise of https would only lock people out.
    strictTransportSecurity: false,
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
    getLoadContext: (_request, response) => {
      const context = new RouterContextProvider();
      context.set(nonceContext, response.locals.nonce as string);
      return context;
    },
  }),
);
