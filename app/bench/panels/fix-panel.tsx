import { servedAtC, finalState } from "~/core/formula";
import { RemedyCards } from "../../ui/remedy-cards";
import type { PanelProps } from "./panel-props";

/** What mends what this formula makes. */
export function FixPanel({ formula, kitchen, walked }: PanelProps) {
  const last = finalState(walked.states);
  if (!last?.body) return <p className="text-faded">There is no sauce to mend yet.</p>;
  return (
    <RemedyCards
      pot={last.pot}
      temperatureC={servedAtC(formula.document)}
      facts={kitchen.facts}
      ingredients={kitchen.data.ingredients}
    />
  );
}
