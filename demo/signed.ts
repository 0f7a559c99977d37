import type { SignedState } from "../data";

/** Who called which version what, and why. Invented. */
export interface DemoSignature {
  readonly formulaId: string;
  /** The version before today’s, where there is one. */
  readonly earlier?: true;
  readonly state: SignedState;
  readonly daysAgo: number;
  readonly reason: string;
  /** Its batches had shown it by then. */
  readonly ready?: true;
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
  {
    formulaId: "trout-fumet",
    state: "standard",
    daysAgo: 0.6,
    ready: true,
    reason: "ten batches, all of them inside",
  },
  {
    formulaId: "verjus-butter-sauce",
    state: "trial",
    daysAgo: 10,
    reason: "on the card for a fortnight, to see whether it comes out the same",
  },
  {
    formulaId: "langoustine-bisque",
    state: "trial",
    daysAgo: 4,
    reason: "shells from the new boat: salt and strength are watched",
  },
  {
    formulaId: "buckwheat-brown-gravy",
    state: "trial",
    daysAgo: 6,
    reason: "without wheat for those who ask; holds on the line, body to be tested",
  },
  {
    formulaId: "nettle-soup",
    state: "trial",
    daysAgo: 5,
    reason: "season begins; the green is not yet the same every day",
  },
  {
    formulaId: "morel-cream",
    state: "trial",
    daysAgo: 5,
    reason: "soaking water weighed instead of measured: does it come out the same?",
  },
  {
    formulaId: "mushroom-barley-stock",
    state: "standard",
    daysAgo: 8,
    reason: "signed early: the vegetarian dishes need one stock now",
  },
];
