import {
  DndContext,
  type DragEndEvent,
  PointerSensor,
  useDraggable,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import clsx from "clsx";
import { type KeyboardEvent, useMemo } from "react";
import { type DayView, type JobView, clockOf } from "~/core/day";
import { printNumber } from "~/core/ground/quantity";

/**
 * The board: service is the bottom edge and time runs down to it. Columns are the burners in the order of the hob, then
 * ovens, then what is cold, then hands. A job is drawn as the pot it is: as wide as its litres, as long as its time.
 */

export interface Column {
  readonly id: string;
  readonly name: string;
  readonly kind: "burner" | "oven" | "cold" | "hands";
  readonly gone: boolean;
}

const PX_PER_MIN = 1.15;
/** Jobs are moved in steps of so many minutes. */
const STEP_MIN = 5;
const AXIS_PX = 72;
/** Room above the first hour for its own words. */
const HEAD_PX = 16;
/** A time in which nobody is here and nothing stands on the fire is drawn so much shorter. */
const IDLE = 0.08;

export interface Moved {
  readonly job: string;
  readonly startMin: number;
  readonly minutes?: number;
}

export function Board({
  plan,
  columns,
  weekday,
  nowMin,
  chosen,
  onChoose,
  onMove,
  trial,
  locked,
}: {
  plan: DayView;
  columns: readonly Column[];
  weekday: number;
  nowMin: number | null;
  chosen: string | null;
  onChoose: (id: string) => void;
  /** `null` where whoever looks may not move anything. */
  onMove: ((moved: Moved) => void) | null;
  /** Where jobs would come to stand, until the plan itself says so. */
  trial: ReadonlyMap<string, { readonly start: number; readonly finish: number }> | null;
  /** Jobs on the fire or done: they are where they are. */
  locked: ReadonlySet<string>;
}) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const jobs = plan.jobs.map(job => shifted(job, trial));
  const from = Math.min(plan.dueMin - 120, ...jobs.map(j => j.start)) - 20;
  const top = Math.floor(from / 30) * 30;
  const idle = (plan.input.closed ?? []).filter(
    c =>
      c.resource === "cook" &&
      c.to > top &&
      c.from < plan.dueMin &&
      !jobs.some(j => j.start < c.to && j.finish > c.from),
  );
  const y = (min: number): number =>
    idle.reduce(
      (px, c) => px - (1 - IDLE) * PX_PER_MIN * Math.max(0, Math.min(min, c.to) - Math.max(top, c.from)),
      HEAD_PX + (min - top) * PX_PER_MIN,
    );
  const height = y(plan.dueMin);
  const widest = Math.max(1, ...jobs.map(j => j.volumeMl));
  const shown = columns.filter(c => !c.gone || jobs.some(j => j.stands.some(s => s.at === c.id)));
  const used = new Set(jobs.flatMap(j => [...j.stands.map(s => s.at), ...j.hands.map(h => h.personId)]));
  const weightOf = (c: Column): number => (used.has(c.id) ? (c.kind === "hands" ? 1.6 : 2) : 0.8);
  const hours = Array.from(
    { length: Math.ceil((plan.dueMin - top) / 60) + 1 },
    (_, i) => Math.ceil(top / 60) * 60 + 60 * i,
  ).filter(m => m <= plan.dueMin - 30 && !idle.some(c => m > c.from && m < c.to));
  const drop = ({ active, delta }: DragEndEvent): void => {
    const [what, id] = String(active.id).split("|") as [string, string];
    const job = jobs.find(j => j.id === id);
    const by = Math.round(delta.y / PX_PER_MIN / STEP_MIN) * STEP_MIN;
    if (!job || !by || !onMove) return;
    if (what === "edge")
      onMove({ job: id, startMin: job.start, minutes: Math.max(STEP_MIN, job.finish - job.start + by) });
    else onMove({ job: id, startMin: Math.max(0, job.start + by) });
  };
  const pot = (job: JobView, from: number, to: number, first: boolean) => (
    <Pot
      key={`${job.id}${from}`}
      job={job}
      top={y(from)}
      height={y(to) - y(from)}
      share={job.volumeMl / widest}
      first={first}
      chosen={chosen === job.id}
      weekday={weekday}
      plan={plan}
      onChoose={onChoose}
      onMove={locked.has(job.id) ? null : onMove}
    />
  );
  return (
    <DndContext sensors={sensors} onDragEnd={drop}>
      <div className="overflow-x-auto rounded-xl border border-rule bg-enamel">
        <div style={{ minWidth: AXIS_PX + 26 * shown.reduce((sum, c) => sum + weightOf(c), 0) }}>
          <div className="sticky top-0 z-10 flex border-b border-rule bg-enamel text-xs">
            <div style={{ width: AXIS_PX }} className="shrink-0" />
            {shown.map((c, i) => (
              <div
                key={c.id}
                style={{ flex: `${weightOf(c)} 1 0` }}
                className={clsx(
                  "min-w-0 overflow-hidden px-0.5 py-1 text-center leading-tight",
                  c.kind !== shown[i - 1]?.kind && i > 0 && "border-l-2 border-rule",
                  c.gone && "text-faded line-through",
                )}
              >
                {used.has(c.id) || c.kind !== "burner" ? c.name : c.name.split(" ").at(-1)}
              </div>
            ))}
          </div>
          <div className="relative flex" style={{ height: height + 28 }}>
            <div style={{ width: AXIS_PX }} className="relative shrink-0">
              {hours.map(m => (
                <span
                  key={m}
                  className="absolute right-2 -translate-y-1/2 text-xs whitespace-nowrap text-faded tabular-nums"
                  style={{ top: y(m) }}
                >
                  {clockOf(m, plan, weekday)}
                </span>
              ))}
            </div>
            {hours.map(m => (
              <div
                key={m}
                aria-hidden
                className="absolute h-px bg-linen"
                style={{ top: y(m), left: AXIS_PX, right: 0 }}
              />
            ))}
            {plan.input.closed
              ?.filter(c => c.resource === "cook" && c.to > top && c.from < plan.dueMin)
              .map(c => (
                <div
                  key={`${c.from}`}
                  className="absolute flex items-start justify-center bg-linen/60 text-xs text-faded"
                  style={{
                    top: y(Math.max(top, c.from)),
                    height: y(c.to) - y(Math.max(top, c.from)),
                    left: AXIS_PX,
                    right: 0,
                  }}
                >
                  {c.why}
                </div>
              ))}
            {shown.map((c, i) => (
              <div
                key={c.id}
                style={{ flex: `${weightOf(c)} 1 0` }}
                className={clsx(
                  "relative min-w-0",
                  c.kind !== shown[i - 1]?.kind && i > 0 && "border-l-2 border-rule",
                )}
              >
                {c.kind === "hands"
                  ? jobs.flatMap(job =>
                      // What stands on nothing is drawn where its hands are.
                      job.stands.length === 0 && job.hands[0]?.personId === c.id
                        ? [pot(job, job.start, job.finish, true)]
                        : job.hands
                            .filter(h => h.personId === c.id)
                            .map(h => (
                              <button
                                key={`${job.id}${h.from}`}
                                type="button"
                                tabIndex={-1}
                                onClick={() => onChoose(job.id)}
                                title={job.title}
                                className={clsx(
                                  "absolute inset-x-1 overflow-hidden rounded-sm border px-1 text-left text-xs leading-tight",
                                  chosen === job.id
                                    ? "border-copper bg-saffron-wash"
                                    : "border-rule bg-linen",
                                )}
                                style={{ top: y(h.from), height: Math.max(3, y(h.to) - y(h.from)) }}
                              >
                                {h.to - h.from >= 12 && job.name}
                              </button>
                            )),
                    )
                  : jobs.flatMap(job =>
                      job.stands
                        .filter(s => s.at === c.id)
                        .map((s, k) => pot(job, s.from, s.to, job.stands[0] === s || k === 0)),
                    )}
              </div>
            ))}
            {nowMin !== null && nowMin >= top && nowMin <= plan.dueMin && (
              <div
                className="pointer-events-none absolute right-0 left-0 z-10 border-t-2 border-copper"
                style={{ top: y(nowMin) }}
              >
                <span className="absolute left-1 -top-3 rounded-sm bg-copper px-1 text-xs text-enamel">
                  now
                </span>
              </div>
            )}
            <div className="absolute right-0 bottom-0 left-0 flex h-7 items-center justify-center border-t-2 border-ink bg-ink text-sm font-semibold text-enamel">
              service {clockOf(plan.dueMin, plan, weekday)}
            </div>
          </div>
        </div>
      </div>
    </DndContext>
  );
}

/** A job where a trial would put it, with all it stands on. */
function shifted(
  job: JobView,
  trial: ReadonlyMap<string, { start: number; finish: number }> | null,
): JobView {
  const to = trial?.get(job.id);
  const by = to ? to.start - job.start : 0;
  if (!to || (!by && to.finish === job.finish)) return job;
  return {
    ...job,
    start: to.start,
    finish: to.finish,
    stands: job.stands.map(s => ({ ...s, from: s.from + by, to: s.to + by })),
    hands: job.hands.map(h => ({ ...h, from: h.from + by, to: h.to + by })),
  };
}

/** A pot shorter than this has no edge of its own to pull: it would be all edge. */
const EDGE_FROM_PX = 36;
/** Narrower nobody can touch it. */
const NARROWEST = 0.42;

function Pot({
  job,
  top,
  height,
  share,
  first,
  chosen,
  weekday,
  plan,
  onChoose,
  onMove,
}: {
  job: JobView;
  top: number;
  height: number;
  share: number;
  first: boolean;
  chosen: boolean;
  weekday: number;
  plan: DayView;
  onChoose: (id: string) => void;
  onMove: ((moved: Moved) => void) | null;
}) {
  const {
    setNodeRef: bodyRef,
    listeners: bodyListeners,
    transform: pulled,
  } = useDraggable({ id: `body|${job.id}|${top}`, disabled: !onMove });
  const {
    setNodeRef: edgeRef,
    listeners: edgeListeners,
    transform: stretched,
  } = useDraggable({ id: `edge|${job.id}|${top}`, disabled: !onMove });
  const keys = (event: KeyboardEvent): void => {
    const by = event.key === "ArrowUp" ? -STEP_MIN : event.key === "ArrowDown" ? STEP_MIN : 0;
    if (!by || !onMove) return;
    event.preventDefault();
    if (event.shiftKey)
      onMove({ job: job.id, startMin: job.start, minutes: Math.max(STEP_MIN, job.finish - job.start + by) });
    else onMove({ job: job.id, startMin: Math.max(0, job.start + by) });
  };
  const width = NARROWEST + (1 - NARROWEST) * Math.sqrt(share);
  const words = useMemo(
    () =>
      `${job.title}, ${clockOf(job.start, plan, weekday)} to ${clockOf(job.finish, plan, weekday)}, ${printNumber(job.volumeMl / 1000, 1)} l${job.pinned ? ", locked" : ""}${job.broken.length ? ", breaks a limit" : ""}`,
    [job, plan, weekday],
  );
  const pull = pulled?.y ?? 0;
  const stretch = stretched?.y ?? 0;
  return (
    <div
      className="absolute left-1/2 -translate-x-1/2"
      style={{
        top: top + pull,
        height: Math.max(14, height + stretch),
        width: `${Math.round(100 * width) - 6}%`,
      }}
    >
      <button
        type="button"
        ref={bodyRef}
        {...(onMove ? bodyListeners : {})}
        onKeyDown={keys}
        onClick={() => onChoose(job.id)}
        tabIndex={first ? 0 : -1}
        aria-label={words}
        aria-pressed={chosen}
        title={words}
        className={clsx(
          "block size-full overflow-hidden rounded-t-sm rounded-b-xl border-2 border-t-4 px-1 text-left text-xs leading-tight",
          onMove && "touch-none",
          job.broken.length
            ? "border-beet bg-beet-wash text-ink"
            : chosen
              ? "border-copper bg-saffron-wash text-ink"
              : job.onChain
                ? "border-ink bg-[#ead3b2] text-ink"
                : "border-broth bg-[#f3e4cc] text-ink",
          job.place === "cold" && "border-dashed",
        )}
      >
        {height > 22 && (
          <>
            {job.broken.length > 0 && <span aria-hidden>✕ </span>}
            {job.pinned && <span aria-hidden>● </span>}
            {job.name}
          </>
        )}
        {height > 70 && (
          <span className="mt-0.5 block tabular-nums">{clockOf(job.start, plan, weekday)}</span>
        )}
      </button>
      {onMove && height >= EDGE_FROM_PX && (
        <div
          ref={edgeRef}
          {...edgeListeners}
          aria-hidden
          className="absolute right-2 bottom-0 left-2 h-2 cursor-ns-resize touch-none"
        />
      )}
    </div>
  );
}
