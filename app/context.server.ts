import { createContext } from "react-router";
import type { Person } from "~/data";

/** Nonce of the request's scripts. */
export const nonceContext = createContext<string>("");

/** The kitchen of the request and who is cooking in it. */
export interface Section {
  readonly kitchenId: string;
  readonly people: readonly Person[];
  /** `null` until somebody has said who they are. */
  readonly person: Person | null;
}

export const sectionContext = createContext<Section>();

/** Set while a request is answered, when the database does not answer. */
export const databaseAwayContext = createContext<{ away: boolean }>();
