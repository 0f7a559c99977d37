import {
  type AmountRelation,
  type Conflict,
  type FormulaDocument,
  type Kitchen,
  type Line,
  type Step,
  type StepField,
  fieldsOf,
  kindOf,
  linesOf,
  nameOfFormula,
  namesIn,
  relationAsTyped,
  type ReductionEnd,
  endInWords,
} from "~/core/formula";
import { g, minutes, printDuration, printMass, printNumber } from "~/core/ground/quantity";

/** A conflict as two cooks would speak of it. */
export interface ConflictWords {
  readonly where: string;
  readonly mine: string;
  readonly theirs: string;
}

/** Things of a formula, a step or a line that have no field with a label of its own. */
const CALLED: Readonly<Record<string, string>> = {
  name: "name",
  school: "school",
  notes: "notes",
  massG: "weight",
  portionG: "portion",
  overagePct: "overage",
  targets: "what is wanted",
  servedAs: "served as",
  cue: "it is there when",
  remark: "remark",
  why: "why",
  amount: "amount",
  certainty: "how sure",
  of: "what it is",
  bounds: "limits",
  keepC: "kept at",
  days: "days kept",
};

/** Where two edits meet, and what each of them says there. */
export function conflictWords(
  { at, mine, theirs }: Conflict,
  sides: { readonly mine: FormulaDocument; readonly theirs: FormulaDocument },
  kitchen: Kitchen,
): ConflictWords {
  const path = at.split(".");
  const documents = [sides.mine, sides.theirs];
  const step = path[0] === "steps" ? find(documents, d => d.steps.find(s => s.id === path[1])) : undefined;
  const line = path[2] === "lines" ? find(documents, d => linesOf(d).find(l => l.id === path[3])) : undefined;
  const key = path.at(-1) ?? "";
  const field = step && !line ? fieldsOf(kindOf(step)).find(f => f.key === key) : undefined;
  const names = (document: FormulaDocument) => (id: string) =>
    namesIn(document, undefined, kitchen).lineName?.(id);
  const said = (value: unknown, document: FormulaDocument) =>
    valueWords(value, key, field, kitchen, names(document));
  return {
    where: [
      path[0] === "base" && "base",
      step && titleOf(step, kitchen),
      line && lineName(line, kitchen),
      // A whole step or line needs no name of a field.
      key === step?.id || key === line?.id
        ? undefined
        : (field?.label ?? CALLED[key] ?? path.slice(step ? 2 : 0).join(" ")),
    ]
      .filter(Boolean)
      .join(": "),
    mine: said(mine, sides.mine),
    theirs: said(theirs, sides.theirs),
  };
}

const find = <T>(documents: readonly FormulaDocument[], in_: (d: FormulaDocument) => T | undefined) =>
  documents.map(in_).find(found => found !== undefined);

const lineName = ({ of }: Pick<Line, "of">, kitchen: Kitchen): string =>
  "larder" in of
    ? (kitchen.ingredientById.get(of.larder)?.name ?? of.larder)
    : (nameOfFormula(kitchen.data, of.formula) ?? "another formula");

const titleOf = (step: Step, kitchen: Kitchen): string =>
  kindOf(step).title(
    step,
    step.lines.map(line => lineName(line, kitchen)),
  );

type NameOf = (id: string) => string | undefined;

function valueWords(
  value: unknown,
  key: string,
  field: StepField | undefined,
  kitchen: Kitchen,
  nameOf: NameOf,
): string {
  if (value === undefined || value === null) return "removed";
  if (key === "amount") return relationAsTyped(value as AmountRelation, nameOf);
  if (key === "of") return lineName({ of: value as Line["of"] }, kitchen);
  if (typeof value === "number") return numberWords(value, key, field);
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (typeof value === "string") {
    if (field?.type === "vessel") return kitchen.data.vessels.find(v => v.id === value)?.name ?? value;
    if (field?.type === "choice") return field.choices.find(([id]) => id === value)?.[1] ?? value;
    return value;
  }
  if (field?.type === "target") return endInWords(value as ReductionEnd);
  const thing = value as Partial<Step> & Partial<Line>;
  if (thing.amount && thing.of)
    return `${lineName(thing as Line, kitchen)}, ${relationAsTyped(thing.amount, nameOf)}`;
  if (thing.kind && Array.isArray(thing.lines)) return titleOf(thing as Step, kitchen);
  return Object.entries(value as object)
    .filter(([, v]) => typeof v !== "object")
    .map(([name, v]) => `${CALLED[name] ?? name} ${String(v)}`)
    .join(", ");
}

function numberWords(value: number, key: string, field: StepField | undefined): string {
  switch (field?.type) {
    case "minutes":
      return printDuration(minutes(value));
    case "temperature":
      return `${printNumber(value)} °C`;
    case "percent":
      return `${printNumber(100 * value)} %`;
    case "litres":
      return `${printNumber(value / 1000, 2)} l`;
    case "number":
      return `${value} ${field.unit}`;
    default:
      return key.endsWith("G")
        ? printMass(g(value))
        : key.endsWith("C")
          ? `${value} °C`
          : key.endsWith("Pct")
            ? `${value} %`
            : String(value);
  }
}
