import { ulid } from "ulid";
import type { Owner } from "./queue";

/**
 * A form that was sent while nobody could be reached. The page it stands on waits for its answer; a page that is closed
 * leaves it here, and the next page sends it. Every form of the house may be sent twice: the server does it once.
 */
export interface WaitingForm {
  readonly id: string;
  /** Where it goes: path and search of its page. */
  readonly path: string;
  readonly body: string;
  readonly personId: string | null;
  /** When it was sent first, ms. */
  readonly at: number;
  /** Why the server does not take it: it stays until a cook has seen it. */
  readonly refused?: string;
}

const WAITING = "hondaro.form.";
const FORM = "application/x-www-form-urlencoded";

const keep = (form: WaitingForm): void => {
  try {
    localStorage.setItem(WAITING + form.id, JSON.stringify(form));
  } catch {
    // No room: the page that stands open still waits for it.
  }
};

export const forgetForm = (id: string): void => localStorage.removeItem(WAITING + id);

/** Only pages of a safe origin have locks; elsewhere a form may go twice, and is done once. */
const locksHere = (): LockManager | null =>
  (navigator as { readonly locks?: LockManager | null }).locks ?? null;

/** Forms that their page no longer waits for: it was left, or something else was sent from it. */
const left = new Set<string>();

/** Keeps a form that nobody took; `null` for what is none, or brings files. What is sent again replaces what was left. */
async function keepForm(request: Request, personId: string | null): Promise<string | null> {
  if (request.method !== "POST" || !request.headers.get("Content-Type")?.startsWith(FORM)) return null;
  const { pathname, search } = new URL(request.url);
  const id = ulid();
  for (const old of left)
    if (read(localStorage.getItem(WAITING + old))?.path === pathname + search) forgetForm(old);
  keep({ id, path: pathname + search, body: await request.clone().text(), personId, at: Date.now() });
  return id;
}

function read(text: string | null): WaitingForm | null {
  try {
    const form = JSON.parse(text ?? "null") as WaitingForm | null;
    return form?.id && form.path ? form : null;
  } catch {
    return null;
  }
}

/** The forms of a cook that wait on this device, the oldest first. */
export const formsWaiting = ({ personId }: Pick<Owner, "personId">): WaitingForm[] =>
  Object.keys(localStorage)
    .filter(key => key.startsWith(WAITING))
    .map(key => read(localStorage.getItem(key)))
    .filter(form => form !== null)
    .filter(form => form.personId === null || form.personId === personId)
    .sort((a, b) => (a.id < b.id ? -1 : 1));

/**
 * Waits for the answer to a form with the form in hand: no other page of this browser sends it meanwhile, and the next does
 * if this one is closed.
 */
export async function waitWithForm(
  request: Request,
  personId: string | null,
  wait: () => Promise<Response>,
): Promise<Response> {
  const id = await keepForm(request, personId);
  if (id === null) return wait();
  try {
    const answer = await (locksHere()?.request(WAITING + id, wait) ?? wait());
    forgetForm(id);
    return answer;
  } catch (gone) {
    left.add(id);
    throw gone;
  }
}

export type SentForm =
  | { readonly kind: "taken"; readonly form: WaitingForm }
  | { readonly kind: "refused"; readonly form: WaitingForm };

/** Sends what waits of a cook and is in nobody’s hand. Stops at the first that nobody answers. */
export async function sendForms(owner: Owner, send: typeof fetch): Promise<SentForm[]> {
  const sent: SentForm[] = [];
  for (const form of formsWaiting(owner)) {
    if (form.refused !== undefined) continue;
    const answer = await ifFree(form, send);
    if (answer === "unreachable") break;
    if (answer !== null) sent.push(answer);
  }
  return sent;
}

async function ifFree(form: WaitingForm, send: typeof fetch): Promise<SentForm | "unreachable" | null> {
  // Somebody may have sent it while the list was read.
  const ours = () => (localStorage.getItem(WAITING + form.id) === null ? null : sendOne(form, send));
  const locks = locksHere();
  return locks
    ? await locks.request(WAITING + form.id, { ifAvailable: true }, async lock => lock && (await ours()))
    : ours();
}

async function sendOne(form: WaitingForm, send: typeof fetch): Promise<SentForm | "unreachable"> {
  const answer = await send(form.path, {
    method: "POST",
    headers: { "Content-Type": `${FORM};charset=UTF-8` },
    body: form.body,
  }).catch(() => null);
  if (!answer || answer.status === 429 || answer.status >= 500) return "unreachable";
  if (answer.ok) {
    forgetForm(form.id);
    return { kind: "taken", form };
  }
  const refused = {
    ...form,
    refused: answer.status === 409 ? "Somebody has changed it since." : "The kitchen did not take it.",
  };
  keep(refused);
  return { kind: "refused", form: refused };
}

const SECTIONS: Readonly<Record<string, string>> = {
  bench: "Bench",
  book: "Book",
  kit: "Kit",
  larder: "Larder",
  batch: "Batch",
};
/** Fields that are no words of a cook. */
const OWN_FIELDS = /^(intent|id|seen|rowVersion|run|to|taken)$/;

/** @example "Larder" */
export const sectionOf = ({ path }: WaitingForm): string =>
  SECTIONS[path.split(/[/.?]/)[1] ?? ""] ?? "the page it was on";

/** The page a form stands on. */
export const pageOf = ({ path }: WaitingForm): string => path.replace(/\.data(\?.*)?$/, "");

/** What was typed. @example "name: Chervil oil, price: 4.20" */
export const typedIn = ({ body }: WaitingForm): string =>
  [...new URLSearchParams(body)]
    .filter(([name, value]) => value.trim() && !OWN_FIELDS.test(name))
    // Names of fields are one word: "perKg".
    .map(([name, value]) => `${name.replace(/[A-Z]/g, letter => ` ${letter.toLowerCase()}`)}: ${value}`)
    .join(", ")
    .slice(0, 300);
