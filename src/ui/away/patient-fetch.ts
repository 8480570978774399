import { SignedOut } from "../ask-shop";
import { askPulse, onPulse, pulseNow } from "./shop-pulse";

/** A save that was not answered for so long is given up. */
export const GIVE_UP_MS = 10_000;

const headerOf = (input: RequestInfo | URL, init: RequestInit | undefined, name: string): string | null =>
  new Headers(init?.headers ?? (input instanceof Request ? input.headers : undefined)).get(name);

/** Whether an error says that nobody answered, as against one that was given up by whoever asked. */
const nobodyAnswered = (e: unknown): boolean =>
  e instanceof TypeError || (e instanceof DOMException && e.name === "TimeoutError");

/**
 * Resolves when the shop answers: at once, if it does and only one question was lost. Answers whether it was
 * away.
 */
export async function whenHere(): Promise<boolean> {
  await askPulse();
  if (pulseNow() === "here") return false;
  await new Promise<void>((done) => {
    const off = onPulse(() => {
      if (pulseNow() !== "here") return;
      off();
      done();
    });
  });
  return true;
}

/**
 * The answer, once it has come to its end: one that breaks off half-way would be taken for a screen that
 * cannot be shown.
 */
async function toItsEnd(answer: Response): Promise<Response> {
  await answer.clone().arrayBuffer();
  return answer;
}

/** A page that is not had although the shop answers is not asked for again without end. */
const MOST_TRIES = 3;

/**
 * The browser's way of asking, for a shop that may be away for a while. A save that is not answered in ten
 * seconds is given up and says so. A page that is fetched anew waits until the shop answers again, and the
 * one in
 * hand stays: left to itself, the framework would open the address instead, which shows the browser's own
 * error page.
 */
export function patientFetch(ask: typeof fetch): typeof fetch {
  return async (input, init) => {
    if (headerOf(input, init, "next-action")) {
      const signal = AbortSignal.any([
        AbortSignal.timeout(GIVE_UP_MS),
        ...(init?.signal ? [init.signal] : []),
      ]);
      const answer = await ask(input, { ...init, signal })
        .then(toItsEnd)
        .catch((e) => {
          // whether it is the shop that is away, or only this question that was lost, is asked by itself
          if (nobodyAnswered(e)) void askPulse();
          throw e;
        });
      if (answer.status === 401) throw new SignedOut();
      return answer;
    }
    if (headerOf(input, init, "rsc") && !headerOf(input, init, "next-router-prefetch"))
      for (let answered = 1; ; ) {
        try {
          return await toItsEnd(await ask(input, init));
        } catch (e) {
          if (init?.signal?.aborted || !nobodyAnswered(e)) throw e;
          if (await whenHere()) continue;
          if (++answered > MOST_TRIES) throw e;
        }
      }
    return ask(input, init);
  };
}
