"use client";

import { FREEING_WORDS } from "@/core/hardware/freed";
import { hardwareInWords } from "@/core/hardware/kinds";
import type { LookAlike } from "@/core/hardware/look-alikes";
import { ACTION_SAYS } from "@/core/order/likely-action";
import { NAMED_HAZARDS } from "@/core/safety/cautions";
import { HardwareGlyph } from "@/ui/hardware-glyph";
import type { OpenStep, Understood } from "./open-step";

/** Everything that was understood of the step, as chips, before it is laid down; and what was not. */
export function UnderstoodChips({
  open,
  read,
  alike,
  minutes,
  set,
}: {
  open: OpenStep;
  read: Understood;
  alike: readonly LookAlike[];
  minutes: number | null;
  set: (fields: Partial<OpenStep>) => void;
}) {
  const close = (label: string, press: () => void) => (
    <button type="button" className="-my-1 -mr-2 min-h-[44px] min-w-[40px] text-[22px] leading-none font-bold" aria-label={label} onClick={press}>
      ×
    </button>
  );
  const words: [string, string][] = [
    [read.facingSaid, `▼ ${read.facingSaid}`],
    [read.markSaid, `✎ ${read.markSaid}`],
    [open.doNotUndo, `⊘ do not undo: ${open.doNotUndo}`],
    [open.tray, `▦ ${open.tray}`],
    [open.note, open.note],
  ];
  return (
    <ul aria-label="Understood" className="flex max-h-[100px] min-h-[44px] shrink-0 flex-wrap gap-1.5 overflow-y-auto">
      <li className="chip small">{ACTION_SAYS[read.action]}</li>
      {read.hardware.map((h, i) => (
        <li key={i} className={`chip small ${alike.some((a) => a.piece === i) ? "danger" : ""}`}>
          <HardwareGlyph kind={h.kind} drive={h.drive} /> {hardwareInWords(h)}
          {h.once && <b>new</b>}
          {i < open.hardware.length && close(`Strike ${hardwareInWords(h)}`, () => set({ hardware: open.hardware.filter((_, k) => k !== i) }))}
        </li>
      ))}
      {read.wires.map((w) => (
        <li key={`${w.colour}${w.to}`} className="chip small">
          {w.colour} → {w.to}
        </li>
      ))}
      {read.torqueNm !== undefined && <li className="chip small">{read.torqueNm} N·m</li>}
      {read.freedBy && (
        <li className="chip small">
          {FREEING_WORDS[read.freedBy.how].says}
          {read.freedBy.standIn && ", with a stand-in"}
        </li>
      )}
      {open.held.length > 0 && <li className="chip small">held by {open.held.join(", ")}</li>}
      {open.timing && (
        <li className="chip small">
          ◷{" "}
          {[open.timing.pin && `${open.timing.pin} at the pin`, open.timing.turns !== undefined && `${open.timing.turns} turns`, open.timing.says]
            .filter(Boolean)
            .join(", ")}
        </li>
      )}
      {open.stack.length > 0 && <li className="chip small">stack of {open.stack.length}</li>}
      {words.map(
        ([said, shown]) =>
          said && (
            <li key={shown} className="chip small">
              {shown}
            </li>
          ),
      )}
      {open.cautions.map((c) => (
        <li key={c} className="chip small danger">
          ⚠ {NAMED_HAZARDS.find((h) => h.hazard === c)?.name ?? c}
        </li>
      ))}
      {Object.entries(open.partStates).map(([name, state]) => (
        <li key={name} className="chip small danger">
          {name}: {state}
        </li>
      ))}
      {minutes !== null && <li className="chip small">{minutes} min</li>}
      {read.unread.map((u) => (
        <li key={u.text} className="chip small danger">
          ? {u.text} <span className="text-[16px]">{u.says}</span>
        </li>
      ))}
    </ul>
  );
}
