import {
  ALLERGENS,
  COMPOSITION_TOTALS,
  DIET_FLAGS,
  type Ingredient,
  NATURES,
  type Nature,
  SOLID_KINDS,
  type Source,
  natureOf,
} from "~/core/things/larder";
import { THICKENERS, type ThickenerId } from "~/core/laws/thickening";
import type { Problem } from "~/core/ground/result";
import { MARK_WORDS } from "./source-words";

export type Values = Readonly<Record<string, readonly string[]>>;

const plain = (x: number): string => (x === 0 ? "" : String(Number(x.toFixed(3))));
const measureText = (m: Ingredient["measures"][number]): string =>
  `${m.name} = ${plain(m.massG)} (${plain(m.loG)}–${plain(m.hiG)})`;

const packText = ({ name, massG }: NonNullable<Ingredient["pack"]>): string =>
  `${name} = ${massG >= 1000 ? `${plain(massG / 1000)} kg` : `${plain(massG)} g`}`;

/** The fields of the form for an ingredient as it stands. */
export function valuesOf(of: Ingredient | null): Values {
  if (!of) return { phase: ["liquor"], "source.mark": ["measured"], ediblePct: ["100"], allergensKnown: [] };
  return {
    name: [of.name],
    aliases: [of.aliases.join(", ")],
    ...Object.fromEntries(
      [...COMPOSITION_TOTALS, "collagen" as const, "volatileAcid" as const].map(key => [
        `composition.${key}`,
        [plain(of.composition[key])],
      ]),
    ),
    phase: [of.phase],
    solidKind: [of.solidKind ?? ""],
    densityGPerMl: [of.densityGPerMl === undefined ? "" : plain(of.densityGPerMl)],
    ediblePct: [plain(of.ediblePct)],
    juicePct: [of.juicePct === undefined ? "" : plain(of.juicePct)],
    allergensKnown: of.allergens === null ? [] : ["yes"],
    allergens: of.allergens ?? [],
    diet: of.diet,
    measures: [of.measures.map(measureText).join(", ")],
    boughtStock: of.boughtStock ? ["yes"] : [],
    pack: [of.pack ? packText(of.pack) : ""],
    nature: [natureOf(of.carries)],
    "source.mark": [of.compositionSource.mark],
    "source.text": [of.compositionSource.text],
  };
}

const PARTS: readonly (readonly [string, string])[] = [
  ["water", "water"],
  ["fat", "fat"],
  ["protein", "protein"],
  ["collagen", "… of it collagen"],
  ["sugars", "sugars"],
  ["starch", "starch"],
  ["fibre", "fibre"],
  ["salt", "salt"],
  ["ethanol", "alcohol"],
  ["acid", "acid"],
  ["volatileAcid", "… of it acetic"],
  ["other", "other"],
];
const natureInWords = (nature: Nature): string =>
  nature === ""
    ? "dissolves, or nothing"
    : nature === "milk"
      ? "milk or cream"
      : nature === "yolk"
        ? "egg yolk"
        : nature === "puree"
          ? "a purée"
          : nature === "neutral"
            ? "a fat without taste of its own"
            : `thickens as ${THICKENERS[nature satisfies ThickenerId].name}`;
const PHASES = [
  ["liquor", "flows with the liquid"],
  ["solids", "stays in the strainer"],
  ["fat", "floats as fat"],
] as const;

/** Every field of an ingredient, plain and labelled, each refusal under its own. */
export function IngredientForm({ values, problems }: { values: Values; problems: readonly Problem[] }) {
  const one = (name: string): string => values[name]?.[0] ?? "";
  const has = (name: string, value: string): boolean => values[name]?.includes(value) ?? false;
  const problemOf = (name: string) => problems.find(p => p.field === name);
  const field = (
    name: string,
    label: string,
    more: { wide?: boolean; hint?: string; unit?: string } = {},
  ) => <Field key={name} name={name} label={label} value={one(name)} problem={problemOf(name)} {...more} />;
  const sum = problems.find(p => p.field === "composition");
  return (
    <div className="mt-3 space-y-5">
      <div className="grid gap-4 sm:grid-cols-2">
        {field("name", "Name", { wide: true })}
        {field("aliases", "Also called", { wide: true, hint: "with commas between" })}
      </div>
      <fieldset>
        <legend className="text-sm text-faded">100 g of the used part hold, in g</legend>
        <div className="mt-2 grid grid-cols-2 gap-x-5 gap-y-2 sm:grid-cols-3 lg:grid-cols-4">
          {PARTS.map(([key, label]) => field(`composition.${key}`, label))}
        </div>
        {sum && (
          <p role="alert" className="mt-2 text-sm text-beet">
            ✕ {sum.message}
          </p>
        )}
      </fieldset>
      <div className="grid gap-4 sm:grid-cols-3">
        <Choice name="phase" label="In the pot it" value={one("phase")} options={PHASES} />
        <Choice
          name="solidKind"
          label="In the strainer it is"
          value={one("solidKind")}
          options={[["", "nothing"], ...SOLID_KINDS.map(k => [k, k.replaceAll("-", " ")] as const)]}
        />
        <Choice
          name="nature"
          label="In a sauce it is"
          value={one("nature")}
          options={NATURES.map(n => [n, natureInWords(n)] as const)}
        />
        {field("densityGPerMl", "A millilitre weighs", { unit: "g", hint: "only where it is poured" })}
        {field("ediblePct", "Used of what is bought", { unit: "%" })}
        {field("juicePct", "Juice of the whole fruit", { unit: "%" })}
        <label className="flex items-center gap-2 self-end pb-2">
          <input type="checkbox" name="boughtStock" value="yes" defaultChecked={has("boughtStock", "yes")} />{" "}
          a bought stock
        </label>
      </div>
      <div className="grid gap-4 sm:grid-cols-[2fr_1fr]">
        {field("measures", "Counted by", { wide: true, hint: "piece = 150 (90–230), tablespoon = 12" })}
        {field("pack", "Sold as", { wide: true, hint: "crate = 10 kg" })}
      </div>
      <fieldset>
        <legend className="text-sm text-faded">Allergens</legend>
        <label className="mt-1 flex items-center gap-2">
          <input
            type="checkbox"
            name="allergensKnown"
            value="yes"
            defaultChecked={has("allergensKnown", "yes")}
          />
          I have read the label: these and no others are recorded
        </label>
        <div className="mt-2 flex flex-wrap gap-x-4 gap-y-1.5">
          {Object.entries(ALLERGENS).map(([id, label]) => (
            <label key={id} className="flex items-center gap-1.5">
              <input type="checkbox" name="allergens" value={id} defaultChecked={has("allergens", id)} />
              {label}
            </label>
          ))}
        </div>
        <p className="mt-3 text-sm text-faded">Flags</p>
        <div className="mt-1 flex flex-wrap gap-x-4 gap-y-1.5">
          {DIET_FLAGS.map(flag => (
            <label key={flag} className="flex items-center gap-1.5">
              <input type="checkbox" name="diet" value={flag} defaultChecked={has("diet", flag)} />
              {flag}
            </label>
          ))}
        </div>
      </fieldset>
      <div className="grid gap-4 sm:grid-cols-[14rem_1fr]">
        <Choice
          name="source.mark"
          label="Where the figures come from"
          value={one("source.mark")}
          options={(Object.keys(MARK_WORDS) as Source["mark"][]).map(
            mark => [mark, MARK_WORDS[mark]] as const,
          )}
        />
        {field("source.text", "Which label, table or day", { wide: true })}
      </div>
    </div>
  );
}

const input = "w-full min-w-0 rounded-md border bg-enamel px-2 py-1";

function Field({
  name,
  label,
  value,
  problem,
  wide = false,
  hint,
  unit,
}: {
  name: string;
  label: string;
  value: string;
  problem: Problem | undefined;
  wide?: boolean;
  hint?: string;
  unit?: string;
}) {
  const note = problem ? `✕ ${problem.message}` : hint;
  return (
    <div>
      <label htmlFor={`f-${name}`} className="block text-sm text-faded">
        {label}
        {unit && ` (${unit})`}
      </label>
      <input
        id={`f-${name}`}
        name={name}
        defaultValue={value}
        autoComplete="off"
        inputMode={wide ? "text" : "decimal"}
        aria-invalid={problem ? true : undefined}
        aria-describedby={note ? `f-${name}-note` : undefined}
        className={`${input} ${wide ? "" : "max-w-28"} ${problem ? "border-beet" : "border-rule hover:border-faded"}`}
      />
      {note && (
        <p
          id={`f-${name}-note`}
          role={problem ? "alert" : undefined}
          className={`mt-0.5 text-xs ${problem ? "text-beet" : "text-faded"}`}
        >
          {note}
        </p>
      )}
    </div>
  );
}

function Choice({
  name,
  label,
  value,
  options,
}: {
  name: string;
  label: string;
  value: string;
  options: readonly (readonly [string, string])[];
}) {
  return (
    <div>
      <label htmlFor={`f-${name}`} className="block text-sm text-faded">
        {label}
      </label>
      <select
        id={`f-${name}`}
        name={name}
        defaultValue={value}
        className={`${input} border-rule hover:border-faded`}
      >
        {options.map(([id, text]) => (
          <option key={id} value={id}>
            {text}
          </option>
        ))}
      </select>
    </div>
  );
}
