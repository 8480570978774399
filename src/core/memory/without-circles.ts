/**
 * What is asked for before each thing, without what asks in a circle: where a waits for b and b, through
 * others, for a, none of what runs round is kept, because nothing
 * tells which of it is not so. What leads into a circle or out of it stays.
 *
 * @param before for each thing what comes before it
 * @example withoutCircles(new Map([["a", new Set(["b"])], ["b", new Set(["a"])], ["c", new Set(["a"])]])) //
 *   a: none, b: none, c: a
 */
export function withoutCircles(
  before: ReadonlyMap<string, ReadonlySet<string>>,
): Map<string, ReadonlySet<string>> {
  const circle = circlesOf(before);
  return new Map(
    [...before].map(([key, own]) => [
      key,
      new Set([...own].filter((o) => circle.get(o) !== circle.get(key))),
    ]),
  );
}

/**
 * Tarjan's strongly connected components: things that wait for each other, through whatever lies between,
 * have the same number.
 */
function circlesOf(before: ReadonlyMap<string, ReadonlySet<string>>): Map<string, number> {
  const circle = new Map<string, number>();
  const found = new Map<string, number>();
  const lowest = new Map<string, number>();
  const open: string[] = [];
  const visit = (key: string): void => {
    found.set(key, found.size);
    let low = found.get(key) as number;
    open.push(key);
    for (const next of before.get(key) ?? []) {
      if (!found.has(next)) visit(next);
      if (!circle.has(next)) low = Math.min(low, lowest.get(next) ?? (found.get(next) as number));
    }
    lowest.set(key, low);
    if (low !== found.get(key)) return;
    for (let member = open.pop(); member !== undefined; member = open.pop()) {
      circle.set(member, low);
      if (member === key) return;
    }
  };
  for (const key of before.keys()) if (!found.has(key)) visit(key);
  return circle;
}
