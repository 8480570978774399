import { z } from "zod";
import type { Frozen } from "@/core/frozen";
import { FREEING_WORDS } from "@/core/hardware/freed";
import { type HardwareFacts, hardwareInWords, isLoose, LOOSENED, pieceFacts } from "@/core/hardware/piece";
import { type QuickLine, quickLine, worthALook } from "@/core/hardware/quick-line";
import {
  factsOfStep,
  factsWith,
  namesIn,
  type RecordedStep,
  recordedStep,
  stackOfStep,
} from "@/core/job/recorded-step";
import { type Action, action, type StepFacts, type StripStep, stepFacts } from "@/core/job/step";
import { likelyAction } from "@/core/order/likely-action";

const openShape = z.strictObject({
  /** its own name until it has a number: pictures and retries go by it */
  key: z.string(),
  /** the step that is being edited; null: a new one */
  editing: z.string().nullable(),
  what: z.string(),
  line: z.string(),
  hardware: z.array(pieceFacts),
  action: action.nullable(),
  asOne: z.boolean(),
  /** null: needs the step before it; a list: needs only these */
  needs: z.array(z.string()).nullable(),
  stack: z.array(z.string()),
  partStates: recordedStep.shape.partStates,
  partFacts: recordedStep.shape.partFacts,
  /** what of a line that was taken may have been meant otherwise: said once more before it is laid down */
  looks: z.array(z.string()),
  /** what was put in by touch */
  facts: stepFacts,
  /** when it was begun, ms */
  since: z.number().nullable(),
});

/** A step that is being recorded, or edited, and is not laid down. */
export type OpenStep = Frozen<z.infer<typeof openShape>>;

export const EMPTY: OpenStep = {
  key: "", editing: null, what: "", line: "", hardware: [], action: null, asOne: false, needs: null,
  stack: [], partStates: {}, looks: [], facts: {}, since: null,
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
  readonly names: readonly string[];
  readonly hardware: readonly HardwareFacts[];
  readonly facts: StepFacts;
  /** as they lie on each other, from the top: `h0` a piece, `p0` a part */
  readonly stack: readonly string[];
  readonly unread: QuickLine["unread"];
  readonly doubts: QuickLine["doubts"];
  /** what each stretch of the line was taken for */
  readonly spans: QuickLine["read"];
}

export function understood(open: OpenStep): Understood {
  const read = quickLine(open.line);
  const said = [...open.hardware, ...read.hardware];
  // a screw that was only loosened is still in its hole
  const hardware =
    open.action === "loosen"
      ? said.map((h) => (h.stays || !isLoose(h) ? h : { ...h, stays: LOOSENED }))
      : said;
  const { facts } = open;
  const wires = [...(facts.wires ?? []), ...read.wires];
  const [how, ...more] = read.freed;
  // a step has one way of getting free; what was done besides is said in words
  const note = joined(facts.note, ...more.map((m) => `also ${FREEING_WORDS[m].says}`));
  const names = namesIn(open.what);
  const stack = open.stack.length ? open.stack : stackIn(read, open.hardware.length, names);
  // what faces where of one piece stays with that piece
  const facing = read.facing.filter((f) => !read.hardware.some((h) => h.facing === f));
  const notNamed = read.stack.flatMap((s) => ("part" in s && partAt(names, s.part) < 0 ? [s.part] : []));
  return {
    hardware,
    stack,
    spans: read.read,
    unread: [
      ...read.unread,
      ...notNamed.map((text) => ({ text, says: "is in the stack, and not named as what came off" })),
    ],
    doubts: read.doubts.map((d) => ({
      ...d,
      piece: d.piece === null ? null : d.piece + open.hardware.length,
    })),
    action: open.action ?? likelyAction(open.what, hardware, wires.length > 0),
    names,
    facts: {
      ...(how ? { freed: { how } } : {}),
      ...(facing.length ? { facing: joined(...facing) } : {}),
      ...(read.marks.length ? { marks: read.marks } : {}),
      ...facts,
      ...(note ? { note } : {}),
      ...(wires.length ? { wires } : {}),
    },
  };
}

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

/**
 * What a step may be besides what it most likely is: a thing was only loosened, or only looked at. One press
 * goes on to the next, and back.
 */
const OTHERWISE: readonly (Action | null)[] = [null, "loosen", "note"];
export function actionAfter(now: Action | null): Action | null {
  const at = OTHERWISE.indexOf(now);
  return at < 0 ? null : (OTHERWISE[(at + 1) % OTHERWISE.length] ?? null);
}

/** Sayings one after the other, told apart. */
const joined = (...sayings: readonly (string | undefined)[]): string => sayings.filter(Boolean).join("; ");

export const isEmpty = (open: OpenStep, read: Understood): boolean =>
  !open.what.trim() &&
  !read.hardware.length &&
  !read.unread.length &&
  Object.keys(read.facts).every((f) => f === "minutes");

/** Minutes since it was begun, as they are kept. */
export const minutesByClock = (open: OpenStep, now: number): number =>
  open.since ? Math.min(60, Math.max(0.1, Math.round((now - open.since) / 6000) / 10)) : 1;

/** The step as it is laid down. What could not be read is kept in the note. */
export function asRecorded(open: OpenStep, read: Understood, now: number): RecordedStep {
  const note = [read.facts.note, ...read.unread.map((u) => u.text.replace(/[{}]/g, ""))]
    .filter(Boolean)
    .join("; ");
  const marks = read.facts.marks?.flatMap(marksIn) ?? [];
  return {
    key: open.key,
    action: read.action,
    what: open.what,
    hardware: read.hardware,
    needs: open.needs,
    asOne: open.asOne,
    stack: read.stack,
    partStates: open.partStates,
    ...(open.partFacts ? { partFacts: open.partFacts } : {}),
    facts: {
      ...read.facts,
      ...(note ? { note } : {}),
      ...(marks.length ? { marks } : {}),
      minutes: read.facts.minutes ?? minutesByClock(open, now),
    },
  };
}

/** What the line says becomes facts that can be changed by touch. */
export function lineTaken(open: OpenStep, read: Understood): OpenStep {
  const { note } = asRecorded(open, read, 0).facts;
  return {
    ...open,
    line: "",
    hardware: read.hardware,
    stack: read.stack,
    looks: [...open.looks, ...worthALook(read)],
    facts: { ...read.facts, ...(note ? { note } : {}) },
  };
}

/** A step that lies on the Mat, opened again. */
export function opened(
  step: StripStep,
  part: (id: string) => { readonly name: string; readonly state?: HardwareFacts["state"] },
  key: string,
): OpenStep {
  const parts = step.parts ?? [];
  return {
    ...EMPTY,
    key,
    editing: step.id,
    what: parts.length ? parts.map((p) => part(p).name).join(", ") : (step.title ?? ""),
    hardware: (step.hardware ?? []).map(({ id: _id, x: _x, ...h }) => h),
    action: step.action,
    needs: step.needs ?? null,
    stack: stackOfStep(step),
    partStates: Object.fromEntries(
      parts.flatMap((p) => {
        const { name, state } = part(p);
        return state ? [[name, state]] : [];
      }),
    ),
    facts: factsOfStep(step),
  };
}

/** A piece's name on a button or in the stack. */
export const pieceName = (h: HardwareFacts): string => hardwareInWords({ ...h, at: undefined });
