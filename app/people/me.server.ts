import { data, redirect } from "react-router";
import {
  accountById,
  addTablet,
  countTry,
  database,
  endSessionsOf,
  forgetTries,
  hashSecret,
  isSecret,
  removeTablet,
  sessionsOf,
  setSecret,
} from "~/data";
import type { Route } from "./+types/me";
import { formOf } from "../request.server";
import { keepSession, keepTablet } from "./cookies.server";
import { type SectionWithPerson, requirePerson } from "./person.server";
import { passwordProblems, pinProblems } from "./secret-rules";

export async function loader({ context, request }: Route.LoaderArgs) {
  const { person, kitchenId, signedIn } = requirePerson(context, request);
  const { db } = database();
  const [account, sessions] = await Promise.all([
    accountById(db, kitchenId, person.id),
    sessionsOf(db, person.id, new Date()),
  ]);
  return {
    person,
    hasPin: account?.pinHash != null,
    shared: signedIn?.tabletId != null,
    sessions: sessions.map(({ id, ...of }) => ({
      ...of,
      key: id.slice(0, 8),
      here: id === signedIn?.sessionId,
    })),
  };
}

const refuse = (problem: string) => data({ problem, said: null }, { status: 422 });
const kept = (said: string, headers?: HeadersInit) =>
  data({ problem: null, said }, headers ? { headers } : {});

export async function action({ context, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const form = await formOf(request);
  const { db } = database();
  const change = changeBy(section);
  const mine = section.signedIn;
  switch (form.get("intent")) {
    case "password": {
      const denied = await provesToBe(section, form);
      if (denied) return refuse(denied);
      const next = String(form.get("next") ?? "");
      const [problem] = passwordProblems(next, section.person);
      if (problem) return refuse(problem.message);
      const passwordHash = await hashSecret(next);
      await setSecret(db, change, section.person.id, { passwordHash }, mine?.sessionId ?? null);
      return kept("Your password is changed. Everywhere else you are signed out.");
    }
    case "pin": {
      const denied = await provesToBe(section, form);
      if (denied) return refuse(denied);
      const pin = String(form.get("pin") ?? "").trim();
      const [problem] = pin ? pinProblems(pin) : [];
      if (problem) return refuse(problem.message);
      await setSecret(db, change, section.person.id, { pinHash: pin ? await hashSecret(pin) : null });
      return kept(pin ? "Your PIN is set." : "You have no PIN any more.");
    }
    case "everywhere":
      await endSessionsOf(db, section.person.id);
      return redirect("/who", { headers: { "Set-Cookie": await keepSession(request, null) } });
    case "share": {
      const name =
        String(form.get("name") ?? "")
          .trim()
          .slice(0, 60) || "Tablet";
      const { token } = await addTablet(db, change, name);
      return kept(`“${name}” is shared from now on: whoever has a PIN changes to their name on it.`, {
        "Set-Cookie": await keepTablet(request, token),
      });
    }
    case "unshare":
      if (mine?.tabletId) await removeTablet(db, change, mine.tabletId);
      return redirect("/who", {
        headers: [
          ["Set-Cookie", await keepTablet(request, null)],
          ["Set-Cookie", await keepSession(request, null)],
        ],
      });
    default:
      return refuse("That is not done here.");
  }
}

const changeBy = ({ kitchenId, person }: SectionWithPerson) => ({
  kitchenId,
  personId: person.id,
  now: new Date(),
});

/** A tablet left lying about changes nobody's password. @returns what is wrong, or `null` */
async function provesToBe({ kitchenId, person }: SectionWithPerson, form: FormData): Promise<string | null> {
  const tries = { account: `${person.login} own` };
  if (await countTry(tries)) return "Too many tries. Wait a quarter of an hour.";
  const account = await accountById(database().db, kitchenId, person.id);
  if (!(await isSecret(account?.passwordHash ?? null, String(form.get("password") ?? ""))))
    return "Your present password is not right.";
  await forgetTries(tries);
  return null;
}
