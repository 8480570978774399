import type { z } from "zod";

/** The program on the shop's computer answered that it failed. */
class ShopFailed extends Error {}

/**
 * Asks the program on the shop's computer, and reads its answer by a schema.
 *
 * @returns null where it says that there is no such thing
 * @throws TypeError, the browser's own, where nobody answers; another Error where the program failed or
 *   answers something else. `whatFailed` says either in words.
 */
export async function askShop<T>(
  url: string | URL,
  schema: z.ZodType<T>,
  signal?: AbortSignal,
): Promise<T | null> {
  const answer = await fetch(url, { signal: signal ?? null });
  if (answer.status === 404) return null;
  if (!answer.ok) throw new ShopFailed(`answered ${answer.status}`);
  return schema.parse(await answer.json());
}

/** A little longer than a question to the shop is waited for (`patient-fetch.ts`). */
const ANSWERED_MS = 12_000;

/**
 * An answer, or the browser's own error of a time that ran out: what asks on our behalf may lose a question
 * without a word, and who waits would wait for ever.
 */
export function inTime<T>(answer: Promise<T>, ms = ANSWERED_MS): Promise<T> {
  let timer: ReturnType<typeof setTimeout>;
  const late = new Promise<never>((_, fail) => {
    timer = setTimeout(() => fail(new DOMException("no answer", "TimeoutError")), ms);
  });
  return Promise.race([answer, late]).finally(() => clearTimeout(timer));
}

/** Nobody is signed in on this screen any more. */
export class SignedOut extends Error {}

/** Whether nobody answered, or not to the end. */
export const unreached = (e: unknown): boolean => e instanceof TypeError || gaveUp(e) || brokeOff(e);

/** Whether the connection broke while the answer came: the framework says so in an error of its own. */
const brokeOff = (e: unknown): boolean => e instanceof Error && e.message.startsWith("Connection closed");

/** Whether the answer did not come in the time that is waited for it. */
const gaveUp = (e: unknown): boolean => e instanceof DOMException && e.name === "TimeoutError";

/**
 * What kept a question or an action from its answer: nobody answered, the page is older than the program that
 * answers, or that program failed.
 *
 * @param not what did not happen: "Not saved"
 * @param next what to do about it, and what is kept meanwhile
 */
export function whatFailed(e: unknown, not: string, next: string): string {
  if (e instanceof SignedOut)
    return `${not}: nobody is signed in on this screen any more. Load the page again to sign in. ${next}`;
  if (gaveUp(e))
    return `${not}, as far as is known: the shop’s computer did not answer in ten seconds. ${next}`;
  if (unreached(e)) return `${not}: the shop’s computer does not answer. ${next}`;
  if (e instanceof Error && /UnrecognizedAction|was not found on the server/.test(`${e.name} ${e.message}`))
    return `${not}: this page is older than the program on the shop’s computer. Load it again. ${next}`;
  return `${not}: the program on the shop’s computer failed at ${new Date().toLocaleTimeString("en-GB")}. ${next} Tell whoever looks after it the time.`;
}
