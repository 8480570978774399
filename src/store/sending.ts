import { AsyncLocalStorage } from "node:async_hooks";

/**
 * What one screen sent, under a name that the screen made up for it. The shop's computer may go away between
 * the writing and the answer: a screen that sends the same again under the same name is told what came of it
 * the
 * first time, and nothing is done twice.
 */
export interface Sending {
  readonly name: string;
  /** whether a change has been written in its name already: an action may make more than one */
  written: boolean;
}

/** What was sent under this name had been done: its answer was lost. */
export class DoneBefore extends Error {
  /** the job's version then */
  readonly version: number;
  constructor(version: number) {
    super("This was done before");
    this.version = version;
  }
}

const sending = new AsyncLocalStorage<Sending>();

/** Does some work as what a screen sent under a name; undefined: it named none. */
export const asSent = <T>(name: string | undefined, work: () => Promise<T>): Promise<T> =>
  name ? sending.run({ name, written: false }, work) : work();

export const sentNow = (): Sending | undefined => sending.getStore();
