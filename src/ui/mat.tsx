"use client";

import { DndContext, type DragEndEvent, DragOverlay, MouseSensor, TouchSensor, useDraggable, useDroppable, useSensor, useSensors } from "@dnd-kit/core";
import { type ReactNode, useEffect, useRef, useState } from "react";
import type { HardwareKind } from "@/core/hardware/kinds";
import { HardwareGlyph } from "./hardware-glyph";
import { matArcs, POCKET, placeAfterDrop } from "./mat-geometry";
import { type Packed, usePacked } from "./packed";
import { PartGlyph } from "./part-glyph";
import { pictureUrl } from "./picture-frame";

/** One place on the Mat: what one step laid down. */
export interface Pocket {
  readonly step: string;
  readonly title: string;
  /** of its first picture */
  readonly thumb?: string;
  /** its first piece of hardware, which is drawn, and how many pieces there are in all */
  readonly main?: { readonly kind: HardwareKind; readonly drive?: string } | undefined;
  readonly pieces?: number;
  /** kind of its first part: what is drawn where there is no picture */
  readonly partKind?: string;
  /** it has a front */
  readonly facing?: boolean;
  readonly bundle?: string;
  /** indices of the pockets it needed; left out: the one before it */
  readonly needs?: readonly number[];
  readonly emptied?: boolean;
  readonly lookAlike?: string;
}

/** Indices of the pockets that a pocket needed. */
export const needsOfPocket = (pockets: readonly Pocket[], i: number): readonly number[] => pockets[i]?.needs ?? (i === 0 ? [] : [i - 1]);

export interface MatProps {
  pockets: readonly Pocket[];
  /** index of the pocket the hand stands before; pockets.length: at the right end */
  hand: number;
  foot: string;
  onPick?: (step: string) => void;
  picked?: string;
  /** pockets may be dragged: slid to another place, bundled with another, tied to what had to be off before */
  onDrag?: ((drop: MatDrop) => void) | undefined;
}

/** What a dragged pocket was dropped for. `slide` counts places from 0. */
export type MatDrop =
  | { readonly step: string; readonly what: "slide"; readonly to: number }
  | { readonly step: string; readonly what: "one" | "needs"; readonly other: string };

/** The Mat of a screen on which nothing is done with it. */
export function LyingMat({ pockets, ...rest }: Omit<MatProps, "pockets"> & { pockets: Packed<readonly Pocket[]> }) {
  return <Mat pockets={usePacked(pockets)} {...rest} />;
}

/** Everything that lies on the bench, left to right in the order it came off. */
export function Mat({ pockets, hand, foot, onPick, picked, onDrag }: MatProps) {
  const band = useRef<HTMLDivElement>(null);
  const width = pockets.length * POCKET.pitch + 60;
  // only what is near the eye is drawn: a strip of three hundred steps stays as quick as one of ten
  const [middle, setMiddle] = useState(hand - 4);
  const near = (i: number): boolean => Math.abs(i - middle) <= NEAR;
  useEffect(() => {
    const el = band.current;
    if (!el) return;
    el.scrollLeft = hand * POCKET.pitch - el.clientWidth * (hand === pockets.length ? 0.85 : 0.6);
    setMiddle(middleOf(el));
  }, [hand, pockets.length]);
  const [dragged, setDragged] = useState<string | null>(null);
  // a finger that rests a moment takes the pocket in hand, a quick one scrolls or picks; a mouse takes it by pulling
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 200, tolerance: 8 } }),
  );
  const drop = ({ active, over }: DragEndEvent): void => {
    setDragged(null);
    const [what, other] = String(over?.id ?? "").split("|");
    const step = String(active.id);
    if (!other || other === step) return;
    if (what === "one" || what === "needs") {
      onDrag?.({ step, what, other });
      return;
    }
    const index = (id: string): number => pockets.findIndex((p) => p.step === id);
    const [from, at] = [index(step), index(other)];
    const to = placeAfterDrop(from, at, what === "before" ? "before" : "after");
    if (to !== from) onDrag?.({ step, what: "slide", to });
  };
  const shown = pockets.map(
    (p, i) =>
      near(i) && (
        <PocketView
          key={p.step}
          pocket={p}
          n={i + 1}
          x={i * POCKET.pitch}
          stitch={stitchOf(pockets, i)}
          onPick={onPick}
          picked={picked === p.step}
          movable={onDrag !== undefined}
          under={dragged !== null && dragged !== p.step}
        />
      ),
  );
  const inHand = pockets.findIndex((p) => p.step === dragged);
  return (
    <section aria-label="The Mat" className="oilcloth no-print max-h-[212px] shrink-0 overflow-hidden pb-2">
      <div className="stitched mt-[6px]" />
      <div
        ref={band}
        className="h-[168px] overflow-x-auto overflow-y-hidden"
        style={{ scrollbarWidth: "none" }}
        onScroll={(e) => setMiddle(middleOf(e.currentTarget))}
      >
        <ol className="relative mx-5" style={{ width, height: 168 }}>
          {onDrag ? (
            <DndContext sensors={sensors} onDragStart={(e) => setDragged(String(e.active.id))} onDragEnd={drop} onDragCancel={() => setDragged(null)}>
              {shown}
              <DragOverlay dropAnimation={null}>
                {inHand >= 0 && (
                  <span className="figures block w-[104px] border-2 border-[#f4efe4] bg-[#35575a] p-2 text-[20px] text-[#f4efe4]">{inHand + 1} in hand</span>
                )}
              </DragOverlay>
            </DndContext>
          ) : (
            shown
          )}
          <svg className="pointer-events-none absolute left-0" style={{ top: POCKET.top + POCKET.height + 2 }} width={width} height="44" aria-hidden="true">
            {matArcs(pockets.map((_, k) => needsOfPocket(pockets, k)))
              .filter((arc) => arc.from - NEAR <= middle && arc.to + NEAR >= middle)
              .map((arc) => (
                <path key={arc.d} d={arc.d} fill="none" stroke="#dcb463" strokeWidth="2" opacity="0.85" />
              ))}
          </svg>
          <svg className="pointer-events-none absolute top-0" style={{ left: hand * POCKET.pitch - 16 }} width="26" height="166" aria-hidden="true">
            <path d="M1 4h24L13 17z" fill="#f4efe4" />
            <path d="M13 10V164" stroke="#f4efe4" strokeWidth="2.5" />
          </svg>
        </ol>
      </div>
      <p className="mat-foot truncate px-5 text-[18px] leading-[28px]">{foot}</p>
    </section>
  );
}

/** Pockets drawn to each side of the middle of the screen; about six of them are in sight. */
const NEAR = 8;
/** The pocket in the middle of what is seen, in steps of four, so that scrolling does not draw at every pixel. */
const middleOf = (el: HTMLElement): number => Math.round((el.scrollLeft + el.clientWidth / 2) / POCKET.pitch / 4) * 4;

type Stitch = "none" | "alone" | "first" | "inside" | "last";
function stitchOf(pockets: readonly Pocket[], i: number): Stitch {
  const b = pockets[i]?.bundle;
  if (!b) return "none";
  const before = pockets[i - 1]?.bundle === b;
  const after = pockets[i + 1]?.bundle === b;
  return before && after ? "inside" : before ? "last" : after ? "first" : "alone";
}

function PocketView({
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
  const label = `Step ${n}: ${p.title}${p.emptied ? ", back in the machine" : ""}${p.bundle ? ", came out as one" : ""}${p.lookAlike ? `, ${p.lookAlike}` : ""}`;
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
      {movable && under && <DropZones step={p.step} n={n} />}
      <Grip step={p.step} movable={movable && !p.emptied}>
        <button
          type="button"
          aria-label={label}
          aria-pressed={onPick ? picked : undefined}
          disabled={!onPick}
          onClick={() => onPick?.(p.step)}
          className={`relative block h-full w-full overflow-hidden border-2 text-left ${p.emptied ? "border-dashed border-[#6d8a89] opacity-80" : picked ? "border-[#f4efe4]" : "border-[#6d8a89]"} ${p.emptied ? "bg-transparent" : "bg-[#35575a]"}`}
        >
          {!p.emptied && p.thumb && (
            // biome-ignore lint/performance/noImgElement: the thumbnail is made once, at the size it is shown
            <img src={pictureUrl(p.thumb, true)} alt="" className="absolute inset-0 h-[74px] w-full object-cover" />
          )}
          {!p.emptied && !p.thumb && (
            <span className="absolute inset-x-0 top-[14px] flex justify-center">
              {main && !p.partKind ? <HardwareGlyph kind={main.kind} drive={main.drive} size={48} /> : <PartGlyph kind={p.partKind} size={52} />}
            </span>
          )}
          <span
            className={`figures absolute top-0 left-0 min-w-[28px] px-1 text-center text-[16px] leading-[20px] ${p.emptied ? "bg-[#6d8a89] text-[#10201f]" : "bg-[#dcb463] text-[#1d2a2c]"}`}
          >
            {n}
          </span>
          {p.facing && !p.emptied && (
            <svg className="absolute top-0 left-1/2 -translate-x-1/2" width="18" height="10" aria-hidden="true">
              <path d="M0 0h18L9 10z" fill="#dcb463" />
            </svg>
          )}
          {p.lookAlike && !p.emptied && <span className="absolute top-0 right-0 bg-[#bf3b21] px-1 text-[18px] leading-[22px] text-[#fdf8ee]">≈</span>}
          {!p.emptied && (
            <span className="absolute inset-x-0 bottom-0 flex h-[28px] items-center justify-between bg-[#10201f] px-1.5 text-[#f4efe4]">
              {main ? (
                <>
                  <HardwareGlyph kind={main.kind} drive={main.drive} size={20} />
                  <span className="figures text-[16px]">×{p.pieces}</span>
                </>
              ) : (
                <span className="truncate text-[16px]">{p.title}</span>
              )}
            </span>
          )}
        </button>
      </Grip>
    </li>
  );
}

/** What can be taken in hand. */
function Grip({ step, movable, children }: { step: string; movable: boolean; children: ReactNode }) {
  return movable ? <Draggable step={step}>{children}</Draggable> : children;
}
function Draggable({ step, children }: { step: string; children: ReactNode }) {
  const { setNodeRef, listeners } = useDraggable({ id: step });
  return (
    <div ref={setNodeRef} {...listeners} className="h-full touch-manipulation">
      {children}
    </div>
  );
}

/** Where a pocket in hand can be put down on another: at its edges, on its upper half, on its lower half. */
function DropZones({ step, n }: { step: string; n: number }) {
  return (
    <div className="absolute -inset-x-[6px] inset-y-0 z-10 grid grid-cols-[30px_1fr_30px] grid-rows-2">
      <Zone id={`before|${step}`} className="row-span-2" says="◂" label={`before ${n}`} />
      <Zone id={`one|${step}`} className="" says="as one" label={`as one with ${n}`} />
      <Zone id={`after|${step}`} className="row-span-2" says="▸" label={`after ${n}`} />
      <Zone id={`needs|${step}`} className="" says={`needed ${n}`} label={`needed ${n}`} />
    </div>
  );
}
function Zone({ id, className, says, label }: { id: string; className: string; says: string; label: string }) {
  const { setNodeRef, isOver } = useDroppable({ id });
  return (
    <div
      ref={setNodeRef}
      role="img"
      aria-label={label}
      className={`flex items-center justify-center border border-[#f4efe4] text-center text-[16px] leading-tight font-semibold ${isOver ? "bg-[#dcb463] text-[#1d2a2c]" : "bg-[#10201fd9] text-[#f4efe4]"} ${className}`}
    >
      {says}
    </div>
  );
}
