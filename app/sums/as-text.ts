import { reductionTargetSchema, targetInWords } from "~/core/reduction";

/** A value of an input as the line of text it is typed as. */
export function asText(name: string, value: unknown): string {
  if (value === undefined || value === null) return "";
  if (typeof value === "number") return String(Number(value.toFixed(6)));
  if (typeof value === "string") return value;
  if (typeof value === "boolean") return value ? "yes" : "no";
  const object = value as Record<string, unknown>;
  if (name === "target") return targetText(object);
  if (name === "vessel" || name === "vessels")
    return Array.isArray(value) ? value.map(vesselText).join("\n") : vesselText(object);
  if (name === "heat") return heatText(object);
  if (Array.isArray(value) && value.every(v => typeof v === "string")) return value.join(", ");
  if (Array.isArray(value))
    return value.every(v => typeof v !== "object") ? value.join(" ") : value.map(lineText).join("\n");
  return JSON.stringify(value);
}

const lineText = (value: unknown): string =>
  typeof value === "object" && value !== null
    ? Object.values(value).every(v => typeof v !== "object")
      ? Object.values(value).join(" ")
      : JSON.stringify(value)
    : String(value);

function targetText(target: Record<string, unknown>): string {
  const share = reductionTargetSchema.safeParse(target);
  if (share.success && ("by" in share.data || "to" in share.data))
    return targetInWords(share.data).replace(/ \(.*/, "");
  if (typeof target.endG === "number") return `to ${target.endG} g`;
  if (typeof target.endMl === "number") return `to ${target.endMl} ml`;
  return JSON.stringify(target);
}

function vesselText(v: unknown): string {
  const vessel = v as Record<string, unknown>;
  if (typeof vessel.id === "string") return vessel.id;
  if (vessel.shape === "cylinder") return `${String(vessel.diameterMm)} × ${String(vessel.heightMm)} mm`;
  return JSON.stringify(vessel);
}

function heatText(heat: Record<string, unknown>): string {
  if (typeof heat.burner === "string")
    return `${heat.burner}${typeof heat.setting === "number" && heat.setting < 1 ? ` ${Math.round(heat.setting * 100)} %` : ""}`;
  if (typeof heat.watts === "number") return `${heat.watts} W`;
  if (typeof heat.holdC === "number") return `${heat.holdC} °C`;
  if (typeof heat.boilsOffGPerMin === "number") return `${heat.boilsOffGPerMin} g/min`;
  return JSON.stringify(heat);
}
