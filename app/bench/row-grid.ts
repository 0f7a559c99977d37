/** Columns of the line: number, step, amounts, then one per chosen thread (`--threads`) and the clock. */
export const ROW_GRID =
  "grid-cols-[1.75rem_minmax(0,1fr)] lg:grid-cols-[1.75rem_minmax(9rem,1fr)_15.5rem_var(--threads)_4.75rem]";

/** Width of the threads, for as many as are chosen. */
export const threadColumns = (count: number): Record<string, string> => ({
  "--threads": `repeat(${count}, ${count > 3 ? "5.5rem" : "5.8rem"})`,
});
