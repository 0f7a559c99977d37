import type { Problem } from "~/core/ground/result";
import { data, redirect } from "react-router";
import { bathFor, bathNeeded } from "~/core/laws/cooling";
import { printVolume } from "~/core/ground/quantity";
import { geometryOfVessel } from "~/core/things/vessel";
import { database, findStoredVessel, saveVessel } from "~/data";
import type { Route } from "./+types/vessel";
import { snapshotOf } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import { readVesselForm } from "./vessel-form.server";
import { formOf, listsOf } from "../request.server";

export interface Refused {
  readonly problems: readonly Problem[];
  readonly values: Readonly<Record<string, readonly string[]>>;
}

const NEW = "new";

export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { kitchenId } = section;
  if (params.vesselId === NEW) return { stored: null, bath: null };
  const [stored, kitchen] = await Promise.all([
    findStoredVessel(database().db, kitchenId, params.vesselId),
    snapshotOf(section),
  ]);
  if (!stored) throw data("The kit has no such vessel.", { status: 404 });
  const capacity = geometryOfVessel(stored.vessel).capacityMl;
  const needed = bathNeeded(capacity);
  const others = kitchen.vessels.filter(v => v.id !== stored.vessel.id && v.use !== "tray");
  const bath = bathFor(capacity, others);
  const sinks = kitchen.appliances.filter(a => a.kind === "cold place" && a.method === "ice-bath");
  return {
    stored,
    bath: bath.ok
      ? `In ice it wants a bath of ${printVolume(bath.value.neededMl)} or more: ${bath.value.vessel.name} takes it${sinks.length ? ", or the ice sink" : ""}.`
      : sinks.some(a => a.kind === "cold place" && a.holdsMl >= needed)
        ? `In ice it wants ${printVolume(needed)} or more: only the ice sink takes it.`
        : (bath.problems[0]?.message ?? null),
  };
}

export async function action({ context, params, request }: Route.ActionArgs) {
  const { kitchenId, person } = requirePerson(context, request);
  const { db } = database();
  const form = await formOf(request);
  const values = listsOf(form);
  const before = params.vesselId === NEW ? null : await findStoredVessel(db, kitchenId, params.vesselId);
  const read = readVesselForm(form, before?.vessel ?? null);
  if (!read.ok) return data<Refused>({ problems: read.problems, values }, { status: 422 });
  const saved = await saveVessel(
    db,
    { kitchenId, personId: person.id, now: new Date() },
    read.value,
    Math.trunc(Number(form.get("rowVersion"))) || 0,
  );
  if (saved === "stale") {
    const message = before
      ? "Somebody else has changed it since you opened it. Your figures stand here still; open it anew beside and compare."
      : "The kit has a vessel of that name already.";
    return data<Refused>(
      { problems: [{ code: "DUPLICATE", field: "name", message }], values },
      { status: 409 },
    );
  }
  return redirect(`/kit/${read.value.id}`);
}
