/** Keys of a burst that follow each other faster than this come from an instrument, not from fingers, ms. */
const BURST_MS = 35;
/** A first digit is held back this long, to see whether a burst follows, ms. */
const HOLD_MS = 45;
const OF_A_READING = /^[\d.,+\-/" minMIN]$/;

const typing = (t: EventTarget | null): boolean =>
  t instanceof HTMLElement && (t.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(t.tagName));

/**
 * Listens to a caliper that types like a keyboard: digits, perhaps a unit, Enter, into whatever has the
 * focus. Where a field has it, the field takes the reading by itself; otherwise the burst is
 * caught here, so that its digits do not strike the keys of the screen, and handed on as one text.
 *
 * @returns a function that stops listening
 */
export function listenToTypedCaliper(target: Window, onReading: (text: string) => void): () => void {
  let text = "";
  let last = 0;
  let burst = false;
  let held: ReturnType<typeof setTimeout> | undefined;
  const replayed = new WeakSet<Event>();

  const letGo = (e: KeyboardEvent): void => {
    held = undefined;
    text = "";
    const again = new KeyboardEvent("keydown", { key: e.key, code: e.code, bubbles: true, cancelable: true });
    replayed.add(again);
    (e.target ?? target).dispatchEvent(again);
  };
  const struck = (e: KeyboardEvent): void => {
    if (replayed.has(e) || e.ctrlKey || e.metaKey || e.altKey || typing(e.target)) return;
    const fast = e.timeStamp - last < BURST_MS;
    last = e.timeStamp;
    if (burst && e.key === "Enter") {
      stop(e);
      const said = text;
      burst = false;
      text = "";
      onReading(said);
      return;
    }
    if (OF_A_READING.test(e.key) && (fast ? text !== "" : /\d/.test(e.key))) {
      clearTimeout(held);
      stop(e);
      burst = fast;
      text = fast ? text + e.key : e.key;
      held = fast ? undefined : setTimeout(() => letGo(e), HOLD_MS);
      return;
    }
    // some other key: what was held was struck by a finger after all
    burst = false;
    text = "";
  };
  const stop = (e: Event): void => {
    e.preventDefault();
    e.stopImmediatePropagation();
  };
  target.addEventListener("keydown", struck, { capture: true });
  return () => {
    clearTimeout(held);
    target.removeEventListener("keydown", struck, { capture: true });
  };
}
