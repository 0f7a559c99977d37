import { useMemo } from "react";
import { type FormulaDocument, type Kitchen, type Step, blankFormula } from "~/core/formula";
import { LiveRowProvider, stillRow } from "../live-row";
import { lineReader } from "../line-now";
import { StepEditor } from "../step-editor";

/** The Bench’s own step editor around one piece of a recipe that is not on the Bench yet. */
export function PieceEditor({
  step,
  base,
  kitchen,
  onChange,
}: {
  step: Step;
  /** What the recipe is reckoned from. */
  base: FormulaDocument["base"];
  kitchen: Kitchen;
  onChange: (step: Step) => void;
}) {
  const document = useMemo(() => ({ ...blankFormula("said", base), steps: [step] }), [step, base]);
  const row = useMemo(
    () => stillRow(0, lineReader(kitchen.data, kitchen.data.defaultBurnerId ?? "", "said")(document)),
    [document, kitchen],
  );
  const formula = {
    document,
    typed: () => document,
    edit: (change: (of: FormulaDocument) => FormulaDocument) => {
      const [changed] = change(document).steps;
      if (changed) onChange(changed);
    },
  };
  return (
    <LiveRowProvider value={row}>
      <StepEditor
        step={step}
        index={0}
        formula={formula}
        kitchen={kitchen}
        state={undefined}
        interval={undefined}
      />
    </LiveRowProvider>
  );
}
