import type { Chamber } from "@/core/job/chamber";
import type { PictureSpot } from "@/core/job/picture-spot";
import type { LubePoint } from "@/core/job/service";
import type { Spotted } from "@/ui/spots-overlay";

interface Shown {
  readonly chambers?: readonly Pick<Chamber, "id" | "name" | "spot" | "dry">[];
  readonly points: readonly Pick<LubePoint, "id" | "where" | "spot">[];
}

/**
 * All that was pointed at in one picture.
 *
 * @param here the point that is meant now
 */
export function spotsIn(job: Shown, picture: string | undefined, here?: string): Spotted[] {
  const at = (kind: Spotted["kind"], spot: PictureSpot | undefined, says: string): Spotted[] =>
    spot && spot.picture === picture ? [{ kind, x: spot.x, y: spot.y, says }] : [];
  return [
    ...(job.chambers ?? []).flatMap((c) => [
      ...at("room", c.spot, c.name),
      ...(c.dry ?? []).flatMap((d) => at("dry", d.spot, d.says)),
    ]),
    ...job.points.flatMap((g) => at(g.id === here ? "here" : "goes", g.spot, g.where ?? "")),
  ];
}
