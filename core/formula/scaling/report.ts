import type { Appliance } from "../../kit";
import { g, printKilograms, printNumber } from "../../ground/quantity";
import type { Warning } from "../../ground/result";
import { type Vessel, geometryOfVessel } from "../../things/vessel";
import type { AmountRelation } from "../steps/amount";
import { linesOf } from "../document/document";
import type { Kitchen } from "../walk/kitchen";
import { kindOf } from "../steps";
import type { StateAfterStep } from "../walk/walked";
import type { Walk } from "../walk/walked";
import { type ScaleClass, firstDose, scaleClassOf } from "../../laws/seasoning";
import type { Fitted } from "./fit";
import { roundToScales } from "./rounding";
import { LEAST_CORRECTION, type Scaled, type ScaledLine, type ScaledStep } from "./scaled";

/** The three side by side, with the reason of every correction. */
export function report(made: {
  kitchen: Kitchen;
  original: Walk;
  factor: number;
  batches: number;
  fitted: Fitted;
  warnings: readonly Warning[];
}): Scaled {
  const { original, fitted, factor, batches, kitchen } = made;
  const each = factor / batches;
  const ours = fitted.walked.states.flatMap(s => s.lines);
  const before = original.states.flatMap(s => s.lines);
  const rounded = roundToScales(
    ours,
    kitchen.data.appliances.filter(a => a.kind === "scale"),
  );
  const relations = new Map(linesOf(fitted.document).map(line => [line.id, line.amount.kind] as const));
  const warnings: Warning[] = [...made.warnings, ...fitted.warnings, ...rounded.warnings];
  const wholeG = Math.max(0, ...fitted.walked.states.map(s => s.massG));
  const lines = ours.map((line, i): ScaledLine => {
    const originalG = before.find(l => l.lineId === line.lineId)?.massG ?? 0;
    const ingredient = fitted.walked.states.find(s => s.lines.includes(line))?.sources.get(line.lineId);
    const kind = ingredient ? scaleClassOf(ingredient) : "solid";
    const first = ingredient ? firstDose(ingredient, line.massG, wholeG, each) : null;
    const own = fitted.reasons.get(line.lineId);
    const moved = Math.abs(line.massG / (each * originalG || 1) - 1) > LEAST_CORRECTION;
    const follows =
      moved && (kind === "salt" || !own) ? followsWhat(relations.get(line.lineId), kind) : undefined;
    const reason = [own, follows, first?.why].filter(Boolean).join(" ") || undefined;
    return {
      lineId: line.lineId,
      name: line.name,
      originalG,
      plainG: originalG * each,
      oursG: line.massG,
      roundedG: rounded.masses[i] ?? line.massG,
      ...(first && { firstDoseG: first.massG }),
      ...(reason && { reason }),
    };
  });
  const steps = fitted.walked.states.map((state, i): ScaledStep => {
    const was = original.states[i];
    const load = loads(state, kitchen, warnings);
    const moved = was?.vessel && state.vessel && was.vessel.id !== state.vessel.id;
    const reason = [
      fitted.reasons.get(state.step.id),
      moved ? potReason(was.vessel, state.vessel) : undefined,
      load,
    ]
      .filter(Boolean)
      .join(" ");
    return {
      stepId: state.step.id,
      title: kindOf(state.step).title(
        state.step,
        state.lines.map(l => l.name),
      ),
      originalMin: (was?.durationS ?? 0) / 60,
      oursMin: state.durationS / 60,
      vesselBefore: was?.vessel?.name ?? null,
      vesselAfter: state.vessel?.name ?? null,
      ...(reason && { reason }),
    };
  });
  if (batches > 1)
    warnings.unshift({
      code: "SPLIT",
      message: `No pot takes it at once: make ${batches} equal batches of ${printKilograms(g(fitted.walked.finishedG))} each.`,
    });
  return {
    factor,
    batches,
    document: fitted.document,
    lines,
    steps,
    computed: computedRows(original, fitted.walked, each),
    finished: {
      originalG: original.finishedG,
      plainG: original.finishedG * each,
      oursG: fitted.walked.finishedG,
    },
    warnings,
  };
}

/** Why a line that nobody corrected still is not as multiplied: it hangs on something that was. */
const followsWhat = (relation: AmountRelation["kind"] | undefined, kind: ScaleClass): string =>
  kind === "salt"
    ? "Salt goes with the finished weight, not with the factor."
    : relation === "equal-to" || relation === "part"
      ? "It goes with the line or the group it hangs on."
      : "It goes with what is finished, not with the factor.";

const potReason = (was: Vessel, is: Vessel): string =>
  geometryOfVessel(is).capacityMl > geometryOfVessel(was).capacityMl
    ? `${is.name} takes it; ${was.name} would be too full.`
    : `${is.name} is enough; in ${was.name} it would stand too low.`;

function computedRows(original: Walk, ours: Walk, each: number): Scaled["computed"] {
  const rows = new Map<string, { originalG: number; oursG: number }>();
  const add = (walked: Walk, key: "originalG" | "oursG") =>
    walked.states.forEach(state =>
      state.computed.forEach(c => {
        const row = rows.get(c.what) ?? { originalG: 0, oursG: 0 };
        rows.set(c.what, { ...row, [key]: row[key] + c.massG });
      }),
    );
  add(original, "originalG");
  add(ours, "oursG");
  return [...rows].map(([what, row]) => ({ what, ...row, plainG: row.originalG * each }));
}

/** How often a blender or a bowl is filled; in words, and as a warning when it is more than once. */
function loads(state: StateAfterStep, kitchen: Kitchen, warnings: Warning[]): string | undefined {
  const { step } = state;
  const volume = state.volumeMl ?? 0;
  if (step.kind === "blend" && (step.tool === "jar blender" || step.tool === "stick blender")) {
    const jar = blenderFor(step.tool, kitchen.data.appliances);
    if (!jar) return undefined;
    const hot = state.temperatureC > 60;
    const fill = hot ? jar.hotFillPct / 100 : 0.75;
    const count = Math.max(1, Math.ceil(volume / (jar.jarMl * fill) - 1e-9));
    return count > 1
      ? `${count} loads of the ${jar.name.toLowerCase()}, ${printNumber(volume / count)} ml each${hot ? ", hot" : ""}.`
      : undefined;
  }
  if (step.kind === "emulsify" && state.says) {
    warnings.push({ code: "BOWL_BATCHES", message: `Beat it ${state.says}.` });
    return `Beaten ${state.says}.`;
  }
  return undefined;
}

function blenderFor(
  tool: string,
  appliances: readonly Appliance[],
): Extract<Appliance, { kind: "blender" }> | undefined {
  const all = appliances.filter(a => a.kind === "blender");
  return all.find(a => a.name.toLowerCase().includes(tool.split(" ")[0] ?? "")) ?? all[0];
}
