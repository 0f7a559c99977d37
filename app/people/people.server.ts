import { randomInt } from "node:crypto";
import { data } from "react-router";
import { ulid } from "ulid";
import { RANKS } from "~/core/things/rank";
import { addPerson, changePerson, database, hashSecret, listTablets, removeTablet, setSecret } from "~/data";
import type { Route } from "./+types/people";
import { calledBy, must, oneOf, readForm, words } from "../form.server";
import { formOf } from "../request.server";
import { loginOf } from "./login-of";
import { requirePerson } from "./person.server";

export async function loader({ context, request }: Route.LoaderArgs) {
  const { people, person, kitchenId } = requirePerson(context, request);
  return { people, me: person.id, tablets: await listTablets(database().db, kitchenId) };
}

interface Reply {
  readonly problem: string | null;
  readonly said: string | null;
}
const refuse = (problem: string) => data<Reply>({ problem, said: null }, { status: 422 });
const kept = (said: string) => data<Reply>({ problem: null, said });

export async function action({ context, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const { kitchenId, person, people } = section;
  const form = await formOf(request);
  const { db } = database();
  const change = { kitchenId, personId: person.id, now: new Date() };
  const of = people.find(p => p.id === form.get("person") && !p.left);
  switch (form.get("intent")) {
    case "add": {
      const read = readForm(form, {
        name: calledBy(120),
        role: words("The post", 60),
        rank: must(oneOf(RANKS), "Choose what they may do."),
      });
      if (!read.ok) return refuse(read.problems[0]?.message ?? "");
      const { name, role, rank } = read.value;
      const login = loginOf(String(form.get("login") || name));
      if (!login) return refuse("A sign-in name has letters or digits.");
      const id = ulid();
      if (!(await addPerson(db, change, { id, name, role: role || rank, rank, login })))
        return refuse(`Somebody signs in as “${login}” already. Take another sign-in name.`);
      const password = firstPassword();
      await setSecret(db, change, id, { passwordHash: await hashSecret(password) });
      return kept(
        `${name} signs in as “${login}” with the password “${password}”, and then sets one of their own.`,
      );
    }
    case "rank": {
      if (!of) return refuse("Nobody of that name works here.");
      const rank = RANKS.find(one => one === form.get("rank"));
      if (!rank) return refuse("Choose what they may do.");
      const done = await changePerson(db, change, of.id, { rank });
      return done === "changed" ? kept(`${of.name} is ${rank} now.`) : refuse(NEEDS_CHEF);
    }
    case "password": {
      if (!of) return refuse("Nobody of that name works here.");
      const password = firstPassword();
      await setSecret(db, change, of.id, { passwordHash: await hashSecret(password) });
      return kept(`${of.name} signs in with “${password}” from now on, and is signed out everywhere.`);
    }
    case "leaves": {
      if (!of) return refuse("Nobody of that name works here.");
      const done = await changePerson(db, change, of.id, { leaves: true });
      return done === "changed"
        ? kept(`${of.name} signs in no more. What they wrote stands under their name.`)
        : refuse(NEEDS_CHEF);
    }
    case "tablet":
      await removeTablet(db, change, String(form.get("tablet") ?? ""));
      return kept("That device is shared no more; whoever was signed in on it is signed out.");
    default:
      return refuse("That is not done here.");
  }
}

const NEEDS_CHEF = "A kitchen keeps a chef: somebody has to sign its recipes and look after its people.";

// No letters and digits that are taken for one another when somebody reads them out.
const SIGNS = "abcdefghkmnpqrstuvwxyz23456789";
/** A password to be told once: about 59 bits. */
const firstPassword = (): string =>
  Array.from({ length: 3 }, () =>
    Array.from({ length: 4 }, () => SIGNS[randomInt(SIGNS.length)]).join(""),
  ).join("-");
