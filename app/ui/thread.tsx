import clsx from "clsx";
import { type ReactNode, memo } from "react";

/** Widest a thread gets, px. */
const WIDEST = 18;
const THINNEST = 1.5;
/** The thread, and the figure beside it. */
const COLUMNS = { gridTemplateColumns: `${WIDEST}px minmax(0, 1fr)` };

const widthOf = (share: number) => (share <= 0 ? 0 : THINNEST + (WIDEST - THINNEST) * Math.min(1, share));

export interface ThreadProps {
  /** Amount before and after the row, as a share of the largest along the line; `null` where there is none. */
  from: number | null;
  to: number | null;
  colour: string;
  /** The figure, only where it changes. */
  children?: ReactNode;
  className?: string;
}

/** One row of a thread: an unbroken line down the page whose thickness is the amount. Neighbouring rows meet edge to edge. */
export function Thread({ from, to, colour, children, className }: ThreadProps) {
  return (
    <div className={clsx("gap-x-1.5", className)} style={COLUMNS}>
      <Shape from={from} to={to} colour={colour} />
      <div className="py-2.5 leading-5">{children}</div>
    </div>
  );
}

const Shape = memo(function Shape({ from, to, colour }: Pick<ThreadProps, "from" | "to" | "colour">) {
  const top = widthOf(from ?? 0) / 2;
  const bottom = widthOf(to ?? 0) / 2;
  const c = WIDEST / 2;
  // The amount changes in the upper part of the row, beside the figure.
  const shape = `M${c - top},0 C${c - top},26 ${c - bottom},14 ${c - bottom},40 L${c - bottom},100 L${c + bottom},100 L${c + bottom},40 C${c + bottom},14 ${c + top},26 ${c + top},0Z`;
  return (
    <svg
      aria-hidden="true"
      className="h-0 min-h-full overflow-visible"
      width={WIDEST}
      viewBox={`0 0 ${WIDEST} 100`}
      preserveAspectRatio="none"
    >
      <path d={shape} fill={colour} />
    </svg>
  );
});
