import { data, redirect } from "react-router";
import {
  type Account,
  DEMO_SIGN_IN,
  accountById,
  accountByLogin,
  addTablet,
  countTry,
  database,
  endSession,
  forgetTries,
  havePins,
  isSecret,
  openSession,
  tabletAt,
} from "~/data";
import type { Route } from "./+types/who";
import { addressContext, sectionContext } from "../context.server";
import { formOf } from "../request.server";
import { keepSession, keepTablet, sessionToken, tabletToken } from "./cookies.server";
import { inside } from "./inside";

export async function loader({ context, request }: Route.LoaderArgs) {
  const { people, demo, person } = context.get(sectionContext);
  const query = new URL(request.url).searchParams;
  const { db } = database();
  const token = await tabletToken(request);
  const tablet = token === null ? null : await tabletAt(db, token);
  const sharing = tablet ? await havePins(db, tablet.kitchenId) : [];
  return {
    to: inside(query.get("to")),
    person,
    tablet: tablet && { name: tablet.name, people: sharing },
    chosen: sharing.find(p => p.id === query.get("as")) ?? null,
    // Everybody may be anybody in the demo: nothing in it is real.
    demo: demo ? { people: people.filter(p => !p.left), ...DEMO_SIGN_IN } : null,
  };
}

export async function action({ context, request }: Route.ActionArgs) {
  const form = await formOf(request);
  const text = (name: string): string => {
    const value = form.get(name);
    return typeof value === "string" ? value : "";
  };
  const to = inside(text("to") || "/");
  switch (form.get("intent")) {
    case "out":
      return signOut(request);
    case "pin":
      return byPin(request, { id: text("person"), pin: text("pin").trim(), to });
    default:
      return byPassword(request, {
        login: text("login").trim().toLowerCase(),
        password: text("password"),
        shares: text("shares") !== "",
        address: context.get(addressContext),
        to,
      });
  }
}

const refuse = (problem: string, status = 422) => data({ problem }, { status });

const minutes = (waitS: number): string => {
  const whole = Math.max(1, Math.ceil(waitS / 60));
  return `${whole} minute${whole === 1 ? "" : "s"}`;
};

async function signOut(request: Request) {
  const token = await sessionToken(request);
  if (token !== null) await endSession(database().db, token);
  return redirect("/who", { headers: { "Set-Cookie": await keepSession(request, null) } });
}

async function byPassword(
  request: Request,
  asked: { login: string; password: string; shares: boolean; address: string; to: string },
) {
  const { login, password, address, to } = asked;
  if (!login || !password) return refuse("Type your sign-in name and your password.");
  if (login.length > 60 || password.length > 200) return refuse("Name or password is not right.");
  const tries = { account: `${login} ${address}`, name: login };
  const wait = await countTry({ ...tries, address });
  if (wait) return refuse(`Too many tries. Wait ${minutes(wait.waitS)}, then try again.`, 429);
  const { db } = database();
  const account = await accountByLogin(db, login);
  // A name that is not there is answered like a wrong password, and takes as long.
  if (!(await isSecret(account?.passwordHash ?? null, password)) || !account)
    return refuse("Name or password is not right.");
  await forgetTries(tries, { address });
  const now = new Date();
  const change = { kitchenId: account.kitchenId, personId: account.person.id, now };
  const known = await tabletToken(request);
  const here = known === null ? null : await tabletAt(db, known);
  // A tablet that cooks of another kitchen share is not this one's.
  const mine = here?.kitchenId === account.kitchenId ? here : null;
  const made = asked.shares && !mine ? await addTablet(db, change, nameOfDevice(request)) : null;
  return enter(request, account, {
    tabletId: made?.id ?? mine?.id ?? null,
    way: "password",
    to,
    newTablet: made?.token ?? null,
  });
}

async function byPin(request: Request, asked: { id: string; pin: string; to: string }) {
  const { db } = database();
  const token = await tabletToken(request);
  const tablet = token === null ? null : await tabletAt(db, token);
  if (!tablet) return refuse("PINs are for devices that several cooks share. Sign in with your password.");
  const tries = { pin: `${asked.id.slice(0, 40)} ${tablet.id}` };
  const wait = await countTry({ ...tries, tablet: tablet.id });
  if (wait) return refuse(`Too many tries. Sign in with your password, or wait ${minutes(wait.waitS)}.`, 429);
  const account = await accountById(db, tablet.kitchenId, asked.id);
  if (!(await isSecret(account?.pinHash ?? null, asked.pin)) || !account)
    return refuse("That PIN is not right.");
  await forgetTries(tries, { tablet: tablet.id });
  return enter(request, account, { tabletId: tablet.id, way: "pin", to: asked.to, newTablet: null });
}

/** Opens a session in place of the one this device had. */
async function enter(
  request: Request,
  account: Account,
  as: { tabletId: string | null; way: "password" | "pin"; to: string; newTablet: string | null },
) {
  const { db } = database();
  const before = await sessionToken(request);
  if (before !== null) await endSession(db, before);
  const { tabletId, way } = as;
  const token = await openSession(db, { personId: account.person.id, tabletId, way, now: new Date() });
  const headers = new Headers([["Set-Cookie", await keepSession(request, token)]]);
  if (as.newTablet !== null) headers.append("Set-Cookie", await keepTablet(request, as.newTablet));
  return redirect(as.to, { headers });
}

const KINDS: readonly (readonly [RegExp, string])[] = [
  [/iPad|Tablet|Android(?!.*Mobile)/, "Tablet"],
  [/Mobile|iPhone/, "Phone"],
];

/** What a shared device is called until somebody says better. */
function nameOfDevice(request: Request): string {
  const agent = request.headers.get("User-Agent") ?? "";
  return KINDS.find(([pattern]) => pattern.test(agent))?.[1] ?? "Computer";
}
