import { expect, test } from "vitest";
import { type FormulaDocument, blankFormula } from "~/core/formula";
import type { SaveReply, StoredHead } from "./replies";
import { BenchSession, type History } from "./session";

const base = blankFormula("Jus", { name: "bones", massG: 5000 });
const stored: StoredHead = { rowVersion: 3, number: 2, document: base, editedBy: "Noor" };
const named = (name: string) => (d: FormulaDocument) => ({ ...d, name });

/** A session in a world where time passes when it is told to, and the server answers when it is told to. */
function world(left = new Map<string, History>(), kept = new Map<string, string>()) {
  let clock = 0;
  const waiting: { at: number; work: () => void }[] = [];
  const answers: ((reply: SaveReply) => void)[] = [];
  const sent: { rowVersion: number; name: string; at: number }[] = [];
  const session = new BenchSession("jus", stored, {
    storage: {
      getItem: key => kept.get(key) ?? null,
      setItem: (key, value) => void kept.set(key, value),
      removeItem: key => void kept.delete(key),
    },
    now: () => clock,
    after: (ms, work) => {
      const one = { at: clock + ms, work };
      waiting.push(one);
      return () => void (waiting.includes(one) && waiting.splice(waiting.indexOf(one), 1));
    },
    send: (rowVersion, document) => {
      sent.push({ rowVersion, name: document.name, at: clock });
      return new Promise(resolve => answers.push(resolve));
    },
    left,
  });
  session.open();
  return {
    session,
    sent,
    kept,
    pass: (ms: number) => {
      const until = clock + ms;
      for (;;) {
        const [next] = waiting.filter(w => w.at <= until).sort((a, b) => a.at - b.at);
        if (!next) break;
        waiting.splice(waiting.indexOf(next), 1);
        clock = next.at;
        next.work();
      }
      clock = until;
    },
    answer: async (reply: SaveReply) => {
      answers.shift()?.(reply);
      await new Promise(resolve => setTimeout(resolve));
    },
  };
}

test("what is typed is known at once; the page settles when the typing pauses, lazily", () => {
  const { session, pass } = world();
  const paces: string[] = [];
  session.onSettled(pace => paces.push(pace));
  session.edit(named("J"), "name");
  session.edit(named("Ju"), "name");
  expect([session.typed().name, session.settled().document.name]).toEqual(["Ju", "Jus"]);
  pass(250);
  expect([session.settled().document.name, paces]).toEqual(["Ju", ["lazily"]]);
});

test("a step more or less is drawn at once, whoever is typing", () => {
  const { session } = world();
  session.edit(d => ({ ...d, steps: [], name: "x" }), "");
  expect(session.settled().document.name).toBe("x");
});

test("a formula is sent once it has settled and rested, and never twice at a time", async () => {
  const { session, sent, pass, answer } = world();
  session.edit(named("A"));
  pass(700);
  session.edit(named("B"));
  pass(5000);
  expect(sent).toEqual([{ rowVersion: 3, name: "A", at: 700 }]);
  expect(session.settled().saveState).toBe("saving");
  await answer({ kind: "saved", rowVersion: 4, number: 2 });
  pass(700);
  expect(sent.at(-1)).toMatchObject({ rowVersion: 4, name: "B" });
  await answer({ kind: "saved", rowVersion: 5, number: 2 });
  expect(session.settled()).toMatchObject({ saveState: "saved", rowVersion: 5 });
});

test("what was refused is sent again only when it is something else", async () => {
  const { session, sent, pass, answer } = world();
  session.edit(named("A"));
  pass(700);
  await answer({ kind: "refused", message: "no" });
  pass(60_000);
  expect([sent.length, session.settled().refusal]).toEqual([1, "no"]);
  session.edit(named("B"));
  pass(700);
  expect(sent).toHaveLength(2);
});

test("a page left while a formula is on its way finds it again, and what it builds on", async () => {
  const kept = new Map<string, string>();
  const first = world(new Map(), kept);
  first.session.edit(named("A"));
  first.pass(700);
  first.session.close();
  const draft = JSON.parse(kept.get("hondaro-draft-jus") ?? "null") as { sending: FormulaDocument };
  expect(draft.sending.name).toBe("A");
  const again = world(new Map(), kept);
  expect(again.session.settled()).toMatchObject({ saveState: "waiting", document: { name: "A" } });
  again.pass(700);
  await again.answer({ kind: "saved", rowVersion: 4, number: 2 });
  expect(kept.size).toBe(0);
});

test("a network that is gone is tried again, more slowly", async () => {
  const { session, sent, pass, answer } = world();
  session.edit(named("A"));
  pass(700);
  await answer({ kind: "unreachable" });
  pass(3999);
  expect(sent).toHaveLength(1);
  pass(1);
  expect(sent).toHaveLength(2);
});
