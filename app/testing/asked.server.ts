import { type ActionFunctionArgs, RouterContextProvider } from "react-router";
import { loadDemo } from "~/demo/load";
import { basisOf } from "~/core/formula";
import {
  type Connection,
  database,
  findFormula,
  firstKitchen,
  listPeople,
  openSession,
  signedIn,
  startRun,
} from "~/data";
import { STOCK_ID } from "~/demo/formulas";
import { DEMO_KITCHEN, KITCHEN_ID } from "~/demo/kitchen";
import { freshDatabase } from "~/data/testing/fresh";
import { loadKitchen } from "~/data/testing/kitchen";
import { addressContext, sectionContext } from "../context.server";

/** Loaders and actions asked as the router asks them: a request in, what they answer out. */

/** Lets this process serve a demo kitchen of its own. */
export async function openDemo(): Promise<Connection> {
  process.env.DATABASE_URL = await freshDatabase();
  const connection = database();
  await loadDemo(connection.db, new Date("2026-11-23T08:00:00Z"));
  return connection;
}

/** Lets this process serve a kitchen as an earlier version left it. */
export async function openEarlier(sql: string): Promise<Connection> {
  process.env.DATABASE_URL = await freshDatabase(sql);
  return database();
}

type Args = Pick<ActionFunctionArgs, "request" | "params" | "context">;

/** What a route is asked with. @param as who is signed in, by id; nobody where it is `null` */
export async function argsFor(
  request: Request,
  params: Record<string, string> = {},
  as: string | null = "noor",
): Promise<never> {
  const { db } = database();
  const now = new Date();
  const who = { personId: as ?? "", tabletId: null, way: "password", now } as const;
  const here = as === null ? null : await signedIn(db, await openSession(db, who), now);
  const kitchen = here?.kitchen ?? (await firstKitchen(db));
  if (!kitchen) throw new Error("The demo kitchen is not there.");
  const { id: kitchenId, ...heads } = kitchen;
  const people = await listPeople(db, kitchenId);
  const context = new RouterContextProvider();
  context.set(sectionContext, {
    kitchenId,
    ...heads,
    people,
    person: here?.person ?? null,
    signedIn: here,
  });
  context.set(addressContext, "127.0.0.1");
  return { request, params, context } satisfies Args as never;
}

const AT = "http://hondaro.test/";
export const get = (path = ""): Request => new Request(AT + path);
export const sentForm = (fields: Readonly<Record<string, string>>): Request => {
  const body = new FormData();
  for (const [name, value] of Object.entries(fields)) body.set(name, value);
  return new Request(AT, { method: "POST", body });
};
export const sentJson = (value: unknown): Request =>
  new Request(AT, {
    method: "POST",
    headers: { "Content-Type": "application/json" },
    body: JSON.stringify(value),
  });

/** The status and the content of whatever a route answered or threw: a response, data with a status, or plain data. */
export async function answered(work: unknown): Promise<{ status: number; body: unknown; to: string | null }> {
  const got: unknown = await Promise.resolve(work).catch((error: unknown) => error);
  if (got instanceof Response) {
    const text = await got.text();
    const json = got.headers.get("Content-Type")?.includes("json");
    return { status: got.status, body: json ? JSON.parse(text) : text, to: got.headers.get("Location") };
  }
  if (got instanceof Error) throw got;
  const held = got as { data?: unknown; init?: { status?: number } | null; type?: string };
  return held?.type === "DataWithResponseInit"
    ? { status: held.init?.status ?? 200, body: held.data, to: null }
    : { status: 200, body: got, to: null };
}

/** Puts a formula of the demo on the fire. @returns the run */
export async function putOnFire(formulaId = STOCK_ID): Promise<string> {
  const stored = await findFormula(database().db, KITCHEN_ID, formulaId);
  if (!stored) throw new Error(`The demo has no ${formulaId}.`);
  const kitchen = await loadKitchen(database().db, KITCHEN_ID);
  return startRun(database().db, {
    kitchenId: KITCHEN_ID,
    formulaId,
    formulaVersionId: stored.versionId,
    baseG: stored.document.base.massG,
    burnerId: "open-1",
    personId: "noor",
    now: new Date(),
    basis: basisOf(stored.document, kitchen ?? DEMO_KITCHEN),
  });
}
