/**
 * A thing that is kept whole and changed bit by bit, each change built on the one before it although the shop
 * has not answered yet.
 *
 * A page that was made between two changes knows the first and not the second: while anything is on its way,
 * what comes from the shop is not built on.
 */
export class BuiltOn<T> {
  private latest: T;
  private under = 0;
  constructor(kept: T) {
    this.latest = kept;
  }

  get now(): T {
    return this.latest;
  }

  /** What the shop has came with a page. @returns whether it is what is built on from now on */
  arrived(kept: T): boolean {
    if (this.under) return false;
    this.latest = kept;
    return true;
  }

  /**
   * Changes it and keeps it. What is refused is no longer built on, unless something was built on it
   * meanwhile.
   *
   * @param keep answers whether the shop has it
   */
  async change<R extends { readonly ok: boolean }>(
    how: (now: T) => T,
    keep: (next: T) => Promise<R>,
  ): Promise<R> {
    const before = this.latest;
    const next = how(before);
    this.latest = next;
    this.under++;
    try {
      const result = await keep(next);
      if (!result.ok && this.latest === next) this.latest = before;
      return result;
    } finally {
      this.under--;
    }
  }
}
