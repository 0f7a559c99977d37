import { parseArgs } from "node:util";
import { Trouble } from "./say.mjs";

export const DEFAULT_PORT = 4180;

/** Reads the options of start and stop. */
export function readOptions(args) {
  let values;
  try {
    ({ values } = parseArgs({
      args,
      options: { port: { type: "string" }, "no-demo": { type: "boolean" }, data: { type: "string" } },
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
  return { port, demo: !values["no-demo"], data: values.data };
}
