import type { HardwareFacts } from "../piece";
import type { Facts } from "./saying";

const ORDER: readonly (keyof HardwareFacts)[] = [
  "kind", "qty", "thread", "threadIs", "lengthMm", "drive", "form", "finish", "leftHand", "once", "locker",
  "label", "poles", "into", "tighten", "state", "at", "facing", "stays", "uncounted",
]; // biome-ignore format: a short list reads better in rows
/** The same facts always in the same order. */
export const inOrder = (f: Facts): HardwareFacts =>
  Object.fromEntries(
    ORDER.flatMap((k) => (f[k] === undefined ? [] : [[k, f[k]]])),
  ) as unknown as HardwareFacts;
