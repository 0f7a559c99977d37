import { createContext } from "react-router";
import type { Person, SignedIn } from "~/data";
import type { KitchenAtHand } from "./kitchen/context";

/** Nonce of the request's scripts. */
export const nonceContext = createContext<string>("");

/** The kitchen of the request and who is cooking in it. */
export interface Section {
  readonly kitchenId: string;
  /** How often the kitchen, and the names of its formulas, have changed. */
  readonly revision: number;
  readonly namesRevision: number;
  /** Demo people, runs and records are stamped as such. */
  readonly demo: boolean;
  /** Who works here, and who has left: what they wrote stands under their name. */
  readonly people: readonly Person[];
  /** `null` until somebody has signed in. */
  readonly person: Person | null;
  /** How they signed in. */
  readonly signedIn: Pick<SignedIn, "sessionId" | "tabletId" | "way"> | null;
}

export const sectionContext = createContext<Section>();

/** What the first page of a visit is drawn from. */
export const firstKitchenContext = createContext<KitchenAtHand | null>(null);

/** Set while a request is answered, when the database does not answer. */
export const databaseAwayContext = createContext<{ away: boolean }>();

/** Where a request comes from, for counting tries. */
export const addressContext = createContext<string>("");
