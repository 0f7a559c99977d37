/** So many entries stand on a page of a list. */
export const ON_A_PAGE = 60;

/** What of a list is asked for: words of its names, and which page. */
export function pageAsked(request: Request): { readonly words: string; readonly page: number } {
  const query = new URL(request.url).searchParams;
  return {
    words: (query.get("q") ?? "").trim().slice(0, 120),
    page: Math.min(10_000, Math.max(1, Math.trunc(Number(query.get("page"))) || 1)),
  };
}

/** The part of a list that a page shows, as the database wants it. */
export const partOf = ({ words, page }: ReturnType<typeof pageAsked>) => ({
  words,
  from: (page - 1) * ON_A_PAGE,
  most: ON_A_PAGE,
});

export const pagesOf = (entries: number): number => Math.max(1, Math.ceil(entries / ON_A_PAGE));
