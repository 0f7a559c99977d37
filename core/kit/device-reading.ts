import { z } from "zod";
import { parseAmount, parseTemperature, readNumber } from "../ground/quantity";
import { type Result, ok, refuse } from "../ground/result";

/** Instruments that send what they show, over the open protocol of docs/devices.md. */
export const DEVICE_KINDS = ["scale", "stick", "probe", "refractometer", "ph meter", "spread plate"] as const;
export type DeviceKind = (typeof DEVICE_KINDS)[number];

/** The unit each kind is kept in. */
export const DEVICE_UNITS = {
  scale: "g",
  stick: "mm",
  probe: "C",
  refractometer: "Bx",
  "ph meter": "pH",
  "spread plate": "cm",
} as const satisfies Record<DeviceKind, string>;

const LIMITS: Readonly<Record<DeviceKind, readonly [number, number]>> = {
  scale: [-1000, 500_000],
  stick: [0, 2000],
  probe: [-60, 400],
  refractometer: [0, 95],
  "ph meter": [0, 14],
  "spread plate": [0, 60],
};

const bodySchema = z.strictObject({ value: z.number(), unit: z.string().max(12).optional() });

/**
 * What an instrument has sent, in the unit of its kind: `{"value": 7.812, "unit": "kg"}` or one line of text, "7812 g".
 *
 * @param sent parsed JSON, or the line as it came
 * @errors NOT_UNDERSTOOD · WRONG_UNIT · OUT_OF_RANGE
 */
export function readDeviceReading(kind: DeviceKind, sent: unknown): Result<number> {
  const body = typeof sent === "string" ? null : bodySchema.safeParse(sent);
  if (body && !body.success)
    return refuse({
      code: "NOT_UNDERSTOOD",
      field: "body",
      message: `A reading is {"value": 123.4, "unit": "${DEVICE_UNITS[kind]}"} or one line of text such as 123.4 ${DEVICE_UNITS[kind]}.`,
    });
  const line = body ? `${body.data.value} ${body.data.unit ?? ""}`.trim() : String(sent).trim();
  const read = inUnit(kind, line);
  if (!read.ok) return read;
  const [least, most] = LIMITS[kind];
  return read.value >= least && read.value <= most
    ? read
    : refuse({
        code: "OUT_OF_RANGE",
        field: "value",
        value: read.value,
        allowed: { min: least, max: most },
        message: `No ${kind} shows ${line}.`,
      });
}

function inUnit(kind: DeviceKind, line: string): Result<number> {
  const bare = readNumber(line, "value");
  if (!bare.ok) return bare;
  const unit = bare.value.rest.trim().toLowerCase().replace("°", "");
  const own = DEVICE_UNITS[kind].toLowerCase();
  if (unit === "" || unit === own || (kind === "refractometer" && unit === "brix"))
    return ok(bare.value.value);
  if (kind === "scale") {
    const mass = parseAmount(line, { field: "value" });
    if (mass.ok && mass.value.kind === "mass") return ok(mass.value.massG);
  }
  if (kind === "probe") {
    const heat = parseTemperature(line, "value");
    if (heat.ok) return ok(heat.value.exactC);
  }
  if (unit === "cm" && kind === "stick") return ok(bare.value.value * 10);
  if (unit === "mm" && kind === "spread plate") return ok(bare.value.value / 10);
  return refuse({
    code: "WRONG_UNIT",
    field: "unit",
    value: bare.value.rest.trim(),
    message: `A ${kind} is read in ${DEVICE_UNITS[kind]}, not in “${bare.value.rest.trim()}”.`,
  });
}
