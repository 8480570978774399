"use client";

import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import { orderOfHoles } from "@/core/hardware/bench/tightening-order";
import type { Holes } from "@/core/job/step";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useClose } from "@/ui/keys";
import { OVER_PICTURE } from "@/ui/over-picture";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { sayHoles } from "./actions";

type Point = readonly [x: number, y: number];
/** Half the size of a dot, in thousandths of the picture's width: a finger's width on a tablet. */
const R = 38;
/** How far an arrow key moves a dot, as a share of the picture's width. */
const NUDGE = 0.01;
const ARROWS: Readonly<Record<string, Point>> = {
  ArrowLeft: [-NUDGE, 0],
  ArrowRight: [NUDGE, 0],
  ArrowUp: [0, -NUDGE],
  ArrowDown: [0, NUDGE],
};

/** A hole with the turn of its screw. */
function Dot({ at: [x, y], turn, held }: { at: Point; turn: number; held: boolean }) {
  return (
    <>
      <circle
        cx={x * 1000}
        cy={y * 1000}
        r={R}
        fill={OVER_PICTURE.paper}
        fillOpacity={held ? 0.5 : 0.9}
        stroke={OVER_PICTURE.ink}
        strokeWidth={held ? 12 : 7}
      />
      <text
        x={x * 1000}
        y={y * 1000}
        textAnchor="middle"
        dominantBaseline="central"
        fontSize={R * 1.25}
        fontWeight="700"
        fill={OVER_PICTURE.ink}
        fontFamily="var(--font-sans)"
      >
        {turn}
      </text>
    </>
  );
}

/** The turns of the screws, drawn over the picture in which their holes were pointed at. */
export function HolesOverlay({ at, width, height }: { at: readonly Point[]; width: number; height: number }) {
  const { turns } = orderOfHoles(at.map(([x, y]) => ({ x, y })));
  return (
    <svg
      className="pointer-events-none absolute inset-0 h-full w-full"
      viewBox={`0 0 1000 ${(1000 * height) / width}`}
      preserveAspectRatio="xMidYMid slice"
      role="img"
      aria-label={`the order of ${at.length} screws`}
    >
      {at.map((p, i) => (
        <g key={i}>
          <Dot at={p} turn={turns[i] ?? 0} held={false} />
        </g>
      ))}
    </svg>
  );
}

/**
 * As many dots as there are screws, round the middle of the picture: where they lie before somebody drags
 * them.
 */
const roundTheMiddle = (count: number, tall: number): Point[] =>
  Array.from({ length: count }, (_, i) => {
    const turn = (2 * Math.PI * (i + 0.5)) / count - Math.PI / 2;
    return [0.5 + 0.32 * Math.cos(turn), tall / 2 + 0.32 * tall * Math.sin(turn)];
  });

/**
 * The screws of a flange are pointed at in its picture, once: a dot each is dragged to its hole, or moved
 * with the arrow keys. The order in which they are drawn is worked out from that.
 */
export function PointAtHoles({
  step,
  count,
  picture,
  said,
  onClose,
}: {
  step: string;
  count: number;
  picture: { readonly name: string; readonly url: string; readonly width: number; readonly height: number };
  said: Holes | undefined;
  onClose: () => void;
}) {
  const { run } = useJob();
  const fault = useFieldFault();
  const sheet = useRef<SVGSVGElement>(null);
  const tall = picture.height / picture.width;
  const [at, setAt] = useState<readonly Point[]>(() =>
    said?.at.length === count ? said.at : roundTheMiddle(count, tall),
  );
  const [held, setHeld] = useState<number | null>(null);
  useClose(onClose);
  const { turns, inARow } = orderOfHoles(at.map(([x, y]) => ({ x, y })));
  const inside = ([x, y]: Point): Point => [Math.min(1, Math.max(0, x)), Math.min(tall, Math.max(0, y))];
  const keep = async (next: readonly Point[]): Promise<void> => {
    fault.took(
      await run(sayHoles, {
        step,
        holes: { picture: picture.name, at: next.map(([x, y]): [number, number] => [x, y]) },
      }),
    );
  };
  const moved = (i: number, to: Point): readonly Point[] => at.map((p, k) => (k === i ? inside(to) : p));
  const under = (e: PointerEvent): Point => {
    const onScreen = sheet.current?.getScreenCTM();
    if (!onScreen) return [0.5, tall / 2];
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(onScreen.inverse());
    return [p.x / 1000, p.y / 1000];
  };
  const letGo = (e: PointerEvent): void => {
    if (held === null) return;
    // a quick hand is let go of before its last movement was told
    const next = e.type === "pointerup" ? moved(held, under(e)) : at;
    setHeld(null);
    setAt(next);
    void keep(next);
  };
  const nudge = (e: KeyboardEvent, i: number): void => {
    const by = ARROWS[e.key];
    const [x, y] = at[i] ?? [0, 0];
    if (!by) return;
    e.preventDefault();
    e.stopPropagation();
    const next = moved(i, [x + by[0], y + by[1]]);
    setAt(next);
    void keep(next);
  };
  return (
    <section aria-label="Where the screws sit" className="flex min-h-0 flex-col gap-1.5">
      <p className="text-[19px] leading-tight">
        Drag each dot to its hole.{" "}
        {inARow ? "They stand in a row: from the middle outwards." : "The numbers are the order, crosswise."}
      </p>
      <div className="relative min-h-0 flex-1 border-2 border-base-content bg-[#10201f]">
        {/* biome-ignore lint/performance/noImgElement: the picture lies in the shop's folder, in its full
            size */}
        <img
          src={picture.url}
          alt=""
          className="absolute inset-0 h-full w-full object-contain"
          draggable={false}
        />
        {/* biome-ignore lint/a11y/useSemanticElements: a drawing is no set of fields */}
        <svg
          ref={sheet}
          className="absolute inset-0 h-full w-full touch-none select-none"
          viewBox={`0 0 1000 ${1000 * tall}`}
          role="group"
          aria-label={`${count} holes`}
          onPointerMove={(e) => held !== null && setAt(moved(held, under(e)))}
          onPointerUp={letGo}
          onPointerCancel={letGo}
        >
          {at.map((p, i) => (
            // biome-ignore lint/a11y/useSemanticElements: a shape of a drawing is no button element
            <g
              key={i}
              role="button"
              tabIndex={0}
              aria-label={`Hole ${i + 1}, drawn as number ${turns[i]}`}
              className="cursor-grab"
              onKeyDown={(e) => nudge(e, i)}
              onPointerDown={(e) => {
                sheet.current?.setPointerCapture(e.pointerId);
                setHeld(i);
              }}
            >
              <Dot at={p} turn={turns[i] ?? 0} held={held === i} />
            </g>
          ))}
        </svg>
      </div>
      <FaultLine says={fault.elsewhere()} />
      <KeyButton keyName="X" className="small justify-center" onPress={onClose}>
        They sit there
      </KeyButton>
    </section>
  );
}
