import { g, ml, mm, parseAmount, printMass, printNumber, printVolume } from "~/core/ground/quantity";
import { type Probe, corrected } from "~/core/kit";
import { type Result, ok, refuse } from "~/core/ground/result";
import { type RunPayload, checkPayload, pouredFrom } from "~/core/run";
import { geometryOfVessel, netOfGross, volumeOfLevel } from "~/core/things/vessel";
import type { PotNow } from "../range/pot-now";
import { readMass, readWithin } from "../ui/read";

/** What a cook typed at the Stove, as a reading to keep, and in words to read back. */

export interface Read {
  readonly payload: RunPayload;
  /** The reading in words, shown before it is logged. */
  readonly back: string;
}

/** The probe whose ice check is youngest: the one a kitchen trusts. */
export const lastChecked = (probes: readonly Probe[]): Probe | undefined =>
  [...probes].sort((a, b) => (b.checkedOn ?? "").localeCompare(a.checkedOn ?? ""))[0];

/** What a probe means, put right by its offset; what it showed is kept beside it. */
export function probed(shownC: number, probe: Probe | undefined, inOven: boolean, stepId: string): Read {
  const where = inOven ? "oven" : "pot";
  const temperatureC = probe ? corrected(probe, shownC) : shownC;
  const right =
    probe && probe.offsetC !== 0
      ? ` (${printNumber(shownC, 1)} shown, ${printNumber(probe.offsetC, 1)} for ${probe.name})`
      : "";
  return {
    payload: {
      kind: "probed",
      stepId,
      temperatureC,
      where,
      ...(probe && { shownC, probeId: probe.id }),
    },
    back: `${printNumber(temperatureC, 1)} °C in the ${where}${right}`,
  };
}

/** A reading that the server would refuse is refused here, while the cook still has it in mind. */
export function keepable(read: Result<Read>): Result<Read> {
  if (!read.ok) return read;
  const checked = checkPayload(read.value.payload);
  return checked.ok ? read : checked;
}

export function readWeight(text: string, tareG: number | null, stepId: string): Result<Read> {
  const mass = readMass("The weight")(text);
  if (!mass.ok) return mass;
  if (tareG === null)
    return ok({
      payload: { kind: "weighed", stepId, netG: mass.value },
      back: `${printMass(g(mass.value))} in the pot`,
    });
  const net = netOfGross(g(mass.value), g(tareG));
  return net.ok
    ? ok({
        payload: { kind: "weighed", stepId, netG: net.value, grossG: mass.value, tareG },
        back: `${printMass(net.value)} in the pot`,
      })
    : net;
}

export function readDip(text: string, pot: PotNow, stepId: string): Result<Read> {
  if (!pot.vessel)
    return refuse({ code: "MISSING", field: "levelMm", message: "Nothing stands in a pot yet." });
  const level = readWithin("The level", "mm", 0, 2000)(text);
  if (!level.ok) return level;
  const geometry = geometryOfVessel(pot.vessel);
  const volume = volumeOfLevel(geometry, mm(level.value));
  return volume.ok
    ? ok({
        payload: { kind: "dipped", stepId, levelMm: level.value },
        back: `${printVolume(volume.value)} up to that mark`,
      })
    : volume;
}

export function readJug(text: string, stepId: string): Result<Read> {
  const bare = /^[\s\d.,]+$/.test(text) ? `${text} ml` : text;
  const amount = parseAmount(bare, { field: "The jug" });
  if (!amount.ok) return amount;
  if (amount.value.kind !== "volume" || amount.value.volumeMl <= 0)
    return refuse({
      code: "WRONG_UNIT",
      field: "volumeMl",
      value: text,
      message: "A jug reads in litres or millilitres: type 9.6 l.",
    });
  return ok({
    payload: { kind: "jugged", stepId, volumeMl: amount.value.volumeMl },
    back: printVolume(ml(amount.value.volumeMl)),
  });
}

export function readAdded(text: string, after: string | null, lineId: string, stepId: string): Result<Read> {
  const first = readMass("The weight")(text);
  if (!first.ok) return first;
  if (after === null)
    return ok({
      payload: { kind: "added", stepId, lineId, massG: first.value },
      back: printMass(g(first.value)),
    });
  const second = readMass("The weight after")(after);
  if (!second.ok) return second;
  const net = pouredFrom(g(first.value), g(second.value));
  return net.ok
    ? ok({
        payload: { kind: "added", stepId, lineId, massG: net.value, fromG: first.value, toG: second.value },
        back: `${printMass(net.value)} out of the bottle`,
      })
    : net;
}
