import { useState } from "react";
import { ulid } from "ulid";
import { BUILD_KINDS, BUILD_WORDS, type BuildKind, buildEmulsion } from "~/core/laws/emulsion";
import type { FactValues } from "~/core/ground/facts";
import { type Line, insertStep, updateStep } from "~/core/formula";
import { g, printMass, printNumber } from "~/core/ground/quantity";
import { Button } from "../../ui/button";
import { Choice } from "../../ui/choice";
import { readMass, readWithin } from "../../ui/read";
import { TypedField } from "../../ui/typed-field";
import type { Formula } from "../use-formula";

/** Larder ids of what a build weighs. */
const LARDER: Readonly<Record<string, string>> = {
  yolk: "egg-yolk",
  "egg white": "egg-white",
  mustard: "mustard",
  vinegar: "wine-vinegar",
  "lemon juice": "lemon-juice",
  garlic: "garlic",
  salt: "salt",
  water: "water",
};

/** An emulsion weighed out by its kind and size, to be put on a line that has none yet. */
export function EmulsionBuilder({ formula, facts }: { formula: Formula; facts: FactValues }) {
  const [kind, setKind] = useState<BuildKind>("mayonnaise");
  const [totalG, setTotal] = useState(2000);
  const [oilPct, setOilPct] = useState(78);
  const built = buildEmulsion(kind, { totalG, oilPct }, facts);
  const put = () => {
    if (!built.ok) return;
    const id = ulid();
    const weigh = (larder: string, massG: number): Line => ({
      id: ulid(),
      of: { larder },
      amount: { kind: "fixed", massG: Math.round(10 * massG) / 10 },
      certainty: "stated",
    });
    const { oilG, butterG, butter, weigh: parts, input } = built.value;
    const fat =
      butter === null
        ? weigh("sunflower-oil", oilG)
        : weigh(butter === "clarified" ? "clarified-butter" : "butter", butterG);
    formula.edit(d =>
      updateStep(insertStep(d, "emulsify", id), id, {
        tool: input.tool ?? "whisk",
        lines: [...parts.flatMap(p => (LARDER[p.id] ? [weigh(LARDER[p.id] ?? "", p.massG)] : [])), fat],
      }),
    );
  };
  return (
    <div className="space-y-4">
      <p className="text-faded">
        Nothing is beaten on this line yet. Build an emulsion and put it on the line.
      </p>
      <div className="flex flex-wrap items-end gap-4">
        <Choice
          label="kind"
          value={kind}
          onPick={setKind}
          options={BUILD_KINDS.map(k => [k, BUILD_WORDS[k]] as const)}
        />
        <TypedField
          label="in all"
          shown={printMass(g(totalG))}
          read={readMass("In all")}
          onRead={setTotal}
          width="w-28"
        />
        <TypedField
          label="oil by weight"
          shown={`${printNumber(oilPct)} %`}
          read={readWithin("The oil", "%", 20, 88)}
          onRead={setOilPct}
          width="w-24"
        />
        <Button look="act" onClick={put} disabled={!built.ok}>
          Put it on the line
        </Button>
      </div>
      {built.ok ? (
        <p>
          {built.value.yolks > 0 && <strong>{built.value.yolks} yolks, </strong>}
          {built.value.weigh.map(p => `${printMass(g(p.massG))} ${p.id}`).join(", ")},{" "}
          <strong>{printMass(g(built.value.butterG || built.value.oilG))}</strong>{" "}
          {built.value.butter ? `${built.value.butter} butter` : "oil"}.
        </p>
      ) : (
        <p role="alert" className="text-beet">
          ✕ {built.problems[0]?.message}
        </p>
      )}
    </div>
  );
}
