import { Form } from "react-router";
import { type Chapter, type Moment, chapterTime } from "~/core/run";
import type { Person } from "~/data";
import { clockTime } from "../text/format";
import { StoryStrip } from "./story-strip";

export interface Held {
  readonly what: "colour" | "clarity";
  readonly photoId: string;
}
export interface Cooled {
  readonly id: string;
  readonly from: number | null;
  readonly words: string;
  readonly failed: boolean;
}

const MARKS: Readonly<Record<Moment["kind"], readonly [mark: string, colour: string]>> = {
  read: ["○", "text-faded"],
  in: ["+", "text-copper"],
  tasted: ["◇", "text-sorrel"],
  wrong: ["▲", "text-beet"],
  mended: ["✓", "text-sorrel"],
  seen: ["◉", "text-ink"],
  said: ["“", "text-faded"],
  changed: ["→", "text-saffron-ink"],
};

/** Everything that happened to a batch, on one line of time. */
export function TimeLine({
  chapters,
  cooled,
  held,
  people,
  timeZone,
  mayEdit,
}: {
  chapters: readonly Chapter[];
  cooled: readonly Cooled[];
  held: readonly Held[];
  people: readonly Person[];
  timeZone: string;
  mayEdit: boolean;
}) {
  const told = chapters.filter(c => c.from !== null || c.moments.length > 0);
  if (!told.length) return null;
  const nameOf = (id: string): string => people.find(p => p.id === id)?.name.split(" ")[0] ?? "";
  return (
    <section aria-label="Its story" className="mt-8">
      <h2 className="text-xl">Its story</h2>
      <StoryStrip chapters={told} timeZone={timeZone} />
      <ol className="mt-4">
        {told.map(chapter => (
          <li key={chapter.stepId} className="grid gap-x-5 border-t border-rule py-2 sm:grid-cols-[5rem_1fr]">
            <span className="text-faded">
              {chapter.from === null ? "" : clockTime(chapter.from, timeZone)}
            </span>
            <div>
              <h3 className="font-sans text-base font-semibold">
                {chapter.title}
                <span className="font-normal text-faded">
                  {chapter.skipped ? " · skipped" : chapterTime(chapter) && ` · ${chapterTime(chapter)}`}
                </span>
              </h3>
              <ul>
                {chapter.moments.map(moment => (
                  <li key={moment.key} className="flex gap-3 py-0.5 text-sm">
                    <span className="w-12 shrink-0 text-right text-faded">
                      {clockTime(moment.at, timeZone)}
                    </span>
                    <span className={`w-4 shrink-0 text-center ${MARKS[moment.kind][1]}`} aria-hidden>
                      {MARKS[moment.kind][0]}
                    </span>
                    <span className="min-w-0">
                      {moment.words} <span className="text-faded">{nameOf(moment.personId)}</span>
                      {moment.photoId && <Beside photoId={moment.photoId} held={held} mayEdit={mayEdit} />}
                    </span>
                  </li>
                ))}
              </ul>
            </div>
          </li>
        ))}
        {cooled.map(one => (
          <li key={one.id} className="grid gap-x-5 border-t border-rule py-2 sm:grid-cols-[5rem_1fr]">
            <span className="text-faded">{one.from === null ? "" : clockTime(one.from, timeZone)}</span>
            <a
              href={`/cold/${one.id}`}
              className={`font-semibold underline underline-offset-4 ${one.failed ? "text-beet" : ""}`}
            >
              {one.failed ? "▲ " : ""}
              {one.words}
            </a>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** A picture of the batch with what the sauce is held against beside it. */
function Beside({ photoId, held, mayEdit }: { photoId: string; held: readonly Held[]; mayEdit: boolean }) {
  const others = held.filter(one => one.photoId !== photoId);
  return (
    <span className="mt-1 flex flex-wrap items-end gap-3">
      <Photo id={photoId} words="this batch" />
      {others.map(one => (
        <Photo key={one.what} id={one.photoId} words={`${one.what}: the reference`} held />
      ))}
      {mayEdit && (
        <Form method="post" preventScrollReset className="flex flex-col items-start gap-1">
          <input type="hidden" name="intent" value="reference" />
          <input type="hidden" name="photo" value={photoId} />
          {(["colour", "clarity"] as const).map(what =>
            held.some(one => one.what === what && one.photoId === photoId) ? (
              <span key={what} className="text-sorrel">
                ✓ the reference for {what}
              </span>
            ) : (
              <button
                key={what}
                name="what"
                value={what}
                className="min-h-11 underline underline-offset-4 hover:text-copper"
              >
                hold its {what} against this from now on
              </button>
            ),
          )}
        </Form>
      )}
    </span>
  );
}

function Photo({ id, words, held = false }: { id: string; words: string; held?: boolean }) {
  return (
    <span>
      <img
        src={`/api/photos/${id}`}
        alt={`The pot, ${words}`}
        className={`h-44 rounded-lg object-cover ${held ? "outline-3 outline-copper" : ""}`}
      />
      <span className="block text-faded">{words}</span>
    </span>
  );
}
