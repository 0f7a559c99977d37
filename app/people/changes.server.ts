import { listChanges, database } from "~/data";
import { g, printMass } from "~/core/ground/quantity";
import { madeHereOf, snapshotOf } from "../kitchen/kitchen.server";
import type { Route } from "./+types/changes";
import { requirePerson } from "./person.server";

const ON_A_PAGE = 100;

/** Who changed what in this kitchen, the latest first. */
export async function loader({ context, request }: Route.LoaderArgs) {
  const section = requirePerson(context, request);
  const { kitchenId, people } = section;
  const query = new URL(request.url).searchParams;
  const by = people.find(p => p.id === query.get("by"))?.id;
  const before = query.get("before")?.slice(0, 26) || undefined;
  const found = await listChanges(database().db, kitchenId, {
    ...(by !== undefined && { by }),
    ...(before !== undefined && { before }),
    most: ON_A_PAGE + 1,
  });
  const changes = found.slice(0, ON_A_PAGE);
  const [names, { ingredients, vessels, burners }] = await Promise.all([
    madeHereOf(section),
    snapshotOf(section),
  ]);
  const called = new Map(
    [...ingredients, ...vessels, ...burners, ...people].map(thing => [thing.id, thing.name]),
  );
  return {
    changes: changes.map(({ detail, formulaId, subject, what, ...of }) => ({
      ...of,
      what: VERBS[what] ?? what,
      subject: (formulaId && names[formulaId]?.name) ?? called.get(subject) ?? subject,
      detail: inWords(detail),
    })),
    people,
    by: by ?? null,
    earlier: found.length > ON_A_PAGE ? (changes.at(-1)?.id ?? null) : null,
  };
}

/** What was done, in words; what is not here is called by its own name. */
const VERBS: Readonly<Record<string, string>> = {
  "run.started": "put on the fire",
  "formula.saved": "changed",
  "formula.created": "written",
  "formula.kept": "kept as a version",
  "formula.branched": "a trial begun",
  "formula.restored": "an earlier version brought back",
  "formula.brought in": "brought in from a file",
  "version.signed": "signed",
  "device.connected": "instrument connected",
  "device.disconnected": "instrument taken off",
  "kitchen.founded": "kitchen opened",
  password: "new password",
  pin: "new PIN",
  tablet: "shared device",
};

const MOST_SIGNS = 160;

/** What a change was about, in a line; nothing secret is ever kept there. Numbers that only machines read stay out. */
function inWords(detail: Record<string, unknown>): string {
  const words = Object.entries(detail)
    .filter(([key, value]) => value !== null && value !== undefined && value !== "" && !key.endsWith("Id"))
    .map(([key, value]) =>
      key === "baseG"
        ? printMass(g(Number(value)))
        : `${key} ${typeof value === "object" ? JSON.stringify(value) : String(value as string)}`,
    )
    .join(", ");
  return words.length > MOST_SIGNS ? `${words.slice(0, MOST_SIGNS)} …` : words;
}
