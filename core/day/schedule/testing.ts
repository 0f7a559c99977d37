import type { ScheduleInput, Segment, Task } from "./task";

/** "15 cook burner, 240 burner, 15 cook burner": a task’s pieces in short. */
export const pieces = (said: string): Segment[] =>
  said.split(", ").map(piece => {
    const [minutes, ...names] = piece.split(" ");
    const use: Record<string, number> = {};
    for (const name of names) use[name] = (use[name] ?? 0) + 1;
    return { minutes: Number(minutes), use };
  });

const task = (id: string, said: string, more: Omit<Task, "id" | "segments"> = {}): Task => ({
  id,
  segments: pieces(said),
  ...more,
});

/** Kitchen K of the model: two cooks, four burners, an oven and a blender, service in twelve hours. */
export const KITCHEN_K: ScheduleInput = {
  capacity: { cook: 2, burner: 4, oven: 1, blender: 1 },
  due: 720,
  tasks: [
    task("bones", "10 cook, 40 oven, 5 cook", { sd: 5 }),
    task("stock", "15 cook burner, 240 burner, 15 cook burner", {
      after: [{ id: "bones", hold: 60 }],
      sd: 20,
    }),
    task("reduce", "5 cook burner, 60 burner, 5 cook burner", { after: [{ id: "stock" }], sd: 12 }),
    task("roux", "12 cook burner", { sd: 2 }),
    task("veloute", "10 cook burner, 25 burner, 5 cook", {
      after: [{ id: "stock" }, { id: "roux", hold: 120 }],
      sd: 4,
    }),
    task("puree", "15 cook, 25 burner, 10 cook blender", { sd: 4 }),
    task("holl", "15 cook burner", { sd: 3 }),
    task("pass", "20 cook cook", {
      after: [
        { id: "reduce", hold: 120 },
        { id: "veloute", hold: 120 },
        { id: "puree", hold: 90 },
        { id: "holl", hold: 30 },
      ],
      sd: 3,
    }),
  ],
};

/** One burner or two for three short jobs. */
export const onBurners = (burner: number): ScheduleInput => ({
  capacity: { burner },
  due: 120,
  tasks: [
    task("a", "30 burner"),
    task("b", "20 burner"),
    task("c", "10 burner", { after: [{ id: "a" }, { id: "b", hold: 15 }] }),
  ],
});
