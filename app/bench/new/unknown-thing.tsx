import { useState } from "react";
import { useFetcher } from "react-router";
import type { Kitchen } from "~/core/formula";
import { findIngredient } from "~/core/things/larder";
import { Button } from "../../ui/button";
import { NAMES_LIST } from "../ingredient-field";
import type { Learned } from "./from-words.server";

const MOST_OFFERED = 3;

/**
 * A thing the larder does not have, settled where it stands: it is something the larder has under another name, or an
 * entry of its own, counted like what it is like. The text is read again with what was said.
 */
export function UnknownThing({
  name,
  likeId,
  kitchen,
}: {
  name: string;
  likeId: string | null;
  kitchen: Kitchen;
}) {
  const fetcher = useFetcher<Learned>();
  const [typed, setTyped] = useState("");
  const { ingredients } = kitchen.data;
  const like = likeId === null ? null : (kitchen.ingredientById.get(likeId) ?? null);
  const offered = [...new Set([...(like ? [like] : []), ...findIngredient(ingredients, name).near])].slice(
    0,
    MOST_OFFERED,
  );
  const own = findIngredient(ingredients, typed).exact;
  const say = (of: string, as: string) =>
    fetcher.submit({ intent: "know", name, like: of, as }, { method: "post" });
  const choices = own ? [own] : offered;
  return (
    <div
      role="group"
      aria-label={`What is ${name}?`}
      className="mt-1 flex flex-wrap items-center gap-x-2 gap-y-1.5 rounded-md bg-beet-wash px-2 py-1.5 text-sm"
    >
      <span className="basis-full text-beet">
        ✕ “{name}” is not in the larder
        {like ? `; counted like ${like.name} until you say` : ", and left out of the sums"}. It is
      </span>
      {choices.map(one => (
        <Button key={one.id} className="!px-3 !py-1 text-sm" onClick={() => say(one.id, "another name")}>
          {one.name}
        </Button>
      ))}
      <input
        aria-label={`What the larder calls ${name}`}
        list={NAMES_LIST}
        value={typed}
        placeholder="another of the larder"
        autoComplete="off"
        onChange={event => setTyped(event.currentTarget.value)}
        className="w-44 rounded-md border border-rule bg-enamel px-2 py-1"
      />
      {choices[0] && (
        <Button
          look="quiet"
          className="!px-2 !py-1 text-sm"
          onClick={() => say(choices[0]?.id ?? "", "a new entry")}
        >
          a new entry, counted like {choices[0].name}
        </Button>
      )}
      {fetcher.data?.problem && (
        <p role="alert" className="basis-full text-beet">
          ✕ {fetcher.data.problem}
        </p>
      )}
    </div>
  );
}
