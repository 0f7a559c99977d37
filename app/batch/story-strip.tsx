import type { Chapter, Moment } from "~/core/run";
import { clockTime } from "../text/format";

const WIDTH = 880;
const HEIGHT = 64;
const BAR_Y = 22;
const BAR = 18;
const TINTS = ["fill-linen", "fill-rule"];
const INKS: Readonly<Record<Moment["kind"], string>> = {
  read: "fill-faded",
  in: "fill-copper",
  tasted: "fill-sorrel",
  wrong: "fill-beet",
  mended: "fill-sorrel",
  seen: "fill-ink",
  said: "fill-faded",
  changed: "fill-saffron-ink",
};
/** A title is written where its step is at least so wide, px a letter. */
const LETTER = 7;
/** Step or pause shorter than this share of the run is drawn as wide as that, so that it is seen. */
const LEAST = 0.012;

/** The run at a glance: steps as wide as they took, and what happened in them. */
export function StoryStrip({ chapters, timeZone }: { chapters: readonly Chapter[]; timeZone: string }) {
  const timed = chapters.flatMap(c =>
    c.from !== null && c.to !== null ? [{ ...c, from: c.from, to: c.to }] : [],
  );
  const [from, to] = [Math.min(...timed.map(c => c.from)), Math.max(...timed.map(c => c.to))];
  if (!(to > from)) return null;
  const x = (at: number): number => Math.min(1, Math.max(0, (at - from) / (to - from))) * WIDTH;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="mt-2 w-full"
      role="img"
      aria-label={`From ${clockTime(from, timeZone)} to ${clockTime(to, timeZone)}; the list below says it in words`}
    >
      {timed.map((c, i) => {
        const width = Math.max(LEAST * WIDTH, x(c.to) - x(c.from));
        return (
          <g key={c.stepId}>
            <rect x={x(c.from)} y={BAR_Y} width={width} height={BAR} className={TINTS[i % TINTS.length]}>
              <title>{c.title}</title>
            </rect>
            {width > c.title.length * LETTER && (
              <text x={x(c.from) + 4} y={BAR_Y + 13} className="fill-ink text-xs">
                {c.title}
              </text>
            )}
          </g>
        );
      })}
      {chapters.flatMap(c =>
        c.moments.map(moment =>
          moment.kind === "wrong" ? (
            <path key={moment.key} d={`M${x(moment.at) - 6} 16 l6 -11 l6 11 z`} className={INKS.wrong}>
              <title>{moment.words}</title>
            </path>
          ) : (
            <circle key={moment.key} cx={x(moment.at)} cy={12} r={4} className={INKS[moment.kind]}>
              <title>{moment.words}</title>
            </circle>
          ),
        ),
      )}
      <text x={0} y={HEIGHT - 6} className="fill-faded text-xs">
        {clockTime(from, timeZone)}
      </text>
      <text x={WIDTH} y={HEIGHT - 6} textAnchor="end" className="fill-faded text-xs">
        {clockTime(to, timeZone)}
      </text>
    </svg>
  );
}
