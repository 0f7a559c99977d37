/* Starts the built application and stops it cleanly. Plain JavaScript: it runs as it stands. */
import { EventEmitter } from "node:events";
import { readFileSync } from "node:fs";
import http from "node:http";
import https from "node:https";

const PORT = Number(process.env.PORT ?? 4180);
const HOST = process.env.HOST ?? "127.0.0.1";
const PATIENCE_MS = 8000;
// A page that is packed as it is sent waits once for each of its pieces, and the packer keeps them all until it ends.
EventEmitter.defaultMaxListeners = 200;

const { app, beginDraining, close } = await import("../build/server/index.js");
const { HONDARO_CERT: cert, HONDARO_KEY: key } = process.env;
const server =
  cert && key
    ? https.createServer({ cert: readFileSync(cert), key: readFileSync(key) }, app)
    : http.createServer(app);
server.requestTimeout = 30_000;
server.headersTimeout = 15_000;
server.keepAliveTimeout = 65_000;
server.on("error", error => {
  console.error(error.code === "EADDRINUSE" ? `Port ${PORT} is taken by another program.` : error.message);
  process.exit(1);
});
server.listen(PORT, HOST);

let stopping = false;
function stop() {
  if (stopping) return;
  stopping = true;
  beginDraining();
  server.close(() => void close().then(() => process.exit(0)));
  server.closeIdleConnections();
  setTimeout(() => server.closeAllConnections(), PATIENCE_MS).unref();
}
process.on("SIGTERM", stop);
process.on("SIGINT", stop);
