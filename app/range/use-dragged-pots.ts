import { type DragEndEvent, KeyboardSensor, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import { toast } from "sonner";
import { stepToRead } from "~/core/run";
import { logHere } from "../offline/log";
import type { Owner } from "../offline/queue";
import type { FoldedPot, PotNow } from "./pot-now";
import { type Moved, previewOf } from "./preview-move";

/** Where a pot is dropped that is set aside. */
export const SHELF = "off the fire";

/** A tap opens a pot; only what is pulled this far is dragged, px. */
const PULLED = 10;

/** Pots that are dragged from burner to burner, by hand or with the keys: what it does to the time is said, and can be undone. */
export function useDraggedPots(
  pots: readonly PotNow[],
  folded: readonly FoldedPot[],
  now: number,
  owner: Owner,
) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: PULLED } }),
    // Enter opens the pot, as it does any link; the space bar takes it in hand.
    useSensor(KeyboardSensor, {
      keyboardCodes: { start: ["Space"], cancel: ["Escape"], end: ["Space", "Enter"] },
    }),
  );
  /** The click that ends a drag opens nothing. */
  const onDragStart = () => {
    const keep = (event: Event) => event.preventDefault();
    addEventListener("click", keep, { capture: true });
    addEventListener(
      "pointerup",
      () => setTimeout(() => removeEventListener("click", keep, { capture: true }), 0),
      { once: true },
    );
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const pot = pots.find(one => one.to === active.id);
    const kitchen = folded.find(one => one.live.run.id === pot?.live.run.id)?.kitchen.data;
    if (!pot || !over || !kitchen) return;
    const burnerId = over.id === SHELF ? null : String(over.id);
    if (burnerId === null ? pot.offFire : !pot.offFire && pot.burnerId === burnerId) return;
    const stepId = stepToRead(pot.state)?.step.id ?? pot.state.steps[0]?.step.id;
    if (!stepId) return;
    const moved: Moved = { kind: "moved", stepId, burnerId };
    const words = previewOf(pot, kitchen, moved, now);
    const runId = pot.live.run.id;
    const event = logHere(runId, moved, owner);
    const name =
      burnerId === null ? "off the fire" : `to ${kitchen.burners.find(b => b.id === burnerId)?.name ?? ""}`;
    toast(`${pot.name} ${name}. ${words}`, {
      action: { label: "Undo", onClick: () => logHere(runId, { kind: "undone", eventId: event.id }, owner) },
    });
  };
  return { sensors, onDragStart, onDragEnd };
}
