"use client";

import { useRouter } from "next/navigation";
import {
  createContext,
  type ReactNode,
  type RefObject,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
} from "react";
import { z } from "zod";
import { askShop, inTime, unreached, whatFailed } from "@/ui/ask-shop";
import type { ActionResult } from "./act";
import { Unanswered } from "./unanswered";

type Action = (input: never) => Promise<ActionResult>;

interface JobContext {
  readonly number: string;
  /** runs an action after those before it, with the version this screen has seen */
  readonly run: (action: Action, input?: object) => Promise<ActionResult>;
  /** a picture came in through its own door and raised the version */
  readonly sawVersion: (version: number) => void;
  readonly say: (sentence: string | null) => void;
}

const Context = createContext<JobContext | null>(null);

export function useJob(): JobContext {
  const context = useContext(Context);
  if (!context) throw new Error("useJob needs a JobProvider around it");
  return context;
}

const versionSeen = z.object({ version: z.int() });

/** How often a screen looks whether somebody else changed the job, ms. */
const LOOK_MS = 1000;

/**
 * Follows what other screens do to the job: looks at its version once a second and fetches the page again
 * when it has moved.
 */
function useFollow(number: string, seen: RefObject<number>, enabled: boolean): void {
  const router = useRouter();
  const fetched = useRef(0);
  useEffect(() => {
    if (!enabled) return;
    const look = async (): Promise<void> => {
      if (document.hidden) return;
      // it looks again in a second
      const now = await askShop(`/api/jobs/${number}/version`, versionSeen).catch(() => null);
      if (!now || now.version <= seen.current || now.version === fetched.current) return;
      fetched.current = now.version;
      router.refresh();
    };
    const timer = setInterval(() => void look(), LOOK_MS);
    return () => clearInterval(timer);
  }, [number, enabled, router, seen]);
}

/** Said where something is sent from a screen that had not heard that what it sent before was done. */
const ARRIVED =
  "Not done yet: what was sent before did arrive, and is shown now. Press once more if this is still wanted.";

/**
 * Holds the version a screen shows, sends its actions one after the other, and says so when the screen is
 * behind.
 */
export function JobProvider({
  number,
  version,
  children,
}: {
  number: string;
  version: number;
  children: ReactNode;
}) {
  const router = useRouter();
  const seen = useRef(version);
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const unanswered = useRef(new Unanswered());
  const [stale, setStale] = useState<readonly { at: string; what: string }[] | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    if (version <= seen.current) return;
    seen.current = version;
    unanswered.current.clear();
  }, [version]);

  const run = useCallback(
    (action: Action, input: object = {}): Promise<ActionResult> => {
      const turn = queue.current.then(async (): Promise<ActionResult> => {
        const text = JSON.stringify(input);
        const name = unanswered.current.nameFor(action, text);
        try {
          const result = await inTime(
            action({ number, version: seen.current, ...input, sending: name } as never),
          );
          const last = !result.ok && result.stale?.at(-1);
          if (last && unanswered.current.explains(result.stale ?? [])) {
            seen.current = Math.max(seen.current, last.version);
            unanswered.current.clear();
            router.refresh();
            setFault(ARRIVED);
            return { ok: false, path: "", says: ARRIVED, again: "now" };
          }
          unanswered.current.answered(name);
          if (result.ok) seen.current = Math.max(seen.current, result.version);
          else if (result.stale) setStale(result.stale);
          setFault(result.ok || result.stale ? null : result.says);
          return result;
        } catch (e) {
          unanswered.current.lost(name, action, text);
          const says = whatFailed(e, "Not saved", "What you typed is kept here; try again.");
          setFault(says);
          return { ok: false, path: "", says, ...(unreached(e) ? { again: "when it answers" } : {}) };
        }
      });
      queue.current = turn;
      return turn;
    },
    [number, router],
  );
  // a jump of more than one means that somebody else was here too: keep the old version, so that the next
  // save is refused
  const sawVersion = useCallback((v: number) => {
    if (v === seen.current + 1) seen.current = v;
  }, []);
  useFollow(number, seen, stale === null);
  const context = useMemo(() => ({ number, run, sawVersion, say: setFault }), [number, run, sawVersion]);
  return (
    <Context.Provider value={context}>
      {(stale || fault) && (
        <div
          role="alert"
          className="fixed inset-x-0 top-[118px] z-40 mx-auto max-w-[900px] border-2 border-error bg-base-100 p-4 text-[20px] shadow-lg"
        >
          {stale ? (
            <>
              <p className="font-bold text-error">This screen is out of date; nothing was overwritten.</p>
              <p>Since it was opened, somebody else changed:</p>
              <ul className="my-1 list-disc pl-6">
                {stale.slice(-5).map((c) => (
                  <li key={c.at + c.what}>{c.what}</li>
                ))}
              </ul>
              <button
                type="button"
                className="key-button main mt-2"
                onClick={() => {
                  setStale(null);
                  router.refresh();
                }}
              >
                Show the job as it is now
              </button>
            </>
          ) : (
            <div className="flex items-center justify-between gap-4">
              <p className="font-semibold text-error">{fault}</p>
              <button type="button" className="key-button" onClick={() => setFault(null)}>
                Understood
              </button>
            </div>
          )}
        </div>
      )}
      {children}
    </Context.Provider>
  );
}
