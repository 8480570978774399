"use client";

import { HardwareGlyph } from "./hardware-glyph";
import { POCKET } from "./mat-geometry";
import { PartGlyph } from "./part-glyph";
import { pictureUrl } from "./picture-frame";
import type { Pocket } from "./pocket";
import { DropZones, Grip } from "./pocket-grip";

export type Stitch = "none" | "alone" | "first" | "inside" | "last";
/** Where a pocket stands in the stitching of those that came out as one. */
export function stitchOf(pockets: readonly Pocket[], i: number): Stitch {
  const b = pockets[i]?.bundle;
  if (!b) return "none";
  const before = pockets[i - 1]?.bundle === b;
  const after = pockets[i + 1]?.bundle === b;
  return before && after ? "inside" : before ? "last" : after ? "first" : "alone";
}

/** A pocket: its picture or what it holds, its number, and the signs on it. */
export function PocketView({
  pocket: p,
  n,
  x,
  stitch,
  onPick,
  picked,
  movable,
  under,
}: {
  pocket: Pocket;
  /** the number on its tag */
  n: number;
  x: number;
  stitch: Stitch;
  onPick?: ((step: string) => void) | undefined;
  picked: boolean;
  movable: boolean;
  /** another pocket is in hand over the Mat */
  under: boolean;
}) {
  const { main } = p;
  const sides =
    stitch === "none"
      ? ""
      : `border-y-2 ${stitch === "first" || stitch === "alone" ? "border-l-2" : ""} ${stitch === "last" || stitch === "alone" ? "border-r-2" : ""} border-dashed border-[#dcb463]`;
  const label = `Step ${n}: ${p.title}${p.emptied ? ", back in the machine" : ""}${p.dry ? ", stays dry" : ""}${p.bundle ? ", came out as one" : ""}${p.lookAlike ? `, ${p.lookAlike}` : ""}${p.onItsWay ? ", on its way to the shop" : ""}`;
  return (
    <li className="absolute" style={{ left: x, top: POCKET.top, width: POCKET.width, height: POCKET.height }}>
      {stitch !== "none" && (
        <div
          className={`pointer-events-none absolute -inset-y-[6px] ${sides}`}
          style={{
            left: stitch === "first" || stitch === "alone" ? -4 : -POCKET.gap / 2,
            right: stitch === "last" || stitch === "alone" ? -4 : -POCKET.gap / 2,
          }}
        />
      )}
      {movable && under && !p.onItsWay && <DropZones step={p.step} n={n} />}
      <Grip step={p.step} movable={movable && !p.emptied && !p.onItsWay}>
        <button
          type="button"
          aria-label={label}
          aria-pressed={onPick ? picked : undefined}
          disabled={!onPick || p.onItsWay}
          onClick={() => onPick?.(p.step)}
          className={`relative block h-full w-full overflow-hidden border-2 text-left ${p.emptied ? "border-dashed border-[#6d8a89] opacity-80" : picked ? "border-[#f4efe4]" : "border-[#6d8a89]"} ${p.emptied ? "bg-transparent" : "bg-[#35575a]"}`}
        >
          {!p.emptied && p.thumb && (
            // biome-ignore lint/performance/noImgElement: the thumbnail is made once, at the size it is shown
            <img
              src={pictureUrl(p.thumb, true)}
              alt=""
              className="absolute inset-0 h-[74px] w-full object-cover"
            />
          )}
          {!p.emptied && !p.thumb && (
            <span className="absolute inset-x-0 top-[14px] flex justify-center">
              {main && !p.partKind ? (
                <HardwareGlyph kind={main.kind} drive={main.drive} size={48} />
              ) : (
                <PartGlyph kind={p.partKind} size={52} />
              )}
            </span>
          )}
          <span
            className={`figures absolute top-0 left-0 min-w-[28px] px-1 text-center text-[16px] leading-[20px] ${p.emptied ? "bg-[#6d8a89] text-[#10201f]" : p.onItsWay ? "border-2 border-[#dcb463] bg-[#10201f] !leading-[16px] text-[#dcb463]" : "bg-[#dcb463] text-[#1d2a2c]"}`}
          >
            {n}
          </span>
          {p.dry && !p.emptied && (
            <span
              className="absolute inset-x-0 bottom-[28px] h-[12px]"
              style={{ background: "repeating-linear-gradient(135deg, #bf3b21 0 6px, #fdf8ee 6px 12px)" }}
            />
          )}
          {p.facing && !p.emptied && (
            <svg
              className="absolute top-0 left-1/2 -translate-x-1/2"
              width="18"
              height="10"
              aria-hidden="true"
            >
              <path d="M0 0h18L9 10z" fill="#dcb463" />
            </svg>
          )}
          {p.lookAlike && !p.emptied && (
            <span className="absolute top-0 right-0 bg-[#bf3b21] px-1 text-[18px] leading-[22px] text-[#fdf8ee]">
              ≈
            </span>
          )}
          {!p.emptied && (
            <span className="absolute inset-x-0 bottom-0 flex h-[28px] items-center justify-between bg-[#10201f] px-1.5 text-[#f4efe4]">
              {main && !p.partKind ? (
                <HardwareGlyph kind={main.kind} drive={main.drive} size={20} />
              ) : (
                <span className="truncate text-[16px]">{p.title}</span>
              )}
              {p.pieces !== undefined && (
                <span className="figures ml-1 text-[16px]">×{p.uncounted ? "?" : p.pieces}</span>
              )}
            </span>
          )}
        </button>
      </Grip>
    </li>
  );
}
