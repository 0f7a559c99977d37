import { createHash } from "node:crypto";
import { createConnection, createServer } from "node:net";

/**
 * One starter to a folder. The lock is a name the kernel knows (an abstract socket), not a file: it is gone in the moment
 * its holder is, so that no crash leaves one behind that is nobody's.
 */
const nameFor = folder => `\0hondaro-${createHash("sha256").update(folder).digest("hex").slice(0, 32)}`;

/** Whoever asks is told the holder's process number. */
export function takeLock(folder) {
  return new Promise((resolve, reject) => {
    const server = createServer(socket => {
      socket.on("error", () => {});
      socket.end(String(process.pid));
    });
    server.once("error", error => (error.code === "EADDRINUSE" ? resolve(null) : reject(error)));
    server.listen({ path: nameFor(folder) }, () => {
      server.unref();
      resolve({ release: () => server.close() });
    });
  });
}

/** Process number of whoever starts or serves this folder now; `null` if nobody does. */
export function lockHolder(folder) {
  return new Promise(resolve => {
    const socket = createConnection({ path: nameFor(folder) });
    let said = "";
    socket.setEncoding("utf8");
    socket.on("data", chunk => (said += chunk));
    socket.on("error", () => resolve(null));
    socket.on("close", () => resolve(Number(said) || null));
    socket.setTimeout(2000, () => socket.destroy());
  });
}
