import { z } from "zod";
import { readJson } from "~/core/ground/json";
import { batchRecord, runEventSchema } from "~/core/run";
import { type RunEnd, appendEvents, database, findRun } from "~/data";
import type { Route } from "./+types/run-events";
import type { ProblemCode } from "~/core/ground/result";
import { sectionContext } from "../context.server";
import { bookIntoCold } from "../cold/lot-of-batch.server";
import { poke } from "../live/hub.server";
import { type LoadedRun, foldLive, loadRuns } from "../range/live-run.server";
import { problemsJson } from "./problem.server";

const bodySchema = z.object({ events: z.array(runEventSchema).max(500) });

const problem = (status: number, code: ProblemCode, message: string, field = "events") =>
  problemsJson(status, message, [{ code, message, field }]);

const ENDS: ReadonlySet<string> = new Set(["finished", "abandoned", "undone"]);

function endOf(run: LoadedRun): RunEnd {
  const state = foldLive(run);
  return {
    finishedAt: state.finishedAt === null ? null : new Date(state.finishedAt),
    abandoned: state.abandoned !== null,
    record: batchRecord(state),
  };
}

/** Takes a batch of events from a device's queue. Sending the same batch again changes nothing. */
export async function action({ context, params, request }: Route.ActionArgs): Promise<Response> {
  const section = context.get(sectionContext);
  const { kitchenId, person } = section;
  if (!person) return problem(401, "MISSING", "Say who is cooking first.", "personId");
  if (request.method !== "POST") return problem(405, "MODE", "Readings are sent with POST.");
  const { db } = database();
  const run = await findRun(db, kitchenId, params.runId);
  if (!run) return problem(404, "UNKNOWN_ID", "There is no such run in this kitchen.", "runId");
  const sent = readJson(await request.text().catch(() => ""));
  if (!sent.ok) return problemsJson(400, "It did not arrive whole", sent.problems);
  const body = bodySchema.safeParse(sent.value);
  if (!body.success) {
    const issue = body.error.issues[0];
    return problem(
      422,
      "OUT_OF_RANGE",
      issue?.message ?? "A reading did not arrive whole.",
      issue?.path.join("."),
    );
  }
  // Whoever is signed in has written it, whatever it claims.
  const written = body.data.events.map(event => ({ ...event, personId: person.id }));
  // Only an end, or its undoing, changes what the run's row and its batch say.
  const [loaded] =
    run.finishedAt || written.some(e => ENDS.has(e.payload.kind)) ? await loadRuns(section, [run]) : [];
  const outcome = await appendEvents(db, {
    kitchenId,
    runId: run.id,
    events: written,
    now: new Date(),
    ...(loaded && { endOf: events => endOf({ ...loaded, live: { ...loaded.live, events } }) }),
  });
  if (!outcome.ok && "full" in outcome)
    return problem(
      422,
      "OUT_OF_RANGE",
      `This run holds ${outcome.full} readings; more do not fit. Finish it and begin another.`,
    );
  if (!outcome.ok)
    return problem(
      409,
      "DUPLICATE",
      "A reading with this id is kept already, and it says something else.",
      outcome.conflicting,
    );

  if (loaded) await bookIntoCold({ ...section, person }, run.id);
  poke(kitchenId);
  return Response.json({ ok: true, serverNow: Date.now() });
}
