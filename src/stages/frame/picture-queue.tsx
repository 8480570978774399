"use client";

import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import { useRouter } from "next/navigation";
import {
  createContext,
  type ReactNode,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
} from "react";
import { z } from "zod";
import { jobPicture } from "@/core/job/picture";
import { useJob } from "../saving/job-context";
import { newKey } from "../saving/new-key";

/** Where a picture belongs. `stepKey` is the recorder's own name for a step that may not be laid down yet. */
export interface PicturePlace {
  readonly role: "intake" | "step" | "finding" | "condition" | "loose" | "variant" | "after";
  readonly step?: string;
  readonly stepKey?: string;
  readonly part?: string;
}

/**
 * A picture that the shop does not have yet: it lies in the browser, outlives a reload, and is sent until it
 * arrives or is refused.
 */
export interface WaitingPicture {
  readonly key: string;
  readonly number: string;
  readonly place: PicturePlace;
  readonly blob: Blob;
  readonly at: number;
  /** why the shop refused it; such a picture is not sent again by itself */
  readonly refused?: string;
}
export interface ShownPicture extends WaitingPicture {
  readonly url: string;
  /** the shop has it under this name; the page will show it so in a moment */
  readonly kept?: KeptPicture;
}

interface Queue extends DBSchema {
  pictures: { key: string; value: WaitingPicture };
}

let opened: Promise<IDBPDatabase<Queue>> | undefined;
const queue = (): Promise<IDBPDatabase<Queue>> => {
  opened ??= openDB<Queue>("demontage-pictures", 1, {
    upgrade(db) {
      db.createObjectStore("pictures", { keyPath: "key" });
    },
  });
  return opened;
};

/** Pauses before a picture is sent again, ms. */
const PAUSES = [1000, 2000, 4000, 8000, 15_000];

export interface KeptPicture {
  readonly name: string;
  readonly sha256: string;
}

interface PictureQueue {
  /** pictures on their way, and those that have just arrived */
  readonly waiting: readonly ShownPicture[];
  /** keeps a picture in the browser and sends it in the background; answers its key at once */
  readonly take: (blob: Blob, place: PicturePlace, arrived?: (kept: KeptPicture) => void) => Promise<string>;
  readonly again: (key: string) => Promise<void>;
  readonly throwAway: (key: string) => Promise<void>;
  /** why the shop did not take the last one; null: it did */
  readonly cutOff: string | null;
}

const Context = createContext<PictureQueue | null>(null);
export function usePictures(): PictureQueue {
  const context = useContext(Context);
  if (!context) throw new Error("usePictures needs a PictureQueueProvider around it");
  return context;
}

const sentPicture = z.union([
  z.object({ picture: jobPicture, version: z.int() }),
  z.object({ says: z.string() }),
]);
type Sent = z.infer<typeof sentPicture>;

/** A picture that the shop could not keep now, and why: it is tried again. */
interface Later {
  readonly later: string;
}
const SILENT = "the shop’s computer does not answer";

async function send(p: WaitingPicture): Promise<Sent | Later> {
  const form = new FormData();
  form.set("picture", p.blob);
  form.set("key", p.key);
  for (const [name, value] of Object.entries(p.place)) if (value) form.set(name, value);
  const answer = await fetch(`/api/jobs/${p.number}/pictures`, { method: "POST", body: form }).catch(
    () => null,
  );
  // the shop's own trouble is tried again; a refusal is not
  const read = answer && sentPicture.safeParse(await answer.json().catch(() => null));
  if (answer && answer.status >= 500)
    return {
      later:
        read?.success && "says" in read.data ? read.data.says : "the program on the shop’s computer failed",
    };
  return read?.success ? read.data : { later: SILENT };
}

export function PictureQueueProvider({ children }: { children: ReactNode }) {
  const { number, sawVersion } = useJob();
  const router = useRouter();
  const [arrived, setArrived] = useState<readonly ShownPicture[]>([]);
  const [waiting, setWaiting] = useState<readonly ShownPicture[]>([]);
  const [cutOff, setCutOff] = useState<string | null>(null);
  const urls = useRef(new Map<string, string>());
  const told = useRef(new Map<string, (kept: KeptPicture) => void>());
  const working = useRef(false);
  const failures = useRef(0);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);

  const show = useCallback(async (): Promise<readonly WaitingPicture[]> => {
    // those of other jobs too: whoever opens any job sends what was left behind
    const all = (await (await queue()).getAll("pictures")).sort((a, b) => a.at - b.at);
    for (const p of all) if (!urls.current.has(p.key)) urls.current.set(p.key, URL.createObjectURL(p.blob));
    setWaiting(all.map((p) => ({ ...p, url: urls.current.get(p.key) as string })));
    return all;
  }, []);

  const work = useCallback(async (): Promise<void> => {
    if (working.current) return;
    working.current = true;
    clearTimeout(timer.current);
    try {
      for (;;) {
        const next = (await show()).find((p) => !p.refused);
        if (!next) break;
        const sent = await send(next);
        if ("later" in sent) {
          setCutOff(sent.later);
          timer.current = setTimeout(
            () => void work(),
            PAUSES[Math.min(failures.current++, PAUSES.length - 1)],
          );
          break;
        }
        failures.current = 0;
        setCutOff(null);
        if ("says" in sent) await (await queue()).put("pictures", { ...next, refused: sent.says });
        else {
          await (await queue()).delete("pictures", next.key);
          if (next.number === number) sawVersion(sent.version);
          setArrived((before) => [
            ...before,
            { ...next, url: urls.current.get(next.key) as string, kept: sent.picture },
          ]);
          router.refresh();
          told.current.get(next.key)?.(sent.picture);
          told.current.delete(next.key);
        }
      }
      await show();
    } finally {
      working.current = false;
    }
  }, [show, sawVersion, router, number]);

  useEffect(() => {
    void work();
    const online = (): void => void work();
    window.addEventListener("online", online);
    return () => {
      window.removeEventListener("online", online);
      clearTimeout(timer.current);
    };
  }, [work]);

  const take = useCallback(
    async (blob: Blob, place: PicturePlace, arrived?: (kept: KeptPicture) => void): Promise<string> => {
      const key = newKey();
      if (arrived) told.current.set(key, arrived);
      await (await queue()).put("pictures", { key, number, place, blob, at: Date.now() });
      await show();
      void work();
      return key;
    },
    [number, show, work],
  );
  const again = useCallback(
    async (key: string): Promise<void> => {
      const db = await queue();
      const p = await db.get("pictures", key);
      if (!p) return;
      const { refused: _refused, ...rest } = p;
      await db.put("pictures", rest);
      await work();
    },
    [work],
  );
  const throwAway = useCallback(
    async (key: string): Promise<void> => {
      await (await queue()).delete("pictures", key);
      await show();
    },
    [show],
  );
  const value = useMemo(
    () => ({ waiting: [...arrived, ...waiting], take, again, throwAway, cutOff }),
    [arrived, waiting, take, again, throwAway, cutOff],
  );
  return (
    <Context.Provider value={value}>
      {children}
      <Unsaved waiting={waiting} cutOff={cutOff} again={again} throwAway={throwAway} />
    </Context.Provider>
  );
}

const sentenceEnd = (says: string): string => (/[.!?]$/.test(says) ? says : `${says}.`);

/** Says plainly what the shop does not have yet. */
function Unsaved({
  waiting,
  cutOff,
  again,
  throwAway,
}: Pick<PictureQueue, "waiting" | "cutOff" | "again" | "throwAway">) {
  const refused = waiting.filter((p) => p.refused);
  const open = waiting.length - refused.length;
  if (!refused.length && !(open && cutOff)) return null;
  return (
    <div
      role="alert"
      className="no-print fixed bottom-[280px] left-6 z-30 flex max-w-[460px] flex-col gap-2 border-2 border-error bg-base-100 p-3 text-[19px] shadow-lg"
    >
      {open > 0 && cutOff && (
        <p>
          <b className="text-error">
            {open === 1 ? "One picture is" : `${open} pictures are`} not saved yet:
          </b>{" "}
          {sentenceEnd(cutOff)} They are kept in this browser and sent again automatically.
        </p>
      )}
      {refused.map((p) => (
        <div key={p.key} className="flex items-center gap-3">
          {/* biome-ignore lint/performance/noImgElement: it lies in the browser only */}
          <img
            src={p.url}
            alt="refused"
            className="size-[56px] shrink-0 border-2 border-error object-cover"
            onError={(e) => {
              // what is no picture has nothing to show; the sentence says so
              e.currentTarget.hidden = true;
            }}
          />
          <p className="flex-1 font-semibold text-error">
            {p.number}: {p.refused}
          </p>
          <button type="button" className="key-button small" onClick={() => void again(p.key)}>
            Again
          </button>
          <button type="button" className="key-button small" onClick={() => void throwAway(p.key)}>
            Discard it
          </button>
        </div>
      ))}
    </div>
  );
}
