/** How fast a bath takes heat. Source: docs/models.md "Cooling". */
const OURS = "our estimate";
const FILM = "our estimate: natural convection and radiation; an open top steams too";

// prettier-ignore
export const COOLING_FACTS = {
  iceBathStirred: { value: 250, lo: 150, hi: 400, mark: "E", unit: "W/(m² K)", label: "heat an ice bath takes, liquor and bath stirred", source: OURS },
  iceBathStill: { value: 90, lo: 50, hi: 150, mark: "E", unit: "W/(m² K)", label: "heat an ice bath takes, not stirred", source: OURS },
  runningWater: { value: 200, lo: 120, hi: 300, mark: "E", unit: "W/(m² K)", label: "heat running tap water takes, liquor stirred", source: OURS },
  iceWand: { value: 200, lo: 100, hi: 300, mark: "E", unit: "W/(m² K)", label: "heat an ice wand takes, stirred", source: OURS },
  walkInTrue: { value: 1, lo: 0.7, hi: 1.4, mark: "E", unit: "×", label: "how well the walk-in cools", source: FILM },
  roomTrue: { value: 1, lo: 0.7, hi: 1.4, mark: "E", unit: "×", label: "how well the kitchen air cools", source: FILM },
  blastTrue: { value: 1, lo: 0.6, hi: 1.4, mark: "E", unit: "×", label: "how well the blast chiller cools", source: OURS },
  iceBathC: { value: 1, lo: 1, hi: 1, mark: "E", unit: "°C", label: "temperature of a stirred ice bath", source: OURS },
  iceBathStillC: { value: 2, lo: 2, hi: 2, mark: "E", unit: "°C", label: "temperature of an ice bath nobody stirs", source: OURS },
  walkInC: { value: 3, lo: 3, hi: 3, mark: "E", unit: "°C", label: "temperature of the walk-in", source: OURS },
  blastC: { value: 2, lo: 2, hi: 2, mark: "E", unit: "°C", label: "temperature of the blast chiller", source: OURS },
  tapC: { value: 12, lo: 12, hi: 12, mark: "E", unit: "°C", label: "temperature of the tap water", source: OURS },
  sinkOffK: { value: 0, lo: -1.5, hi: 1.5, mark: "E", unit: "K", label: "how far the cold is from what its display says", source: OURS },
  coolingMassTrue: { value: 1, lo: 0.97, hi: 1.03, mark: "E", unit: "×", label: "how true the mass that cools is", source: OURS },
  thickConduction: { value: 0.5, lo: 0.425, hi: 0.575, mark: "M", unit: "W/(m K)", label: "how well thick food conducts heat", source: "high-water foods 0.5–0.6, from memory" },
  iceLoss: { value: 0.1, lo: 0.05, hi: 0.2, mark: "E", unit: "share", label: "ice the room melts", source: OURS },
  dangerZoneMin: { value: 240, lo: 240, hi: 240, mark: "M", unit: "min", label: "longest between 5 and 60 °C, all told", source: "FDA Food Code § 3-501.19, time as control, from memory; local codes differ" },
} as const;
