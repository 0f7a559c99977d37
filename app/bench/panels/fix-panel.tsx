import { type Kitchen, type Walk, sauceOf, servedAtC } from "~/core/formula";
import { RemedyCards } from "../../ui/remedy-cards";
import type { Formula } from "../use-formula";

/** What mends what this formula makes. */
export function FixPanel({ formula, kitchen, walked }: { formula: Formula; kitchen: Kitchen; walked: Walk }) {
  const last = walked.states.at(-1);
  if (!last?.body) return <p className="text-faded">There is no sauce to mend yet.</p>;
  return (
    <RemedyCards
      state={sauceOf(last.pot, kitchen.facts)}
      temperatureC={servedAtC(formula.document)}
      facts={kitchen.facts}
      ingredients={kitchen.data.ingredients}
    />
  );
}
