import { data, redirect } from "react-router";
import { KINDS, answerSchema, checkAnswer } from "~/core/tasting";
import { answerSeat, countTry, database, seatBy, takeSeat, tastingByCode } from "~/data";
import { addressContext } from "../context.server";
import { formOf } from "../request.server";
import type { Route } from "./+types/taste";

/** A taster’s phone proves by its address which seat is its own: nobody has an account here. */
const LONGEST_CODE = 12;
const typedCode = (code: string | undefined): string =>
  (code ?? "").trim().toUpperCase().slice(0, LONGEST_CODE);

async function opened(context: Route.LoaderArgs["context"], code: string) {
  const found = await tastingByCode(database().db, code, new Date());
  if (!found && code) {
    // Only wrong ones count: a whole panel comes in behind one address.
    const refused = await countTry({ code: context.get(addressContext) });
    if (refused)
      throw data(`Too many wrong codes from here. Wait ${Math.ceil(refused.waitS / 60)} minutes.`, {
        status: 429,
        headers: { "Retry-After": String(refused.waitS) },
      });
  }
  return found;
}

export async function loader({ context, params }: Route.LoaderArgs) {
  const code = typedCode(params.code);
  const tasting = code ? await opened(context, code) : null;
  if (!tasting) return { state: "code" as const, code, wrong: code !== "" };
  const token = params.token;
  if (!token) return { state: "name" as const, code, name: tasting.name };
  const seat = await seatBy(database().db, tasting.id, token);
  if (!seat) throw redirect(`/taste/${code}`);
  const { kind, question } = tasting;
  return {
    state: seat.answeredAt ? ("done" as const) : ("cups" as const),
    name: tasting.name,
    place: seat.place + 1,
    kind,
    asks: kind === "paired comparison" ? `Which is ${question}?` : KINDS[kind].says,
    // What is in a cup never leaves the kitchen before it is closed.
    cups: seat.cups.map(({ code: cup, reference }) => ({ code: cup, reference: reference ?? false })),
  };
}

const LONGEST_WORDS = 300;

export async function action({ context, params, request }: Route.ActionArgs) {
  const form = await formOf(request);
  const { db } = database();
  const back = (problem: string) => data({ problem }, { status: 422 });
  const code = typedCode(params.code ?? String(form.get("code") ?? ""));
  const tasting = code ? await opened(context, code) : null;
  if (!tasting) return back("No tasting is open under this code. Ask whoever pours.");
  if (!params.code) return redirect(`/taste/${code}`);
  if (!params.token) {
    const token = await takeSeat(
      db,
      tasting.id,
      String(form.get("name") ?? "")
        .trim()
        .slice(0, 60),
    );
    return token
      ? redirect(`/taste/${code}/${token}`)
      : back("Every place of this tasting is taken. Ask whoever pours.");
  }
  const seat = await seatBy(db, tasting.id, params.token);
  if (!seat) return back("This place is not yours. Enter the code again.");
  const read = answerSchema.safeParse(answerIn(form, tasting.kind, seat.cups));
  if (!read.success) return back("Answer for each of your cups first.");
  const checked = checkAnswer(tasting.kind, seat.cups, read.data);
  if (!checked.ok) return back(checked.problems[0]?.message ?? "That is no answer.");
  const stands = await answerSeat(db, tasting.id, params.token, {
    answer: checked.value,
    words: String(form.get("words") ?? "")
      .trim()
      .slice(0, LONGEST_WORDS),
    now: new Date(),
  });
  return stands ? redirect(`/taste/${code}/${params.token}`) : back("This tasting is closed already.");
}

/** What a form says of the cups. */
function answerIn(
  form: FormData,
  kind: string,
  cups: readonly { code: string; reference?: true }[],
): unknown {
  const open = cups.filter(cup => !cup.reference).map(cup => cup.code);
  if (kind === "scores")
    return {
      scores: Object.fromEntries(
        open.flatMap(code => {
          const text = String(form.get(`cup ${code}`) ?? "").replace(",", ".");
          return text === "" ? [] : [[code, Number(text)]];
        }),
      ),
    };
  if (kind === "ranking") {
    const places = open.map(code => ({ code, place: Number(form.get(`cup ${code}`)) }));
    const all = new Set(places.map(p => p.place)).size === open.length && places.every(p => p.place >= 1);
    return { order: all ? places.sort((a, b) => a.place - b.place).map(p => p.code) : [] };
  }
  const chosen = form.get("chosen");
  return { chosen: chosen === "none" ? null : String(chosen ?? "") };
}
