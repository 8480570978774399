import type { HardwareKind } from "../hardware/kinds";
import { type Hardware, LOOSENED } from "../hardware/piece";
import { kindOf, type Part } from "../job/part";
import type { StripStep } from "../job/step";

/** What goes back in one step. */
export interface GoesBack {
  readonly step: StripStep;
  readonly parts: readonly Part[];
  readonly hardware: readonly Hardware[];
  /** parts that this step laid open, and that went back before it */
  readonly behind: readonly Part[];
  /** wires or plugs were recorded in this unit */
  readonly wired: boolean;
}

/** What closes something. */
const COVERS = ["cover", "housing"];
/** What turns with the train once it runs in something. */
const TURNS = [
  "gear", "shaft", "pulley", "toothed-pulley", "roller", "brush-roll", "fan", "spline", "ratchet",
]; // biome-ignore format: a list

export const isOf = (kinds: readonly string[], p: Pick<Part, "name" | "kind">): boolean =>
  kinds.includes(kindOf(p) ?? "");
/** What wheels run on: until it is in they cannot be turned. */
export const isShaft = (p: Part): boolean => isOf(["shaft"], p);
export const closes = (parts: readonly Part[]): boolean => parts.some((p) => isOf(COVERS, p));
export const isTurning = (p: Part): boolean => isOf(TURNS, p);

const DRIVEN_PIN = /\b(?:roll|spring|taper(?:ed)?|cross|shear|grooved|drive) ?pins?\b/i;
const HINGE_PIN = /\b(?:hinge|pivot|clevis) pins?\b/i;
const LOCATING_PIN = /\b(?:dowels?|locating pins?)\b/i;
/** Whether the line of a step names a pin that something swings on. */
export const namesHingePin = ({ said = "" }: Pick<StripStep, "said">): boolean => HINGE_PIN.test(said);
/** Whether the line of a step names a pin that locates, and holds nothing. */
export const namesLocatingPin = ({ said = "" }: Pick<StripStep, "said">): boolean => LOCATING_PIN.test(said);
/** Whether the line of a step names a pin that is driven, whatever was said of how it came out. */
export const namesDrivenPin = ({ said = "" }: Pick<StripStep, "said">): boolean => DRIVEN_PIN.test(said);

/** One nut alone holds something along a shaft; several hold a flange. */
export const isOneNut = (hardware: readonly Hardware[]): boolean =>
  hardware.filter((h) => h.kind === "nut").reduce((n, h) => n + h.qty, 0) === 1;
/** Something of it moves when the step is undone. */
export const moves = (s: Pick<StripStep, "action">): boolean =>
  s.action !== "note" && s.action !== "block" && s.action !== "loosen";
/** What was only loosened is drawn again, and holds. */
export const isLoosened = (h: Pick<Hardware, "stays">): boolean => h.stays === LOOSENED;

/** What holds something that an earlier line put in: once such a step is on, the part can be judged. */
const RETAINS: readonly HardwareKind[] = [
  "nut", "washer", "wavy-washer", "lock-washer", "disc-spring", "thrust-washer", "circlip", "e-clip", "pin",
  "split-pin", "key", "spacer",
]; // biome-ignore format: a list
/** Whether a step does nothing but hold what is in already. */
export const onlyRetains = (step: StripStep): boolean =>
  !step.parts?.length &&
  (step.hardware?.length ?? 0) > 0 &&
  (step.hardware ?? []).every((h) => RETAINS.includes(h.kind));
