import type { FactValues } from "../ground/facts";
import {
  type FormulaDocument,
  type Walk,
  cautionsAt,
  keepsDays,
  kindOf,
  labelOf,
  namesIn,
  relationInWords,
} from "../formula";
import { ALLERGENS } from "../things/larder";
import { g, printDuration, printKilograms, printMass, printNumber, printVolume, s } from "../ground/quantity";

/** The formula as a text anybody can read, print or keep: Markdown (CommonMark with tables). */
export function formulaAsMarkdown(document: FormulaDocument, walked: Walk, facts: FactValues): string {
  const out: string[] = [`# ${plain(document.name)}`, ""];
  out.push(
    `From ${printKilograms(g(document.base.massG))} ${plain(document.base.name)}` +
      (walked.finishedG > 0
        ? `; gives ${printVolume(walked.finishedMl)} (${printKilograms(walked.finishedG)}) in ${printDuration(walked.totalS)}.`
        : "."),
    "",
    `School: ${plain(document.school)}. Portion ${printMass(g(document.portionG))}.`,
    "",
  );
  for (const problem of walked.problems) out.push(`> It cannot be made as it stands: ${problem.message}`, "");
  out.push("## Steps", "");
  document.steps.forEach((step, i) => {
    const state = walked.states[i];
    const kind = kindOf(step);
    const names = state?.lines.map(line => line.name) ?? [];
    out.push(`${i + 1}. **${plain(kind.title(step, names))}** ${plain(kind.detail(step))}`.trimEnd());
    for (const line of state?.lines ?? []) {
      const relation = step.lines.find(l => l.id === line.lineId)?.amount;
      const how =
        relation && relation.kind !== "fixed"
          ? `, ${relationInWords(relation, namesIn(document, state))}`
          : "";
      out.push(
        `   - ${plain(line.name)}: ${printMass(line.massG)}${plain(how)}${line.certainty === "assumed" ? " (assumed)" : ""}`,
      );
    }
    const cue = step.cue ?? kind.cue;
    if (cue) out.push(`   - until: ${plain(cue)}`);
    if (state) out.push(`   - about ${printDuration(s(state.durationS))}`);
    if (step.remark) out.push(`   - ${plain(step.remark)}`);
    if (step.why) out.push(`   - why: ${plain(step.why)}`);
    if (step.question) out.push(`   - open: ${plain(step.question)}`);
    for (const caution of state ? cautionsAt(state) : kind.cautions(step))
      out.push(`   - caution: ${plain(caution)}`);
  });
  const label = labelOf(walked);
  out.push("", "## Label", "");
  out.push(
    `Contains: ${label.allergens.map(a => ALLERGENS[a]).join(", ") || "no recorded allergen"}${label.known ? "" : `; not known: ${label.notEntered.join(", ")}`}.`,
    ...(label.egg ? ["", `For guests: ${label.egg}.`] : []),
    "",
    `Keeps ${keepsDays(document, walked, facts)} d at ${printNumber(document.storage.keepC)} °C. ${plain(document.storage.words)}`,
  );
  if (document.notes) out.push("", "## Notes", "", plain(document.notes));
  return `${out.join("\n").replaceAll("\u00a0", " ").replaceAll("\u202f", " ")}\n`;
}

/** Typed words never become marks of the text. */
const plain = (text: string): string => text.replace(/([\\`*_[\]<>#|])/g, "\\$1");
