import type { Finding } from "./finding";
import { type Companion, companionKey, companionSays, type GoesIn, takesThePlaceOf } from "./goes-in";
import type { Got } from "./got";
import { type Part, partName } from "./part";

/** What goes in at a part's place. */
export interface GoingIn extends GoesIn {
  readonly part: string;
}

interface Renewed {
  readonly parts: readonly {
    readonly id: string;
    readonly name?: string | undefined;
    readonly renew?: boolean | undefined;
  }[];
  readonly findings: readonly Pick<Finding, "part" | "goesIn" | "chosen" | "got">[];
}

/**
 * What goes in in the places of parts that go back new. What has a place of its own in the unit, like the
 * mate of a wheel, is nobody's companion.
 */
export function goingInOf({ parts, findings }: Renewed): GoingIn[] {
  const renewed = findings.filter((f) => parts.find((p) => p.id === f.part)?.renew);
  return renewed.flatMap((f) => {
    if (!f.goesIn) return [];
    const elsewhere = new Set(
      renewed.flatMap((o) => (o.part === f.part ? [] : [o.chosen ?? o.got?.number ?? ""])),
    );
    const comes = f.goesIn.with.filter((c) => !c.number || !elsewhere.has(c.number));
    // the old one that a companion takes the place of stays out
    const old = parts.flatMap((p) => {
      const by = p.id === f.part ? undefined : comes.find((c) => !c.without && takesThePlaceOf(c, p));
      return by ? [{ part: p.id, why: `${by.name} goes in in its place` }] : [];
    });
    return [{ ...f.goesIn, part: f.part, with: comes, staysOut: [...f.goesIn.staysOut, ...old] }];
  });
}

/**
 * Companions of a part that nobody has said of where they come from: neither ordered with it, nor got
 * otherwise, nor left out with a reason.
 *
 * @param ordered numbers that were ordered, or taken out of the drawer, for this unit
 */
export const companionsOpen = (goingIn: GoingIn, ordered: ReadonlySet<string>): Companion[] =>
  goingIn.with.filter((c) => !c.got && !c.without && !(c.number && ordered.has(c.number)));

/** What was got elsewhere for a unit: parts, and what goes in with them. */
export interface GotPiece {
  readonly key: string;
  /** the part at whose place, or with which, it goes in */
  readonly part: string;
  /** the part whose place it takes, by name; left out: it goes in with another */
  readonly for?: string;
  /** what it is, where it is no part of the unit: so many, and what */
  readonly says?: string;
  readonly got: Got;
}
export const gotPieces = (job: {
  readonly parts: readonly Part[];
  readonly findings: Renewed["findings"];
}): GotPiece[] =>
  job.findings.flatMap((f) => {
    const part = job.parts.find((p) => p.id === f.part);
    if (!part?.renew) return [];
    return [
      ...(f.got ? [{ key: part.id, part: part.id, for: partName(part), got: f.got }] : []),
      ...(f.goesIn?.with ?? []).flatMap((c) =>
        c.got && !c.without
          ? [{ key: `${part.id} ${companionKey(c)}`, part: part.id, says: companionSays(c), got: c.got }]
          : [],
      ),
    ];
  });
