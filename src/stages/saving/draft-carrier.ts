import { forgetInBrowser, jsonFrom, keepInBrowser, keptInBrowser } from "@/ui/browser-store";

/** A hand that types is not followed stroke by stroke, ms. */
const PAUSE_MS = 250;

/** After so long what did not reach the shop is sent again, ms. */
const AGAIN_MS = 4000;

/** So long an answer is waited for, ms: a draft may be sent twice without harm. */
const LOST_MS = 5000;

/**
 * What a page may still send while it is being left, bytes: the browsers' own limit is 64 KiB for all
 * together.
 */
const SENT_ON_LEAVING = 30_000;

/** A draft on its way: of which job and field, and where the browser keeps it meanwhile. */
export interface Draft {
  readonly number: string;
  readonly field: string;
  /** as it stands in the browser, JSON */
  readonly text: string;
  /** nothing is typed any more: the shop forgets it */
  readonly blank: boolean;
}

export const draftKey = (number: string, field: string): string => `${number}:draft:${field}`;

interface Way {
  next: Draft | undefined;
  busy: boolean;
  timer: ReturnType<typeof setTimeout> | undefined;
}

/** The way of each field to the shop. It outlives the screen that it was typed on. */
const ways = new Map<string, Way>();

/**
 * Brings a draft to the shop by a request of its own, not by a server action: those stand in one line with
 * the pages that are fetched, and are
 * lost when a screen is left. One at a time for each field, so that an earlier one never arrives behind a
 * later one; what the shop did not
 * take is sent again until it does.
 */
export function carryDraft(draft: Draft, pause = PAUSE_MS): void {
  const key = draftKey(draft.number, draft.field);
  const way = ways.get(key) ?? { next: undefined, busy: false, timer: undefined };
  ways.set(key, way);
  way.next = draft;
  clearTimeout(way.timer);
  if (!way.busy) way.timer = setTimeout(() => void go(key, way), pause);
}

async function go(key: string, way: Way): Promise<void> {
  const draft = way.next;
  if (!draft) return;
  way.next = undefined;
  way.busy = true;
  const taken = await send(draft);
  way.busy = false;
  if (taken === "taken") savedInShop(key, draft);
  // what was typed meanwhile goes first; what another screen of this browser typed goes from there
  if (way.next) carryDraft(way.next, taken === "again" ? AGAIN_MS : 0);
  else if (taken === "again" && keptInBrowser(key) === draft.text) carryDraft(draft, AGAIN_MS);
}

/**
 * Whether the shop took it, may take it later, or does not take it from here: it then stays in the browser.
 */
async function send({ number, field, text, blank }: Draft): Promise<"taken" | "again" | "refused"> {
  const body = JSON.stringify({ field, value: blank ? null : jsonFrom(text) });
  try {
    const answer = await fetch(`/api/jobs/${number}/drafts`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body,
      keepalive: body.length < SENT_ON_LEAVING,
      signal: AbortSignal.timeout(LOST_MS),
    });
    if (answer.ok) return "taken";
    return answer.status < 500 ? "refused" : "again";
  } catch {
    return "again";
  }
}

/** Once the shop has it, the browser's copy has done its work, but for a page that was asked for before. */
function savedInShop(key: string, { text, blank }: Draft): void {
  if (keptInBrowser(key) !== text) return;
  forgetInBrowser(key);
  if (blank) forgetInBrowser(`saved:${key}`);
  else keepInBrowser(`saved:${key}`, JSON.stringify({ text, at: Date.now() }));
}
