/** What the tests use of the private database server. */
export function startMariadb(
  folder: string,
): Promise<{ url: string; pid: number; stop: () => Promise<void> }>;
export function freePort(): Promise<number>;
export function makeFolder(folder: string): void;
