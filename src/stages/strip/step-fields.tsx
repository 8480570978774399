"use client";

import { type ReactNode, useRef } from "react";
import { KeyCap } from "@/ui/key-button";
import { useKey } from "@/ui/keys";
import { useTypedEarly } from "../saving/use-typed-early";
import type { Recording } from "./use-open-step";

/** The two lines that a step is typed into: what came off, and its hardware in shorthand. Ctrl with Enter lays it down from either. */
export function StepFields({ n, recording: { open, set, takeLine }, lay }: { n: number; recording: Recording; lay: () => void }) {
  return (
    <>
      <TypedLine name="what" cap="N" label="What came off" example="what came off: gear case cover" value={open.what} put={(what) => set({ what })} lay={lay}>
        <span className="figures text-[44px] leading-[48px] font-semibold">{n}</span>
      </TypedLine>
      <TypedLine
        name="line"
        cap="Q"
        label="Hardware, in shorthand"
        example="4x TX15 16 ST3.5 corners"
        value={open.line}
        put={(line) => set({ line })}
        lay={lay}
        onEnter={takeLine}
        className="figure !text-[21px]"
      />
    </>
  );
}

function TypedLine({
  name,
  cap,
  label,
  example,
  value,
  put,
  lay,
  onEnter,
  className = "",
  children,
}: {
  name: string;
  /** the key that leads into it */
  cap: string;
  label: string;
  example: string;
  value: string;
  put: (text: string) => void;
  lay: () => void;
  onEnter?: () => void;
  className?: string;
  /** what stands before it */
  children?: ReactNode;
}) {
  const field = useRef<HTMLInputElement>(null);
  useTypedEarly(field, value, put);
  useKey(cap, () => field.current?.focus(), true, label);
  return (
    <div className="flex items-center gap-2.5">
      {children}
      <label htmlFor={name} title={label}>
        <KeyCap of={cap} />
      </label>
      <input
        id={name}
        ref={field}
        className={`field min-w-0 flex-1 ${className}`}
        aria-label={label}
        autoComplete="off"
        placeholder={example}
        value={value}
        onChange={(e) => put(e.target.value)}
        onKeyDown={(e) => {
          if (e.key !== "Enter") return;
          if (e.ctrlKey) return lay();
          onEnter?.();
          e.currentTarget.blur();
        }}
      />
    </div>
  );
}
