import { FORM_PHRASES, KIND_PHRASES } from "./line/lexicon";
import { type HardwareFacts, type HardwareForm, LOOSENED } from "./piece";
import { NUT_FORMS, type QuickLine, quickLine } from "./quick-line";

/**
 * A piece of hardware in the bench's shorthand, as {@link quickLine} reads it. A place that would be misread
 * stands in brackets.
 *
 * @example shorthandOf({ kind: "screw", qty: 4, thread: "ST3.5", lengthMm: 16, drive: "TX15", at: "corners"
 *   }) // "4x ST3.5x16 TX15 corners"
 */
export function shorthandOf(h: HardwareFacts): string {
  const impliedScrew =
    !h.uncounted &&
    h.kind === "screw" &&
    (h.thread !== undefined || h.drive !== undefined) &&
    !NUT_FORMS.includes(h.form as HardwareForm);
  const size =
    h.thread === undefined
      ? h.lengthMm === undefined
        ? undefined
        : `${h.lengthMm}mm`
      : h.lengthMm === undefined
        ? h.thread
        : sized(h.thread, h.lengthMm);
  const words = [
    h.uncounted || (h.qty === 1 && !impliedScrew) ? undefined : `${h.qty}x`,
    h.finish,
    h.form && FORM_PHRASES[h.form][0],
    // what nobody counted is spoken of in the plural, and read so again
    impliedScrew ? undefined : `${KIND_PHRASES[h.kind][0]}${h.uncounted ? "s" : ""}`,
    h.label,
    h.poles && `${h.poles}-pole`,
    size,
    h.leftHand && "LH",
    h.drive === "SL" ? "slotted" : h.drive?.replace("hex ", "hex"),
    h.locker && (h.locker === "seen" ? "locker" : `${h.locker}-locker`),
    h.once && "once",
    h.threadIs,
    h.tighten?.torqueNm !== undefined && `${h.tighten.torqueNm}Nm`,
    h.tighten?.feel,
    h.into && `into ${h.into}`,
    h.state,
  ].filter(Boolean);
  // what faces where, and what it stays with, is said to the end of its part
  const last = [
    h.stays && (h.stays === LOOSENED ? "only loosened" : `stays ${h.stays}`),
    h.facing && `facing ${h.facing}`,
  ].filter(Boolean);
  if (h.at === undefined) return [...words, ...last].join(" ");
  const bare = [...words, h.at, ...last].join(" ");
  const again = quickLine(bare);
  // a place that would be asked about when it is read again stands in brackets as well
  if (sameFacts(again.hardware, h) && !again.doubts.length) return bare;
  // a bare number in brackets is a count where none is said
  const count = /^\d+$/.test(h.at) && h.qty === 1 && !impliedScrew ? ["1x"] : [];
  return [...count, ...words, `(${h.at})`, ...last].join(" ");
}

/** `M4x12`; a length in mm stands apart behind a thread that is measured in inches. */
const sized = (thread: string, lengthMm: number): string =>
  /^(M|ST|\d+(\.\d+)?$)/.test(thread) ? `${thread}x${lengthMm}` : `${thread} ${lengthMm}mm`;

const sameFacts = (read: readonly HardwareFacts[], h: HardwareFacts): boolean => {
  const plain = (x: HardwareFacts | undefined): string =>
    JSON.stringify(
      Object.entries(x ?? {})
        .filter(([, v]) => v !== undefined)
        .sort(([a], [b]) => (a < b ? -1 : 1)),
    );
  return read.length === 1 && plain(read[0]) === plain(h);
};

/** What a line says of its pieces and its step. */
export type LineFacts = Pick<
  QuickLine,
  "hardware" | "wires" | "freed" | "facing" | "marks" | "stack" | "unread"
>;

/**
 * Everything that a quick line can say, written so that reading it again gives the same. Unread pieces are
 * written as they were typed.
 */
export function writeQuickLine(line: LineFacts): string {
  return [
    ...line.hardware.map(shorthandOf),
    ...line.wires.map((w) => `${w.colour}>${w.to}`),
    ...line.freed,
    ...line.facing.filter((f) => !line.hardware.some((h) => h.facing === f)).map((f) => `facing (${f})`),
    ...line.marks.map((m) => `mark (${m})`),
    ...line.unread.map((u) => u.text),
  ]
    .filter(Boolean)
    .join(", ");
}
