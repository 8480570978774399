import { MM_PER_INCH } from "../quantity/units";
import type { Freeing } from "./freed";
import type { HardwareKind } from "./kinds";
import type { HardwareFacts, HardwareForm, PieceState } from "./piece";
import {
  COUNT_WORDS,
  FINISHES,
  FORM_WORDS,
  FREED_WORDS,
  KIND_WORDS,
  LOCKER_COLOURS,
  METRIC_PITCHES,
  PLACES,
  PREPOSITIONS,
  STATES,
  TWO_WORDS,
  WIRE_COLOURS,
} from "./shorthand-words";

export interface Wire {
  readonly colour: string;
  readonly to: string;
}

/** A piece of the line that could not be read: it is kept as a note, and says why where that is known. */
export interface Unread {
  readonly text: string;
  readonly says: string;
}

/** What the quick line understood. */
export interface QuickLine {
  readonly hardware: readonly HardwareFacts[];
  readonly wires: readonly Wire[];
  /** how it was got free, where that was said */
  readonly freed?: Freeing;
  readonly facing?: string;
  readonly mark?: string;
  readonly torqueNm?: number;
  readonly unread: readonly Unread[];
}

/** The most of one kind that a step counts, and the longest piece believed, mm. */
export const MOST_PIECES = 200;
export const LONGEST_MM = 500;

export const NUT_FORMS: readonly HardwareForm[] = ["dome", "self-locking", "wing"];
const NOT_READ = "not read, kept as a note";

const wordTable = <T extends string>(table: Readonly<Record<T, readonly string[]>>): ReadonlyMap<string, T> =>
  new Map((Object.entries(table) as [T, readonly string[]][]).flatMap(([key, words]) => words.map((w) => [w, key] as const)));
const KINDS = wordTable<HardwareKind>(KIND_WORDS);
const FORMS = wordTable<HardwareForm>(FORM_WORDS);
const kindNamed = (word: string): HardwareKind | undefined => KINDS.get(word) ?? KINDS.get(word.replace(/e?s$/, "")) ?? KINDS.get(word.replace(/s$/, ""));

/**
 * Reads the bench's shorthand: `4x TX15 16 ST3.5 corners, pin 3x18 drive`. The grammar stands in docs/quick-line.md.
 *
 * Pieces stand apart by comma, semicolon or "and"; `+` joins pieces that lie on each other, and a place said at the end holds for all of
 * them. In a piece the count comes first; kind, thread, drive, length, head, finish and state come in any order; other words say where.
 * What cannot be read is kept, with the reason where there is one: nothing that was typed is lost.
 *
 * @example quickLine("4x TX15 16 ST3.5 corners").hardware[0] // { kind: "screw", qty: 4, thread: "ST3.5", lengthMm: 16, drive: "TX15", at: "corners" }
 */
export function quickLine(text: string): QuickLine {
  const hardware: HardwareFacts[] = [];
  const wires: Wire[] = [];
  const unread: Unread[] = [];
  const said: { freed?: Freeing; facing?: string; mark?: string; torqueNm?: number } = {};
  for (const stack of splitOutside(decimalPoints(text), /[,;]|\band\b/i)) {
    const facing = /^(?:facing|face)[: ]\s*(.+)$/i.exec(stack);
    const mark = /^(?:mark|witness)[: ]\s*(.+)$/i.exec(stack);
    if (facing) said.facing = bare(facing[1] as string);
    else if (mark) said.mark = bare(mark[1] as string);
    else {
      const pieces = splitOutside(stack, /\+/).map((p) => readPiece(p));
      const place = pieces[pieces.length - 1]?.facts?.at;
      pieces.forEach((p, i) => {
        if (p.facts) hardware.push(place && i < pieces.length - 1 && p.facts.at === undefined ? inOrder({ ...p.facts, at: place }) : p.facts);
        wires.push(...p.wires);
        if (p.freed) said.freed = p.freed;
        if (p.torqueNm !== undefined) said.torqueNm = p.torqueNm;
        if (p.unread) unread.push(p.unread);
      });
    }
  }
  return { hardware, wires, ...said, unread };
}

/** A comma right between digits is a decimal comma, unless a count follows: `1,5` but `16,2x M4`. */
const decimalPoints = (text: string): string => text.replace(/(\d),(\d+)(?![\d]*[x×])/g, "$1.$2");
const bare = (text: string): string => text.replace(/^\((.*)\)$/, "$1").trim();

/** Cut at a separator, but not inside brackets; empty pieces are dropped. */
function splitOutside(text: string, separator: RegExp): string[] {
  const out = [""];
  for (const part of text.split(/(\([^()]*\))/)) {
    if (/^\(.*\)$/s.test(part)) out[out.length - 1] += part;
    else {
      const [first = "", ...rest] = part.split(separator);
      out[out.length - 1] += first;
      out.push(...rest);
    }
  }
  return out.map((p) => p.trim()).filter(Boolean);
}

interface Piece {
  facts?: HardwareFacts;
  wires: Wire[];
  freed?: Freeing;
  torqueNm?: number;
  unread?: Unread;
}
type Facts = { -readonly [K in keyof HardwareFacts]?: HardwareFacts[K] };

const ORDER: readonly (keyof HardwareFacts)[] = [
  "kind",
  "qty",
  "thread",
  "lengthMm",
  "drive",
  "form",
  "finish",
  "leftHand",
  "once",
  "locker",
  "label",
  "poles",
  "state",
  "at",
];
/** The same facts always in the same order. */
const inOrder = (f: Facts): HardwareFacts => Object.fromEntries(ORDER.flatMap((k) => (f[k] === undefined ? [] : [[k, f[k]]]))) as unknown as HardwareFacts;

function readPiece(piece: string): Piece {
  const out: Piece = { wires: [] };
  const f: Facts = {};
  const at: string[] = [];
  const refuse = (says: string): Piece => ({ wires: [], unread: { text: piece, says } });
  const { qty, words } = countAndWords(piece);
  if (qty !== undefined && (qty < 1 || qty > MOST_PIECES))
    return refuse(qty < 1 ? "none of something is nothing" : `${qty} pieces cannot be: the maximum is ${MOST_PIECES}`);
  let loose = 0;
  let where = false;
  for (const word of words) {
    const low = word.toLowerCase();
    const wire = wireFrom(word);
    const torque = /^(\d+(?:\.\d+)?)nm$/.exec(low.replace("·", ""));
    if (/^[-−]\d/.test(low)) return refuse("a count or a length is never below nothing");
    if (word.startsWith("(")) at.push(bare(word));
    else if (where && /^\d/.test(low) && lengthOf(low) !== undefined) at.push(word);
    else if (wire) out.wires.push(wire);
    else if (torque) out.torqueNm = Number(torque[1]);
    else if (Object.hasOwn(FREED_WORDS, low)) out.freed = FREED_WORDS[low] as Freeing;
    else {
      const taken = takeWord(f, word, low);
      if (typeof taken === "string") return refuse(`${taken}; part them with a comma`);
      if (taken) continue;
      at.push(Object.hasOwn(PLACES, low) ? (PLACES[low] as string) : word);
      where ||= PREPOSITIONS.includes(low);
      loose++;
    }
  }
  // a screw is meant where only a thread or a drive is named, a nut where its head says so
  if (f.kind === undefined && (f.thread || f.drive)) f.kind = NUT_FORMS.includes(f.form as HardwareForm) ? "nut" : "screw";
  if (f.kind === undefined) {
    const stepFactsAlone = (out.wires.length > 0 || out.freed !== undefined || out.torqueNm !== undefined) && loose + at.length === 0 && qty === undefined;
    return stepFactsAlone && Object.keys(f).length === 0 ? out : refuse(NOT_READ);
  }
  if (f.lengthMm !== undefined && (f.lengthMm <= 0 || f.lengthMm > LONGEST_MM))
    return refuse(f.lengthMm <= 0 ? "a length of nothing" : `${f.lengthMm} mm is longer than anything on this bench: the maximum is ${LONGEST_MM} mm`);
  const place = at.join(" ").trim();
  out.facts = inOrder({ ...f, qty: qty ?? 1, at: place || undefined });
  return out;
}

/** What is one word although it is typed as two: `16 mm`, `hex 4`, `M4 x 12`, `2 pole`, `lock washer`. */
function joined(text: string): string {
  return text
    .replace(/(\d)"/g, "$1in")
    .replace(/(\d)\s+(mm|cm|in|inch|n·?m|poles?)\b/gi, "$1$2")
    .replace(/\b(tx|t|ph|pz|sl|slot|sq|hx|hex|af)\s+(\d)/gi, "$1$2")
    .replace(/\b((?:m|st)\d[\d.]*(?:[x×][\d.]+)?|\d\/\d+-\d+)\s*[x×]\s*(?=\d)/gi, "$1x")
    .replace(/(#\d+-\d+)\s*[x×]\s*(?=\d)/gi, "$1x")
    .replace(TWO_WORDS, (m) => m.replace(/[ -]/, "-"));
}

/** The count at the head of a piece, and the words behind it; what stands in brackets stays whole. */
function countAndWords(piece: string): { qty?: number; words: string[] } {
  const words =
    piece
      .split(/(\([^()]*\))/)
      .map((part) => (part.startsWith("(") ? ` ${part} ` : joined(part)))
      .join("")
      .match(/\([^()]*\)|[^\s()]+/g) ?? [];
  const first = words[0]?.toLowerCase() ?? "";
  const counted = /^(\d+)[x×]?$/.exec(first);
  if (words.length > 1 && (counted || Object.hasOwn(COUNT_WORDS, first))) {
    const rest = words.slice(/^[x×]$/i.test(words[1] ?? "") ? 2 : 1);
    if (rest.length) return { qty: counted ? Number(counted[1]) : (COUNT_WORDS[first] as number), words: rest };
  }
  // 4xTX15 without a space
  const close = /^(\d+)[x×]([a-z#].*)$/i.exec(words[0] ?? "");
  if (close) return { qty: Number(close[1]), words: [close[2] as string, ...words.slice(1)] };
  return { words };
}

const SAID: Readonly<Partial<Record<keyof HardwareFacts, string>>> = {
  kind: "kinds of piece",
  thread: "threads",
  drive: "drives",
  lengthMm: "lengths",
  form: "heads",
};

/** Puts a word's meaning into the facts. False: it has none, and says where. A sentence: it contradicts what was said before. */
function takeWord(f: Facts, word: string, low: string): boolean | string {
  const set = <K extends keyof Facts>(key: K, value: Facts[K]): boolean | string => {
    if (f[key] !== undefined && f[key] !== value) return SAID[key] ? `two ${SAID[key]} in one piece, ${f[key]} and ${value}` : false;
    f[key] = value;
    return true;
  };
  const kind = kindNamed(low);
  if (kind) return set("kind", kind);
  const form = FORMS.get(low);
  if (form) return set("form", form);
  if (low === "lh" || low === "left-hand") return set("leftHand", true);
  if (low === "once" || low === "new" || low === "renew") return set("once", true);
  if (low === "locker") return set("locker", "seen");
  if (f.kind === "bearing" && /^\d{3,4}(?:-?(?:2rs|rs|2z|zz|z|open))?$/.test(low)) return set("label", word.toUpperCase());
  const locker = /^([a-z]+)-locker$/.exec(low);
  if (locker && (LOCKER_COLOURS as readonly string[]).includes(locker[1] as string)) return set("locker", locker[1]);
  if (Object.hasOwn(STATES, low)) return set("state", STATES[low] as PieceState);
  if ((FINISHES as readonly string[]).includes(low)) return set("finish", low);
  const poles = /^(\d{1,2})-?(?:poles?|pins?|way)$/.exec(low);
  if (f.kind === "plug" && poles) return set("poles", Number(poles[1]));
  if (f.kind === "plug" && /^[a-z]{1,3}\d{1,3}[a-z]?$/i.test(word)) return set("label", word);
  const drive = driveFrom(low);
  if (drive) return set("drive", drive);
  const thread = threadFrom(low);
  if (thread) return both(set("thread", thread.thread), () => (thread.lengthMm === undefined ? true : set("lengthMm", thread.lengthMm)));
  const size = /^(\d+(?:[.,]\d+)?)[x×](\d+(?:[.,]\d+)?)(?:mm)?$/.exec(low);
  if (size) return both(set("thread", number(size[1])), () => set("lengthMm", Number(number(size[2]))));
  const length = lengthOf(low);
  if (length !== undefined) return set("lengthMm", length);
  return false;
}

const both = (first: boolean | string, second: () => boolean | string): boolean | string => (first === true ? second() : first);
const number = (s: string | undefined): string => String(Number((s ?? "").replace(",", ".")));

/** `16`, `16mm`, `1.6cm`, `3/4"`, `0.5in`, `1-1/4"`: mm. */
function lengthOf(low: string): number | undefined {
  const metric = /^(\d+(?:\.\d+)?)(mm|cm)?$/.exec(low);
  if (metric) return Number(number(metric[1])) * (metric[2] === "cm" ? 10 : 1);
  const inch = /^(?:(\d+)-)?(\d+)(?:\/(\d+)|[.,](\d+))?(?:in|inch)$/.exec(low);
  if (!inch) return undefined;
  const [, whole, over, under, decimals] = inch;
  const value = Number(whole ?? 0) + (under ? Number(over) / Number(under) : Number(`${over}.${decimals ?? 0}`));
  return Number.isFinite(value) ? Math.round(value * MM_PER_INCH * 1000) / 1000 : undefined;
}

/** `TX15`, `T15`, `PH2`, `PZ1`, `SL6`, `hex4`, `HX4`, `SQ2`, `TX20H` (with a pin in it), `AF10` (hexagon across its flats). */
function driveFrom(low: string): string | undefined {
  const m = /^(tx|t|ph|pz|sl|slot|sq|hx|hex|af)-?(\d{1,2}(?:[.,]\d)?)(h)?$/.exec(low);
  if (!m) return undefined;
  const [, family, size, pinned] = m;
  if (pinned && family !== "tx" && family !== "t") return undefined;
  if (family === "t" && Number(size) < 3) return undefined;
  const name = { tx: "TX", t: "TX", ph: "PH", pz: "PZ", sl: "SL", slot: "SL", sq: "SQ", hx: "hex ", hex: "hex ", af: "AF" }[family as string];
  return `${name}${number(size)}${pinned ? "H" : ""}`;
}

/** `M4`, `M8x1` (fine), `M4x12`, `M8x1x20`, `ST3.5`, `ST3.5x16`, `#8-32`, `1/4-20`, the last two also with a length in inches behind. */
function threadFrom(low: string): { thread: string; lengthMm?: number } | undefined {
  const metric = /^m(\d{1,2}(?:[.,]\d{1,2})?)(?:[x×](\d+(?:[.,]\d+)?))?(?:[x×](\d+(?:[.,]\d+)?))?$/.exec(low);
  if (metric) {
    const [, d, second, third] = metric;
    const size = number(d);
    const pitch = second !== undefined && METRIC_PITCHES[size]?.includes(Number(number(second))) ? number(second) : undefined;
    if (third !== undefined && pitch === undefined) return undefined;
    const length = pitch === undefined ? second : third;
    return { thread: `M${size}${pitch === undefined ? "" : `x${pitch}`}`, ...(length === undefined ? {} : { lengthMm: Number(number(length)) }) };
  }
  const tapping = /^st(\d(?:[.,]\d)?)(?:[x×](\d+(?:[.,]\d+)?))?$/.exec(low);
  if (tapping) return { thread: `ST${number(tapping[1])}`, ...(tapping[2] === undefined ? {} : { lengthMm: Number(number(tapping[2])) }) };
  const unified = /^(#\d{1,2}-\d{2}|\d\/\d{1,2}-\d{1,2})(?:[x×](.+))?$/.exec(low);
  if (!unified) return undefined;
  const length = unified[2] === undefined ? undefined : lengthOf(unified[2]);
  if (unified[2] !== undefined && length === undefined) return undefined;
  return { thread: unified[1] as string, ...(length === undefined ? {} : { lengthMm: length }) };
}

/** `brown>L`, `bn→L1`, `gnye->frame`. */
function wireFrom(word: string): Wire | undefined {
  const m = /^([a-z/-]+?)(?:->|>|→)(\S+)$/i.exec(word);
  if (!m) return undefined;
  const colour = (m[1] as string).toLowerCase();
  return { colour: Object.hasOwn(WIRE_COLOURS, colour) ? (WIRE_COLOURS[colour] as string) : colour, to: m[2] as string };
}
