import { DropdownMenu } from "radix-ui";
import { Plus } from "lucide-react";
import { ulid } from "ulid";
import { STEP_KINDS, type StepKindName, insertStep } from "~/core/formula";
import { buttonClass } from "../ui/button";
import type { Editing } from "./use-formula";

/** Adds a step behind the open one, or at the end. */
export function AddStep({
  formula,
  after,
  onAdded,
}: {
  formula: Editing;
  after: string | null;
  onAdded: (id: string) => void;
}) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className={buttonClass("quiet", "mt-2")}>
        <Plus aria-hidden="true" className="size-4" /> Add a step{after ? " after the open one" : ""}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          className="z-30 min-w-52 rounded-xl border border-rule bg-enamel p-1.5 shadow-2xl"
        >
          {(Object.keys(STEP_KINDS) as StepKindName[]).map(kind => (
            <DropdownMenu.Item
              key={kind}
              className="cursor-pointer rounded-md px-3 py-1.5 outline-none data-[highlighted]:bg-linen"
              onSelect={() => {
                const id = ulid();
                formula.edit(d => insertStep(d, kind, id, after ?? undefined));
                onAdded(id);
              }}
            >
              {STEP_KINDS[kind].label}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
