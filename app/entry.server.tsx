import { PassThrough } from "node:stream";
import { createReadableStreamFromReadable } from "@react-router/node";
import { isbot } from "isbot";
import { renderToPipeableStream } from "react-dom/server";
import {
  type EntryContext,
  type HandleErrorFunction,
  type RouterContextProvider,
  ServerRouter,
  isRouteErrorResponse,
} from "react-router";
import { isAway } from "~/data";
import { logger } from "./log.server";
import { databaseAwayContext, firstKitchenContext, nonceContext } from "./context.server";
import { FirstKitchen } from "./kitchen/context";

/** A page that takes longer than this is given up. */
const RENDER_LIMIT_MS = 5000;

export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  entry: EntryContext,
  context: RouterContextProvider,
): Promise<Response> {
  const nonce = context.get(nonceContext);
  return new Promise((resolve, reject) => {
    let answered = false;
    let code = status;
    const whole = isbot(request.headers.get("user-agent") ?? "") || entry.isSpaMode;
    const { pipe, abort } = renderToPipeableStream(
      <FirstKitchen value={context.get(firstKitchenContext)}>
        <ServerRouter context={entry} url={request.url} nonce={nonce} />
      </FirstKitchen>,
      {
        nonce,
        [whole ? "onAllReady" : "onShellReady"]() {
          answered = true;
          const body = new PassThrough();
          headers.set("Content-Type", "text/html; charset=utf-8");
          resolve(new Response(createReadableStreamFromReadable(body), { headers, status: code }));
          pipe(body);
        },
        onShellError: reject,
        onError(error: unknown) {
          code = 500;
          if (answered) logger.error({ error: describe(error) }, "render failed");
        },
      },
    );
    const timer = setTimeout(abort, RENDER_LIMIT_MS + 1000);
    timer.unref();
  });
}

const codeOf = (error: unknown): string | undefined =>
  error instanceof Error && "code" in error ? String(error.code) : undefined;

/** Name, code and places only: the message of a query, and the first lines of its stack, hold the parameters. */
const describe = (error: unknown) =>
  error instanceof Error
    ? {
        name: error.name,
        code: codeOf(error) ?? codeOf(error.cause),
        at: error.stack
          ?.split("\n")
          .filter(line => line.startsWith("    at "))
          .slice(0, 5),
      }
    : { name: "unknown" };

export const handleError: HandleErrorFunction = (error, { request, context }) => {
  if (isAway(error)) {
    (context as Readonly<RouterContextProvider>).get(databaseAwayContext).away = true;
    logger.warn({ url: new URL(request.url).pathname }, "the database does not answer");
    return;
  }
  if (request.signal.aborted || (isRouteErrorResponse(error) && error.status < 500)) return;
  logger.error({ error: describe(error), url: new URL(request.url).pathname }, "request failed");
};
