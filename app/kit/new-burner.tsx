import { BURNER_CLASSES, FLAT_TOPS, type BurnerKind } from "~/core/laws/reduction";
import { printNumber } from "~/core/ground/quantity";
import { Button } from "../ui/button";
import type { KitReply } from "./kit-reply";
import { TextField } from "./text-field";
import { EditForm } from "../people/edit-form";

const WORDS: Record<BurnerKind, string> = {
  ...(Object.fromEntries(
    Object.entries(BURNER_CLASSES).map(([kind, of]) => [
      kind,
      `${of.label}, ${printNumber(of.powerW / 1000, 1)} kW`,
    ]),
  ) as Record<keyof typeof BURNER_CLASSES, string>),
  ...(Object.fromEntries(
    Object.entries(FLAT_TOPS).map(([kind, flux]) => [
      kind,
      `${kind.replace("flat-top-", "flat-top, ")}, ${printNumber(flux / 1000)} kW/m²`,
    ]),
  ) as Record<keyof typeof FLAT_TOPS, string>),
};

/** A burner more on the hob. */
export function NewBurner({ reply }: { reply: KitReply | undefined }) {
  const mine = reply?.values.intent === "burner" ? reply : undefined;
  return (
    <details open={mine !== undefined}>
      <summary className="font-semibold hover:text-copper">One more burner</summary>
      <EditForm className="mt-2 grid grid-cols-2 items-start gap-3">
        <input type="hidden" name="intent" value="burner" />
        <TextField name="name" label="Name" value={mine?.values.name ?? ""} problem={mine?.problems[0]} />
        <label className="text-sm text-faded">
          It is a
          <select
            name="kind"
            defaultValue={mine?.values.kind ?? "gas-pro"}
            className="block w-full rounded-md border border-rule bg-enamel px-2 py-1 text-base text-ink"
          >
            {Object.entries(WORDS).map(([kind, words]) => (
              <option key={kind} value={kind}>
                {words}
              </option>
            ))}
          </select>
        </label>
        <Button type="submit" className="col-span-2 justify-self-start">
          Set it down
        </Button>
      </EditForm>
    </details>
  );
}
