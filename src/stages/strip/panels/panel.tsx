"use client";

import type { ReactNode } from "react";
import { KeyButton } from "@/ui/key-button";
import { useClose } from "@/ui/keys";

/** A sheet that lies over the picture while one kind of fact is given by touch. */
export function Panel({
  title,
  onClose,
  children,
  foot,
}: {
  title: string;
  onClose: () => void;
  children: ReactNode;
  foot?: ReactNode;
}) {
  useClose(onClose);
  return (
    <section
      aria-label={title}
      className="flex h-full min-h-0 flex-col gap-2 border-2 border-base-content bg-base-100 p-2.5"
    >
      <div className="flex items-center justify-between gap-3">
        <h2 className="text-[23px]">{title}</h2>
        <KeyButton keyName="X" onPress={onClose} className="small">
          Close
        </KeyButton>
      </div>
      <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto">{children}</div>
      {foot}
    </section>
  );
}

/** Choices side by side, each large enough for a glove; one, several or none of them hold. */
export function Choices<T extends string>({
  label,
  of,
  says,
  holds,
  onPick,
  keys,
  columns = 4,
}: {
  label: string;
  of: readonly T[];
  says?: (t: T) => ReactNode;
  holds: (t: T) => boolean;
  onPick: (t: T) => void;
  /** the first is picked with 1, and so on */
  keys?: boolean;
  columns?: number;
}) {
  return (
    <fieldset>
      <legend className="words">{label}</legend>
      <div className="grid gap-1.5" style={{ gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }}>
        {of.map((t, i) => (
          <KeyButton
            key={t}
            {...(keys && i < 9 ? { keyName: String(i + 1) } : {})}
            className="small justify-center"
            pressed={holds(t)}
            onPress={() => onPick(t)}
          >
            {says ? says(t) : t}
          </KeyButton>
        ))}
      </div>
    </fieldset>
  );
}

export const toggled = <T,>(list: readonly T[], t: T): T[] =>
  list.includes(t) ? list.filter((x) => x !== t) : [...list, t];
