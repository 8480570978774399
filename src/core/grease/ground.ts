import { isPlastic, isSteel } from "../hardware/material";
import { attacked, BASE_OILS, type BaseOil, isYellowMetal } from "./base-oils";
import type { LubeAsk, LubePlace, LubeRoom } from "./lube-ask";
import { isMeshing } from "./point-kinds";

export interface LubeReason {
  readonly rule: string;
  readonly says: string;
  readonly against: boolean;
  /** against it whoever decides; only for food is there an override, with a written reason */
  readonly hard: boolean;
  /** what it weighs in the ranking; 0 for what only says that nothing is wrong */
  readonly weight: number;
}

/**
 * From here on sulphur in EP additives eats copper alloys, °C, unless its sheet says that it is not active.
 */
export const EP_WARM_C = 80;
export type Asked = Pick<LubeAsk, "foodContact" | "school">;

/** Some points of a chamber, and what follows from them for every lubricant alike. */
export interface Ground {
  readonly ask: Asked;
  readonly room: LubeRoom;
  readonly points: readonly LubePlace[];
  readonly plastics: readonly string[];
  readonly yellow: readonly string[];
  /**
   * what each oil attacks here, of what it touches and of the seals: asked for five oils, not for every
   * lubricant
   */
  readonly harm: (oil: BaseOil) => { readonly eaten: readonly string[]; readonly swollen: readonly string[] };
  readonly steelOnSteel: boolean;
  readonly plasticTeeth: boolean;
}

export function groundOf(ask: Asked, room: LubeRoom, points: readonly LubePlace[]): Ground {
  const touches = [...new Set([...room.materials, ...points.flatMap((p) => p.materials ?? [])])];
  const meshing = points.filter((p) => isMeshing(p.kind));
  const attackedBy = (oil: BaseOil, of: readonly string[]): string[] =>
    of.flatMap((m) => (attacked(oil, m) ? [`${m}: ${attacked(oil, m)}`] : []));
  const harms = new Map(
    BASE_OILS.map((oil) => [oil, { eaten: attackedBy(oil, touches), swollen: attackedBy(oil, room.seals) }]),
  );
  return {
    ask,
    room,
    points,
    harm: (oil) => harms.get(oil) ?? { eaten: [], swollen: [] },
    plastics: touches.filter(isPlastic),
    yellow: touches.filter(isYellowMetal),
    steelOnSteel: meshing.some((p) => p.materials?.length && p.materials.every(isSteel)),
    plasticTeeth: meshing.some((p) => p.materials?.some(isPlastic)),
  };
}
