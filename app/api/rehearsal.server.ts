import { INSTRUMENTS, type Shown, shows } from "~/devices/instruments";
import { seedOf } from "~/devices/random";
import { trueKitchen } from "~/devices/true-kitchen";
import { type TrueMishap, truePot } from "~/devices/true-pot";
import { database, findRun } from "~/data";
import type { Route } from "./+types/rehearsal";
import { sectionContext } from "../context.server";
import { loadRuns } from "../range/live-run.server";
import { rehearsalClock } from "../ui/clock";

/** What the instruments of a rehearsal show at this moment, and what has gone wrong. What is true of the stove stays here. */
export interface RehearsalNow {
  readonly shown: readonly Shown[];
  readonly wrong: readonly TrueMishap[];
}

const refuse = (status: number, words: string) => new Response(words, { status });

/** A probe of this kitchen reads beside the truth by its own offset. */
export async function loader({ context, params }: Route.LoaderArgs): Promise<Response> {
  const section = context.get(sectionContext);
  if (!section.person) return refuse(401, "Say who is cooking first.");
  const run = await findRun(database().db, section.kitchenId, params.runId);
  if (!run?.rehearsal) return refuse(404, "There is no such rehearsal in this kitchen.");
  const [loaded] = await loadRuns(section, [run]);
  if (!loaded) return refuse(404, "There is no such rehearsal in this kitchen.");
  const { live, kitchen } = loaded;
  const { seed, speed } = run.rehearsal;
  const now = rehearsalClock(run.startedAt.getTime(), speed).at(Date.now());
  const truth = truePot(live.events, live.document, trueKitchen(kitchen, seed), run.burnerId, now);
  const probe = kitchen.appliances.find(a => a.kind === "probe");
  const shown = INSTRUMENTS.flatMap(
    one =>
      shows(
        one,
        truth,
        seedOf(`${seed} ${one} ${Math.floor(now / 1000)}`),
        probe?.kind === "probe" ? probe.offsetC : 0,
      ) ?? [],
  );
  return Response.json({ shown, wrong: truth.wrong } satisfies RehearsalNow, {
    headers: { "Cache-Control": "no-store" },
  });
}
