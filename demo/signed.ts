import type { SignedState } from "../data";

/** Who called which version what, and why. Invented. */
export interface DemoSignature {
  readonly formulaId: string;
  /** The version before today’s, where there is one. */
  readonly earlier?: true;
  readonly state: SignedState;
  readonly daysAgo: number;
  readonly reason: string;
}

export const DEMO_SIGNATURES: readonly DemoSignature[] = [
  {
    formulaId: "cider-juniper-pan-sauce",
    earlier: true,
    state: "standard",
    daysAgo: 23,
    reason: "as served in October",
  },
  {
    formulaId: "cider-juniper-pan-sauce",
    state: "standard",
    daysAgo: 12,
    reason: "signed early: the old one came back from the tables as oily",
  },
  {
    formulaId: "guinea-fowl-brown-stock",
    state: "standard",
    daysAgo: 9,
    reason: "signed early: every sauce of the pass stands on it, one way is better than three",
  },
  {
    formulaId: "smoked-trout-veloute",
    state: "trial",
    daysAgo: 3,
    reason: "less smoke; the section tastes it until Sunday",
  },
];
