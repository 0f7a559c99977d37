import { type Asked, askedOf } from "./inputs";
import { type Cook, signIn, startRun } from "./client";

/** A busy machine may take its time; what is told as slow is told by the milliseconds beside it. */
const PATIENCE_MS = 60_000;
const AT_ONCE = 4;

export interface Answered extends Asked {
  /** HTTP status; 0 where no answer came. */
  readonly status: number;
  readonly ms: number;
}

async function ask({ url, headers }: Cook, asked: Asked): Promise<Answered> {
  const from = performance.now();
  const status = await fetch(url + asked.path, {
    method: asked.method,
    headers: { ...headers, ...(asked.type !== undefined && { "Content-Type": asked.type }) },
    ...(asked.body !== undefined && asked.method !== "GET" && { body: asked.body }),
    redirect: "manual",
    signal: AbortSignal.timeout(PATIENCE_MS),
  }).then(
    async answer => {
      await answer.arrayBuffer();
      return answer.status;
    },
    () => 0,
  );
  return { ...asked, status, ms: performance.now() - from };
}

/** Sends so many hostile requests, the same for the same seed, a few at a time. */
export async function attack(
  url: string,
  { seed, count, formulaId }: { seed: number; count: number; formulaId: string },
): Promise<Answered[]> {
  const cook = await signIn(url);
  const run = await startRun(cook, formulaId);
  const waiting = askedOf(seed, count).map(asked => ({ ...asked, path: asked.path.replace("RUN", run) }));
  const answered: Answered[] = [];
  const worker = async () => {
    for (let asked = waiting.shift(); asked; asked = waiting.shift()) answered.push(await ask(cook, asked));
  };
  await Promise.all(Array.from({ length: AT_ONCE }, worker));
  return answered;
}

/** No answer, or one that says that something broke on our side. */
export const broke = ({ status }: Answered): boolean => status === 0 || status >= 500;

export const inWords = ({ method, path, type, body, status, ms }: Answered): string =>
  `${status} ${Math.round(ms)} ms  ${method} ${path} ${type ?? ""} ${(body ?? "").slice(0, 300)}`;
