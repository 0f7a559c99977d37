import type { RunEvent } from "~/core/run";
import { STOCK_ID } from "~/demo/formulas";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import type { PotNow } from "../range/pot-now";
import { batchOf, logged, minute, potNow, stepsBefore } from "../range/testing";

/** The demo stock, and its steps by their kind, for the tests of what the Stove is made of. */
export const stock = batchOf(STOCK_ID).document;
export const indexOf = (kind: string): number => stock.steps.findIndex(step => step.kind === kind);
export const idOf = (kind: string): string => stock.steps[indexOf(kind)]?.id ?? "";

/** The demo stock, some way into the step of this kind, with what was logged in it. */
export const during = (kind: string, ...after: RunEvent[]): PotNow =>
  potNow(
    batchOf(STOCK_ID, [
      ...stepsBefore(stock, indexOf(kind)),
      logged(60, { kind: "step-begun", stepId: idOf(kind) }),
      ...after,
    ]),
    DEMO_KITCHEN,
    minute(120),
  );
