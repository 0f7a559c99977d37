import { Readable } from "node:stream";
import { data, redirect } from "react-router";
import { ulid } from "ulid";
import { REFERENCE_LARDER } from "~/core/things/larder";
import { USUAL_HOUSE } from "~/core/things/house";
import {
  accountByLogin,
  checkArchive,
  database,
  firstKitchen,
  foundKitchen,
  hashSecret,
  openSession,
  restoreArchive,
  setSecret,
} from "~/data";
import type { Route } from "./+types/first";
import { calledBy, must, number, readForm, usually, words } from "../form.server";
import { fieldsOf, formOf } from "../request.server";
import { keepSession } from "./cookies.server";
import { loginOf } from "./login-of";
import { passwordProblems } from "./secret-rules";

/** Only an empty house is founded. */
export async function loader() {
  if (await firstKitchen(database().db)) throw redirect("/");
  return null;
}

const ZONES = new Set(Intl.supportedValuesOf("timeZone"));

/** The first kitchen with its chef: the larder's compositions, one burner and one pot; everything else is entered. */
export async function action({ request }: Route.ActionArgs) {
  const { db } = database();
  const form = await formOf(request);
  if (form.get("intent") === "bring back") return bringBack(form);
  const read = readForm(form, {
    kitchen: calledBy(120),
    altitudeM: must(
      number("The altitude", { min: -400, max: 5000, unit: "m" }),
      "How high does it stand, in metres?",
    ),
    timeZone: usually(words("The time zone", 60), "UTC"),
    name: calledBy(120),
    login: words("The sign-in name", 60),
    password: words("The password", 200),
  });
  // What was typed stands there again, also where no script runs; a password is typed anew.
  const { password: _password, ...typed } = fieldsOf(form);
  const refuse = (problem: string) => data({ problem, coming: null, typed }, { status: 422 });
  if (!read.ok) return refuse(read.problems[0]?.message ?? "");
  const { kitchen, altitudeM, name, password } = read.value;
  const timeZone = read.value.timeZone || "UTC";
  if (!ZONES.has(timeZone) && timeZone !== "UTC")
    return refuse(`“${timeZone}” is no time zone. Take one such as Europe/Paris.`);
  const login = loginOf(read.value.login || name);
  if (!login) return refuse("A sign-in name has letters or digits.");
  const [weak] = passwordProblems(password, { login, name });
  if (weak) return refuse(weak.message);
  const now = new Date();
  const personId = ulid();
  const founded = await foundKitchen(db, {
    kitchen: { ...START, id: ulid(), name: kitchen, altitudeM, timeZone, ingredients: REFERENCE_LARDER },
    person: { id: personId, name, login, role: "chef", rank: "chef" },
    passwordHash: await hashSecret(password),
    now,
  });
  if (!founded) return redirect("/who");
  const token = await openSession(db, { personId, tabletId: null, way: "password", now });
  return redirect("/kit", { headers: { "Set-Cookie": await keepSession(request, token) } });
}

/**
 * A kitchen that was taken away comes back, all of it or nothing. Without secrets in it, a chef of it gets the password that
 * was typed here. Looked over first: what comes in is said, and nothing is written until somebody presses again.
 */
async function bringBack(form: FormData) {
  const { db } = database();
  const file = form.get("file");
  const typed = {};
  const refuse = (problem: string) => data({ problem, coming: null, typed }, { status: 422 });
  if (!(file instanceof File) || !file.size) return refuse("Choose the file that was taken away.");
  const text = await file.text();
  const lines = () => Readable.from(text.split(/\r?\n/).filter(Boolean)) as AsyncIterable<string>;
  const contents = await checkArchive(lines());
  if (!contents.ok) return refuse(contents.problems[0]?.message ?? "");
  const { secrets, chefs, kitchens, rows } = contents.value;
  const [chef] = chefs;
  if (!chef) return refuse("There is no chef in it: nobody could sign in. Nothing was brought in.");
  const password = String(form.get("password") ?? "");
  const [weak] = secrets ? [] : passwordProblems(password, chef);
  if (form.get("sure") === null || weak)
    return data(
      {
        problem: form.get("sure") !== null && weak ? weak.message : null,
        coming: { kitchens, rows, chef: chef.name, login: chef.login, secrets },
        typed,
      },
      { status: 200 },
    );
  if (!(await restoreArchive(db, lines()))) return redirect("/who");
  if (!secrets) {
    const account = await accountByLogin(db, chef.login);
    if (account)
      await setSecret(db, { kitchenId: account.kitchenId, personId: chef.id, now: new Date() }, chef.id, {
        passwordHash: await hashSecret(password),
      });
  }
  return redirect("/who");
}

/** What a kitchen begins with; its own is entered on the Kit. */
const START = {
  pressurePa: null,
  ambientC: 22,
  humidity: 0.5,
  defaultBurnerId: "burner-1",
  burners: [
    { id: "burner-1", name: "Burner 1", kind: "gas-pro", xMm: 30, yMm: 30, widthMm: 410, depthMm: 420 },
  ],
  vessels: [
    {
      id: "pot-28",
      name: "Pot 28",
      use: "pot",
      shape: { shape: "cylinder", diameterMm: 280, heightMm: 200 },
      tareG: 2900,
      metal: "steel",
      handles: "two",
    },
  ],
  appliances: [],
  facts: {},
  house: USUAL_HOUSE,
  formulas: {},
} as const;
