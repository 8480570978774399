/** What closes a rolling bearing, as its suffix says. */
export interface BearingClosure {
  /** the class, as suffixes of different makers are compared: 2RS, RS, 2RZ, RZ, 2Z, Z, open */
  readonly as: string;
  readonly by: "nothing" | "shield" | "seal";
  /** whether it rubs on the inner ring */
  readonly rubs: "no" | "lightly" | "yes";
  readonly sides: 0 | 1 | 2;
  readonly says: string;
}

type Class = "shield" | "contact" | "light contact" | "non-contact";
/** One side's suffix by what it is. Makers use different letters for the same thing. */
const SIDE: Readonly<Record<string, Class>> = {
  Z: "shield",
  ZR: "shield",
  RS: "contact",
  RS1: "contact",
  RS2: "contact",
  RSH: "contact",
  RSR: "contact",
  DU: "contact",
  LU: "contact",
  NSE: "contact",
  RSL: "light contact",
  RD: "light contact",
  LH: "light contact",
  RZ: "non-contact",
  RSD: "non-contact",
  RU: "non-contact",
  LB: "non-contact",
  V: "non-contact",
  NKE: "non-contact",
};
/** Both sides, where it is not a 2 before the one. */
const BOTH: Readonly<Record<string, string>> = {
  ZZ: "Z",
  DDU: "DU",
  LLU: "LU",
  LLH: "LH",
  LLB: "LB",
  VV: "V",
};

const OF: Readonly<
  Record<Class, Pick<BearingClosure, "by" | "rubs"> & { readonly letters: string; readonly says: string }>
> = {
  shield: {
    by: "shield",
    rubs: "no",
    letters: "Z",
    says: "metal shield: keeps coarse dirt out, turns freely, holds grease poorly",
  },
  contact: {
    by: "seal",
    rubs: "yes",
    letters: "RS",
    says: "rubbing seal: keeps grease in and dust out, turns a little stiffer",
  },
  "light contact": {
    by: "seal",
    rubs: "lightly",
    letters: "RS",
    says: "lightly rubbing seal: nearly as tight as a rubbing one, turns easier",
  },
  "non-contact": {
    by: "seal",
    rubs: "no",
    letters: "RZ",
    says: "seal that does not touch: turns as freely as a shield, keeps fine dust out better, no splash",
  },
};

/**
 * What a bearing's suffix says of its closure; null where it says nothing of it (a clearance, a cage, a
 * grease).
 *
 * @example bearingClosure("LLU") // { as: "2RS", by: "seal", rubs: "yes", sides: 2, … }
 */
export function bearingClosure(suffix: string): BearingClosure | null {
  const s = suffix.toUpperCase().replace(/[\s-]/g, "");
  if (s === "OPEN")
    return {
      as: "open",
      by: "nothing",
      rubs: "no",
      sides: 0,
      says: "open: the gear case's grease reaches it",
    };
  const both = BOTH[s] ?? (s.startsWith("2") ? s.slice(1) : undefined);
  const kind = SIDE[both ?? s];
  if (!kind) return null;
  const { letters, says, by, rubs } = OF[kind];
  return {
    as: `${both ? "2" : ""}${letters}`,
    by,
    rubs,
    sides: both ? 2 : 1,
    says: `${says}${both ? ", on both sides" : ", on one side"}`,
  };
}
