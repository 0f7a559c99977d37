import { data } from "react-router";
import { create } from "qrcode";
import { outcomeOf, tastingTold } from "~/core/tasting";
import { closeTasting, countSeats, database, decideTasting, findTasting } from "~/data";
import { codeOf } from "../paper/code.server";
import { snapshotOf } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import { formOf } from "../request.server";
import type { Route } from "./+types/tasting";

const gone = () => data("There is no such tasting in this kitchen.", { status: 404 });

export async function loader({ context, params, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { db } = database();
  const found = await findTasting(db, section.kitchenId, params.tastingId);
  if (!found) throw gone();
  const { tasting, seats } = found;
  const names = tasting.samples.map(sample => sample.name);
  const closed = tasting.closedAt !== null;
  const outcome = closed ? outcomeOf(tasting.kind, names.length, seats, tasting.expected) : null;
  const address = `${new URL(request.url).origin}/taste/${tasting.code}`;
  const { timeZone } = await snapshotOf(section);
  return {
    tasting,
    names,
    timeZone,
    // Who serves sees which cup holds what, and nobody’s answer before it is closed.
    seats: seats.map(({ place, cups, taken, name, words }) => ({ place, cups, taken, name, words })),
    counts: await countSeats(db, tasting.id),
    address,
    open: !closed && tasting.codeUntil.getTime() > Date.now(),
    qr: closed ? null : codeOf(create(address, { errorCorrectionLevel: "M" })),
    told: outcome?.ok
      ? tastingTold(tasting.kind, outcome.value, {
          names,
          question: tasting.question,
          expected: tasting.expected,
        })
      : null,
    problem: outcome && !outcome.ok ? (outcome.problems[0]?.message ?? null) : null,
  };
}

const LONGEST_DECISION = 300;

export async function action({ context, params, request }: Route.ActionArgs) {
  const { kitchenId, person } = requirePerson(context, request);
  const { db } = database();
  const change = { kitchenId, personId: person.id, now: new Date() };
  const form = await formOf(request);
  if (!(await findTasting(db, kitchenId, params.tastingId))) throw gone();
  if (form.get("intent") === "close") {
    await closeTasting(db, change, params.tastingId);
    return { problem: null };
  }
  const words = String(form.get("decision") ?? "").trim();
  if (words.length > LONGEST_DECISION)
    return data({ problem: `Say it in ${LONGEST_DECISION} letters.` }, { status: 422 });
  const noted = await decideTasting(db, change, params.tastingId, words);
  return noted
    ? { problem: null }
    : data({ problem: "Close it first: what is sealed decides nothing." }, { status: 409 });
}
