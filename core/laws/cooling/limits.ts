/** Limits a cooling batch is held against. Guidance: the local code and the site's own plan decide. */
export interface CoolingStage {
  readonly name: string;
  readonly endC: number;
  /** Counted from the start temperature, min. */
  readonly allowedMin: number;
}

export interface CoolingProfile {
  readonly id: string;
  readonly name: string;
  readonly startC: number;
  /** Warmed to this, the clock starts again; less does not count. */
  readonly reheatC: number;
  readonly stages: readonly CoolingStage[];
  readonly source: string;
}

export const PROFILE_IDS = ["fda", "uk", "cook-chill"] as const;
export type ProfileId = (typeof PROFILE_IDS)[number];

export const PROFILES: Record<ProfileId, CoolingProfile> = {
  fda: {
    id: "fda",
    name: "two stages",
    startC: 57,
    reheatC: 74,
    stages: [
      { name: "57 to 21 °C", endC: 21, allowedMin: 120 },
      { name: "57 to 5 °C", endC: 5, allowedMin: 360 },
    ],
    source: "FDA Food Code 2017/2022 § 3-501.14(A), from memory",
  },
  uk: {
    id: "uk",
    name: "to 8 °C",
    startC: 63,
    reheatC: 75,
    stages: [{ name: "63 to 8 °C", endC: 8, allowedMin: 90 }],
    source: "Food Safety and Hygiene (England) Regulations 2013; 90 min from guidance, from memory",
  },
  "cook-chill": {
    id: "cook-chill",
    name: "cook-chill",
    startC: 70,
    reheatC: 75,
    stages: [{ name: "70 to 3 °C", endC: 3, allowedMin: 90 }],
    source: "UK Department of Health cook-chill guidelines 1989, from memory",
  },
};

/** "57 to 21 °C within 2 h, 57 to 5 °C within 6 h". */
export const limitsInWords = (id: ProfileId): string =>
  PROFILES[id].stages.map(({ name, allowedMin }) => `${name} within ${allowedMin / 60} h`).join(", ");
