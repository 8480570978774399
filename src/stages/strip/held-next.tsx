"use client";

import { focusNow } from "@/ui/focus-now";
import { KeyCap } from "@/ui/key-button";
import { useKey } from "@/ui/keys";
import type { Recording } from "./use-open-step";

/**
 * What is typed while a step is stopped at a doubt belongs to the next one: it is held until this one is laid down.
 * The doubt can be overlooked, and nothing is lost or mixed.
 */
export function HeldNext({
  n,
  recording: { open, set },
  isTyping,
  onType,
}: {
  n: number;
  recording: Recording;
  isTyping: boolean;
  onType: () => void;
}) {
  const { what, line } = open.next;
  useKey("N", onType, true, "What came off next, held until this step is down");
  if (!isTyping) return null;
  const put = (more: Partial<typeof open.next>): void => set({ next: { ...open.next, ...more } });
  return (
    <fieldset
      aria-label={`Step ${n + 1}, held`}
      className="flex shrink-0 items-center gap-2 border-2 border-dotted p-1.5"
    >
      <span className="figures text-[26px]">{n + 1}</span>
      <KeyCap of="N" />
      <input
        ref={focusNow}
        className="field min-w-0 flex-1"
        aria-label="What comes off next"
        placeholder="next step, held here"
        autoComplete="off"
        value={what}
        onChange={(e) => put({ what: e.target.value })}
        onKeyDown={(e) => e.key === "Enter" && e.currentTarget.blur()}
      />
      <input
        className="field figure min-w-0 flex-1"
        aria-label="Its hardware, in shorthand"
        placeholder="its hardware"
        autoComplete="off"
        value={line}
        onChange={(e) => put({ line: e.target.value })}
        onKeyDown={(e) => e.key === "Enter" && e.currentTarget.blur()}
      />
    </fieldset>
  );
}
