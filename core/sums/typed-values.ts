import { parseAmount, readNumber } from "../ground/quantity";
import { type Result, ok, refuse } from "../ground/result";
import { BURNER_KINDS, BURNER_LABELS, parseReductionTarget } from "../laws/reduction";
import type { Vessel } from "../things/vessel";
import { type SumField, labelOf } from "./field";

/** Pots, heats, ends and sizes as a cook types them. */

/** Pots that can be named. */
export interface TypedWorld {
  readonly vessels: readonly Pick<Vessel, "id" | "name">[];
}

export const bad = (field: SumField, text: string, message: string): Result<never> =>
  refuse({
    code: "NOT_UNDERSTOOD",
    field: field.name,
    value: text,
    message: `${labelOf(field)}: ${message}`,
  });

export const same = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** What a sauce can be aimed at, as it is said: "salt 0.9", "body 45". */
export const AIMS = { body: "thickness", salt: "saltPct", acid: "acidPct", fat: "fatPct" } as const;

export function readAim(field: SumField, text: string): Result<unknown> {
  const aim = /^(body|salt|acid|fat)\s*(?:to\s*)?([\d.,]+)\s*%?$/i.exec(text);
  const what = aim?.[1]?.toLowerCase() as keyof typeof AIMS | undefined;
  const number = aim && readNumber(aim[2] ?? "", field.name);
  return what && number?.ok
    ? ok({ [AIMS[what]]: number.value.value })
    : bad(field, text, "say salt 0.9, body 45, acid 0.3 or fat 12.");
}

export function readTarget(field: SumField, text: string): Result<unknown> {
  const brix = /^(?:to\s*)?([\d.,]+)\s*°?\s*(?:bx|brix)$/i.exec(text);
  if (brix) {
    const number = readNumber(brix[1] ?? "", field.name);
    return number.ok ? ok({ brix: number.value.value }) : number;
  }
  return parseReductionTarget(
    text,
    amount => {
      const fraction = /^(\d+)\s*\/\s*(\d+)$/.exec(amount.trim());
      if (fraction) return ok({ share: Number(fraction[1]) / Number(fraction[2]) });
      const read = parseAmount(amount, { field: field.name });
      if (!read.ok) return read;
      return read.value.kind === "share" ? ok({ share: read.value.pct / 100 }) : ok(read.value);
    },
    field.name,
  );
}

/** "× 2", "8 kg finished", "8 kg of the base", "40 × 60 g". */
export function readSize(field: SumField, text: string): Result<unknown> {
  const times = /^(?:×|x)?\s*([\d.,/½¼¾⅓⅔]+)\s*(?:times|×|x)?$/i.exec(text);
  if (times) {
    const factor = readNumber(times[1] ?? "", field.name);
    return factor.ok ? ok({ factor: factor.value.value }) : factor;
  }
  const covers = /^(\d+)\s*(?:covers\s*(?:of|at|à)?|×|x)\s*(.+)$/i.exec(text);
  const of = /^(.+?)\s*(finished|(?:of the )?base)$/i.exec(text);
  const read = parseAmount(covers?.[2] ?? of?.[1] ?? text, { field: field.name });
  if (!read.ok || read.value.kind !== "mass" || (!covers && !of))
    return bad(field, text, "× 2, 8 kg finished, 8 kg of the base, or 40 × 60 g.");
  const massG = read.value.massG as number;
  if (covers) return ok({ covers: Number(covers[1]), portionG: massG });
  return ok(/finished/i.test(of?.[2] ?? "") ? { finishedG: massG } : { baseG: massG });
}

/** A pot of the kit by the name on its handle or its id, or "320 × 300 mm" for a straight one. */
export function readVessel(field: SumField, text: string, { vessels }: TypedWorld): Result<unknown> {
  const own = vessels.find(v => same(v.name, text) || v.id === text);
  if (own) return ok({ id: own.id });
  const measures = /^(\d+(?:[.,]\d+)?)\s*(?:x|×|by|\/)\s*(\d+(?:[.,]\d+)?)\s*(mm|cm)?$/i.exec(text);
  if (measures) {
    const factor = same(measures[3] ?? "mm", "cm") ? 10 : 1;
    const [d, h] = [measures[1], measures[2]].map(n => Number((n ?? "").replace(",", ".")) * factor);
    return ok({ shape: "cylinder", diameterMm: d, heightMm: h });
  }
  const flared = /^(\d+)\s*[–-]\s*(\d+)\s*(?:x|×)\s*(\d+)\s*(?:mm)?$/i.exec(text);
  if (flared) {
    const [baseMm, rimMm, heightMm] = flared.slice(1).map(Number);
    return ok({ shape: "frustum", baseMm, rimMm, heightMm });
  }
  return bad(
    field,
    text,
    "choose a vessel of the kit, or type a straight one as 320 × 300 mm, a flared one as 220–300 × 80 mm.",
  );
}

/** "open burner 60 %", "1200 W", "88 °C", "40 g/min". */
export function readHeat(field: SumField, text: string): Result<unknown> {
  const [, name = text, percent] = /^(.*?)\s*(?:\bat\s*)?(\d+)\s*%$/i.exec(text) ?? [];
  const burner = BURNER_KINDS.find(kind => same(kind, name) || same(BURNER_LABELS[kind], name));
  if (burner) return ok({ burner, ...(percent && { setting: Number(percent) / 100 }) });
  const number = readNumber(text, field.name);
  const unit = number.ok ? number.value.rest.trim().toLowerCase() : "";
  if (number.ok) {
    const { value } = number.value;
    if (/^w(atts?)?$/.test(unit)) return ok({ watts: value });
    if (/^°?\s*c$/.test(unit)) return ok({ holdC: value });
    if (/^g\s*\/\s*min$/.test(unit)) return ok({ boilsOffGPerMin: value });
  }
  return bad(field, text, "a burner with its share, 1200 W, 88 °C or 40 g/min.");
}
