"use client";

import { type ReactNode, useRef, useState } from "react";
import { completionOf } from "@/core/hardware/line/completion";
import { retaken, takenFor } from "@/core/hardware/line/retaken";
import { KeyCap } from "@/ui/key-button";
import { useKey } from "@/ui/keys";
import { useTypedEarly } from "../saving/use-typed-early";
import { TakenWords } from "./taken-words";
import type { Recording } from "./use-open-step";

/**
 * The two lines that a step is typed into: what came off, and its hardware in shorthand. Ctrl with Enter lays
 * it down from either.
 */
export function StepFields({
  n,
  recording: { open, read, set, takeLine },
  said,
  lay,
}: {
  n: number;
  recording: Recording;
  /** what this job said before, the latest first: parts, and where pieces sat */
  said: { readonly parts: readonly string[]; readonly places: readonly string[] };
  lay: () => void;
}) {
  return (
    <>
      <TypedLine
        name="what"
        cap="N"
        label="What came off"
        example="what came off: gear case cover"
        value={open.what}
        put={(what) => set({ what })}
        lay={lay}
        rest={completionOf(open.what, said.parts)}
      >
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
        rest={completionOf(open.line, said.places)}
        onEnter={takeLine}
        onDigit={(n) => {
          const word = takenFor(open.line, read.spans)[n - 1];
          if (word) set({ line: retaken(open.line, word) });
        }}
        className="figure !text-[21px]"
      />
      {open.line.trim() && <TakenWords line={open.line} spans={read.spans} put={(line) => set({ line })} />}
    </>
  );
}

const wordBefore = (value: string): string => /\S*$/.exec(value)?.[0] ?? "";

function TypedLine({
  name,
  cap,
  label,
  example,
  value,
  put,
  lay,
  rest,
  onEnter,
  onDigit,
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
  /** what is offered behind the word that is typed; empty: nothing */
  rest: string;
  onEnter?: () => void;
  /** Alt with a figure, while it is typed */
  onDigit?: (n: number) => void;
  className?: string;
  /** what stands before it */
  children?: ReactNode;
}) {
  const field = useRef<HTMLInputElement>(null);
  const [typing, setTyping] = useState(false);
  useTypedEarly(field, value, put);
  useKey(cap, () => field.current?.focus(), true, label);
  return (
    <div className="flex items-center gap-2.5">
      {children}
      <label htmlFor={name} title={label}>
        <KeyCap of={cap} />
      </label>
      <span className="relative min-w-0 flex-1">
        <input
          id={name}
          ref={field}
          className={`field w-full ${className}`}
          onFocus={() => setTyping(true)}
          onBlur={() => setTyping(false)}
          aria-label={label}
          autoComplete="off"
          placeholder={example}
          value={value}
          onChange={(e) => put(e.target.value)}
          onKeyDown={(e) => {
            if (e.altKey && /^Digit[1-9]$/.test(e.code) && onDigit) {
              e.preventDefault();
              return onDigit(Number(e.code.slice(5)));
            }
            const { selectionStart, selectionEnd } = e.currentTarget;
            if (
              e.key === "ArrowRight" &&
              rest &&
              !e.shiftKey &&
              selectionStart === value.length &&
              selectionEnd === value.length
            ) {
              e.preventDefault();
              return put(value + rest);
            }
            if (e.key !== "Enter") return;
            if (e.ctrlKey) return lay();
            onEnter?.();
            e.currentTarget.blur();
          }}
        />
        {typing && rest && (
          <button
            type="button"
            tabIndex={-1}
            className="absolute top-0 right-0 bottom-[3px] flex max-w-[60%] min-w-[48px] items-center gap-1.5 bg-base-200 px-2 text-[18px]"
            aria-label={`Complete it: ${wordBefore(value)}${rest}`}
            onPointerDown={(e) => e.preventDefault()}
            onClick={() => put(value + rest)}
          >
            <KeyCap of="ArrowRight" />
            <span className="truncate">
              <span className="hush">{wordBefore(value)}</span>
              <b>{rest}</b>
            </span>
          </button>
        )}
      </span>
    </div>
  );
}
