import { render } from "@testing-library/react";
import { type ReactNode, useState } from "react";
import { createRoutesStub } from "react-router";
import { type FormulaDocument, type KitchenData, openKitchen, walk } from "~/core/formula";
import { DEMO_FORMULAS } from "~/demo/formulas";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import type { Formula } from "../use-formula";
import type { PanelProps } from "./panel-props";

const nothing = () => undefined;

/** A sheet on a bench that edits and walks at once, without a server; tells what the formula has become. */
export function onBench(
  start: FormulaDocument,
  sheet: (bench: PanelProps) => ReactNode,
  data: Partial<KitchenData> = {},
) {
  let now: PanelProps;
  const opened = openKitchen({ ...DEMO_KITCHEN, ...data });
  function Bench() {
    const [document, setDocument] = useState(start);
    const formula: Formula = {
      document,
      number: 1,
      rowVersion: 1,
      saveState: "saved",
      typed: () => document,
      onTyped: () => nothing,
      savedAt: null,
      refusal: null,
      theirs: null,
      canUndo: false,
      canRedo: false,
      edit: change => setDocument(change),
      undo: nothing,
      redo: nothing,
      takeTheirs: nothing,
      base: start,
      join: nothing,
    };
    now = { formula, kitchen: opened, walked: walk(document, opened) };
    return sheet(now);
  }
  const Stub = createRoutesStub([{ path: "/", Component: Bench }]);
  const view = render(<Stub />);
  return { ...view, document: () => now.formula.document, walked: () => now.walked };
}

export const demo = (id: string): FormulaDocument => {
  const document = DEMO_FORMULAS[id];
  if (!document) throw new Error(`The demo has no ${id}.`);
  return document;
};

/** Words as they are read, thin and hard spaces made plain. */
export const words = (node: Element | null): string =>
  (node?.textContent ?? "").replace(/[\u00a0\u202f]/g, " ").replace(/\s+/g, " ");
