export function withApplication<T>(
  work: (env: { HONDARO_URL: string; DATABASE_URL: string; CHROMIUM: string }, folder: string) => Promise<T>,
): Promise<T>;
