import type { Freeing } from "@/core/hardware/freed";
import { type HardwareFacts, hardwareInWords } from "@/core/hardware/kinds";
import { type QuickLine, quickLine, type Wire } from "@/core/hardware/quick-line";
import { likelyAction } from "@/core/order/likely-action";
import type { Action, StripStep } from "@/core/order/strip";
import type { StepInput } from "./actions";

/** A step that is being recorded, or taken up again, and is not laid down. */
export interface OpenStep {
  /** its own name until it has a number: pictures and retries go by it */
  readonly key: string;
  /** the step that is taken up again; null: a new one */
  readonly editing: string | null;
  readonly what: string;
  readonly line: string;
  readonly hardware: readonly HardwareFacts[];
  readonly action: Action | null;
  readonly facing: string;
  readonly mark: string;
  readonly note: string;
  readonly asOne: boolean;
  /** null: needs the step before it; a list: needs only these */
  readonly needs: readonly string[] | null;
  readonly wires: readonly Wire[];
  readonly held: readonly string[];
  readonly freed: { readonly how: Freeing; readonly tool?: string; readonly standIn?: boolean } | null;
  readonly timing: { readonly pin?: "tooth" | "gap"; readonly turns?: number; readonly says?: string } | null;
  readonly cautions: readonly string[];
  readonly doNotUndo: string;
  readonly tray: string;
  readonly stack: readonly string[];
  readonly partStates: Readonly<Record<string, "lost" | "broken" | "missing">>;
  /** corrected by hand; null: by the clock */
  readonly minutes: number | null;
  readonly since: number | null;
}

export const EMPTY: OpenStep = {
  key: "", editing: null, what: "", line: "", hardware: [], action: null, facing: "", mark: "", note: "", asOne: false, needs: null, wires: [], held: [],
  freed: null, timing: null, cautions: [], doNotUndo: "", tray: "", stack: [], partStates: {}, minutes: null, since: null,
}; // biome-ignore format: every field is empty

/** All that is said of the step so far: what was put in by touch, and what the quick line reads. */
export interface Understood extends QuickLine {
  readonly action: Action;
  readonly names: readonly string[];
  readonly freedBy: OpenStep["freed"];
  readonly facingSaid: string;
  readonly markSaid: string;
}

export function understood(open: OpenStep): Understood {
  const read = quickLine(open.line);
  const hardware = [...open.hardware, ...read.hardware].map((h) =>
    read.torqueNm !== undefined && h.kind === "screw" ? { ...h, tighten: { torqueNm: read.torqueNm } } : h,
  );
  const names = open.what
    .split(",")
    .map((s) => s.trim())
    .filter(Boolean);
  return {
    ...read,
    hardware,
    wires: [...open.wires, ...read.wires],
    action: open.action ?? likelyAction(open.what, hardware),
    names,
    freedBy: open.freed ?? (read.freed ? { how: read.freed } : null),
    facingSaid: open.facing || (read.facing ?? ""),
    markSaid: open.mark || (read.mark ?? ""),
  };
}

export const isEmpty = (open: OpenStep, read: Understood): boolean =>
  !open.what.trim() &&
  !read.hardware.length &&
  !open.note &&
  !read.unread.length &&
  !read.wires.length &&
  !read.facingSaid &&
  !read.freedBy &&
  !open.cautions.length;

/** The step as the store takes it. What could not be read is kept in the note. */
export function asInput(open: OpenStep, read: Understood, now: number): StepInput {
  const byClock = open.since ? Math.min(60, Math.max(0.1, Math.round((now - open.since) / 6000) / 10)) : 1;
  return {
    editing: open.editing,
    key: open.key,
    action: read.action,
    what: open.what,
    hardware: read.hardware.map((h) => ({ ...h })),
    facing: read.facingSaid,
    mark: read.markSaid,
    note: [open.note, ...read.unread.map((u) => u.text)].filter(Boolean).join("; "),
    needs: open.needs ? [...open.needs] : null,
    asOne: open.asOne,
    minutes: open.minutes ?? byClock,
    wires: read.wires.map((w) => ({ ...w })),
    held: [...open.held],
    freed: read.freedBy,
    timing: open.timing,
    cautions: [...open.cautions],
    doNotUndo: open.doNotUndo,
    tray: open.tray,
    stack: [...open.stack],
    partStates: { ...open.partStates },
  };
}

/** A step that lies on the Mat, taken up again. */
export function takenUp(
  step: StripStep,
  partName: (id: string) => string,
  partState: (id: string) => "lost" | "broken" | "missing" | undefined,
  key: string,
): OpenStep {
  const parts = step.parts ?? [];
  const hardware = (step.hardware ?? []).map(({ id: _id, x: _x, ...h }) => h);
  const index = (id: string): string => {
    const h = (step.hardware ?? []).findIndex((p) => p.id === id);
    return h >= 0 ? `h${h}` : `p${parts.indexOf(id)}`;
  };
  return {
    ...EMPTY,
    key,
    editing: step.id,
    what: parts.length ? parts.map(partName).join(", ") : (step.title ?? ""),
    hardware,
    action: step.action,
    facing: step.facing ?? "",
    mark: step.marks?.join("; ") ?? "",
    note: step.note ?? "",
    needs: step.needs ?? null,
    wires: step.wires?.map(({ colour, to }) => ({ colour, to })) ?? [],
    held: step.held ?? [],
    freed: step.freed ? (({ x: _x, ...f }) => f as NonNullable<OpenStep["freed"]>)(step.freed) : null,
    timing: step.timing ? (({ x: _x, ...t }) => t as NonNullable<OpenStep["timing"]>)(step.timing) : null,
    cautions: step.cautions ?? [],
    doNotUndo: step.doNotUndo ?? "",
    tray: step.tray ?? "",
    stack: step.stack?.map(index) ?? [],
    partStates: Object.fromEntries(parts.flatMap((p) => (partState(p) ? [[partName(p), partState(p) as "lost"]] : []))),
    minutes: step.minutes ?? null,
  };
}

/** A piece's name on a button or in the stack. */
export const pieceName = (h: HardwareFacts): string => hardwareInWords({ ...h, at: undefined });
