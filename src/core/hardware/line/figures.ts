import { MM_PER_INCH, NM_PER } from "../../quantity/units";
import { COUNT_WORDS, METRIC_PITCHES, NUMBERED_TPI } from "./lexicon";
import type { Meaning } from "./tokens";

/** A decimal number; its comma is none where a count follows it: `1,5` and `3,5x16`, but `16,2x M4`. */
const NUM = String.raw`\d+(?:\.\d+|,\d+(?!\d*\s*[x×](?!\s*\d)))?`;
const END = String.raw`(?![\p{L}\p{N}])`;
const BY = String.raw`(?:\s*[x×]\s*|\s+by\s+(?=\d))`;
const sticky = (source: string): RegExp => new RegExp(source, "iuy");

/** A figure as it was said; of a group that did not match there is none. */
const value = (said: string | undefined): number => Number((said ?? "").replace(",", "."));
const plain = (said: string | undefined): string => String(value(said));
const round = (mm: number): number => Math.round(mm * 1000) / 1000;

/** How each unit of torque is written. */
const TORQUE_UNITS: readonly (readonly [RegExp, number])[] = [
  [/^n\s?[·.]?\s?cm$|^ncm$/i, NM_PER["N cm"]],
  [/^n/i, NM_PER["N m"]],
  [/^in|^inch/i, NM_PER["in-lb"]],
  [/^f/i, NM_PER["ft-lb"]],
  [/^k/i, NM_PER["kgf cm"]],
];
const TORQUE = sticky(
  String.raw`(${NUM})\s*(n\s?[·.]?\s?cm|n\s?[·.]?\s?m|newton[\s-]?met(?:er|re)s?|in(?:ch)?[\s·.-]?(?:lbs?|lbf|pounds?)|f(?:oo)?t[\s·.-]?(?:lbs?|lbf|pounds?)|kgf?[\s·.-]?cm)${END}`,
);

const FRACTION = String.raw`(\d+)\/(\d+)`;
const INCH_MARK = `(?:"|''|″|”)`;
const INCH = String.raw`(?:${INCH_MARK}|\s*in(?:ch(?:es)?)?${END})`;
const MIXED_INCH = sticky(String.raw`(\d+)[\s-]+${FRACTION}(?:${INCH})(?![\d/-])`);
const FRACTION_INCH = sticky(String.raw`${FRACTION}(?:${INCH})?(?![\d/]|-\d)`);
/** `.250` is in inches, as nobody leaves the nought of a millimetre away. */
const MARKED_INCH = sticky(String.raw`(\d*[.,]\d+|\d+)\s*(?:${INCH_MARK}|inch(?:es)?${END})|(\.\d+)${END}`);
const WORD_INCH = sticky(String.raw`(\d*[.,]\d+|\d+)(\s*)in${END}`);
const METRIC = sticky(String.raw`(${NUM})\s*(mm|cm)${END}`);

const inches = (whole: string | undefined, over: string, under: string): number | undefined => {
  const mm = round((Number(whole ?? 0) + Number(over) / Number(under)) * MM_PER_INCH);
  return Number.isFinite(mm) ? mm : undefined;
};

/** A length in inches, at a place of the line; `1 1/4"`, `3/8`, `.25"`, `0.5 inch`. */
function inchAt(line: string, from: number): Found | undefined {
  const mixed = at(MIXED_INCH, line, from);
  const fraction = mixed ?? at(FRACTION_INCH, line, from);
  if (fraction) {
    const [whole, over = "", under = ""] = mixed
      ? [mixed[1], mixed[2], mixed[3]]
      : [undefined, fraction[1], fraction[2]];
    const mm = inches(whole, over, under);
    return mm === undefined ? undefined : { to: from + fraction[0].length, means: { t: "length", mm } };
  }
  const marked = at(MARKED_INCH, line, from);
  if (!marked) return undefined;
  return {
    to: from + marked[0].length,
    means: { t: "length", mm: round(value(marked[1] ?? marked[2]) * MM_PER_INCH) },
  };
}

export interface Found {
  readonly to: number;
  readonly means: Meaning;
}
function at(pattern: RegExp, line: string, from: number): RegExpExecArray | null {
  pattern.lastIndex = from;
  return pattern.exec(line);
}

/**
 * `16 in`: inches where nothing follows that it could lie in, or what follows is the piece itself; no screw
 * of this bench is longer than twelve.
 */
const AFTER_INCH =
  /^\s*(?:$|[,;+)]|(?:and|plus|with|long|tx|t\d|ph|pz|sl|hex|torx|phillips|slotted|screws?|bolts?|m\d|st\d)(?![\p{L}]))/iu;
function wordInchAt(line: string, from: number): Found | undefined {
  const found = at(WORD_INCH, line, from);
  if (!found) return undefined;
  const inch = value(found[1]);
  const to = from + found[0].length;
  const isClose = found[2] === "";
  const isOdd = !/^\d+$/.test(found[1] ?? "");
  if (!isClose && !isOdd && (inch > 12 || !AFTER_INCH.test(line.slice(to, to + 24)))) return undefined;
  return { to, means: { t: "length", mm: round(inch * MM_PER_INCH) } };
}

const M_THREAD = sticky(
  String.raw`m(\d{1,2}(?:[.,]\d{1,2})?)(?:${BY}(${NUM}))?(?:${BY}(${NUM}))?\s*(?:mm)?${END}`,
);
/**
 * A pitch in the second place is one; else it is the length. `M4 x4`, with a blank before it alone, may be a
 * count as well: below five it is.
 */
function metricThreadAt(line: string, from: number): Found | undefined {
  const found = at(M_THREAD, line, from);
  if (!found) return undefined;
  const [whole, d = "", second, third] = found;
  const size = plain(d);
  const pitch =
    second !== undefined && METRIC_PITCHES[size]?.includes(value(second)) ? plain(second) : undefined;
  if (third !== undefined && pitch === undefined) return undefined;
  const length = pitch === undefined ? second : third;
  const apart = /^m\d{1,2}(?:[.,]\d{1,2})?(?=\s+[x×]\d)/i.exec(whole)?.[0];
  if (apart && pitch === undefined && Number(second) < 5)
    return { to: from + apart.length, means: { t: "thread", thread: `M${size}` } };
  const thread = `M${size}${pitch === undefined ? "" : `x${pitch}`}`;
  return {
    to: from + whole.length,
    means: { t: "thread", thread, ...(length === undefined ? {} : { lengthMm: value(length) }) },
  };
}

const ST_THREAD = sticky(String.raw`st(\d(?:[.,]\d)?)(?:${BY}(${NUM}))?\s*(?:mm)?${END}`);
const UNIFIED = sticky(String.raw`#?(\d{1,2}|\d\/\d{1,2})-(\d{1,2})(?=[x×]\s*[\d.]|[^\p{L}\p{N}/]|$)`);
/** Wood screws go by their gauge alone. */
const GAUGE = sticky(String.raw`#(\d{1,2})(?![\d-])(?:${BY}(?=[\d.]))?`);
const MIXED = sticky(String.raw`(\d+)[\s-]+${FRACTION}(?:${INCH})?(?![\d/])`);
const BEHIND = sticky(String.raw`\s*[x×]\s*`);

/** `#8-32`, `6-32`, `1/4-20`, with a length behind: in inches unless it says mm. */
function unifiedThreadAt(line: string, from: number): Found | undefined {
  const found = at(UNIFIED, line, from);
  if (!found) return undefined;
  const [whole, size = "", turns = ""] = found;
  const isNumbered = whole.startsWith("#") || NUMBERED_TPI[size]?.includes(Number(turns)) === true;
  if (!isNumbered && !size.includes("/")) return undefined;
  return withLength(line, from + whole.length, `${size.includes("/") ? "" : "#"}${size}-${turns}`);
}

const BRITISH = sticky(
  String.raw`(?:(\d{1,2})\s?ba|(\d\/\d{1,2})["”]?\s*(bsw|bsf|whitworth|whit\.?))(?![\p{L}\p{N}])`,
);
/** `2BA`, `1/4 BSW`, `1/4 Whitworth`, with a length behind: in inches unless it says mm. */
function britishThreadAt(line: string, from: number): Found | undefined {
  const found = at(BRITISH, line, from);
  if (!found) return undefined;
  const [whole, number, size, form = ""] = found;
  const thread = number === undefined ? `${size} ${/^bsf/i.test(form) ? "BSF" : "BSW"}` : `${number}BA`;
  return withLength(line, from + whole.length, thread);
}

/** A thread whose length stands behind it, in inches unless it says mm. */
function withLength(line: string, to: number, thread: string): Found {
  const by = at(BEHIND, line, to);
  if (!by) return { to, means: { t: "thread", thread } };
  const behind = to + by[0].length;
  const mixed = at(MIXED, line, behind);
  if (mixed)
    return {
      to: behind + mixed[0].length,
      means: { t: "thread", thread, lengthMm: inches(mixed[1], mixed[2] ?? "", mixed[3] ?? "") },
    };
  const length = at(METRIC, line, behind)
    ? metricAt(line, behind)
    : (inchAt(line, behind) ?? wordInchAt(line, behind) ?? bareInchAt(line, behind));
  if (length?.means.t !== "length") return { to, means: { t: "thread", thread } };
  return { to: length.to, means: { t: "thread", thread, lengthMm: length.means.mm } };
}
const INCH_FIRST = sticky(String.raw`(?:(\d+)\/(\d+)|(\.\d+))${INCH_MARK}?(?:\s*[x×]|\s+[x×]\s)\s*(?=[\d.])`);
/**
 * `1/8 x 1"`, `.125 x 1 inch`, `3/16 x 3/4`: two sizes in inches. `3/8 x4` is a count: its cross stands
 * against the figure.
 */
function inchSizeAt(line: string, from: number): Found | undefined {
  const first = at(INCH_FIRST, line, from);
  if (!first) return undefined;
  const [whole, over = "", under = "", decimal] = first;
  const across = decimal === undefined ? inches(undefined, over, under) : round(value(decimal) * MM_PER_INCH);
  const begins = from + whole.length;
  const mixed = at(MIXED, line, begins);
  const second: Found | undefined = mixed
    ? {
        to: begins + mixed[0].length,
        means: { t: "length", mm: inches(mixed[1], mixed[2] ?? "", mixed[3] ?? "") ?? 0 },
      }
    : (inchAt(line, begins) ?? wordInchAt(line, begins) ?? bareInchAt(line, begins));
  const isCount =
    /\s[x×]$/.test(whole) && second?.to !== undefined && /^\d+$/.test(line.slice(begins, second.to));
  if (across === undefined || second?.means.t !== "length" || !second.means.mm || isCount) return undefined;
  return { to: second.to, means: { t: "size", thread: String(across), lengthMm: second.means.mm } };
}
const BARE = sticky(`(${NUM})${END}`);
function bareInchAt(line: string, from: number): Found | undefined {
  const found = at(BARE, line, from);
  return found
    ? {
        to: from + found[0].length,
        means: { t: "length", mm: round(value(found[1]) * MM_PER_INCH) },
      }
    : undefined;
}
function metricAt(line: string, from: number): Found | undefined {
  const found = at(METRIC, line, from);
  const [whole = "", n = "", unit] = found ?? [];
  return found
    ? {
        to: from + whole.length,
        means: { t: "length", mm: value(n) * (unit?.toLowerCase() === "cm" ? 10 : 1) },
      }
    : undefined;
}

const DRIVE = sticky(
  String.raw`(tx|t|ph|pz|sl|slot|sq|hx|hex|af)[\s-]?(\d{1,2}(?:[.,]\d)?)(h)?\s*(?:mm)?${END}`,
);
const DRIVES: Readonly<Record<string, string>> = {
  tx: "TX",
  t: "TX",
  ph: "PH",
  pz: "PZ",
  sl: "SL",
  slot: "SL",
  sq: "SQ",
  hx: "hex ",
  hex: "hex ",
  af: "AF",
};
/** `TX15`, `T15`, `PH2`, `hex 4`, `TX20H` (with a pin in it), `AF10` (hexagon across its flats). */
function driveAt(line: string, from: number): Found | undefined {
  const found = at(DRIVE, line, from);
  if (!found) return undefined;
  const [whole, said = "", size = "", pinned] = found;
  const family = said.toLowerCase();
  const isTorx = family === "tx" || family === "t";
  if ((pinned && !isTorx) || (family === "t" && (Number(size) < 3 || /^t\s/i.test(whole)))) return undefined;
  return {
    to: from + whole.length,
    means: { t: "drive", drive: `${DRIVES[family]}${plain(size)}${pinned ? "H" : ""}` },
  };
}
/** `17mm spanner`, `10 mm wrench`, `13 mm across flats`: a hexagon turned from outside. */
const SPANNER = sticky(
  String.raw`(\d{1,2}(?:[.,]\d)?)\s*(?:mm)?\s*(?:spanner|wrench|a\/?f|across\s+flats)${END}`,
);
/** `8 mm bolt head`, `10 mm heads`: a hexagon told by its width. */
const HEAD_WIDTH = sticky(
  String.raw`(\d{1,2}(?:[.,]\d)?)\s*(?:mm)?\s+(?:(?:bolt|screw|nut|hex(?:agon)?)\s+)?heads?(?!\s+(?:screws?|bolts?))${END}`,
);
function spannerAt(line: string, from: number): Found | undefined {
  const head = at(HEAD_WIDTH, line, from);
  if (head)
    return {
      to: from + head[0].length,
      means: { t: "drive", drive: `AF${plain(head[1])}`, isHead: true },
    };
  const found = at(SPANNER, line, from);
  return found
    ? { to: from + found[0].length, means: { t: "drive", drive: `AF${plain(found[1])}` } }
    : undefined;
}
const DRIVE_SIZE = sticky(
  String.raw`\s*(?:#|no\.?\s?)?(\d{1,2}(?:[.,]\d)?)(?![\d.,]*\s*(?:mm|cm|[x×"/]|in${END}))${END}`,
);
/** A size behind a drive that was said as a word: `torx 15`, `phillips #2`. */
export function sizedDrive(drive: string, line: string, to: number): Found {
  const isHex = drive === "hex";
  const mm = isHex ? at(sticky(String.raw`\s*(\d{1,2}(?:[.,]\d)?)\s*mm${END}`), line, to) : null;
  const found = mm ?? at(DRIVE_SIZE, line, to);
  const size = found ? value(found[1]) : undefined;
  const most = drive === "TX" ? 60 : isHex ? 14 : drive === "SL" ? 12 : 4;
  if (!found || size === undefined || size > most) return { to, means: { t: "drive", drive } };
  return { to: to + found[0].length, means: { t: "drive", drive: `${drive}${isHex ? " " : ""}${size}` } };
}

/** `4x 16` is four of 16 mm, `4x16` and `4 x 16` are sizes. */
const SIZE = sticky(String.raw`(${NUM})(?:[x×]|\s+[x×]\s*|\s+by\s+)(${NUM})\s*(?:mm)?(?!\s*[x×\d])${END}`);
const DOZENS = sticky(String.raw`(\d{1,2})\s+dozen${END}`);
/** `20x32x7`: the three sizes of a ring or a key, or a count before two. */
const THREE = sticky(String.raw`(${NUM})[x×](${NUM})[x×](${NUM})\s*(?:mm)?${END}`);
const COUNTED = sticky(
  String.raw`(\d+)(?:\s*[x×](?=\s*(?:[^\s\d.,]|\d+(?:[.,]\d+)?[x×]\d)|\s+\d|\s*[,;]|\s*$)|\s*(?:pcs?|pieces)\.?${END}|\s+of(?:f|\s+(?:them|these|those))${END})`,
);
const COUNTED_BEHIND = sticky(String.raw`[x×]\s?(\d+)(?![\p{L}\p{N}.,/]|\s*[x×])|qty:?\s*(\d+)${END}`);
const IN_PIECES = sticky(String.raw`(\d+|\p{L}+)[\s-](?:piece|part)(?![\p{L}\p{N}])`);
const SOME_OF = sticky(String.raw`(\d{1,3})\s+of\s+(?:the\s+)?(\d{1,3})(?=\s+\p{L})`);
const POLES = sticky(String.raw`(\d{1,2})[\s-]?(pole|pin|way)s?${END}`);
const CODE = sticky(
  String.raw`(?:hk|axk)\d{3,5}${END}|\d{3,5}(?:[\s-]?(?:2rs1?|rs1?|2rz|2z|zz|z|llu|ddu|vv|open))+${END}`,
);
const PRINTED = sticky(String.raw`[a-z]{1,3}\d{1,3}[a-z]?${END}`);
const NUMBER = sticky(String.raw`(${NUM})(?![\p{L}])`);
const NEGATIVE = sticky(String.raw`[-−]\d`);
const TURN = sticky(
  String.raw`(?:(?:an?|one|two|three|half|quarter|eighth|1\/\d{1,2}|\d+|\d*[.,]\d+|½|¼|⅛|¾)\s+){1,2}(?:of\s+a\s+)?turns?(?!\s+(?:(?:in\s+)?the\s+(?:other|wrong|opposite)|backwards?|back${END}|in\s*(?:$|[,;])|out${END}|open${END}|proud${END}|anti-?clockwise|clockwise|freely|on${END}))(?:\s+(?:past|more|further)(?:\s+snug)?)?${END}|an?\s+(?:half|quarter|eighth)\s+past${END}|(\d+)\s*(?:°|deg(?:rees)?)(?:\s+past(?:\s+snug)?)?(?![\p{L}\p{N}])`,
);

/** What figures can mean at a place of the line, the surest first; undefined: no figure begins here. */
export function figureAt(line: string, from: number): Found | undefined {
  const torque = at(TORQUE, line, from);
  if (torque) {
    const factor = TORQUE_UNITS.find(([unit]) => unit.test(torque[2] ?? ""))?.[1] ?? 1;
    const nm = value(torque[1]) * factor;
    return {
      to: from + torque[0].length,
      means: { t: "torque", nm: factor === 1 ? nm : Math.round(nm * 100) / 100 },
    };
  }
  const turn = at(TURN, line, from);
  if (turn) return { to: from + turn[0].length, means: { t: "tight" } };
  const pieces = at(IN_PIECES, line, from);
  const inPieces = pieces && (Number(pieces[1]) || COUNT_WORDS[(pieces[1] ?? "").toLowerCase()]);
  if (
    pieces &&
    inPieces &&
    /^\s*\p{L}/u.test(line.slice(from + pieces[0].length, from + pieces[0].length + 3))
  )
    return { to: from + pieces[0].length, means: { t: "count", n: inPieces } };
  const thread =
    metricThreadAt(line, from) ??
    tappingAt(line, from) ??
    unifiedThreadAt(line, from) ??
    britishThreadAt(line, from);
  if (thread) return thread;
  const inchSize = inchSizeAt(line, from);
  if (inchSize) return inchSize;
  const gauge = at(GAUGE, line, from);
  if (gauge) return { to: from + gauge[0].length, means: { t: "thread", thread: `#${gauge[1]}` } };
  const drive = driveAt(line, from) ?? spannerAt(line, from);
  if (drive) return drive;
  if (at(NEGATIVE, line, from)) return { to: from + 1, means: { t: "negative" } };
  const code = at(CODE, line, from);
  if (code)
    return {
      to: from + code[0].length,
      means: { t: "code", code: code[0].toUpperCase().trim().replace(/\s+/g, "-") },
    };
  const poles = at(POLES, line, from);
  if (poles)
    return {
      to: from + poles[0].length,
      means: { t: "poles", n: Number(poles[1]), isPin: /pin/i.test(poles[2] ?? "") },
    };
  // a large X stands on plugs
  const some = at(SOME_OF, line, from);
  if (some && Number(some[1]) <= Number(some[2]))
    return { to: from + some[0].length, means: { t: "count", n: Number(some[1]), of: Number(some[2]) } };
  const dozens = at(DOZENS, line, from);
  if (dozens) return { to: from + dozens[0].length, means: { t: "count", n: Number(dozens[1]) * 12 } };
  const three = at(THREE, line, from);
  if (three) {
    const sizes = [value(three[1]), value(three[2]), value(three[3])] as const;
    return { to: from + three[0].length, means: { t: "three", sizes } };
  }
  const counted = at(COUNTED, line, from) ?? (line[from] === "X" ? null : at(COUNTED_BEHIND, line, from));
  const size = at(SIZE, line, from);
  if (size && !(counted && counted[0].length >= size[0].length))
    return {
      to: from + size[0].length,
      means: { t: "size", thread: plain(size[1]), lengthMm: value(size[2]) },
    };
  if (counted)
    return { to: from + counted[0].length, means: { t: "count", n: Number(counted[1] ?? counted[2]) } };
  const length = metricAt(line, from) ?? inchAt(line, from) ?? wordInchAt(line, from);
  if (length) return length;
  const number = at(NUMBER, line, from);
  if (number)
    return {
      to: from + number[0].length,
      means: { t: "number", n: value(number[1]), isWhole: /^\d+$/.test(number[1] ?? "") },
    };
  const printed = at(PRINTED, line, from);
  return printed ? { to: from + printed[0].length, means: { t: "code", code: printed[0] } } : undefined;
}
function tappingAt(line: string, from: number): Found | undefined {
  const found = at(ST_THREAD, line, from);
  if (!found) return undefined;
  const [whole, d = "", length] = found;
  return {
    to: from + whole.length,
    means: {
      t: "thread",
      thread: `ST${plain(d)}`,
      ...(length === undefined ? {} : { lengthMm: value(length) }),
    },
  };
}
