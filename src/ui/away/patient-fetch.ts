import { SignedOut } from "../ask-shop";
import { onPulse, pulseNow, sawPulse } from "./shop-pulse";

/** A save that was not answered for so long is given up. */
export const GIVE_UP_MS = 10_000;

const headerOf = (input: RequestInfo | URL, init: RequestInit | undefined, name: string): string | null =>
  new Headers(init?.headers ?? (input instanceof Request ? input.headers : undefined)).get(name);

/** Resolves when the shop answers again. */
const whenHere = (): Promise<void> =>
  new Promise((done) => {
    const off = onPulse(() => {
      if (pulseNow() !== "here") return;
      off();
      done();
    });
  });

/**
 * The browser's way of asking, for a shop that may be away for a while. A save that is not answered in ten seconds is given up and says so. A page that is fetched anew waits until the shop answers again, and the one in
 * hand stays: left to itself, the framework would open the address instead, which shows the browser's own error page.
 */
export function patientFetch(ask: typeof fetch): typeof fetch {
  return async (input, init) => {
    if (headerOf(input, init, "next-action")) {
      const signal = AbortSignal.any([AbortSignal.timeout(GIVE_UP_MS), ...(init?.signal ? [init.signal] : [])]);
      const answer = await watched(() => ask(input, { ...init, signal }));
      if (answer.status === 401) throw new SignedOut();
      return answer;
    }
    if (headerOf(input, init, "rsc") && !headerOf(input, init, "next-router-prefetch"))
      for (;;) {
        try {
          return await watched(() => ask(input, init));
        } catch (e) {
          if (init?.signal?.aborted) throw e;
          await whenHere();
        }
      }
    return ask(input, init);
  };
}

/** Tells the pulse what came of it. */
async function watched(ask: () => Promise<Response>): Promise<Response> {
  try {
    const answer = await ask();
    sawPulse("here");
    return answer;
  } catch (e) {
    if (e instanceof TypeError || (e instanceof DOMException && e.name === "TimeoutError")) sawPulse("away");
    throw e;
  }
}
