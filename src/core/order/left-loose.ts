import { isLeftLoose } from "../hardware/piece";
import type { GoingIn } from "../job/going-in";
import type { CheckedStrip } from "./checked-strip";
import { staysOut } from "./hardware-ledger";
import type { TightenLine } from "./rebuild-line";
import { stepName } from "./strip-names";

type Drawn = Omit<TightenLine, "n">;

/** What is screwed in and not drawn when its step goes back, and the lines that draw it. */
export interface LeftLoose {
  /** ids of the pieces of a step (by its index) that are left loose */
  readonly at: (step: number) => readonly string[];
  /** what is drawn now that these steps are on; each once */
  readonly drawnWith: (on: ReadonlySet<number>) => Drawn[];
  /** what waited for nothing that there is: drawn when everything is on */
  readonly rest: () => Drawn[];
}

/**
 * Each group is drawn once its own step and the one that it waits for are on. What would wait for something
 * that is on before it is drawn at once.
 *
 * @param order indices of steps, the first that goes back first
 */
export function leftLoose(
  strip: CheckedStrip,
  going: readonly GoingIn[],
  order: readonly number[],
): LeftLoose {
  const place = new Map(order.map((i, k) => [i, k]));
  const placeOf = (until: string): number | undefined => place.get(strip.indexOf.get(until) ?? -1);
  const all = strip.steps.flatMap((step, own) => {
    const pieces =
      step.action === "note"
        ? []
        : (step.hardware ?? []).filter(
            (h) => isLeftLoose(h) && staysOut(going, { hardware: h.id }) === undefined,
          );
    const untils = [...new Set(pieces.flatMap((h) => h.tighten?.looseUntil ?? []))];
    return untils.flatMap((until) => {
      const at = until === step.id ? undefined : placeOf(until);
      if (at !== undefined && at < (place.get(own) ?? 0)) return [];
      return [
        {
          own,
          until,
          waitsFor: at === undefined ? undefined : order[at],
          step,
          hardware: pieces.filter((h) => h.tighten?.looseUntil === until).map((h) => h.id),
        },
      ];
    });
  });
  let left = all;
  const take = (now: (l: (typeof all)[number]) => boolean): Drawn[] => {
    const out = left.filter(now);
    left = left.filter((l) => !out.includes(l));
    return out.map(({ step, until, waitsFor, hardware }) => ({
      kind: "tighten",
      of: step.id,
      until,
      hardware,
      because: [
        `it was left loose until ${waitsFor === undefined ? "everything" : stepName(strip, waitsFor)} is on`,
      ],
    }));
  };
  return {
    at: (i) => all.flatMap((l) => (l.own === i ? l.hardware : [])),
    drawnWith: (on) =>
      left.length ? take((l) => l.waitsFor !== undefined && on.has(l.own) && on.has(l.waitsFor)) : [],
    rest: () => take(() => true),
  };
}
