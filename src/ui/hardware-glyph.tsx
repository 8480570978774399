import type { HardwareKind } from "@/core/hardware/kinds";
import { hardwareGlyph, type Recess, recessGlyph } from "./glyph-paths";

/** The recess of a screw's head by its drive: star, cross, slot, hexagon. Unknown: a star, the commonest. */
function recessOf(drive: string | undefined): Recess {
  if (/^P[HZ]/i.test(drive ?? "")) return "cross";
  if (/^SL/i.test(drive ?? "")) return "slot";
  if (/^H/i.test(drive ?? "")) return "socket";
  return "star";
}

/** Hardware drawn true to kind: a pan head is round, a circlip has its gap, a wavy washer is wavy. */
export function HardwareGlyph({
  kind,
  drive,
  size = 24,
}: {
  kind: HardwareKind;
  drive?: string;
  size?: number;
}) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 24 24"
      className="glyph"
      strokeWidth={size > 40 ? 1.4 : 1.8}
      aria-hidden="true"
    >
      <use href={hardwareGlyph(kind)} />
      {kind === "screw" && <use href={recessGlyph(recessOf(drive))} className="recess" />}
    </svg>
  );
}
