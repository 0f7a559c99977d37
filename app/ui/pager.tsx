import { Form, Link } from "react-router";
import { printNumber } from "~/core/ground/quantity";
import { Button } from "./button";

interface PagerProps {
  words: string;
  page: number;
  pages: number;
}

/** Looks for a word in the names of a list that has more than one page. */
export function ListSearch({
  words,
  page,
  pages,
  of,
  what: [one, several],
  placeholder,
}: PagerProps & { of: number; what: readonly [one: string, several: string]; placeholder: string }) {
  if (pages < 2 && !words) return null;
  return (
    <Form method="get" role="search" className="mt-5 flex flex-wrap items-center gap-3">
      <input
        type="search"
        name="q"
        defaultValue={words}
        key={words}
        aria-label={`Look for a ${one}`}
        placeholder={placeholder}
        className="w-72 rounded-md border border-rule bg-enamel px-3 py-2"
      />
      <Button type="submit">Look</Button>
      <span role="status" className="text-faded">
        {printNumber(of)} {of === 1 ? one : several}
        {pages > 1 && `, page ${page} of ${pages}`}
      </span>
    </Form>
  );
}

/** The pages beside the one that is shown. */
export function Pager({
  asked,
  page,
  pages,
}: Pick<PagerProps, "page" | "pages"> & {
  /** What else the list is asked for. */
  asked: Readonly<Record<string, string>>;
}) {
  if (pages < 2) return null;
  const to = (other: number) => `?${new URLSearchParams({ ...asked, page: String(other) }).toString()}`;
  return (
    <nav aria-label="Pages" className="mt-4 flex gap-4">
      {page > 1 && <Link to={to(page - 1)}>← Page {page - 1}</Link>}
      {page < pages && <Link to={to(page + 1)}>Page {page + 1} →</Link>}
    </nav>
  );
}
