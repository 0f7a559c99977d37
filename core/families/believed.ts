/** What a cook of a family would believe. */
export interface Believed {
  /** Body at the end, 0–100. */
  readonly body: readonly [lo: number, hi: number];
  /** What is finished, by mass, over the base. */
  readonly yields: readonly [lo: number, hi: number];
}

/** Body and yield by family, over all its schools. Common practice, no source. */
// prettier-ignore
export const BELIEVED: Readonly<Record<string, Believed>> = {
  "brown-stock": { body: [0, 12], yields: [0.9, 2.3] },
  "white-stock": { body: [0, 12], yields: [0.9, 2.4] },
  "poultry-stock": { body: [0, 12], yields: [0.9, 2.4] },
  "fish-stock": { body: [0, 10], yields: [0.7, 2] },
  "shellfish-stock": { body: [0, 10], yields: [1.2, 3.2] },
  "vegetable-stock": { body: [0, 10], yields: [0.9, 2.2] },
  jus: { body: [8, 45], yields: [0.2, 0.7] },
  "braise-liquor": { body: [0, 45], yields: [0.15, 0.7] },
  "pan-sauce": { body: [10, 50], yields: [0.15, 0.6] },
  "roux-gravy": { body: [25, 68], yields: [0.8, 1.2] },
  veloute: { body: [33, 58], yields: [0.8, 1.4] },
  // Thick, with cheese, it binds a gratin.
  "white-sauce": { body: [33, 79], yields: [0.85, 1.4] },
  "white-stew": { body: [14, 50], yields: [0.75, 1.7] },
  glaze: { body: [14, 80], yields: [0.1, 2] },
  "meat-free-brown": { body: [25, 52], yields: [0.35, 1] },
  "meat-free-white": { body: [22, 48], yields: [2, 2.9] },
  "beurre-blanc": { body: [33, 65], yields: [0.9, 1.5] },
  "warm-butter": { body: [45, 68], yields: [1.2, 1.6] },
  mayonnaise: { body: [60, 85], yields: [1.1, 1.5] },
  "egg-white-emulsion": { body: [40, 65], yields: [1.2, 1.6] },
  "fat-emulsion": { body: [15, 45], yields: [1.6, 2.2] },
  "root-puree": { body: [55, 78], yields: [0.85, 1.3] },
  "green-puree": { body: [56, 82], yields: [0.9, 1.3] },
  "fruit-puree": { body: [45, 65], yields: [0.85, 1.3] },
  "potato-puree": { body: [60, 82], yields: [1, 1.5] },
  coulis: { body: [43, 64], yields: [1.1, 1.7] },
  "puree-soup": { body: [0, 48], yields: [1.4, 2.4] },
  bisque: { body: [24, 48], yields: [1.2, 3] },
  glace: { body: [3, 60], yields: [0.08, 0.65] },
  gastrique: { body: [25, 60], yields: [0.9, 1.7] },
  duxelles: { body: [67, 95], yields: [0.35, 0.75] },
  "rendered-fat": { body: [0, 0], yields: [0.25, 0.6] },
  confit: { body: [0, 100], yields: [1.6, 2] },
};
