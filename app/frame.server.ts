import type { Route } from "./+types/frame";
import { requirePerson } from "./people/person.server";
import { foldLive, loadLiveRuns } from "./range/live-run.server";
import { UNKNOWN_BAND, forecastOf, isImprovised } from "~/core/run";
import { kindOf } from "~/core/formula";
import { betweenTimes, momentOf } from "./text/format";

export async function loader({ context, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const now = Date.now();
  const onFire = (await loadLiveRuns(section)).map(loaded => {
    const { live, kitchen } = loaded;
    const state = foldLive(loaded);
    const step = state.steps[state.current];
    const forecast = isImprovised(live.document)
      ? null
      : forecastOf(state, now, i => live.bands[i] ?? UNKNOWN_BAND);
    const words = forecast
      ? `${momentOf(forecast.endsAt, now, kitchen.timeZone)} (${betweenTimes(forecast, now, kitchen.timeZone)})`
      : step?.status === "live"
        ? "without a formula"
        : "waits for a cook";
    return {
      id: live.run.id,
      name: live.document.name,
      step: step ? kindOf(step.step).label : "done",
      words,
      progress: forecast?.progress ?? 0,
    };
  });
  return {
    person: section.person,
    onFire,
  };
}
