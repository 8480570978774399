import { isLoose } from "../hardware/piece";
import { companionKey } from "../job/goes-in";
import type { GoingIn } from "../job/going-in";
import { undoKey, withKey } from "../job/keys";
import type { StripStep } from "../job/step";
import { renewsPiece } from "./step-return";

/** New pieces that did not come off the unit: how many go in, and how many are in. */
export interface FreshPieces {
  readonly of: number;
  readonly in: number;
}

/**
 * The count of what is new, beside the ledger of what came off: companions of new parts, and what was missing already.
 * A piece that is renewed in its place is counted in the ledger, where the old one was.
 *
 * @param done keys of the plan's lines that are done
 */
export function freshPieces(
  steps: readonly StripStep[],
  going: readonly GoingIn[],
  done: ReadonlySet<string>,
): FreshPieces {
  const companions = going.flatMap((g) =>
    g.with
      .filter((c) => !c.without && renewsPiece(steps, g.part, c) === undefined)
      .map((c) => ({ qty: c.qty, isIn: done.has(withKey(g.part, companionKey(c))) })),
  );
  const missing = steps.flatMap((s) =>
    s.action === "note"
      ? []
      : (s.hardware ?? [])
          .filter((h) => isLoose(h) && h.state === "missing")
          .map((h) => ({ qty: h.qty, isIn: done.has(undoKey(s.id)) })),
  );
  const all = [...companions, ...missing];
  const sum = (of: typeof all): number => of.reduce((n, p) => n + p.qty, 0);
  return { of: sum(all), in: sum(all.filter((p) => p.isIn)) };
}
