import { existsSync } from "node:fs";
import { isIP } from "node:net";
import { parseArgs } from "node:util";
import { asTyped } from "./paths.mjs";
import { Trouble } from "./say.mjs";

export const DEFAULT_PORT = 4180;
export const LOOPBACK = "127.0.0.1";

/** Reads the options of start and stop. */
export function readOptions(args) {
  let values;
  try {
    ({ values } = parseArgs({
      args,
      options: {
        port: { type: "string" },
        "no-demo": { type: "boolean" },
        data: { type: "string" },
        host: { type: "string" },
        cert: { type: "string" },
        key: { type: "string" },
      },
    }));
  } catch (error) {
    throw new Trouble(error.message, "./hondaro help shows the options.");
  }
  const port = values.port === undefined ? DEFAULT_PORT : Number(values.port);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Trouble(
      `“${values.port}” is not a port.`,
      "Type a number from 1 to 65535, such as --port 4181.",
    );
  const { host = LOOPBACK, cert, key } = values;
  if (!isIP(host) && host !== "localhost")
    throw new Trouble(
      `“${host}” is no address.`,
      "Take 127.0.0.1 for this machine alone, or 0.0.0.0 for all.",
    );
  if ((cert === undefined) !== (key === undefined))
    throw new Trouble("A certificate needs its key.", "Give both, --cert FILE and --key FILE.");
  for (const file of [cert, key])
    if (file !== undefined && !existsSync(asTyped(file)))
      throw new Trouble(`There is no file ${file}.`, "./hondaro certificate makes both.");
  const tls = cert === undefined ? null : { cert: asTyped(cert), key: asTyped(key) };
  return { port, demo: !values["no-demo"], data: values.data, host, tls };
}
