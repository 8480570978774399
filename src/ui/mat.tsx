"use client";

import {
  DndContext,
  type DragEndEvent,
  DragOverlay,
  MouseSensor,
  pointerWithin,
  TouchSensor,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import { useEffect, useRef, useState } from "react";
import { matArcs, POCKET, placeAfterDrop } from "./mat-geometry";
import { type Packed, usePacked } from "./packed";
import { needsOfPocket, type Pocket } from "./pocket";
import { PocketView, stitchOf } from "./pocket-view";

export interface MatProps {
  pockets: readonly Pocket[];
  /** index of the pocket the hand stands before; pockets.length: at the right end */
  hand: number;
  foot: string;
  onPick?: (step: string) => void;
  picked?: string;
  /**
   * pockets may be dragged: slid to another place, bundled with another, tied to what had to be off before
   */
  onDrag?: ((drop: MatDrop) => void) | undefined;
}

/** What a dragged pocket was dropped for. `slide` counts places from 0. */
export type MatDrop =
  | { readonly step: string; readonly what: "slide"; readonly to: number }
  | { readonly step: string; readonly what: "one" | "needs"; readonly other: string };

/** The Mat of a screen on which nothing is done with it. */
export function LyingMat({
  pockets,
  ...rest
}: Omit<MatProps, "pockets"> & { pockets: Packed<readonly Pocket[]> }) {
  return <Mat pockets={usePacked(pockets)} {...rest} />;
}

/** Everything that lies on the bench, left to right in the order it came off. */
export function Mat({ pockets, hand, foot, onPick, picked, onDrag }: MatProps) {
  const band = useRef<HTMLDivElement>(null);
  const width = pockets.length * POCKET.pitch + 60;
  // only what is near the eye is drawn: a strip of three hundred steps stays as quick as one of ten
  const [middle, setMiddle] = useState(Math.max(4, hand - 4));
  const near = (i: number): boolean => Math.abs(i - middle) <= NEAR;
  useEffect(() => {
    const el = band.current;
    if (!el) return;
    el.scrollLeft = hand * POCKET.pitch - el.clientWidth * (hand === pockets.length ? 0.85 : 0.6);
    setMiddle(middleOf(el));
  }, [hand, pockets.length]);
  const [dragged, setDragged] = useState<string | null>(null);
  // a finger that rests a moment takes the pocket in hand, a quick one scrolls or picks; a mouse takes it by
  // pulling
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
            // where the finger is counts, not what the pocket in hand happens to cover
            <DndContext
              sensors={sensors}
              collisionDetection={pointerWithin}
              onDragStart={(e) => setDragged(String(e.active.id))}
              onDragEnd={drop}
              onDragCancel={() => setDragged(null)}
            >
              {shown}
              <DragOverlay dropAnimation={null}>
                {inHand >= 0 && (
                  <span className="figures block w-[104px] border-2 border-[#f4efe4] bg-[#35575a] p-2 text-[20px] text-[#f4efe4]">
                    {inHand + 1} in hand
                  </span>
                )}
              </DragOverlay>
            </DndContext>
          ) : (
            shown
          )}
          <svg
            className="pointer-events-none absolute left-0"
            style={{ top: POCKET.top + POCKET.height + 2 }}
            width={width}
            height="44"
            aria-hidden="true"
          >
            {matArcs(pockets.map((_, k) => needsOfPocket(pockets, k)))
              .filter((arc) => arc.from - NEAR <= middle && arc.to + NEAR >= middle)
              .map((arc) => (
                <path key={arc.d} d={arc.d} fill="none" stroke="#dcb463" strokeWidth="2" opacity="0.85" />
              ))}
          </svg>
          <svg
            className="pointer-events-none absolute top-0"
            style={{ left: hand * POCKET.pitch - 16 }}
            width="26"
            height="166"
            aria-hidden="true"
          >
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
/**
 * The pocket in the middle of what is seen, in steps of four, so that scrolling does not draw at every pixel.
 */
const middleOf = (el: HTMLElement): number =>
  Math.round((el.scrollLeft + el.clientWidth / 2) / POCKET.pitch / 4) * 4;
