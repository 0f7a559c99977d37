import { useMemo } from "react";
import { Form, Link, useLocation } from "react-router";
import { type FormulaDocument, type Kitchen, openKitchen, walk } from "~/core/formula";
import { printNumber } from "~/core/ground/quantity";
import { LONGEST_RECIPE, formulaFromDraft, termsHeard } from "~/core/words";
import { useKitchenWith } from "../../kitchen/context";
import { Button } from "../../ui/button";
import { useTypedEarly } from "../../ui/use-typed-early";
import type { Route } from "./+types/from-words";
import { PieceRow } from "./piece-row";
import { IngredientNames } from "../ingredient-field";
import { DraftWords } from "./draft-words";
import { type Draft, isClear, useDraft } from "./use-draft";
import { useKeptReply } from "../../ui/use-kept-reply";

export { action, loader } from "./from-words.server";
export { PageError as ErrorBoundary } from "../../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "From words · Hondaro" }];

const EXAMPLE = `Cider pan sauce
Sweat 120 g shallots in a knob of butter.
Deglaze with 500 ml cider, then reduce almost dry.
Add 2 kg brown stock and juniper. Reduce by half.
Strain. Whisk in cold butter. Season.`;

export default function FromWords({ loaderData, actionData }: Route.ComponentProps) {
  const reply = useKeptReply(actionData);
  const kitchenData = useKitchenWith();
  const kitchen = useMemo(() => openKitchen(kitchenData), [kitchenData]);
  // What a file said, handed on by the page that looked it over.
  const brought = useLocation().state as { text?: string; notes?: string } | null;
  const [draft, change, forget] = useDraft(kitchenData, brought?.text);
  const say = (text: string) => change({ type: "said", text, kitchen: kitchenData });
  const field = useTypedEarly<HTMLTextAreaElement>(say);
  const heard = useMemo(
    () => termsHeard(draft.text.slice(0, LONGEST_RECIPE), kitchen.data.house),
    [draft.text, kitchen],
  );
  const document = useMemo(() => documentOf(draft, brought?.notes), [draft, brought]);
  const open = draft.pieces.filter(piece => piece.verdict === "open");
  const whole = useMemo(() => formulaFromDraft(draft.name, draft.pieces), [draft]);
  const stuck = useMemo(() => stuckIn(whole, kitchen), [whole, kitchen]);
  const clear = open.filter(piece => isClear(piece) && !stuck.has(piece.id));
  return (
    <main className="mx-auto max-w-6xl px-4 py-6 sm:px-6">
      <IngredientNames kitchen={kitchen} />
      <p>
        <Link to="/bench/new" className="text-faded hover:text-copper">
          ← All methods
        </Link>
      </p>
      <h1 className="mt-1 text-3xl">From the words of a recipe</h1>
      <div className="mt-4 grid gap-x-10 gap-y-6 lg:grid-cols-[22rem_minmax(0,1fr)]">
        <div className="lg:sticky lg:top-20 lg:self-start">
          <label>
            <span className="text-sm text-faded">
              Type, paste or dictate it: what goes in, if it is listed, then a step to a line or sentence.
            </span>
            <textarea
              ref={field}
              value={draft.text}
              rows={16}
              spellCheck={false}
              placeholder={EXAMPLE}
              onChange={event => say(event.currentTarget.value)}
              className="mt-1 w-full rounded-md border border-rule bg-enamel p-3 leading-relaxed"
            />
          </label>
          {draft.words.length > 0 && <DraftWords text={draft.read} words={draft.words} />}
          {draft.leftOut > 0 && (
            <p role="alert" className="mt-2 text-beet">
              ✕ Only the first {printNumber(LONGEST_RECIPE)} signs were read; {printNumber(draft.leftOut)}{" "}
              more were not looked at. Paste one recipe at a time.
            </p>
          )}
          {heard.length > 0 && (
            <dl className="mt-2 text-sm">
              {heard.map(term => (
                <div key={term.term.id} className="py-0.5">
                  <dt className="inline font-semibold">
                    {term.said === term.term.term ? term.said : `${term.said} → ${term.term.term}`}
                  </dt>
                  <dd className="inline text-faded">
                    : {term.meaning}
                    {term.senses.length > 0 && (
                      <span className="text-saffron-ink"> ? It may mean: {term.senses.join("; or ")}.</span>
                    )}
                  </dd>
                </div>
              ))}
            </dl>
          )}
        </div>
        <section aria-label="What was understood">
          {draft.pieces.length === 0 ? (
            <p className="pt-7 text-faded">
              The steps stand here as soon as there are words. Nothing is made until you take them, one by
              one; what is missing is asked, never filled in quietly.
            </p>
          ) : (
            <>
              <div className="flex flex-wrap items-end gap-x-4 gap-y-2 border-b-2 border-ink pb-2">
                <h2 className="mr-auto text-xl">
                  {count(draft.pieces.length, "step")}, {count(openQuestions(draft), "question")},{" "}
                  {count(doubts(draft), "doubt")}
                </h2>
                {clear.length > 0 && (
                  <Button
                    onClick={() => change({ type: "take the clear ones", stuck: new Set(stuck.keys()) })}
                  >
                    Take the {clear.length} clear {clear.length === 1 ? "one" : "ones"}
                  </Button>
                )}
              </div>
              <ol>
                {draft.pieces.map(piece => (
                  <PieceRow
                    key={piece.id}
                    piece={piece}
                    base={whole?.base ?? NO_BASE}
                    stuck={stuck.get(piece.id) ?? null}
                    kitchen={kitchen}
                    onChange={change}
                  />
                ))}
              </ol>
              {draft.unread.length > 0 && (
                <p className="mt-3 text-sm text-faded">
                  No step was found in: {draft.unread.map(words => `“${words}”`).join(", ")}. It goes into the
                  notes.
                </p>
              )}
              <Form method="post" onSubmit={forget} className="mt-4 flex flex-wrap items-end gap-x-4 gap-y-2">
                <label className="min-w-52 grow">
                  <span className="block text-xs text-faded">name of the formula</span>
                  <input
                    value={draft.name}
                    maxLength={120}
                    autoComplete="off"
                    onChange={event => change({ type: "name", name: event.currentTarget.value })}
                    className="w-full rounded-md border border-rule bg-enamel px-3 py-2"
                  />
                </label>
                <input type="hidden" name="document" value={JSON.stringify(document)} />
                <input type="hidden" name="id" value={loaderData.newId} />
                <Button type="submit" look="act" disabled={!document}>
                  Put it on the Bench
                </Button>
                <p className="basis-full text-sm text-faded">
                  {open.length > 0 && document
                    ? `${count(open.length, "piece")} not decided yet: the words go into the notes. `
                    : ""}
                  {!document && "Take a step first."}
                </p>
              </Form>
              {reply?.problem && (
                <p role="alert" className="mt-2 text-beet">
                  ✕ {reply.problem}
                </p>
              )}
            </>
          )}
        </section>
      </div>
    </main>
  );
}

const NO_BASE = { name: "base", massG: 1000 };

/** Steps that cannot be walked as they were read, and why: such a piece is not clear, whatever it says. */
function stuckIn(document: FormulaDocument | null, kitchen: Kitchen): ReadonlyMap<string, string> {
  if (!document) return new Map();
  const { problems } = walk(document, kitchen);
  return new Map(
    problems.flatMap(({ field, message }) => {
      const step = document.steps[Number(/^steps\.(\d+)/.exec(field ?? "")?.[1] ?? NaN)];
      return step ? [[step.id, message] as const] : [];
    }),
  );
}

const count = (n: number, word: string): string => `${n} ${word}${n === 1 ? "" : "s"}`;

const taken = (draft: Draft) => draft.pieces.filter(piece => piece.verdict !== "left");

const openQuestions = (draft: Draft): number => taken(draft).reduce((n, p) => n + p.questions.length, 0);

const doubts = (draft: Draft): number => taken(draft).reduce((n, p) => n + p.doubts.length, 0);

const LONGEST_NOTES = 2000;

/** What the taken pieces make; the words that made no step are kept as notes. */
function documentOf(draft: Draft, notes = ""): FormulaDocument | null {
  const document = formulaFromDraft(
    draft.name,
    draft.pieces.filter(piece => piece.verdict === "taken"),
  );
  if (!document) return null;
  const rest = [
    ...draft.pieces.filter(piece => piece.verdict === "open").map(piece => piece.text),
    ...draft.unread,
    ...(notes ? [notes] : []),
  ];
  return { ...document, notes: rest.join("\n").slice(0, LONGEST_NOTES) };
}
