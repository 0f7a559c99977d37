/** What a cook complains of. */
export const COMPLAINTS = [
  "too-thin",
  "too-thick",
  "too-salty",
  "too-sour",
  "too-sweet",
  "bitter",
  "greasy",
  "lumpy",
  "split",
  "cloudy",
  "over-reduced",
  "gluey",
  "watery",
] as const;
export type Complaint = (typeof COMPLAINTS)[number];

export const COMPLAINT_WORDS: Readonly<Record<Complaint, string>> = {
  "too-thin": "too thin",
  "too-thick": "too thick",
  "too-salty": "too salty",
  "too-sour": "too sour",
  "too-sweet": "too sweet",
  bitter: "bitter",
  greasy: "greasy",
  lumpy: "lumpy",
  split: "split",
  cloudy: "cloudy",
  "over-reduced": "over-reduced",
  gluey: "gluey",
  watery: "watery after resting",
};
