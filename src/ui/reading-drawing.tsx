import { line } from "d3";
import type { NextReading } from "@/core/gear/identify/index";
import {
  bestSpanTeeth,
  type Gear,
  gearDimensions,
  gearOutline,
  overPins,
  type Point,
  spanOver,
} from "@/core/gear/index";

const path = line<Point>()
  .digits(3)
  .x((p) => p[0])
  .y((p) => -p[1]);
const n = (x: number): number => Math.round(x * 1000) / 1000;

/**
 * How a reading is taken, drawn on the gear's own face: jaws over so many teeth, pins in their gaps, from
 * shaft to shaft.
 */
export function ReadingDrawing({
  next,
  gear,
  size = 190,
}: {
  next: Pick<NextReading, "drawing" | "teeth" | "pinMm">;
  gear: Gear;
  size?: number;
}) {
  const d = gearDimensions(gear);
  const tip = d.tipDiameterMm / 2;
  const thin = n(tip / 90);
  const outline = `${path(gearOutline(gear, undefined, 6)) ?? ""}Z`;
  const jaw = "var(--color-info)";
  const bar = (x: number, from: number, to: number): string => `M${n(x)} ${n(from)}V${n(to)}`;
  return (
    <svg
      width={size}
      height={size}
      viewBox={`${n(-tip * 1.3)} ${n(-tip * 1.3)} ${n(tip * 2.6)} ${n(tip * 2.6)}`}
      aria-hidden="true"
      fill="none"
      stroke="var(--color-base-content)"
      strokeWidth={thin * 1.2}
    >
      <path d={outline} fill="var(--color-base-300)" />
      <circle r={n(tip * 0.25)} fill="var(--color-base-100)" />
      <g stroke={jaw} strokeWidth={thin * 4} fill="none">
        {next.drawing === "span" && <Jaws gear={gear} teeth={next.teeth ?? bestSpanTeeth(gear)} tip={tip} />}
        {next.drawing === "tip" && (
          <>
            <path d={bar(-tip, -tip * 1.2, tip * 0.5)} />
            <path
              d={bar(gear.teeth % 2 ? tip * Math.cos(Math.PI / gear.teeth) : tip, -tip * 1.2, tip * 0.5)}
            />
            <path d={`M${n(-tip)} ${n(-tip * 1.18)}H${n(tip)}`} />
          </>
        )}
        {next.drawing === "pins" && next.pinMm && <Pins gear={gear} pinMm={next.pinMm} tip={tip} />}
        {next.drawing === "centre" && (
          <>
            <circle cx={0} cy={0} r={n(tip * 0.06)} fill={jaw} />
            <circle cx={n(tip * 1.22)} cy={0} r={n(tip * 0.06)} fill={jaw} />
            <path d={`M0 0H${n(tip * 1.22)}`} />
          </>
        )}
        {next.drawing === "helix" && (
          <path
            d={`M${n(-tip * 1.2)} ${n(tip * 1.1)}H${n(tip * 1.2)}M${n(-tip * 0.5)} ${n(tip * 1.2)}l${n(tip * 0.35)} ${n(-tip * 0.9)}M${n(tip * 0.1)} ${n(tip * 1.2)}l${n(tip * 0.35)} ${n(-tip * 0.9)}`}
          />
        )}
        {next.drawing === "count" && <circle cx={0} cy={n(-tip * 0.94)} r={n(tip * 0.09)} fill={jaw} />}
      </g>
    </svg>
  );
}

/** Two flat jaws that touch the outer flanks of k teeth about the top. */
function Jaws({ gear, teeth, tip }: { gear: Gear; teeth: number; tip: number }) {
  // seen from the front the span of a helical gear is longer by its slant
  const half = spanOver(gear, teeth) / Math.cos((gear.helixAngleDeg * Math.PI) / 180) / 2;
  const turn = teeth % 2 ? 0 : 180 / gear.teeth;
  const low =
    -Math.sqrt(Math.max(0, (gearDimensions(gear).referenceDiameterMm / 2) ** 2 - half ** 2)) + 0.18 * tip;
  return (
    <path
      transform={`rotate(${n(turn)})`}
      d={`M${n(-half)} ${n(low)}V${n(-tip * 1.2)}H${n(half)}V${n(low)}`}
    />
  );
}

function Pins({ gear, pinMm, tip }: { gear: Gear; pinMm: number; tip: number }) {
  const over = overPins(gear, pinMm);
  if (!Number.isFinite(over)) return null;
  const across = gear.teeth % 2 ? Math.cos(Math.PI / (2 * gear.teeth)) : 1;
  const r = (over - pinMm) / 2 / across;
  const first = Math.PI / gear.teeth;
  const second = first + 2 * Math.PI * (Math.floor(gear.teeth / 2) / gear.teeth);
  const at = (a: number): [number, number] => [n(r * Math.sin(a)), n(-r * Math.cos(a))];
  const [a, b] = [at(first), at(second)];
  return (
    <>
      <circle cx={a[0]} cy={a[1]} r={n(pinMm / 2)} fill="var(--color-info)" />
      <circle cx={b[0]} cy={b[1]} r={n(pinMm / 2)} fill="var(--color-info)" />
      <path
        d={`M${n(-tip * 0.6)} ${n(a[1] - pinMm / 2)}H${n(tip * 1.1)}V${n(b[1] + pinMm / 2)}H${n(-tip * 0.6)}`}
      />
    </>
  );
}
