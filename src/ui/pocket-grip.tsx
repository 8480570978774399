"use client";

import { useDraggable, useDroppable } from "@dnd-kit/core";
import type { ReactNode } from "react";

/** What can be taken in hand. */
export function Grip({ step, movable, children }: { step: string; movable: boolean; children: ReactNode }) {
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
export function DropZones({ step, n }: { step: string; n: number }) {
  return (
    <div className="absolute -inset-x-[6px] inset-y-0 z-10 grid grid-cols-[30px_1fr_30px] grid-rows-2">
      <Zone id={`before|${step}`} className="row-span-2" says="◂" label={`before ${n}`} />
      <Zone id={`one|${step}`} className="" says="as one" label={`as one with ${n}`} />
      <Zone id={`after|${step}`} className="row-span-2" says="▸" label={`after ${n}`} />
      <Zone id={`needs|${step}`} className="" says={`needed ${n}`} label={`needed ${n}`} />
    </div>
  );
}
function Zone({
  id,
  className,
  says,
  label,
}: {
  id: string;
  className: string;
  says: string;
  label: string;
}) {
  const { setNodeRef, isOver } = useDroppable({ id });
  return (
    <div
      ref={setNodeRef}
      role="img"
      aria-label={label}
      aria-current={isOver}
      className={`flex items-center justify-center border border-[#f4efe4] text-center text-[16px] leading-tight font-semibold ${isOver ? "bg-[#dcb463] text-[#1d2a2c]" : "bg-[#10201fd9] text-[#f4efe4]"} ${className}`}
    >
      {says}
    </div>
  );
}
