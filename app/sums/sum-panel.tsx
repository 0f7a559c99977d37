import { Dialog } from "radix-ui";
import { useMemo, useState } from "react";
import { toast } from "sonner";
import { BURNER_LABELS } from "~/core/laws/reduction";
import type { Problem } from "~/core/ground/result";
import { type SumField, type SumWorld, inOrder, readTexts, runSum, sumNamed } from "~/core/sums";
import { Button } from "../ui/button";
import { AnswerView } from "./answer";
import { Entry } from "./entry";
import type { OpenSum } from "./open-sum";
import { type RecentSum, keepRecent } from "./recent";
import { useOpenTaker } from "./answer-taker";

/** One quick sum: what it asks at the left, the answer beside it as it is typed. */
export function SumPanel({
  open,
  world,
  onClose,
  onKept,
}: {
  open: OpenSum;
  world: SumWorld;
  onClose: () => void;
  onKept: (recent: readonly RecentSum[]) => void;
}) {
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>(open.texts);
  const [examples, setExamples] = useState<readonly string[]>(open.examples ?? []);
  const taker = useOpenTaker();
  const suggestions = useMemo(() => offered(world), [world]);
  const sum = sumNamed(open.name);
  if (!sum) return null;
  const { asked, more } = inOrder(sum);
  const all = [...asked, ...more];
  const read = readTexts(all, texts, world);
  const answer = read.ok ? runSum(sum.name, read.value, world) : read;
  const problems: readonly Problem[] = answer.ok ? [] : answer.problems;
  const placed = (field: SumField) => problems.find(p => p.field.split(".")[0] === field.name);
  const loose = problems.filter(p => !all.some(f => f.name === p.field.split(".")[0]));
  const keep = () => {
    if (answer.ok)
      onKept(keepRecent(localStorage, { name: sum.name, texts, sentence: answer.value.sentence }));
  };
  const close = () => {
    keep();
    onClose();
  };
  const use = () => {
    if (!answer.ok || !read.ok || !taker) return;
    taker.take({ name: sum.name, input: read.value, answer: answer.value });
    toast(`${taker.label}: ${answer.value.sentence}`);
    close();
  };
  const set = (name: string, text: string) => {
    setTexts(now => ({ ...now, [name]: text }));
    setExamples(now => now.filter(one => one !== name));
  };
  // What is still to be said has the cursor.
  const first = Math.max(
    0,
    asked.findIndex(field => examples.includes(field.name)),
  );
  const shown = all.filter(field => examples.includes(field.name) && (texts[field.name] ?? "") !== "");
  return (
    <Dialog.Root open onOpenChange={next => !next && close()}>
      <Dialog.Portal>
        <Dialog.Overlay className="no-print fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content className="no-print fixed top-[7vh] left-1/2 z-50 max-h-[86vh] w-[min(58rem,calc(100vw-1.5rem))] -translate-x-1/2 overflow-y-auto rounded-xl border border-rule bg-enamel p-5 text-ink shadow-2xl sm:p-6">
          <Dialog.Title className="font-display text-2xl font-semibold">{sum.title}</Dialog.Title>
          <Dialog.Description className="text-faded">{sum.purpose}</Dialog.Description>
          <form
            className="mt-4 grid gap-x-8 gap-y-5 md:grid-cols-[19rem_minmax(0,1fr)]"
            onSubmit={event => {
              event.preventDefault();
              if (taker) use();
              else keep();
            }}
          >
            <div>
              <div className="space-y-2.5">
                {asked.map((field, i) => (
                  <Entry
                    key={field.name}
                    field={field}
                    text={texts[field.name] ?? ""}
                    problem={placed(field)}
                    suggestions={suggestions}
                    focused={i === first}
                    isExample={examples.includes(field.name)}
                    onText={text => set(field.name, text)}
                  />
                ))}
              </div>
              {more.length > 0 && (
                <details className="mt-4">
                  <summary className="text-sm text-faded">
                    {more.some(placed)
                      ? "✕ something here is wrong"
                      : `${more.length} more, if you know them`}
                  </summary>
                  <div className="mt-2 space-y-2.5">
                    {more.map(field => (
                      <Entry
                        key={field.name}
                        field={field}
                        text={texts[field.name] ?? ""}
                        problem={placed(field)}
                        suggestions={suggestions}
                        isExample={examples.includes(field.name)}
                        onText={text => set(field.name, text)}
                      />
                    ))}
                  </div>
                </details>
              )}
            </div>
            <div>
              {(open.unread?.length ?? 0) > 0 && (
                <p className="mb-2 rounded-md bg-beet-wash px-2.5 py-1.5 text-sm text-beet">
                  ✕ did not read: <s>{open.unread?.join(" ")}</s>
                </p>
              )}
              {open.taken?.map(words => (
                <p key={words} className="mb-1 text-sm text-faded">
                  {words}
                </p>
              ))}
              {answer.ok && shown.length > 0 && (
                <p className="mb-2 rounded-md bg-saffron-wash px-2.5 py-1.5 text-sm text-saffron-ink">
                  For{" "}
                  {shown
                    .map(
                      field =>
                        `${field.title.toLowerCase()} ${texts[field.name] ?? ""}${field.unit ? `\u00a0${field.unit}` : ""}`,
                    )
                    .slice(0, 3)
                    .join(", ")}
                  {shown.length > 3 && ` and ${shown.length - 3} more`}, as an example: type yours over it.
                </p>
              )}
              {answer.ok ? (
                <AnswerView
                  sum={sum}
                  answer={answer.value}
                  input={read.ok ? read.value : {}}
                  vessels={world.vessels}
                />
              ) : (
                <div role="status">
                  {(loose.length ? loose : problems.slice(0, 1)).map(p => (
                    <p key={p.field + p.message} className="text-lg text-beet">
                      ✕ {p.message}
                    </p>
                  ))}
                  <p className="mt-2 text-faded">What you typed stays; mend it and the answer comes.</p>
                </div>
              )}
            </div>
            <div className="flex gap-3 md:col-span-2">
              {taker && (
                <Button type="submit" look="act" disabled={!answer.ok}>
                  Use it: {taker.label.toLowerCase()}
                </Button>
              )}
              <Button onClick={close}>Done</Button>
            </div>
          </form>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** What a field may be offered: names of the larder and the kit, burners, usual ends. */
const offered =
  (world: SumWorld) =>
  (field: SumField): readonly string[] => {
    switch (field.typed) {
      case "ingredient":
        return world.ingredients.map(i => i.name);
      case "vessel":
        return world.vessels.map(v => v.name);
      case "heat":
        return Object.values(BURNER_LABELS);
      case "target":
        return ["by half", "by two thirds", "to a third", "to a quarter"];
      default:
        return [];
    }
  };
