/** Only ways inside this application, read as a browser would: it takes a backslash for a stroke and leaves tabs out. */
export function inside(to: string | null): string {
  const here = "http://here";
  if (!to?.startsWith("/") || !URL.canParse(to, here)) return "/";
  const { origin, pathname, search } = new URL(to, here);
  return origin === here && !pathname.startsWith("//") ? pathname + search : "/";
}
