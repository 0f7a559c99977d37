/** Columns of the line: number, step, amounts, then one per thread and the clock. */
export const ROW_GRID =
  "grid-cols-[1.75rem_minmax(0,1fr)] lg:grid-cols-[1.75rem_minmax(9rem,1fr)_16.5rem_6.25rem_5.75rem_5.25rem_5rem]";
