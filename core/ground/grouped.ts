/** Things by what they have in common, each group in the order they came. */
export function grouped<T>(all: readonly T[], by: (one: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const one of all) {
    const key = by(one);
    const group = groups.get(key);
    if (group) group.push(one);
    else groups.set(key, [one]);
  }
  return groups;
}
