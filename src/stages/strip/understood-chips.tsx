"use client";

import type { LookAlike } from "@/core/hardware/look-alikes";
import { saidInWords } from "@/core/hardware/piece";
import { ACTION_SAYS } from "@/core/order/likely-action";
import { factChips } from "@/core/order/step-words";
import { HardwareGlyph } from "@/ui/hardware-glyph";
import { KeyButton } from "@/ui/key-button";
import { actionAfter, isEmpty, type OpenStep, type Understood } from "./open-step";

/** Everything that was understood of the step, as chips, before it is laid down; and what was not. */
export function UnderstoodChips({
  open,
  read,
  alike,
  set,
}: {
  open: OpenStep;
  read: Understood;
  alike: readonly LookAlike[];
  set: (fields: Partial<OpenStep>) => void;
}) {
  const close = (label: string, press: () => void) => (
    <button
      type="button"
      className="-my-1 -mr-2 min-h-[44px] min-w-[40px] text-[22px] leading-none font-bold"
      aria-label={label}
      onClick={press}
    >
      ×
    </button>
  );
  return (
    <ul aria-label="Understood" className="flex min-h-[44px] shrink-0 flex-wrap gap-1.5">
      {open.looks.map((says) => (
        <li key={says} className="chip small danger">
          ? {says}
          {close(`It is so: ${says}`, () => set({ looks: open.looks.filter((l) => l !== says) }))}
        </li>
      ))}
      {read.unread.map((u) => (
        <li key={u.text} className="chip small danger">
          ? {u.text} <span className="text-[16px]">{u.says}</span>
        </li>
      ))}
      {!isEmpty(open, read) && (
        <li>
          <KeyButton
            keyName="K"
            className="small !min-h-[44px]"
            pressed={open.action === "loosen" || open.action === "note"}
            onPress={() => set({ action: actionAfter(open.action) })}
            label={`It was ${ACTION_SAYS[read.action]}. Say it was only loosened, or only looked at`}
          >
            {open.action === "loosen"
              ? "only loosened"
              : open.action === "note"
                ? "only a look"
                : ACTION_SAYS[read.action]}
          </KeyButton>
        </li>
      )}
      {read.hardware.map((h, i) => (
        <li
          key={i}
          className={`chip small ${alike.some((a) => a.piece === i) || read.doubts.some((d) => d.piece === i) ? "danger" : ""}`}
        >
          <HardwareGlyph kind={h.kind} drive={h.drive} /> {saidInWords(h)}
          {h.once && <b>new</b>}
          {read.doubts
            .filter((d) => d.piece === i)
            .map((d) => (
              <span key={d.says} className="text-[16px]">
                {d.says}
              </span>
            ))}
          {i < open.hardware.length &&
            close(`Strike ${saidInWords(h)}`, () =>
              set({ hardware: open.hardware.filter((_, k) => k !== i) }),
            )}
        </li>
      ))}
      {read.stack.length > 0 && <li className="chip small">stack of {read.stack.length}, from the top</li>}
      {factChips(read.facts).map(({ fact, says, danger }) => (
        <li key={`${fact} ${says}`} className={`chip small ${danger ? "danger" : ""}`}>
          {says}
        </li>
      ))}
      {Object.entries(open.partStates).map(([name, state]) => (
        <li key={name} className="chip small danger">
          {name}: {state}
        </li>
      ))}
    </ul>
  );
}
