import { Dialog } from "radix-ui";
import { useId, useState } from "react";
import { toast } from "sonner";
import { BURNER_KINDS } from "~/core/reduction";
import type { Problem } from "~/core/result";
import { type SumWorld, runSum, sumNamed } from "~/core/sums";
import { Button } from "../ui/button";
import { AnswerView } from "./answer";
import type { OpenSum } from "./quick-sums";
import { type RecentSum, keepRecent } from "./recent";
import { useOpenSink } from "./sink";
import { type SumField, fieldsOf, readInput } from "./sum-fields";

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
  const sink = useOpenSink();
  const sum = sumNamed(open.name);
  if (!sum) return null;
  const { asked, more } = fieldsOf(sum);
  const all = [...asked, ...more];
  const read = readInput(sum, all, texts, world.vessels);
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
    if (!answer.ok || !read.ok || !sink) return;
    sink.take({ name: sum.name, input: read.value, answer: answer.value });
    toast(`${sink.label}: ${answer.value.sentence}`);
    close();
  };
  const set = (name: string, text: string) => setTexts(now => ({ ...now, [name]: text }));
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
              if (sink) use();
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
                    world={world}
                    focused={i === 0}
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
                        world={world}
                        onText={text => set(field.name, text)}
                      />
                    ))}
                  </div>
                </details>
              )}
            </div>
            <div>
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
              {sink && (
                <Button type="submit" look="act" disabled={!answer.ok}>
                  Use it: {sink.label.toLowerCase()}
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

const INPUT = "w-full min-w-0 rounded-md border bg-enamel px-2.5 py-1.5";

function Entry({
  field,
  text,
  problem,
  world,
  focused = false,
  onText,
}: {
  field: SumField;
  text: string;
  problem: Problem | undefined;
  world: SumWorld;
  focused?: boolean;
  onText: (text: string) => void;
}) {
  const id = useId();
  const look = `${INPUT} ${problem ? "border-beet" : "border-rule hover:border-faded"}`;
  const common = {
    id,
    className: look,
    value: text,
    "aria-invalid": problem ? true : undefined,
    "aria-describedby": problem || field.hint ? `${id}-note` : undefined,
    // The cook opened the sum to type in its first field.
    autoFocus: focused,
  };
  const list = suggestions(field, world);
  return (
    <div>
      <label htmlFor={id} className="block text-sm text-faded">
        {field.label}
      </label>
      {field.kind === "choice" ? (
        <select {...common} onChange={event => onText(event.currentTarget.value)}>
          <option value="">…</option>
          {field.choices.map(choice => (
            <option key={choice}>{choice}</option>
          ))}
        </select>
      ) : field.kind === "lines" ? (
        <textarea
          {...common}
          rows={Math.min(5, Math.max(2, text.split("\n").length))}
          onChange={event => onText(event.currentTarget.value)}
        />
      ) : (
        <input
          {...common}
          type="text"
          autoComplete="off"
          spellCheck={false}
          list={list.length ? `${id}-list` : undefined}
          onFocus={event => event.currentTarget.select()}
          onChange={event => onText(event.currentTarget.value)}
        />
      )}
      {list.length > 0 && (
        <datalist id={`${id}-list`}>
          {list.map(([value, label]) => (
            <option key={value} value={value}>
              {label}
            </option>
          ))}
        </datalist>
      )}
      {(problem ?? field.hint) && (
        <p
          id={`${id}-note`}
          role={problem ? "alert" : undefined}
          className={`mt-0.5 text-xs ${problem ? "text-beet" : "text-faded"}`}
        >
          {problem ? `✕ ${problem.message}` : field.hint}
        </p>
      )}
    </div>
  );
}

function suggestions(field: SumField, world: SumWorld): readonly (readonly [string, string])[] {
  if (field.name === "liquid" || field.name === "ingredient")
    return world.ingredients.map(i => [i.name, ""] as const);
  if (field.kind === "vessel") return world.vessels.map(v => [v.name, ""] as const);
  if (field.kind === "heat") return BURNER_KINDS.map(kind => [kind, ""] as const);
  if (field.kind === "target")
    return ["by half", "by two thirds", "to a third", "to a quarter"].map(t => [t, ""] as const);
  return [];
}
