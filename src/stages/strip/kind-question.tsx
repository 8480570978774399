"use client";

import { kindCalled } from "@/core/hardware/part-kind";
import { askedKinds } from "@/core/job/part";
import type { Understood } from "@/core/recorder/open-step";
import { KeyButton } from "@/ui/key-button";
import type { Recording } from "./use-open-step";

interface KindAsked {
  readonly name: string;
  readonly kinds: readonly string[];
}

/** Names that only hint at a kind: each wants a press of its own, and decides nothing until then. */
function kindsAsked(
  open: Recording["open"],
  read: Understood,
  known: Readonly<Record<string, string>>,
): KindAsked[] {
  if (read.action === "note" || read.action === "block") return [];
  return read.names.flatMap((name) => {
    const isSaid = open.partFacts?.[name] ?? known[name.trim().toLowerCase()];
    const kinds = isSaid ? [] : askedKinds({ name });
    return kinds.length ? [{ name, kinds }] : [];
  });
}

/** What a part is, by the kinds its name hints at; one part at a time. */
export function KindQuestion({
  recording: { open, read, set },
  known,
}: {
  recording: Recording;
  /** what this shop said parts are, by their names in small letters */
  known: Readonly<Record<string, string>>;
}) {
  const asked = kindsAsked(open, read, known)[0];
  if (!asked) return null;
  const { name, kinds } = asked;
  const say = (kind: string | undefined): void =>
    set({ partFacts: { ...open.partFacts, [name]: kind ? { kind } : {} } });
  return (
    <p className="flex shrink-0 items-center gap-1.5 pt-1.5 text-[18px]">
      <b className="max-w-[40%] truncate">{name}</b> is:
      {kinds.map((kind, k) => (
        <KeyButton
          key={kind}
          {...(k === 0 && { keyName: "Y" })}
          className="small !min-h-[44px] !px-2 inferred"
          onPress={() => say(kind)}
          label={`${name} is: ${kindCalled(kind)}`}
        >
          {kindCalled(kind)}
        </KeyButton>
      ))}
      <button
        type="button"
        className="min-h-[44px] px-2 underline"
        aria-label={`${name} is none of these`}
        onClick={() => say(undefined)}
      >
        none
      </button>
    </p>
  );
}
