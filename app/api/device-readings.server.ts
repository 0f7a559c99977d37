import { createHash, timingSafeEqual } from "node:crypto";
import { readJson } from "~/core/ground/json";
import { DEVICE_UNITS, readDeviceReading } from "~/core/kit";
import { database, findDevice, showReading } from "~/data";
import type { Route } from "./+types/device-readings";
import { poke } from "../live/hub.server";
import { problemsJson } from "./problem.server";

export const hashOf = (secret: string): string => createHash("sha256").update(secret).digest("hex");

const same = (a: string, b: string): boolean =>
  a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b));

/** Takes what an instrument shows: `POST /api/devices/<key>/readings`, its secret in the Authorization header. See docs/devices.md. */
export async function action({ params, request }: Route.ActionArgs): Promise<Response> {
  const { db } = database();
  const found = await findDevice(db, params.key);
  const secret = /^Bearer (.+)$/.exec(request.headers.get("Authorization") ?? "")?.[1] ?? "";
  // A wrong name and a wrong secret are answered alike.
  if (!found || !same(hashOf(secret), found.secretHash))
    return problemsJson(401, "No instrument of this kitchen has that name and secret", [
      {
        code: "MISSING",
        field: "Authorization",
        message:
          "Send “Authorization: Bearer <secret>”, as the Kit showed it when the instrument was connected.",
      },
    ]);
  const text = (await request.text()).trim();
  const json = request.headers.get("Content-Type")?.includes("json") ? readJson(text) : null;
  if (json && !json.ok) return problemsJson(400, "It did not arrive whole", json.problems);
  const read = readDeviceReading(found.kind, json ? json.value : text);
  if (!read.ok) return problemsJson(422, "This is no reading", read.problems);
  await showReading(db, params.key, {
    value: read.value,
    unit: DEVICE_UNITS[found.kind],
    now: new Date(),
  });
  poke(found.kitchenId);
  return Response.json({ ok: true, value: read.value, unit: DEVICE_UNITS[found.kind] });
}
