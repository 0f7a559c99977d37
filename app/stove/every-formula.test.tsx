import { render } from "@testing-library/react";
import { expect, test } from "vitest";
import { EVERY_FORMULA } from "~/core/families/testing";
import { type FormulaDocument, openKitchen, walk } from "~/core/formula";
import type { RunEvent } from "~/core/run";
import { geometryOfVessel } from "~/core/things/vessel";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { words } from "../bench/panels/testing";
import { type PotNow } from "../range/pot-now";
import { batchWith, logged, minute, potNow } from "../range/testing";
import { PotLive } from "./pot-live";
import { StepSide } from "./step-side";

const ZONE = "Europe/Zurich";
const kitchen = openKitchen(DEMO_KITCHEN);

/** Every step in turn: waiting, begun, half through, and past its time. */
function* moments(document: FormulaDocument): Generator<readonly [string, PotNow]> {
  const done: RunEvent[] = [];
  let at = 1;
  for (const { step, durationS } of walk(document, kitchen).states) {
    const minutes = Math.max(1, durationS / 60);
    const told = (what: string, events: readonly RunEvent[], atMinute: number) =>
      [
        `${step.kind}, ${what}`,
        potNow(batchWith(document, [...done, ...events]), DEMO_KITCHEN, minute(atMinute)),
      ] as const;
    const begun = logged(at, { kind: "step-begun", stepId: step.id });
    yield told("waiting", [], at);
    yield told("half through", [begun], at + minutes / 2);
    yield told("past its time", [begun], at + 2 * minutes);
    done.push(begun, logged(at + minutes, { kind: "step-done", stepId: step.id }));
    at += minutes + 1;
  }
  yield ["all done", potNow(batchWith(document, done), DEMO_KITCHEN, minute(at))];
}

/** What no cook should read. */
const NONSENSE = /NaN|undefined|null|Infinity|\[object|-\d| {2}%/;

test.each(EVERY_FORMULA)(
  "%s at the Stove reads well at every moment, and stands inside its pot",
  (_, document) => {
    for (const [when, pot] of moments(document)) {
      const now = minute(60);
      const view = render(
        <>
          <PotLive pot={pot} now={now} timeZone={ZONE} compact={false} />
          <StepSide
            pot={pot}
            people={[]}
            timeZone={ZONE}
            onAdd={() => undefined}
            now={now}
            ticks={[]}
            onTick={() => undefined}
            onLeaveOut={() => undefined}
            onOverride={() => undefined}
            onGiveUp={() => undefined}
          />
        </>,
      );
      expect(words(view.container), when).not.toMatch(NONSENSE);
      for (const title of view.container.querySelectorAll("title"))
        expect(words(title), when).not.toMatch(NONSENSE);
      view.unmount();

      for (const level of [pot.startMm, pot.nowMm, pot.endMm, pot.nowLoMm, pot.nowHiMm])
        if (level !== null && pot.vessel) {
          expect(level, when).toBeGreaterThanOrEqual(0);
          expect(level, when).toBeLessThanOrEqual(geometryOfVessel(pot.vessel).heightMm + 1e-6);
        }
      if (pot.nowMm !== null && pot.nowLoMm !== null && pot.nowHiMm !== null) {
        expect(pot.nowLoMm, when).toBeLessThanOrEqual(pot.nowMm + 1e-6);
        expect(pot.nowHiMm, when).toBeGreaterThanOrEqual(pot.nowMm - 1e-6);
      }
      expect(pot.title.length, when).toBeGreaterThan(2);
      for (const share of Object.values(pot.liquid)) {
        expect(share, when).toBeGreaterThanOrEqual(0);
        expect(share, when).toBeLessThanOrEqual(100 + 1e-9);
      }
    }
  },
);
