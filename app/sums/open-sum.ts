/** A sum that is open, with what stands in its fields. */
export interface OpenSum {
  readonly name: string;
  readonly texts: Readonly<Record<string, string>>;
}
