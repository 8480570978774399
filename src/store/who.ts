import { AsyncLocalStorage } from "node:async_hooks";

/** Who does what is being done, and on which device. */
export interface Doer {
  /** empty: nobody signed in, at the shop's own computer */
  readonly name: string;
  readonly device: string;
}

const doing = new AsyncLocalStorage<Doer>();

/** Does some work in somebody's name: lines of the history that it writes bear it. */
export const inTheNameOf = <T>(doer: Doer, work: () => Promise<T>): Promise<T> => doing.run(doer, work);

/** Columns of a line of the history that say who wrote it. */
export const signedBy = (): { readonly who: string | null; readonly device: string | null } => {
  const doer = doing.getStore();
  return { who: doer?.name || null, device: doer?.device || null };
};
