import { data, redirect } from "react-router";
import { ulid } from "ulid";
import { REFERENCE_LARDER } from "~/core/things/larder";
import { USUAL_HOUSE } from "~/core/things/house";
import { database, firstKitchen, foundKitchen, hashSecret, openSession } from "~/data";
import type { Route } from "./+types/first";
import { calledBy, must, number, readForm, usually, words } from "../form.server";
import { formOf } from "../request.server";
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
  const refuse = (problem: string) => data({ problem }, { status: 422 });
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
