import { printDuration, printKilograms, printMass, printNumber, printVolume } from "../ground/quantity";
import { type FormulaBundle, writeBundle } from "./bundle";
import { asComment } from "./foreign";
import type { Card } from "../standard";

/** A card as a text anybody can read, print or keep: Markdown (CommonMark with tables). @param whole carried in a comment, to come back as it went */
export function cardAsMarkdown(card: Card, whole?: FormulaBundle): string {
  const out: string[] = [`# ${plain(card.name)}`, ""];
  out.push(
    `From ${printKilograms(card.base.massG)} ${plain(card.base.name)}` +
      (card.finishedG > 0
        ? `; gives ${printVolume(card.finishedMl)} (${printKilograms(card.finishedG)}) in ${printDuration(card.totalS)}.`
        : "."),
    "",
    `School: ${plain(card.school)}. Portion ${printMass(card.portionG)}.`,
    "",
  );
  for (const problem of card.problems) out.push(`> It cannot be made as it stands: ${problem}`, "");
  out.push("## Steps", "");
  card.steps.forEach((step, i) => {
    out.push(`${i + 1}. **${plain(step.title)}** ${plain(step.detail)}`.trimEnd());
    for (const line of step.lines)
      out.push(
        `   - ${plain(line.name)}: ${printMass(line.massG)}${line.relation && `, ${plain(line.relation)}`}${line.assumed ? " (assumed)" : ""}`,
      );
    for (const { what, massG } of step.goesIn) out.push(`   - ${plain(what)}: about ${printMass(massG)}`);
    if (step.cue) out.push(`   - until: ${plain(step.cue)}`);
    if (step.stop)
      out.push(
        `   - stop at ${printNumber(step.stop.markMm)} mm on the stick, or ${printMass(step.stop.grossG)} on the scale with ${plain(step.stop.vesselName)}`,
      );
    if (step.durationS !== null) out.push(`   - about ${printDuration(step.durationS)}`);
    if (step.remark) out.push(`   - ${plain(step.remark)}`);
    if (step.why) out.push(`   - why: ${plain(step.why)}`);
    if (step.question) out.push(`   - open: ${plain(step.question)}`);
    for (const caution of step.cautions) out.push(`   - caution: ${plain(caution)}`);
  });
  const { label, keeps } = card;
  out.push("", "## Label", "");
  out.push(
    label.allergens
      ? `Contains: ${label.allergens.join(", ") || "no recorded allergen"}.`
      : `Allergens not known: ${label.notEntered.join(", ")} not entered.`,
    ...(label.guests ? ["", `For guests: ${label.guests}.`] : []),
    "",
    `Keeps ${keeps.days} d at ${printNumber(keeps.atC)} °C. ${plain(keeps.words)}`,
  );
  if (card.notes) out.push("", "## Notes", "", plain(card.notes));
  if (whole) out.push("", asComment(writeBundle(whole)));
  return `${out.join("\n").replaceAll("\u00a0", " ").replaceAll("\u202f", " ")}\n`;
}

/** Typed words never become marks of the text. */
const plain = (text: string): string => text.replace(/([\\`*_[\]<>#|])/g, "\\$1");
