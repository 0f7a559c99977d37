/** The vessels of a line: the main pot, and those that a cook gave a name because something is worked in them beside it. */

/** What a cook calls the vessel the line begins in, where another takes from it. */
export const MAIN_POT = "main pot";

/** By what a vessel is known, however its name was typed; "" is the main pot. */
export function panKey(name: string | undefined): string {
  const key = name?.trim().toLowerCase().replace(/\s+/g, " ") ?? "";
  return key === MAIN_POT ? "" : key;
}

/** The vessel a step works in. */
export const panOf = (step: { readonly pan?: string | undefined }): string => panKey(step.pan);

/** Names of the second pans of a line, in their order, as they were first typed. */
export function pansOf(
  steps: readonly { readonly pan?: string | undefined; readonly to?: unknown }[],
): string[] {
  const names = new Map<string, string>();
  for (const { pan, to } of steps)
    for (const name of [pan, typeof to === "string" ? to : undefined])
      if (name && panKey(name) && !names.has(panKey(name))) names.set(panKey(name), name.trim());
  return [...names.values()];
}
