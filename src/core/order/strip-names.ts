import { partName } from "../job/part";
import { type CheckedStrip, stepAt } from "./checked-strip";
import { stepCalled } from "./step-words";

/** What laid a place open, by name. */
export const reachedName = (strip: CheckedStrip, t: { readonly reachedBy?: string }): string => {
  const i = strip.indexOf.get(t.reachedBy ?? "");
  return i === undefined ? "the step before" : stepName(strip, i);
};

export const nameOf = (strip: CheckedStrip, part: string): string => partName(strip.partById.get(part));

export function stepName(strip: CheckedStrip, i: number): string {
  const s = stepAt(strip, i);
  const what = s.title ?? (s.parts?.length ? s.parts.map((p) => nameOf(strip, p)).join(", ") : undefined);
  return stepCalled(i, what);
}
