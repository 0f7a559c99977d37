import { useFetcher } from "react-router";
import { printNumber } from "~/core/ground/quantity";
import type { Route } from "./+types/cold";

/** What the parts of the cold share. */
export type Loaded = Route.ComponentProps["loaderData"];
export const FIELD = "h-11 min-w-0 rounded-md border border-rule bg-enamel px-2";
export const kg = (g: number): string =>
  g >= 1000 ? `${printNumber(g / 1000, 2)} kg` : `${printNumber(g, 0)} g`;
export const shortDay = (date: string): string =>
  new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", timeZone: "UTC" }).format(
    new Date(`${date}T12:00:00Z`),
  );

export const useDone = () => useFetcher<{ problems: string[] }>();
export function Problems({ of }: { of: string[] | undefined }) {
  return (
    <>
      {of?.map(problem => (
        <p key={problem} role="alert" className="basis-full text-sm text-beet">
          ✕ {problem}
        </p>
      ))}
    </>
  );
}
