/**
 * Remembers what a long work answered last, for work that depends on nothing but what it is asked: asked the
 * same, it answers the same at once.
 * What it answers is shared, and not to be changed.
 *
 * @param work from a plain record, as JSON has it
 * @param keep so many answers are kept; the one that was not asked for longest goes first
 * @example const identify = remembered(identifyGear)
 */
export function remembered<Asked, Answer>(
  work: (asked: Asked) => Answer,
  keep = 64,
): (asked: Asked) => Answer {
  const known = new Map<string, { readonly is: Answer }>();
  return (asked) => {
    const key = JSON.stringify(asked);
    const found = known.get(key) ?? { is: work(asked) };
    known.delete(key);
    known.set(key, found);
    for (const oldest of known.keys()) {
      if (known.size <= keep) break;
      known.delete(oldest);
    }
    return found.is;
  };
}
