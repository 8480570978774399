import { isMeshing } from "../grease/point-kinds";
import type { Chamber } from "../job/chamber";
import type { WeighedPoint } from "../job/service";

/**
 * Whether something goes in here and nobody knows how much: it fills a room, or a bearing, and is neither
 * told nor weighed in yet. A film and a drop ask for no figure, a bath goes up to its plug, and what somebody
 * named by hand is theirs to judge.
 */
export function isAmountOpen(
  chamber: Pick<Chamber, "filling" | "levelPlug"> | undefined,
  g: Pick<WeighedPoint, "kind" | "lubricant" | "lubricantSaid" | "grams" | "weighedGrams">,
): boolean {
  if (!chamber || chamber.levelPlug || g.lubricant === undefined || g.lubricantSaid) return false;
  if (g.grams !== undefined || g.weighedGrams !== undefined || g.kind === undefined) return false;
  return (
    chamber.filling === "oil" || isMeshing(g.kind) || g.kind === "rolling-bearing" || g.kind === "striker"
  );
}
