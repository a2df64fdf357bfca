/** What was worked out lately, by a key that says everything it rests on. What was not asked for the longest goes when there are more than `most`. */
export function recently<T>(most: number): (key: string, make: () => T) => T {
  const known = new Map<string, T>();
  return (key, make) => {
    const before = known.get(key);
    if (before !== undefined) {
      // The order of a map is the order of writing: written again, it is the latest.
      known.delete(key);
      known.set(key, before);
      return before;
    }
    const made = make();
    known.set(key, made);
    const [oldest] = known.keys();
    if (known.size > most && oldest !== undefined) known.delete(oldest);
    return made;
  };
}
