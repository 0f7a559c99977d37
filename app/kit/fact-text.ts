/** A figure as it is typed: no more digits than anybody knows. */
export const factText = (value: number): string => String(Number(value.toPrecision(4)));
