import { memo } from "react";
import { MAIN_POT, type Step, pansOf } from "~/core/formula";

/** Id of the list of the line's vessels, which all fields for one share. */
export const PANS_LIST = "pan-names";

/** The vessels of the line by their names, once on the page. */
export const PanNames = memo(function PanNames({ steps }: { steps: readonly Step[] }) {
  return (
    <datalist id={PANS_LIST}>
      {[MAIN_POT, ...pansOf(steps)].map(name => (
        <option key={name} value={name} />
      ))}
    </datalist>
  );
});
