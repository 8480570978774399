"use client";

import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { GripVertical } from "lucide-react";
import { partKindFrom } from "@/core/hardware/part-kind";
import { partLook } from "@/core/hardware/part-look";
import type { HardwareFacts } from "@/core/hardware/piece";
import { pieceName } from "@/core/recorder/open-step";
import { HardwareGlyph } from "@/ui/hardware-glyph";
import { PartGlyph } from "@/ui/part-glyph";
import { Panel } from "./panel";

/**
 * The pieces of a step as they lay on each other, from the top down: dragged into order, or moved with the
 * arrows.
 */
export function StackPanel({
  stack,
  hardware,
  names,
  onChange,
  onClose,
}: {
  stack: readonly string[];
  hardware: readonly HardwareFacts[];
  names: readonly string[];
  onChange: (stack: readonly string[]) => void;
  onClose: () => void;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const all = [...hardware.map((_, i) => `h${i}`), ...names.map((_, i) => `p${i}`)];
  const lying = stack.filter((s) => all.includes(s));
  const rest = all.filter((s) => !lying.includes(s));
  const name = (s: string): string =>
    s.startsWith("h")
      ? pieceName(hardware[Number(s.slice(1))] as HardwareFacts)
      : (names[Number(s.slice(1))] as string);
  const move = (s: string, by: number): void => {
    const at = lying.indexOf(s);
    if (at + by >= 0 && at + by < lying.length) onChange(arrayMove([...lying], at, at + by));
  };
  return (
    <Panel title="Stack, from the top down" onClose={onClose}>
      {all.length === 0 && <p className="says">Say what came off first; its pieces are put in order here.</p>}
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={({ active, over }) =>
          over &&
          onChange(arrayMove([...lying], lying.indexOf(String(active.id)), lying.indexOf(String(over.id))))
        }
      >
        <SortableContext items={lying} strategy={verticalListSortingStrategy}>
          <ol aria-label="Stack" className="flex flex-col gap-1">
            {lying.map((s) => (
              <StackRow
                key={s}
                id={s}
                name={name(s)}
                hardware={s.startsWith("h") ? hardware[Number(s.slice(1))] : undefined}
                move={(by) => move(s, by)}
                strike={() => onChange(lying.filter((x) => x !== s))}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      {rest.length > 0 && (
        <div className="flex flex-wrap gap-1.5">
          <span className="words w-full">
            {lying.length ? "Below these lies" : "Press what lies on top first, then what lies below it"}
          </span>
          {rest.map((s) => (
            <button
              type="button"
              key={s}
              className="key-button small"
              onClick={() => onChange([...lying, s])}
            >
              {name(s)}
            </button>
          ))}
        </div>
      )}
    </Panel>
  );
}

function StackRow({
  id,
  name,
  hardware,
  move,
  strike,
}: {
  id: string;
  name: string;
  hardware: HardwareFacts | undefined;
  move: (by: number) => void;
  strike: () => void;
}) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className="flex items-center gap-2 border-2 border-base-content bg-base-100"
    >
      <button
        type="button"
        className="flex min-h-[48px] flex-1 touch-none items-center gap-2 px-2 text-left text-[20px]"
        {...attributes}
        {...listeners}
        aria-label={`${name}, drag`}
      >
        <GripVertical size={24} aria-hidden="true" />
        {hardware ? (
          <HardwareGlyph kind={hardware.kind} drive={hardware.drive} />
        ) : (
          <PartGlyph kind={partLook(name, partKindFrom(name))} size={28} />
        )}
        {name}
      </button>
      {(
        [
          ["▲", -1, "up"],
          ["▼", 1, "down"],
        ] as const
      ).map(([says, by, way]) => (
        <button
          type="button"
          key={way}
          className="min-h-[48px] min-w-[48px] text-[22px]"
          aria-label={`${name}: ${way}`}
          onClick={() => move(by)}
        >
          {says}
        </button>
      ))}
      <button
        type="button"
        className="min-h-[48px] min-w-[48px] text-[22px] font-bold"
        aria-label={`${name}: not in the stack`}
        onClick={strike}
      >
        ×
      </button>
    </li>
  );
}
