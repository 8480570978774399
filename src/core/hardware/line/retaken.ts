import { scan } from "./scan";
import type { ReadAs, Span } from "./tokens";

/** A stretch of the line as it is shown: what was typed, and what it was taken for. */
export interface TakenFor extends Span {
  readonly text: string;
}

/** What is said of each stretch, in a word or two. */
export const TAKEN_SAYS: Readonly<Record<ReadAs, string>> = {
  count: "how many",
  kind: "what",
  thread: "thread",
  length: "size",
  drive: "drive",
  head: "head",
  look: "look",
  hand: "left-hand",
  once: "goes back new",
  locker: "locker",
  state: "lost or broken",
  torque: "torque",
  tightening: "how tight",
  into: "into what",
  label: "its number",
  poles: "poles",
  place: "where",
  stays: "did not come off",
  stack: "how they lie",
  freed: "how freed",
  wire: "wire",
  facing: "facing",
  mark: "witness mark",
  joins: "joins",
  note: "note",
  part: "part",
  tool: "tool",
  way: "how it came off",
  seat: "stays",
  variant: "other units",
  meanwhile: "for a while",
  return: "when it goes back",
  share: "some of them",
};

/** Sayings that lie side by side and are one. */
const RUNS: readonly ReadAs[] = ["place", "look", "stack", "freed", "share", "part"];

/**
 * The words of a line with what each was taken for, the joints left out. What was not read stands word for
 * word: one of them may be what stood in the way.
 */
export function takenFor(line: string, read: readonly Span[]): TakenFor[] {
  const out: TakenFor[] = [];
  const apart = read.flatMap((s): readonly Span[] =>
    s.as === "note" && !line.slice(s.from, s.to).startsWith("{")
      ? scan(line.slice(s.from, s.to)).map((t) => ({
          from: s.from + t.from,
          to: s.from + t.to,
          as: "note" as const,
        }))
      : [s],
  );
  for (const span of apart) {
    const last = out.at(-1);
    const isOn =
      last &&
      last.as === span.as &&
      RUNS.includes(span.as) &&
      /^[\s.-]*$/.test(line.slice(last.to, span.from)) &&
      !/[({]$/.test(last.text);
    if (span.as === "joins") continue;
    if (isOn) out[out.length - 1] = { ...last, to: span.to, text: line.slice(last.from, span.to) };
    else out.push({ ...span, text: line.slice(span.from, span.to) });
  }
  return out;
}

/**
 * The line with one of its stretches taken for the next thing it may be: as it was read, then where it sat
 * (in brackets), then a note (in braces), then as it was read again. "Left" beside a thread may be its hand
 * as well.
 *
 * @example retaken("M8 left", { from: 3, to: 7, as: "hand" }) // "M8 (left)"
 */
export function retaken(line: string, { from, to, as }: Span): string {
  const text = line.slice(from, to);
  const inner = text.replace(/^[({]\s*|\s*[)}]$/g, "");
  const put = (s: string): string => line.slice(0, from) + s + line.slice(to);
  if (/^\{.*\}$/s.test(text)) return put(inner);
  if (/^\(.*\)$/s.test(text)) return put(`{${inner}}`);
  if (as === "hand") return put("(left)");
  if (as === "place" && /^left$/i.test(inner)) return put("LH");
  // braces and brackets have no others in them
  const plain = inner.replace(/[(){}]/g, " ").trim();
  return put(as === "place" ? `{${plain}}` : `(${plain})`);
}
