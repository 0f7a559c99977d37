import { useRouteLoaderData } from "react-router";
import { type Right, may } from "~/core/things/rank";
import type { Heads } from "../kitchen/at-hand";

/** Whether who is signed in holds a right: pages leave out what would be refused. The server decides all the same. */
export function useMay(right: Right): boolean {
  const rank = useRouteLoaderData<Heads>("root")?.rank;
  return !rank || may({ rank }, right);
}
