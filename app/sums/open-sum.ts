/** A sum that is open, with what stands in its fields. */
export interface OpenSum {
  readonly name: string;
  readonly texts: Readonly<Record<string, string>>;
  /** Fields that stand on the example until somebody types there. */
  readonly examples?: readonly string[];
  /** Words of the phrase that no field took. */
  readonly unread?: readonly string[];
  /** What stands between what was said and what was taken. */
  readonly taken?: readonly string[];
}
