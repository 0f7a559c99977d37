import { pino } from "pino";

/** One line per failed request; cookies and credentials never reach the log. */
export const logger = pino({
  level: process.env.HONDARO_LOG ?? "warn",
  redact: ["req.headers.cookie", "req.headers.authorization", "res.headers['set-cookie']"],
});
