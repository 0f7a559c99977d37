import { z } from "zod";
import { exitMass, sieve } from "../../pot";
import { minutes } from "../../quantity";
import { ok } from "../../result";
import { defineStep, durationMin, outcome, stepFields, took, vesselId } from "../step-kind";
import { workingVessel } from "./shared";

const schema = z.strictObject({
  ...stepFields,
  kind: z.literal("pass"),
  /** What goes through, per cent of the mass. */
  yieldPct: z.number().min(10).max(100),
  durationMin,
  vesselId,
});

/** Passes a purée through a sieve; skins, seeds and coarse fibre stay. */
export const pass = defineStep({
  kind: "pass",
  label: "Pass through a sieve",
  schema,
  blank: id => ({ id, kind: "pass" as const, lines: [], yieldPct: 96, durationMin: 8 }),
  title: () => "Pass through the sieve",
  detail: step => `${step.yieldPct} % goes through; scrape the underside`,
  cue: "nothing but dry skin and seeds left on top",
  cautions: () => [],
  place: "bench",
  attention: "watch",
  takesLines: false,
  endsAtMark: false,
  ticks: () => [{ what: "Underside of the sieve scraped off, no grain in the clean pan", before: "end" }],
  apply: context => {
    const { step, facts } = context;
    const passed = sieve(context.pot, step.yieldPct / 100, facts.fibreEnriched);
    if (!passed.ok) return passed;
    const vessel = workingVessel(context, passed.value, step.vesselId, ["pan", "pot", "container"]);
    if (!vessel.ok) return vessel;
    return ok(
      outcome(passed.value, vessel.value, minutes(step.durationMin * facts.handTimes), {
        computed: took(
          "stays on the sieve",
          exitMass(passed.value, "reject") - exitMass(context.pot, "reject"),
        ),
        warnings: passed.warnings,
      }),
    );
  },
});
