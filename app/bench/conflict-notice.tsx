import { type FormulaDocument, kindOf } from "~/core/formula";
import { g, printKilograms } from "~/core/quantity";
import { Button } from "../ui/button";
import type { StoredHead } from "./use-formula";

/** Two cooks saved at once: both versions side by side, nothing overwritten until somebody says so. */
export function ConflictNotice({
  mine,
  theirs,
  onTake,
  onKeep,
}: {
  mine: FormulaDocument;
  theirs: StoredHead;
  onTake: () => void;
  onKeep: () => void;
}) {
  const left = summary(mine);
  const right = summary(theirs.document);
  const rows = Math.max(left.length, right.length);
  return (
    <section
      role="alert"
      className="mx-4 mb-3 rounded-xl border-2 border-saffron bg-saffron-wash p-4 sm:mx-6"
    >
      <h2 className="text-lg">▲ {theirs.editedBy} saved this formula while you were working on it</h2>
      <p className="text-sm">Nothing is lost: both stand here. What differs is bold.</p>
      <table className="mt-2 w-full text-sm">
        <thead>
          <tr className="text-left text-faded">
            <th className="w-1/2 pr-4 font-normal">yours</th>
            <th className="font-normal">theirs</th>
          </tr>
        </thead>
        <tbody>
          {Array.from({ length: rows }, (_, i) => (
            <tr key={i} className={left[i] === right[i] ? "" : "font-bold"}>
              <td className="pr-4 align-top">{left[i]}</td>
              <td className="align-top">{right[i]}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-3 flex gap-2">
        <Button onClick={onKeep}>Keep mine</Button>
        <Button onClick={onTake}>Take theirs</Button>
      </div>
    </section>
  );
}

const summary = (document: FormulaDocument): string[] => [
  `from ${printKilograms(g(document.base.massG))} ${document.base.name}`,
  ...document.groups.map(
    group => `${group.name}: ${group.total.kind === "share-of-base" ? `${group.total.pct} %` : "as weighed"}`,
  ),
  ...document.steps.map((step, i) =>
    `${i + 1}. ${kindOf(step).title(step, [])} ${kindOf(step).detail(step)}`.trim(),
  ),
];
