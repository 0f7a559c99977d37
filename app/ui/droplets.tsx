import { useMemo } from "react";

/** Places of droplets, drawn once: golden-angle spiral, so that any number of them is spread evenly. */
const PLACES = Array.from({ length: 260 }, (_, i) => {
  const r = Math.sqrt((i + 0.5) / 260);
  const a = i * 2.399963;
  return [r * Math.cos(a), r * Math.sin(a)] as const;
});

/** The drops reach the rim of the lens. */
const SPREAD = 98;

/**
 * An emulsion as it would look under a lens: oil in drops, water between, to their true proportion. Close to the limit
 * the drops touch and flatten.
 */
export function Droplets({ fatVolume, size = 190 }: { fatVolume: number; size?: number }) {
  const drops = useMemo(() => {
    const r = Math.sqrt(Math.min(0.95, fatVolume) / PLACES.length);
    return PLACES.map(([x, y]) => ({ x: 100 + SPREAD * x, y: 100 + SPREAD * y, r: SPREAD * r }));
  }, [fatVolume]);
  return (
    <svg
      viewBox="0 0 200 200"
      width={size}
      role="img"
      aria-label={`Under the lens: ${Math.round(100 * fatVolume)} per cent oil by volume in drops, the rest water`}
    >
      <circle cx="100" cy="100" r="97" fill="#f3ead3" stroke="#231f2b" strokeWidth="3" />
      <clipPath id="lens">
        <circle cx="100" cy="100" r="95" />
      </clipPath>
      <g clipPath="url(#lens)">
        {drops.map(d => (
          <circle
            key={`${d.x}-${d.y}`}
            cx={d.x}
            cy={d.y}
            r={d.r}
            fill="#d8b64a"
            stroke="#a8852a"
            strokeWidth="0.8"
          />
        ))}
      </g>
    </svg>
  );
}
