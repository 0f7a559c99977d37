import { useState } from "react";
import {
  type EmulsionInput,
  WINDOWS,
  kindOfEmulsion,
  loosenEmulsion,
  rescueBroken,
} from "~/core/laws/emulsion";
import type { FactValues } from "~/core/ground/facts";
import { printNumber } from "~/core/ground/quantity";
import { Button } from "../../ui/button";

const SIGNS = [
  ["tight", "It shines with oil"],
  ["broken", "It has split"],
  ["again", "It has split again"],
] as const;
type Sign = (typeof SIGNS)[number][0];

/** What is seen in the bowl, and what takes the emulsion up again, with its grams. */
export function EmulsionRescue({ input, facts }: { input: EmulsionInput; facts: FactValues }) {
  const [sign, setSign] = useState<Sign | null>(null);
  return (
    <>
      <div className="flex flex-wrap gap-2" role="group" aria-label="It has split">
        {SIGNS.map(([id, words]) => (
          <Button key={id} aria-pressed={sign === id} onClick={() => setSign(sign === id ? null : id)}>
            {words}
          </Button>
        ))}
      </div>
      {sign && <Steps input={input} sign={sign} facts={facts} />}
    </>
  );
}

function Steps({ input, sign, facts }: { input: EmulsionInput; sign: Sign; facts: FactValues }) {
  const kind = kindOfEmulsion(input);
  const done =
    sign === "tight"
      ? loosenEmulsion(input, WINDOWS[kind].hot, facts)
      : rescueBroken(input, { kind, failedBefore: sign === "again" }, facts);
  if (!done.ok)
    return (
      <p role="alert" className="text-beet">
        ✕ {done.problems[0]?.message}
      </p>
    );
  return (
    <section aria-label="Rescue" className="rounded-xl border border-rule bg-paper p-4">
      <ol className="list-inside list-decimal space-y-1">
        {done.value.steps.map(step => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <p className="mt-2 text-sm text-faded">
        Afterwards {printNumber(100 * done.value.after.fatVolume, 1)} % oil by volume, body{" "}
        {printNumber(done.value.after.thickness ?? 0)}.
      </p>
    </section>
  );
}
