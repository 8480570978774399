import { Fault } from "@/core/fault";
import { type Got, gotInWords } from "@/core/job/got";
import { changeJob } from "./change";
import { findingOf, nameOf, renewPart, writeFinding } from "./findings";
import { NOTHING_SAID, openCompanions } from "./match";

/** A kit in hand, and what becomes of what came off. */
export interface KitInHand {
  readonly says: string;
  readonly number?: string;
  /** what the customer pays for the whole of it, before tax */
  readonly price?: number;
  /** parts that it renews */
  readonly renews: readonly string[];
  /** parts that came off and stay out: the kit does without them */
  readonly staysOut: readonly string[];
}

/**
 * Says in one gesture what a kit renews and what it does without. It is one thing: said once, priced once, with its
 * first part; the others come out of the same kit.
 */
export async function takeKit(number: string, version: number, kit: KitInHand): Promise<number> {
  const { says, number: itsNumber, price, renews, staysOut } = kit;
  if (!says.trim() && !itsNumber) throw new Fault("says", "say which kit it is");
  if (!renews.length) throw new Fault("renews", "tick what goes in out of the kit");
  if (renews.some((p) => staysOut.includes(p)))
    throw new Fault("staysOut", "what goes in cannot stay out as well");
  return changeJob(number, version, async (c) => {
    const got: Got = {
      from: "kit",
      ...(says.trim() && { says: says.trim() }),
      ...(itsNumber && { number: itsNumber }),
    };
    const names: string[] = [];
    for (const [i, part] of renews.entries()) {
      names.push(await nameOf(c, part));
      await findingOf(c, part);
      const out = i === 0 ? staysOut.map((p) => ({ part: p, why: "the kit does without it" })) : [];
      await writeFinding(c, part, {
        got: i === 0 && price !== undefined ? { ...got, price } : got,
        goesIn: { ...NOTHING_SAID, number: itsNumber ?? "", staysOut: out },
        chosen: null,
      });
      await renewPart(c, part, true);
      await openCompanions(c, part);
    }
    for (const part of staysOut) await renewPart(c, part, false);
    return `${gotInWords(got)}: ${names.join(", ")}`;
  });
}
