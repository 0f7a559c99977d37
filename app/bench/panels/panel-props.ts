import type { Kitchen, Walk } from "~/core/formula";
import type { Formula } from "../use-formula";

/** What every sheet of the Bench is drawn from. */
export interface PanelProps {
  readonly formula: Formula;
  readonly kitchen: Kitchen;
  readonly walked: Walk;
}
