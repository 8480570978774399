"use client";

import { type ReactNode, useState } from "react";
import type { LookAlike } from "@/core/hardware/look-alikes";
import { kindCalled, kindsFrom, saidKind } from "@/core/hardware/part-kind";
import { saidInWords } from "@/core/hardware/piece";
import { ACTION_SAYS } from "@/core/order/likely-action";
import { factChips } from "@/core/order/step-words";
import { HardwareGlyph } from "@/ui/hardware-glyph";
import { KeyButton } from "@/ui/key-button";
import { DONE_WITH_IT, isEmpty, type OpenStep, type Understood } from "./open-step";
import { withoutFact, withoutName, withoutPiece, withoutStack } from "./struck";
import type { Recording } from "./use-open-step";

/** So many chips are seen at once: what is doubtful stands first, and the rest is folded. */
const IN_SIGHT = 9;

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
  known,
}: {
  recording: Recording;
  alike: readonly LookAlike[];
  /** what this shop said parts of a name are */
  known: Readonly<Record<string, string>>;
}) {
  const [isOpen, setOpen] = useState(false);
  const [isAsking, setAsking] = useState(false);
  const chips = chipsOf(open, read, alike, set, replace);
  const shown = isOpen ? chips : chips.slice(0, IN_SIGHT);
  const rest = chips.length - shown.length;
  const doubts = chips.slice(shown.length).filter((c) => c.rank === 0).length;
  return (
    <>
      <ul aria-label="Understood" className="flex min-h-[44px] shrink-0 flex-wrap gap-1.5">
        {!isEmpty(open, read) && (
          <li>
            <KeyButton
              keyName="K"
              className={`small !min-h-[44px] ${read.isActionGuessed ? "inferred" : ""}`}
              pressed={isAsking}
              onPress={() => setAsking(!isAsking)}
              label={`It was ${ACTION_SAYS[read.action]}${read.isActionGuessed ? ", as it seems" : ""}. Say what was done`}
            >
              {doneSays(read.action)}
            </KeyButton>
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
      </ul>
      {isAsking && (
        <WhatWasDone
          now={read.action}
          pick={(action) => {
            set({ action });
            setAsking(false);
          }}
        />
      )}
      <KindQuestions open={open} read={read} known={known} set={set} />
    </>
  );
}

const doneSays = (action: Understood["action"]): string =>
  action === "loosen" ? "only loosened" : action === "note" ? "only a look" : ACTION_SAYS[action];

/** What was done, each with a figure: the first is always the way back to "lifted off". */
function WhatWasDone({
  now,
  pick,
}: {
  now: Understood["action"];
  pick: (action: Understood["action"]) => void;
}) {
  return (
    <fieldset className="flex shrink-0 flex-wrap gap-1">
      <legend className="sr-only">What was done</legend>
      {DONE_WITH_IT.map((action, i) => (
        <KeyButton
          key={action}
          keyName={String((i + 1) % 10)}
          className="small !min-h-[48px]"
          pressed={action === now}
          onPress={() => pick(action)}
        >
          {doneSays(action)}
        </KeyButton>
      ))}
    </fieldset>
  );
}

/** Kinds that names only hint at: each wants a press of its own, and decides nothing until then. */
function KindQuestions({
  open,
  read,
  known,
  set,
}: {
  open: OpenStep;
  read: Understood;
  known: Readonly<Record<string, string>>;
  set: Recording["set"];
}) {
  if (read.action === "note" || read.action === "block") return null;
  const asked = read.names.flatMap((name) => {
    const isSaid = saidKind(name) ?? open.partFacts?.[name] ?? known[name.trim().toLowerCase()];
    const kinds = kindsFrom(name).slice(0, 3);
    return isSaid || !kinds.length ? [] : [{ name, kinds }];
  });
  const say = (name: string, kind: string | undefined): void =>
    set({ partFacts: { ...open.partFacts, [name]: kind ? { kind } : {} } });
  return asked.slice(0, 2).map(({ name, kinds }, i) => (
    <p key={name} className="flex shrink-0 flex-wrap items-center gap-1.5 text-[18px]">
      <span className="chip small inferred">{name}</span> is a
      {kinds.map((kind, k) => (
        <KeyButton
          key={kind}
          {...(i === 0 && k === 0 && { keyName: "Y" })}
          className="small !min-h-[44px] inferred"
          onPress={() => say(name, kind)}
          label={`${name} is a ${kindCalled(kind)}`}
        >
          {kindCalled(kind)}
        </KeyButton>
      ))}
      <button
        type="button"
        className="min-h-[44px] px-2 underline"
        aria-label={`${name} is none of these`}
        onClick={() => say(name, undefined)}
      >
        none of these
      </button>
    </p>
  ));
}

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
    .filter((d) => d.piece === null)
    .map((d): Chip => ({ key: `doubt ${d.says}`, rank: 0, says: `? ${d.says}` }));
  const unread = read.unread.map((u): Chip => {
    const isLost = read.doubts.some((d) => d.says.includes(`“${u.text}”`));
    return {
      key: `unread ${u.text}`,
      rank: isLost ? 0 : 2,
      says: isLost ? `? ${u.text} (${u.says})` : `note: ${u.text}`,
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
  const states = Object.entries(open.partStates).map(
    ([name, state]): Chip => ({
      key: `state ${name}`,
      rank: 2,
      says: <b className="text-error">{`${name}: ${state}`}</b>,
      strike: {
        label: `Strike ${name}: ${state}`,
        press: () => {
          const { [name]: _gone, ...rest } = open.partStates;
          set({ partStates: rest });
        },
      },
    }),
  );
  return [...looks, ...asked, ...unread, ...pieces, ...names, ...stack, ...facts, ...states].sort(
    (a, b) => a.rank - b.rank,
  );
}
