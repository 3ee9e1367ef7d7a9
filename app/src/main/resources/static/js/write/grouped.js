/** Things of one key together, in the order in which the keys come. @returns lists of them */
export function grouped(things, keyOf) {
  const groups = new Map();
  for (const thing of things) {
    const key = keyOf(thing);
    groups.set(key, [...(groups.get(key) ?? []), thing]);
  }
  return [...groups.values()];
}
