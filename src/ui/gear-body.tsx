import { borePath, type GearKind, type Point } from "@/core/gear/index";
import { fixed, type GearDrawing } from "./gear-drawing";

/** What the teeth stand on: the blank, the ring, the bar or the worm's thread. */
export function GearBlank({
  drawing: { face, straight },
  kind,
  moduleMm,
  thin,
}: {
  drawing: GearDrawing;
  kind: GearKind;
  moduleMm: number;
  thin: number;
}) {
  return (
    <>
      {face.form === "round" && (
        <circle
          r={fixed(face.rootMm + thin)}
          fill="var(--color-base-300)"
          stroke="var(--color-base-content)"
          strokeWidth={thin * 1.4}
        />
      )}
      {face.form === "ring" && (
        <>
          <circle
            r={fixed(face.reachMm)}
            fill="var(--color-base-300)"
            stroke="var(--color-base-content)"
            strokeWidth={thin * 1.6}
          />
          <circle
            r={fixed(face.rootMm)}
            fill="var(--color-base-100)"
            stroke="var(--color-base-content)"
            strokeWidth={thin * 1.4}
          />
        </>
      )}
      {straight && (
        <rect
          x={fixed(-face.reachMm)}
          y={fixed(-face.rootMm)}
          width={fixed(2 * face.reachMm)}
          height={fixed((kind === "worm" ? 4 : 2.5) * moduleMm)}
          fill="var(--color-base-300)"
          stroke="var(--color-base-content)"
          strokeWidth={thin * 1.4}
        />
      )}
      {kind === "worm" && (
        <g
          pointerEvents="none"
          fill="var(--color-base-300)"
          stroke="var(--color-base-content)"
          strokeWidth={thin}
        >
          {face.teeth.map((points, i) => {
            const [x, low] = [
              ((points[0] as Point)[0] + (points.at(-1) as Point)[0]) / 2,
              -face.rootMm + 4 * moduleMm,
            ];
            const [pitch, high] = [Math.PI * moduleMm, face.tipMm - face.rootMm];
            return (
              <g key={x}>
                {/* the same thread half a turn on, seen below the axis, and its run across the front */}
                <path
                  d={`M${fixed(x + 0.14 * pitch)} ${fixed(low)}l${fixed(0.13 * pitch)} ${fixed(high)}h${fixed(0.46 * pitch)}l${fixed(0.13 * pitch)} ${fixed(-high)}Z`}
                  opacity={i === face.teeth.length - 1 ? 0 : 1}
                />
                <path
                  d={`M${fixed(x - pitch / 4)} ${fixed(-face.rootMm)}L${fixed(x + pitch / 4)} ${fixed(low)}M${fixed(x + pitch / 4)} ${fixed(-face.rootMm)}L${fixed(x + 0.75 * pitch)} ${fixed(low)}`}
                  opacity={i === face.teeth.length - 1 ? 0 : 1}
                />
              </g>
            );
          })}
        </g>
      )}
    </>
  );
}

/** Rim, hub and bore, and the reference circle or line. */
export function GearMiddle({
  drawing: { face, straight },
  boreMm,
  boreForm,
  thin,
}: {
  drawing: GearDrawing;
  boreMm: number | undefined;
  boreForm: string | undefined;
  thin: number;
}) {
  const bore = boreMm ?? Math.min(face.rootMm, face.tipMm) * 0.44;
  const rim = Math.min(face.rootMm, face.tipMm);
  return (
    <g pointerEvents="none" fill="none" stroke="var(--color-base-content)" strokeWidth={thin}>
      {face.form === "round" && (
        <>
          <circle r={fixed(rim * 0.82)} fill="var(--color-base-200)" />
          <circle
            r={fixed(Math.min(rim * 0.78, Math.max(bore * 0.95, rim * 0.3)))}
            fill="var(--color-base-300)"
          />
          <path d={borePath(bore, boreForm)} fill="var(--color-base-100)" strokeWidth={thin * 1.6} />
          {boreForm === "cross hole" && (
            <path
              d={`M${fixed(-rim * 0.3)} ${fixed(-bore * 0.16)}H${fixed(rim * 0.3)}M${fixed(-rim * 0.3)} ${fixed(bore * 0.16)}H${fixed(rim * 0.3)}`}
              strokeDasharray={`${thin * 6} ${thin * 3}`}
            />
          )}
        </>
      )}
      {straight ? (
        <path
          d={`M${fixed(-face.reachMm)} 0H${fixed(face.reachMm)}`}
          stroke="var(--color-info)"
          strokeDasharray={`${thin * 9} ${thin * 4} ${thin * 2} ${thin * 4}`}
        />
      ) : (
        <circle
          r={fixed(face.referenceMm)}
          stroke="var(--color-info)"
          strokeDasharray={`${thin * 9} ${thin * 4} ${thin * 2} ${thin * 4}`}
        />
      )}
    </g>
  );
}
