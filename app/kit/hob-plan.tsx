import {
  DndContext,
  type DndContextProps,
  type DragEndEvent,
  PointerSensor,
  useDraggable,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import { type KeyboardEvent, useRef, useState } from "react";
import { HOB_STEP_MM, placeBurner } from "~/core/kit";
import type { Burner } from "~/core/laws/reduction";
import type { BurnerMoves } from "./use-burner-moves";

/** Where a burner stands is said below the hob, whichever way it was moved. */
const BY_ARROWS: DndContextProps["accessibility"] = {
  screenReaderInstructions: { draggable: "The arrows move the burner, with Shift in bigger steps." },
  announcements: {
    onDragStart: () => undefined,
    onDragOver: () => undefined,
    onDragEnd: () => undefined,
    onDragCancel: () => undefined,
  },
};
const EDGE_MM = 40;
/** The first millimetres of a press are a press, not a drag. */
const DRAG_FROM_PX = 4;

/** The hob from above, to be arranged: drag a burner, or focus it and use the arrows. */
export function HobPlan({ burners, move, state, refused }: BurnerMoves) {
  /** Why it cannot stand where it was put, or where it stands now. */
  const [said, setSaid] = useState<{ readonly problem?: string; readonly stands?: string }>({});
  const box = useRef<HTMLDivElement>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM_PX } }));
  const right = Math.max(0, ...burners.map(b => b.xMm + b.widthMm)) + EDGE_MM;
  const back = Math.max(0, ...burners.map(b => b.yMm + b.depthMm)) + EDGE_MM;
  const wide = right + EDGE_MM;
  const deep = back + EDGE_MM;

  const moveBy = (burner: Burner, dxMm: number, dyMm: number) => {
    const placed = placeBurner(burners, burner.id, { xMm: burner.xMm + dxMm, yMm: burner.yMm + dyMm });
    if (!placed.ok) return setSaid({ problem: placed.problems[0]?.message ?? "" });
    setSaid({
      stands: `${burner.name} stands ${placed.value.xMm / 10} cm from the left, ${placed.value.yMm / 10} cm from the front.`,
    });
    move(burner.id, placed.value);
  };
  const dropped = ({ active, delta }: DragEndEvent) => {
    const burner = burners.find(b => b.id === active.id);
    const width = box.current?.clientWidth;
    if (!burner || !width) return;
    const mmPerPx = wide / width;
    moveBy(burner, delta.x * mmPerPx, -delta.y * mmPerPx);
  };
  const problem = said.problem ?? refused;
  return (
    <div>
      <DndContext id="hob" sensors={sensors} onDragEnd={dropped} accessibility={BY_ARROWS}>
        <div
          ref={box}
          role="group"
          aria-label="The hob from above"
          className="relative w-full overflow-hidden rounded-3xl border-2 border-[#cfc4ae] bg-linen"
          style={{ aspectRatio: `${wide} / ${deep}` }}
        >
          {burners.map(burner => (
            <BurnerPiece
              key={burner.id}
              burner={burner}
              style={{
                left: `${((burner.xMm + EDGE_MM) / wide) * 100}%`,
                bottom: `${((burner.yMm + EDGE_MM) / deep) * 100}%`,
                width: `${(burner.widthMm / wide) * 100}%`,
                height: `${(burner.depthMm / deep) * 100}%`,
              }}
              onArrow={(dx, dy) => moveBy(burner, dx * HOB_STEP_MM, dy * HOB_STEP_MM)}
            />
          ))}
        </div>
      </DndContext>
      <p role="status" className={`mt-2 min-h-6 text-sm ${problem ? "text-beet" : "text-faded"}`}>
        {problem
          ? `✕ ${problem}`
          : said.stands
            ? `${said.stands} ${state === "keeping" ? "Keeping it …" : "✓ kept"}`
            : "Front is at the bottom. Drag a burner, or Tab to it and use the arrows; Shift makes bigger steps."}
      </p>
    </div>
  );
}

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
const BIG_STEP = 10;

function BurnerPiece({
  burner,
  style,
  onArrow,
}: {
  burner: Burner;
  style: React.CSSProperties;
  onArrow: (dx: number, dy: number) => void;
}) {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({ id: burner.id });
  const arrows = (event: KeyboardEvent) => {
    const way = ARROWS[event.key];
    if (!way) return;
    event.preventDefault();
    const times = event.shiftKey ? BIG_STEP : 1;
    onArrow(way[0] * times, way[1] * times);
  };
  const plate = burner.kind.startsWith("flat-top");
  return (
    <button
      ref={setNodeRef}
      type="button"
      {...attributes}
      {...listeners}
      aria-roledescription="burner to move"
      aria-label={`${burner.name}, ${burner.xMm / 10} cm from the left, ${burner.yMm / 10} cm from the front`}
      onKeyDown={arrows}
      style={{
        ...style,
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
        zIndex: isDragging ? 10 : undefined,
      }}
      className={`absolute touch-none rounded-lg border text-xs text-ink sm:text-sm ${isDragging ? "cursor-grabbing border-copper" : "cursor-grab border-transparent hover:border-copper"} ${plate ? (burner.kind === "flat-top-centre" ? "bg-[#d3c5b0]" : "bg-[#ddd2c0]") : ""}`}
    >
      {!plate && (
        <svg viewBox="0 0 100 100" aria-hidden="true" className="absolute inset-0 size-full">
          <g fill="none" stroke="#bdb199" strokeWidth={1.6}>
            <circle cx={50} cy={50} r={burner.kind.includes("small") ? 30 : 40} />
            <circle cx={50} cy={50} r={9} />
            <path d="M10,50H36M64,50H90M50,10V36M50,64V90" />
          </g>
        </svg>
      )}
      <span className="absolute top-1 left-2 font-semibold">
        {plate ? burner.name : burner.name.replace(/^burner\s+/i, "")}
      </span>
    </button>
  );
}
