import { readJson } from "~/core/ground/json";
import { worldOf } from "~/core/sums";
import type { Route } from "./+types/sum";
import { sectionContext } from "../context.server";
import { snapshotOf } from "../kitchen/kitchen.server";
import { sumInPool } from "../workers/pool.server";
import { problemJson, problemsJson } from "./problem.server";

/** One quick sum. Needs no sign-in as long as it names nothing of the kit. */
export async function action({ context, params, request }: Route.ActionArgs) {
  const section = context.get(sectionContext);
  const text = await request.text().catch(() => "");
  const sent = readJson(text.trim() || "{}");
  if (!sent.ok) return problemsJson(400, "Not JSON", sent.problems);
  const world = worldOf({ ...(await snapshotOf(section)), formulas: {} });
  const answer = await sumInPool(params.name, sent.value, section.person ? world : { ...world, vessels: [] });
  if (answer.ok) return Response.json(answer.value);
  const [first] = answer.problems;
  const unknown = first?.code === "UNKNOWN_ID" && first.field === "name";
  return problemsJson(unknown ? 404 : 422, "The sum cannot be done", answer.problems);
}

/** A sum is asked by POST; what it takes stands in the list. */
export const loader = () =>
  problemJson(405, "Ask by POST", "Send the input as JSON by POST; GET /api/sums lists all sums.");
