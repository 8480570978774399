import { hardwareInWords } from "../hardware/piece";
import { companionSays } from "../job/goes-in";
import type { GoingIn } from "../job/going-in";
import { partName } from "../job/part";
import type { CheckedStrip } from "./checked-strip";
import { staysOut } from "./hardware-ledger";

/** What is to be fetched before beginning: a piece, or a part. */
export type Pick =
  | { readonly hardware: string; readonly qty: number; readonly why: string }
  | { readonly part: string; readonly why: string };

/** What must be new: used once, lost, broken or missing; parts that are renewed or did not come off whole. */
export function picksOf(strip: CheckedStrip, going: readonly GoingIn[]): Pick[] {
  const whyNew = (once: boolean | undefined, state: string | undefined, first: string): string | undefined =>
    once ? first : state;
  const judged = new Set(strip.parts.filter((p) => p.renew).map((p) => p.piece));
  const hardware = strip.steps.flatMap((s) =>
    (s.hardware ?? []).flatMap((h) => {
      // one that is judged like a part is fetched as that
      if (judged.has(h.id)) return [];
      const why = whyNew(h.once, h.state, "used once");
      return why && staysOut(going, { hardware: h.id }) === undefined
        ? [{ hardware: h.id, qty: h.qty, why: `${why}: ${hardwareInWords({ ...h, state: undefined })}` }]
        : [];
    }),
  );
  const parts = strip.parts.flatMap((p) => {
    const why = whyNew(p.renew, strip.cameOffIn.has(p.id) ? p.state : undefined, "renewed");
    return why && staysOut(going, { part: p.id }) === undefined
      ? [{ part: p.id, why: `${why}: ${partName(p)}` }]
      : [];
  });
  const beside = going.flatMap((g) =>
    g.with
      .filter((c) => !c.without)
      .map((c) => ({
        part: g.part,
        why: `with ${partName(strip.partById.get(g.part))}: ${companionSays(c)}`,
      })),
  );
  return [...hardware, ...parts, ...beside];
}
