import { oilsMix } from "./base-oils";
import { type LubeRoom, oldIsKnown } from "./lube-ask";
import { isOil, type Lubricant, thickenerName } from "./lubricant";
import { type Mixing, mixingOfAny, oldThickenerName } from "./thickeners";

/**
 * What it makes of the old lubricant that is still there; undefined: there is none, or all of it is taken
 * out.
 */
export function meetsOld(
  { old }: LubeRoom,
  l: Lubricant,
): { readonly says: string; readonly how: Mixing } | undefined {
  if (!oldIsKnown(old) || old.baseOil === "unknown" || isOil(l)) return undefined;
  if (!oilsMix(old.baseOil, l.baseOil))
    return {
      says: `${l.baseOil} oil does not mix with the old ${old.baseOil} oil: wash all of it out, or take another`,
      how: "incompatible",
    };
  const how = mixingOfAny(old.thickener, l.thickener ?? "");
  const names = `${l.thickener ? thickenerName(l.thickener) : "this"} over ${oldThickenerName(old.thickener)}`;
  const outcome = {
    same: "goes together",
    compatible: "goes together",
    borderline: "is borderline: take out what can be reached",
    incompatible: "turns to soup: wash all of the old one out, or take another",
  } as const;
  return { says: `${names} ${outcome[how]}`, how };
}
