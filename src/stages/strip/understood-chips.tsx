"use client";

import { type ReactNode, useState } from "react";
import type { LookAlike } from "@/core/hardware/look-alikes";
import { saidInWords } from "@/core/hardware/piece";
import { ACTION_SAYS } from "@/core/order/likely-action";
import { factChips } from "@/core/order/step-words";
import { isEmpty, type OpenStep, type Understood } from "@/core/recorder/open-step";
import { HardwareGlyph } from "@/ui/hardware-glyph";
import { KeyButton } from "@/ui/key-button";
import { withoutFact, withoutName, withoutPiece, withoutStack } from "./struck";
import type { Recording } from "./use-open-step";

/** So many chips are seen at once: what is doubtful stands first, and the rest is folded. */
const IN_SIGHT = 8;
const IN_SIGHT_BESIDE = 5;

interface Chip {
  readonly key: string;
  /** doubtful, taken for granted, said: in this order */
  readonly rank: 0 | 1 | 2;
  readonly says: ReactNode;
  /** what × does, and how it is called */
  readonly strike?: { readonly label: string; readonly press: () => void };
}
const LOOK = ["danger", "inferred", ""] as const;

/** Everything that was understood of the step, as chips, before it is laid down; and what was not. */
export function UnderstoodChips({
  recording: { open, read, set, replace },
  alike,
  isShort,
  isAsking,
  onAsk,
}: {
  recording: Recording;
  alike: readonly LookAlike[];
  /** something else takes room as well */
  isShort: boolean;
  /** what was done is being picked */
  isAsking: boolean;
  onAsk: () => void;
}) {
  const [isOpen, setOpen] = useState(false);
  const chips = chipsOf(open, read, alike, set, replace);
  const most = isShort ? IN_SIGHT_BESIDE : IN_SIGHT;
  const shown = isOpen ? chips : chips.slice(0, most);
  const rest = chips.length - shown.length;
  const doubts = chips.slice(shown.length).filter((c) => c.rank === 0).length;
  return (
    <ul aria-label="Understood" className="flex min-h-[44px] shrink-0 flex-wrap gap-1.5">
      {!isEmpty(open, read) && (
        <li>
          <KeyButton
            keyName="K"
            className={`small !min-h-[44px] ${read.isActionGuessed ? "inferred" : ""}`}
            pressed={isAsking}
            onPress={onAsk}
            label={`It was ${ACTION_SAYS[read.action]}${read.isActionGuessed ? ", as it seems" : ""}. Say what was done`}
          >
            {doneSays(read.action)}
          </KeyButton>
        </li>
      )}
      {(rest > 0 || isOpen) && (
        <li>
          <button
            type="button"
            className="chip small min-h-[44px]"
            aria-expanded={isOpen}
            onClick={() => setOpen(!isOpen)}
          >
            {isOpen ? "fewer" : `and ${rest} more${doubts ? `, ${doubts} doubtful` : ""}`}
          </button>
        </li>
      )}
      {shown.map(({ key, rank, says, strike }) => (
        <li key={key} className={`chip small ${LOOK[rank]}`}>
          {says}
          {strike && (
            <button
              type="button"
              className="-my-1 -mr-2 min-h-[44px] min-w-[40px] text-[22px] leading-none font-bold"
              aria-label={strike.label}
              onClick={strike.press}
            >
              ×
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}

export const doneSays = (action: Understood["action"]): string =>
  action === "loosen" ? "only loosened" : action === "note" ? "only a look" : ACTION_SAYS[action];

/** The chips of a step, what is doubtful first. */
function chipsOf(
  open: OpenStep,
  read: Understood,
  alike: readonly LookAlike[],
  set: Recording["set"],
  replace: Recording["replace"],
): Chip[] {
  const looks = open.looks.map(
    (says): Chip => ({
      key: `look ${says}`,
      rank: 0,
      says: `? ${says}`,
      strike: {
        label: `It is so: ${says}`,
        press: () => set({ looks: open.looks.filter((l) => l !== says) }),
      },
    }),
  );
  const asked = read.doubts
    .filter((d) => d.piece === null && !read.unread.some((u) => d.says.includes(`“${u.text}”`)))
    .map((d): Chip => ({ key: `doubt ${d.says}`, rank: 0, says: `? ${d.says}` }));
  const unread = read.unread.map((u): Chip => {
    const isLost = read.doubts.some((d) => d.says.includes(`“${u.text}”`));
    return {
      key: `unread ${u.text}`,
      rank: isLost ? 0 : 2,
      says: isLost ? `? ${u.text} (${u.says})` : `note: ${u.text.replace(/[{}]/g, "")}`,
    };
  });
  const pieces = read.hardware.map((h, i): Chip => {
    const doubts = read.doubts.filter((d) => d.piece === i);
    const isDoubtful = doubts.length > 0 || alike.some((a) => a.piece === i);
    return {
      key: `piece ${i} ${saidInWords(h)}`,
      rank: isDoubtful ? 0 : read.inferred.includes(i) ? 1 : 2,
      says: (
        <>
          <HardwareGlyph kind={h.kind} drive={h.drive} /> {saidInWords(h)}
          {h.once && <b>new</b>}
          {doubts.map((d) => (
            <span key={d.says} className="text-[16px]">
              {d.says}
            </span>
          ))}
        </>
      ),
      strike: { label: `Strike ${saidInWords(h)}`, press: () => replace(withoutPiece(open, read, i)) },
    };
  });
  const names = read.namesInLine.map(
    (name): Chip => ({
      key: `part ${name}`,
      rank: 1,
      says: `part: ${name}`,
      strike: { label: `Strike ${name}`, press: () => replace(withoutName(open, read, name)) },
    }),
  );
  const stack: Chip[] = read.stack.length
    ? [
        {
          key: "stack",
          rank: read.isStackGuessed ? 1 : 2,
          says: `stack of ${read.stack.length}, from the top`,
          strike: { label: "Strike the stack", press: () => replace(withoutStack(open, read)) },
        },
      ]
    : [];
  const facts = factChips(read.facts).map(
    (f): Chip => ({
      key: `${f.fact} ${f.at} ${f.says}`,
      rank: 2,
      says: f.danger ? <b className="text-error">{f.says}</b> : f.says,
      strike: { label: `Strike ${f.says}`, press: () => replace(withoutFact(open, read, f)) },
    }),
  );
  const states = Object.entries(read.partStates).map(
    ([name, state]): Chip => ({
      key: `state ${name}`,
      rank: 2,
      says: <b className="text-error">{`${name}: ${state}`}</b>,
      strike: {
        label: `Strike ${name}: ${state}`,
        press: () => {
          const { [name]: _gone, ...rest } = read.partStates;
          set({ partStates: rest, what: read.names.join(", ") });
        },
      },
    }),
  );
  return [...looks, ...asked, ...unread, ...pieces, ...names, ...stack, ...facts, ...states].sort(
    (a, b) => a.rank - b.rank,
  );
}
