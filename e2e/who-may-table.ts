export type Rank = "nobody" | "viewer" | "trainee" | "cook" | "chef";
export const RANKS: readonly Rank[] = ["nobody", "viewer", "trainee", "cook", "chef"];

/**
 * The least rank that may read a route and send to it, written down here once more and by hand: what the application goes
 * by is held against it, asked over the wire. “never” is refused to everybody.
 */
export type Least = Rank | "never";
export const EXPECTED: readonly (readonly [
  pattern: string,
  get: Least,
  post: Least,
  fields?: Record<string, string>,
])[] = [
  ["/who", "nobody", "nobody"],
  ["/first", "nobody", "nobody"],
  ["/me", "viewer", "viewer"],
  ["/people", "chef", "chef"],
  ["/people/changes", "chef", "never"],
  ["/", "viewer", "never"],
  ["/bench", "viewer", "never"],
  ["/bench/new", "viewer", "cook", { name: "x".repeat(500) }],
  ["/bench/new/words", "cook", "cook"],
  ["/bench/new/file", "cook", "cook"],
  ["/bench/new/:familyId", "cook", "cook"],
  ["/bench/:formulaId", "viewer", "trainee"],
  ["/bench/:formulaId", "viewer", "cook", { "{": '"intent":"save"}' }],
  ["/bench/:formulaId/other-main", "cook", "cook"],
  ["/bench/:formulaId/card", "viewer", "never"],
  ["/bench/:formulaId/versions", "viewer", "cook"],
  ["/bench/:formulaId/daughters", "viewer", "never"],
  ["/bench/:formulaId/readings", "never", "trainee"],
  ["/book", "viewer", "never"],
  ["/book/:versionId", "viewer", "viewer"],
  ["/book/:versionId", "viewer", "chef", { intent: "sign" }],
  ["/book.pdf", "viewer", "never"],
  ["/book/:versionId/card.pdf", "viewer", "never"],
  ["/batch/:runId", "viewer", "cook"],
  ["/batches.csv", "viewer", "never"],
  ["/batch/:runId/labels.pdf", "viewer", "never"],
  ["/larder", "viewer", "cook"],
  ["/larder/import", "cook", "cook"],
  ["/larder/:ingredientId", "viewer", "cook"],
  ["/kit", "viewer", "cook"],
  ["/kit/figures", "viewer", "cook"],
  ["/kit/:vesselId", "viewer", "cook"],
  ["/stove/:runId", "viewer", "never"],
  ["/kitchen.ndjson", "chef", "never"],
  ["/larder.csv", "cook", "never"],
  ["/larder.json", "cook", "never"],
  ["/api/formulas/:file", "viewer", "never"],
  ["/api/formulas", "viewer", "never"],
  ["/kitchen/:file", "viewer", "never"],
  // A stream does not end: asked for by its head alone it is not asked for here.
  ["/api/live", "viewer", "never"],
  ["/api/words", "never", "nobody"],
  ["/api/sums", "nobody", "never"],
  ["/api/sums/:name", "never", "nobody"],
  ["/api/runs/:runId/events", "never", "trainee"],
  ["/api/runs/:runId/photos", "never", "trainee"],
  ["/api/photos/:photoId", "viewer", "never"],
  ["/api/devices", "viewer", "never"],
  // An instrument has a secret of its own; whoever is signed in has not.
  ["/api/devices/:key/readings", "never", "never"],
  ["/api/rehearsals/:runId", "viewer", "never"],
];
