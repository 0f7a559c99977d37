import type { Active, Over } from "@dnd-kit/core";
import { expect, it } from "vitest";
import { dragWords } from "./drag-words";

it("tells by places on the line where a step is carried, never by its id", () => {
  const { announcements, screenReaderInstructions } = dragWords(["roast-1", "cover-2", "simmer-3"]);
  const active = { id: "roast-1" } as Active;
  const over = { id: "simmer-3" } as Over;
  const said = [
    announcements?.onDragStart({ active }),
    announcements?.onDragOver({ active, over }),
    announcements?.onDragOver({ active, over: null }),
    announcements?.onDragEnd({ active, over }),
    announcements?.onDragEnd({ active, over: null }),
    announcements?.onDragCancel({ active, over: null }),
  ];
  expect(said).toEqual([
    "Step 1 of 3 is picked up.",
    "It would be step 3.",
    "It is beside the line.",
    "It is step 3 now.",
    "It stays where it was.",
    "It is step 1 as before.",
  ]);
  expect(screenReaderInstructions?.draggable).toMatch(/Space.*arrows.*Escape/);
});
