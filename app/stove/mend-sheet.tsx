import { Dialog } from "radix-ui";
import { useState } from "react";
import type { FactValues } from "~/core/ground/facts";
import { liquorMass } from "~/core/things/pot";
import type { Ingredient } from "~/core/things/larder";
import type { RunState } from "~/core/run";
import { type Mended, RemedyCards } from "../ui/remedy-cards";

export type { Mended };

/** What is in the pot now, and what mends it; opened with one tap from the Stove. */
export function MendSheet({
  pot: here,
  foreseen,
  servedC,
  facts,
  ingredients,
  className,
  onDone,
}: {
  pot: RunState["pot"];
  /** What the step at work makes, where nothing stands in the pot yet. */
  foreseen: RunState["pot"] | undefined;
  servedC: number;
  facts: FactValues;
  ingredients: readonly Ingredient[];
  className: string;
  onDone: (mended: Mended) => void;
}) {
  const [open, setOpen] = useState(false);
  const pot = liquorMass(here) >= 1 ? here : (foreseen ?? here);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className={className} disabled={liquorMass(pot) < 1}>
        mend
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/50" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-x-0 bottom-0 z-50 max-h-[88dvh] overflow-y-auto rounded-t-2xl border-t border-rule bg-enamel p-5 text-ink shadow-2xl sm:p-6"
        >
          <div className="mb-4 flex items-center justify-between gap-4">
            <Dialog.Title className="text-xl">What is wrong with it?</Dialog.Title>
            <Dialog.Close className="min-h-14 rounded-lg border border-ink px-5 font-semibold">
              Back to the pot
            </Dialog.Close>
          </div>
          {open && liquorMass(pot) >= 1 && (
            <RemedyCards
              pot={pot}
              temperatureC={servedC}
              facts={facts}
              ingredients={ingredients}
              onDone={mended => {
                onDone(mended);
                setOpen(false);
              }}
            />
          )}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
