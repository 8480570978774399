import { z } from "zod";

/** Whether the shop's computer answers, as this browser knows it; whoever asks the shop tells it. */
export type Pulse = "here" | "away";

const state = z.object({
  signedIn: z.boolean(),
  trouble: z.object({ says: z.string(), todo: z.string(), reading: z.boolean() }).nullable(),
});
export type Told = NonNullable<z.infer<typeof state>["trouble"]>;

/** What was typed waits until somebody is signed in again. */
const SIGNED_OUT: Told = {
  says: "nobody is signed in on this screen any more",
  todo: "Load the page again to sign in. What you typed is kept.",
  reading: true,
};

let pulse: Pulse = "here";
let trouble: Told | null = null;
const listeners = new Set<() => void>();
const tell = (): void => {
  for (const l of listeners) l();
};

export const pulseNow = (): Pulse => pulse;
export const troubleNow = (): Told | null => trouble;
export function onPulse(listener: () => void): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

export function sawPulse(now: Pulse): void {
  if (pulse === now) return;
  pulse = now;
  tell();
}

/** An idle screen asks so often, and a screen whose shop is away somewhat oftener, ms. */
const ASK_MS = 5000;
const ASK_AGAIN_MS = 2000;
/** So long is waited for an answer. */
const PATIENCE_MS = 5000;

/** Asks the shop once. */
export async function askPulse(): Promise<void> {
  try {
    const answer = await fetch("/api/state", { cache: "no-store", signal: AbortSignal.timeout(PATIENCE_MS) });
    // it answers, whatever it says
    const read = state.safeParse(await answer.json().catch(() => null));
    const next = !read.success
      ? answer.status === 401
        ? SIGNED_OUT
        : null
      : read.data.signedIn
        ? read.data.trouble
        : SIGNED_OUT;
    const changed = JSON.stringify(next) !== JSON.stringify(trouble);
    trouble = next;
    if (changed) tell();
    sawPulse("here");
  } catch {
    sawPulse("away");
  }
}

/** Keeps asking while the screen is looked at. Answers how it is ended. */
export function keepAsking(): () => void {
  let timer: ReturnType<typeof setTimeout>;
  const round = async (): Promise<void> => {
    if (!document.hidden) await askPulse();
    timer = setTimeout(() => void round(), pulse === "away" ? ASK_AGAIN_MS : ASK_MS);
  };
  timer = setTimeout(() => void round(), ASK_MS);
  const looked = (): void => void (!document.hidden && askPulse());
  document.addEventListener("visibilitychange", looked);
  return () => {
    clearTimeout(timer);
    document.removeEventListener("visibilitychange", looked);
  };
}
