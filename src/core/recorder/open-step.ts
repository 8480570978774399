import { z } from "zod";
import type { Frozen } from "../frozen";
import { FREEING_WORDS } from "../hardware/freed";
import { type HardwareFacts, hardwareInWords, isLoose, LOOSENED, pieceFacts } from "../hardware/piece";
import { type Doubt, type QuickLine, quickLine, worthALook } from "../hardware/quick-line";
import { cameOff, factsWith, type RecordedStep, recordedStep } from "../job/recorded-step";
import { type Action, action, REMARKS, type RemarkAbout, type StepFacts, stepFacts } from "../job/step";
import { likelyAction } from "../order/likely-action";

const openShape = z.strictObject({
  /** its own name until it has a number: pictures and retries go by it */
  key: z.string(),
  /** the step that is being edited; null: a new one */
  editing: z.string().nullable(),
  what: z.string(),
  line: z.string(),
  /** lines that were taken already, as they were typed */
  said: z.string(),
  hardware: z.array(pieceFacts),
  action: action.nullable(),
  asOne: z.boolean(),
  /** null: needs the step before it; a list: needs only these */
  needs: z.array(z.string()).nullable(),
  stack: z.array(z.string()),
  partStates: recordedStep.shape.partStates,
  /** what was typed for the next step while this one was stopped at a doubt */
  next: z.strictObject({ what: z.string(), line: z.string() }),
  partFacts: recordedStep.shape.partFacts,
  /** what of a line that was taken may have been meant otherwise: said once more before it is laid down */
  looks: z.array(z.string()),
  /** pieces of `hardware` of which something was taken for granted */
  inferred: z.array(z.int()),
  /** what was put in by touch */
  facts: stepFacts,
  /** when it was begun, ms */
  since: z.number().nullable(),
});

/** A step that is being recorded, or edited, and is not laid down. */
export type OpenStep = Frozen<z.infer<typeof openShape>>;

export const EMPTY: OpenStep = {
  key: "", editing: null, what: "", line: "", said: "", hardware: [], action: null, asOne: false, needs: null,
  stack: [], partStates: {}, looks: [], inferred: [], facts: {}, since: null, next: { what: "", line: "" },
}; // biome-ignore format: every field is empty

/**
 * A draft of an older day had its facts beside the rest, the witness marks as one text, and lacked what a
 * step can carry since.
 */
function ofToday(draft: unknown): unknown {
  if (typeof draft !== "object" || draft === null) return draft;
  const said = new Map<string, unknown>(Object.entries(draft));
  if (said.has("mark")) said.set("marks", [String(said.get("mark"))]);
  const older = stepFacts
    .keyof()
    .options.flatMap((f) => (said.has(f) && said.get(f) !== null ? [[f, said.get(f)] as const] : []));
  const own = Object.keys(openShape.shape).flatMap((k) => (said.has(k) ? [[k, said.get(k)] as const] : []));
  return {
    ...EMPTY,
    ...Object.fromEntries(own),
    facts: factsWith({ ...Object.fromEntries(older), ...Object(said.get("facts") ?? {}) }, {}),
  };
}

/** Reads a draft as it was kept in the browser or in the shop. */
export const openStep = z.preprocess(ofToday, openShape);

/** Witness marks as they are typed: one after the other, with semicolons between them. */
export const marksIn = (typed: string): string[] =>
  typed
    .split(";")
    .map((m) => m.trim())
    .filter(Boolean);

/** All that is said of the step so far: what was put in by touch, and what the quick line reads. */
export interface Understood {
  readonly action: Action;
  /** nobody said what was done: it is told from what it was */
  readonly isActionGuessed: boolean;
  readonly names: readonly string[];
  /** names that stood among the pieces of the line, and not in what came off */
  readonly namesInLine: readonly string[];
  /** parts that are broken, lost or missing, by name */
  readonly partStates: OpenStep["partStates"];
  readonly hardware: readonly HardwareFacts[];
  /** pieces of which something was not said and is taken for granted: their kind, how many there are */
  readonly inferred: readonly number[];
  readonly facts: StepFacts;
  /** as they lie on each other, from the top: `h0` a piece, `p0` a part */
  readonly stack: readonly string[];
  /** that they lie so was told from "above" and "below" */
  readonly isStackGuessed: boolean;
  readonly unread: QuickLine["unread"];
  readonly doubts: QuickLine["doubts"];
  /** what each stretch of the line was taken for */
  readonly spans: QuickLine["read"];
}

export function understood(open: OpenStep): Understood {
  const read = quickLine(open.line);
  const said = [...open.hardware, ...read.hardware];
  const before = open.hardware.length;
  // a screw that was only loosened is still in its hole
  const hardware =
    open.action === "loosen"
      ? said.map((h) => (h.stays || !isLoose(h) ? h : { ...h, stays: LOOSENED }))
      : said;
  const { names: named, states, leftHand } = cameOff(open.what);
  const namesInLine = read.parts.filter((p) => !named.some((n) => isSameName(n, p)));
  const names = [...named, ...namesInLine];
  const stack = open.stack.length ? open.stack : stackIn(read, before, names);
  const saidDone = doneIn(read, hardware);
  const facts = factsIn({ ...(leftHand && { leftHand }), ...open.facts }, read);
  const doubts = didItComeOff(open.line, named, read, hardware);
  const notNamed = read.stack.flatMap((s) => ("part" in s && partAt(names, s.part) < 0 ? [s.part] : []));
  return {
    hardware,
    inferred: [...open.inferred, ...new Set(read.inferred.map((i) => i.piece + before))],
    stack,
    isStackGuessed: !open.stack.length && !read.stack.length && stack.length > 0,
    spans: read.read,
    unread: [
      ...read.unread,
      ...notNamed.map((text) => ({ text, says: "is in the stack, and not named as what came off" })),
    ],
    // a part that was named as what came off needs no asking
    doubts: [
      ...doubts,
      ...read.doubts.filter((d) => !doubts.some((o) => o.stays && d.says.includes(`“${o.stays}”`))),
    ]
      .filter(({ part }) => part === undefined || !named.some((n) => isSameName(n, part)))
      .map((d) => ({ ...d, piece: d.piece === null ? null : d.piece + before })),
    action:
      open.action ??
      saidDone ??
      (doubts.some((d) => d.stays)
        ? "note"
        : likelyAction(
            names.join(", "),
            isLoosenedOff(open.line, named, hardware) ? [] : hardware,
            facts.wires !== undefined,
          )),
    isActionGuessed: open.action === null && saidDone === undefined,
    names,
    namesInLine,
    partStates: { ...states, ...open.partStates },
    facts,
  };
}

/** "Caps" behind "brush caps" are those. */
function isSameName(a: string, b: string): boolean {
  const [x, y] = [a, b].map((n) => ` ${n.toLowerCase()}`) as [string, string];
  return x.endsWith(y) || y.endsWith(x);
}

/** "Loosened" beside the name of a part is how that came off, unless it was only that. */
const isLoosenedOff = (line: string, names: readonly string[], hardware: readonly HardwareFacts[]): boolean =>
  names.length > 0 && hardware.every((h) => h.stays === LOOSENED) && !/\b(?:only|just)\b/i.test(line);

/** "Stays on the shaft", of what was typed as what came off. */
const IT_STAYS =
  /^(?:(?:it|they)\s+|\d{2,5}[a-z0-9-]*\s+)?(?:stays?|stayed|remains?|left)\s+(?:on|in|with|where)\b/i;

/**
 * What was typed as what came off, and may never have: its pieces were only loosened, or it is said to stay.
 */
function didItComeOff(
  line: string,
  names: readonly string[],
  read: QuickLine,
  hardware: readonly HardwareFacts[],
): (Doubt & { readonly stays?: string })[] {
  const [name] = names;
  if (name === undefined) return [];
  const stays = hardware.length ? undefined : read.unread.find((u) => IT_STAYS.test(u.text));
  if (stays)
    return [
      {
        piece: null,
        says: `“${stays.text}”: did the ${name} come off, or did it stay?`,
        stays: stays.text,
      },
    ];
  const isLoosened = hardware.length > 0 && hardware.every((h) => h.stays === LOOSENED);
  if (!isLoosened || read.asides.some((a) => a.about === "way") || read.freed.length) return [];
  const says = `“${line.trim()}”: did the ${name} come off, or was it only loosened?`;
  return [{ piece: null, says }];
}

/** Verbs that say what was done, where no piece had to be undone for it. */
const DONE_SAID: readonly (readonly [Action, RegExp])[] = [
  ["unclip", /^(?:unclip|unhook|pops? off|popped)/i],
  ["unscrew", /^(?:it )?(?:unscrew|unbolt|screws off|screws out)/i],
  ["slide", /^slid/i],
  ["unplug", /^unplug/i],
  ["press-out", /^press/i],
  ["drive-out", /^(?:driven|drove|knock|punch)/i],
  ["pull", /^(?:pull|drew|drawn|withdr)/i],
  ["peel", /^peel/i],
  ["lift-off", /^(?:lift|tilt|comes? (?:away|off)|came (?:away|off))/i],
];
function doneIn(read: QuickLine, hardware: readonly HardwareFacts[]): Action | undefined {
  const loose = hardware.filter(isLoose);
  if (loose.length)
    return read.freed[0] === "drive" && loose.every((h) => h.kind === "pin") ? "drive-out" : undefined;
  const said = read.asides.find((a) => a.about === "way")?.says ?? read.asides.find((a) => a.hand)?.says;
  return said === undefined ? undefined : DONE_SAID.find(([, verb]) => verb.test(said))?.[0];
}

/** Facts of the step: those that were put in by touch, and behind them what the line says. */
function factsIn(facts: StepFacts, read: QuickLine): StepFacts {
  const [how, ...more] = read.freed;
  const way = read.asides.find((a) => a.about === "way" && a.how === how);
  const tool = way?.tools?.join(", ");
  const remarks = read.asides.flatMap(({ about, says }) =>
    isRemark(about) && !/\b(?:by|with)$/.test(says) ? [{ about, says }] : [],
  );
  const used = [...new Set(read.asides.flatMap((a) => a.tools ?? []))];
  // a way that was said in words stands there word for word
  const also = more.filter((m) => !read.asides.some((a) => a.how === m));
  const note = sentences(facts.note, ...also.map((m) => `also ${FREEING_WORDS[m].says}`));
  const wires = [...(facts.wires ?? []), ...read.wires];
  // what faces where of one piece stays with that piece
  const facing = read.facing.filter((f) => !read.hardware.some((h) => h.facing === f));
  return {
    ...(how ? { freed: { how, ...(way && { says: way.says }), ...(tool && { tool }) } } : {}),
    ...(read.leftHand ? { leftHand: true } : {}),
    ...facts,
    ...(facing.length ? { facing: joined(facts.facing, ...facing) } : {}),
    ...(read.marks.length ? { marks: [...(facts.marks ?? []), ...read.marks] } : {}),
    ...(note ? { note } : {}),
    ...(wires.length ? { wires } : {}),
    ...(used.length ? { tools: [...new Set([...(facts.tools ?? []), ...used])] } : {}),
    ...(remarks.length ? { remarks: [...(facts.remarks ?? []), ...remarks] } : {}),
  };
}
const isRemark = (about: string): about is RemarkAbout => REMARKS.some((r) => r === about);

/**
 * Sentences one after the other, each word for word; what has no stop at its end gets one before the next
 * begins.
 */
export const sentences = (...all: readonly (string | undefined)[]): string =>
  all
    .filter((s) => s !== undefined && s.trim() !== "")
    .reduce<string>(
      (told, s) => (told ? `${told}${/[.!?…;:]\s*$/.test(told) ? " " : ". "}${s}` : (s ?? "")),
      "",
    );

const partAt = (names: readonly string[], part: string): number => {
  const [said, ...all] = [part, ...names].map((n) => n.toLowerCase());
  const exact = all.indexOf(said as string);
  return exact >= 0 ? exact : all.findIndex((n) => n.split(/\s+/).includes(said as string));
};
const ABOVE = /^(above|over|on top|on top of it|top)$/i;
const BELOW = /^(below|under|underneath|beneath|bottom)( it)?$/i;

/**
 * The stack that a line says: from the top down, or as what lies above and below the one part that came off.
 */
function stackIn(read: QuickLine, before: number, names: readonly string[]): string[] {
  if (read.stack.length) {
    const ids = read.stack.map((s) => ("piece" in s ? `h${before + s.piece}` : `p${partAt(names, s.part)}`));
    return ids.filter((id) => id !== "p-1");
  }
  if (names.length !== 1) return [];
  const where = (said: RegExp): string[] =>
    read.hardware.flatMap((h, i) => (said.test(h.at ?? "") ? [`h${before + i}`] : []));
  const [above, below] = [where(ABOVE), where(BELOW)];
  return above.length && below.length ? [...above, "p0", ...below] : [];
}

/** What can have been done, the likeliest first: each is one press away, and the first is the way back. */
export const DONE_WITH_IT: readonly Action[] = [
  "lift-off", "unscrew", "pull", "unclip", "unplug", "slide", "press-out", "drive-out", "loosen", "note",
]; // biome-ignore format: a short list reads better in rows

/** Sayings one after the other, told apart. */
const joined = (...sayings: readonly (string | undefined)[]): string => sayings.filter(Boolean).join("; ");

export const isEmpty = (open: OpenStep, read: Understood): boolean =>
  !read.names.length &&
  !open.what.trim() &&
  !read.hardware.length &&
  !read.unread.length &&
  Object.keys(read.facts).every((f) => f === "minutes");

/** Minutes since it was begun, as they are kept. */
export const minutesByClock = (open: OpenStep, now: number): number =>
  open.since ? Math.min(60, Math.max(0.1, Math.round((now - open.since) / 6000) / 10)) : 1;

/** The step as it is laid down. What could not be read is kept in the note, and the line as it was typed. */
export function asRecorded(open: OpenStep, read: Understood, now: number): RecordedStep {
  const note = sentences(read.facts.note, ...read.unread.map((u) => u.text.replace(/[{}]/g, "")));
  const marks = read.facts.marks?.flatMap(marksIn) ?? [];
  const said = saidIn(open);
  return {
    key: open.key,
    action: read.action,
    what: read.names.join(", "),
    hardware: read.hardware,
    needs: open.needs,
    asOne: open.asOne,
    stack: read.stack,
    partStates: read.partStates,
    ...(open.partFacts ? { partFacts: open.partFacts } : {}),
    facts: {
      ...read.facts,
      ...(note ? { note } : {}),
      ...(marks.length ? { marks } : {}),
      ...(said ? { said } : {}),
      minutes: read.facts.minutes ?? minutesByClock(open, now),
    },
  };
}

/** All that was typed into the line, letter by letter, one line behind the other. */
const saidIn = (open: OpenStep): string => [open.said, open.line].filter((l) => l.trim()).join("; ");

/** What the line says becomes facts that can be changed by touch. */
export function lineTaken(open: OpenStep, read: Understood): OpenStep {
  const { facts, what } = asRecorded(open, read, 0);
  const { note } = facts;
  return {
    ...open,
    what,
    partStates: read.partStates,
    line: "",
    said: saidIn(open),
    hardware: read.hardware,
    stack: read.stack,
    looks: [...open.looks, ...worthALook(read)],
    inferred: [...read.inferred],
    facts: { ...read.facts, ...(note ? { note } : {}) },
  };
}

/** A piece's name on a button or in the stack. */
export const pieceName = (h: HardwareFacts): string => hardwareInWords({ ...h, at: undefined });
