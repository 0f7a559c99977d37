/**
 * What was read or worked out lately, by its key: each once, also while it is still under way, and no more of them than
 * there is room for. The latest asked for stay longest; what failed is forgotten.
 */
export class Lately<T> {
  private readonly kept = new Map<string, Promise<T>>();

  constructor(private readonly most: number) {}

  known(key: string): Promise<T> | undefined {
    const found = this.kept.get(key);
    if (found) {
      this.kept.delete(key);
      this.kept.set(key, found);
    }
    return found;
  }

  get(key: string, make: () => Promise<T>): Promise<T> {
    const known = this.known(key);
    if (known) return known;
    const made = make();
    this.kept.set(key, made);
    made.catch(() => this.kept.delete(key));
    for (const oldest of this.kept.keys()) {
      if (this.kept.size <= this.most) break;
      this.kept.delete(oldest);
    }
    return made;
  }
}
