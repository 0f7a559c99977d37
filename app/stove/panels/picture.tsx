import { useEffect, useState } from "react";
import { dayOf } from "../../text/format";

interface Before {
  readonly id: string;
  readonly at: number;
  /** What it is the house’s reference for; `null`: an earlier batch. */
  readonly what: "colour" | "clarity" | null;
}

/** A picture of the pot now, beside the house’s references and the same step in earlier batches. */
export function Picture({
  runId,
  stepId,
  timeZone,
  photoId,
  onTaken,
}: {
  runId: string;
  stepId: string;
  timeZone: string;
  photoId: string | null;
  onTaken: (id: string) => void;
}) {
  const [before, setBefore] = useState<readonly Before[]>([]);
  const [said, setSaid] = useState("");
  const path = `/api/runs/${runId}/photos?step=${encodeURIComponent(stepId)}`;
  useEffect(() => {
    let here = true;
    void fetch(path)
      .then(async answer => {
        if (here && answer.ok) setBefore((await answer.json()) as Before[]);
      })
      .catch(() => {});
    return () => {
      here = false;
    };
  }, [path]);
  const send = async (file: File) => {
    setSaid("The picture is on its way …");
    const answer = await fetch(path, {
      method: "POST",
      headers: { "Content-Type": file.type },
      body: file,
    }).catch(() => null);
    if (!answer) return setSaid("No network: a picture cannot wait on this tablet. Take it again later.");
    const told = (await answer.json().catch(() => ({}))) as {
      id?: string;
      problems?: readonly { message: string }[];
    };
    if (told.id) onTaken(told.id);
    setSaid(told.id ? "" : `✕ ${told.problems?.[0]?.message ?? "The picture was not kept."}`);
  };
  return (
    <div className="space-y-2">
      <div className="flex flex-wrap items-end gap-3">
        <label className="flex min-h-14 cursor-pointer items-center rounded-xl border-2 border-night-rule px-4 font-bold focus-within:border-ember hover:border-ember">
          {photoId ? "another picture" : "take a picture"}
          <input
            type="file"
            accept="image/jpeg,image/png,image/webp"
            capture="environment"
            className="sr-only"
            onChange={event => {
              const [file] = event.currentTarget.files ?? [];
              if (file) void send(file);
            }}
          />
        </label>
        {photoId && <Small id={photoId} words="now" />}
        {before.map(({ id, at, what }) => (
          <Small
            key={`${what ?? ""}${id}`}
            id={id}
            words={what ? `${what}: the reference` : dayOf(at, timeZone)}
            held={what !== null}
          />
        ))}
      </div>
      {said && (
        <p role="status" className="text-glow">
          {said}
        </p>
      )}
    </div>
  );
}

function Small({ id, words, held = false }: { id: string; words: string; held?: boolean }) {
  return (
    <figure>
      <img
        src={`/api/photos/${id}`}
        alt={`The pot, ${words}`}
        className={`h-28 rounded-lg object-cover ${held ? "outline-3 outline-glow" : ""}`}
      />
      <figcaption className="text-sm text-lamp-faded">{words}</figcaption>
    </figure>
  );
}
