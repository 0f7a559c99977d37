import { ulid } from "ulid";

/** A cook of the demo kitchen without a browser: signs in, puts a pot on, logs. */
export interface Cook {
  readonly url: string;
  readonly headers: Readonly<Record<string, string>>;
}

export async function signIn(url: string, person = "noor"): Promise<Cook> {
  const answer = await fetch(`${url}/who`, {
    method: "POST",
    body: new URLSearchParams({ login: person, password: "kelder-pass" }),
    redirect: "manual",
  });
  const cookie = answer.headers.get("set-cookie")?.split(";")[0];
  if (!cookie) throw new Error(`Nobody could sign in: ${answer.status}`);
  return { url, headers: { Cookie: cookie } };
}

/** Puts a formula on the fire. */
export async function startRun({ url, headers }: Cook, formulaId: string): Promise<string> {
  const run = ulid();
  const answer = await fetch(`${url}/bench/${formulaId}`, {
    method: "POST",
    headers,
    body: new URLSearchParams({ run, burner: "open-1", taken: "open-1" }),
    redirect: "manual",
  });
  if (answer.status !== 302) throw new Error(`No pot was put on: ${answer.status} ${await answer.text()}`);
  return run;
}

export const note = (text: string, stepId = "s1") => ({
  id: ulid(),
  at: new Date().toISOString(),
  clockOffsetMs: 0,
  personId: "noor",
  payload: { kind: "noted", stepId, text },
});

export const post = ({ url, headers }: Cook, path: string, body: unknown): Promise<Response> =>
  fetch(url + path, {
    method: "POST",
    headers: { ...headers, "Content-Type": "application/json" },
    body: JSON.stringify(body),
    signal: AbortSignal.timeout(15_000),
  });
