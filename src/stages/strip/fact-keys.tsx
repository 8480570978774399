"use client";

import { useState } from "react";
import type { StepFacts } from "@/core/job/step";
import { sentences } from "@/core/recorder/open-step";
import { focusNow } from "@/ui/focus-now";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import type { Sheet } from "./step-sheet";
import type { Recording } from "./use-open-step";

type Asked = "facing" | "marks" | "note";
/** What a key is called where it has little room. */
const SHORT: Readonly<Record<string, string>> = { "Goes back": "Back" };

/** Facts that are one line of words. Several witness marks have a semicolon between them. */
const ASKS: Readonly<
  Record<
    Asked,
    {
      readonly label: string;
      readonly example: string;
      readonly said: (facts: StepFacts) => string;
      readonly as: (typed: string) => StepFacts;
    }
  >
> = {
  facing: {
    label: "Facing",
    example: "flange to the rear",
    said: (f) => f.facing ?? "",
    as: (facing) => ({ facing }),
  },
  marks: {
    label: "Witness mark",
    example: "paint dot on cover and case",
    said: (f) => f.marks?.join("; ") ?? "",
    as: (typed) => ({ marks: typed ? [typed] : [] }),
  },
  note: {
    label: "Note",
    example: "what must not be forgotten",
    said: (f) => f.note ?? "",
    as: (note) => ({ note }),
  },
};

/**
 * One key for each fact of a step: a line of words that opens above the keys, a switch, or a sheet. A key
 * that holds something stays down.
 */
export function FactKeys({
  recording: { open, set, say },
  first,
  sheet,
  compact,
  onSheet,
}: {
  recording: Recording;
  /** nothing lies on the Mat yet */
  first: boolean;
  sheet: Sheet | null;
  /** in one row, the words small under their caps: something else has to be seen */
  compact: boolean;
  onSheet: (sheet: Sheet) => void;
}) {
  const { say: tell } = useJob();
  const [asking, setAsking] = useState<Asked | null>(null);
  // what is typed stands beside what is there, and never behind its last letter
  const [base, setBase] = useState("");
  const [typed, setTyped] = useState("");
  // what is asked belongs to the step that is open
  const [askedOf, setAskedOf] = useState(open.key);
  if (askedOf !== open.key) {
    setAskedOf(open.key);
    setAsking(null);
  }
  const { facts } = open;
  const words = (says: string) =>
    compact ? <span className="block text-[13px] leading-none">{says}</span> : says;
  const opens = (name: string, says: string, target: Sheet, holds: boolean) => (
    <KeyButton
      keyName={name}
      className="small"
      onPress={() => {
        setAsking(null);
        onSheet(target);
      }}
      pressed={sheet === target || holds}
      label={says}
    >
      {words(compact ? (SHORT[says] ?? says) : says)}
    </KeyButton>
  );
  const ask = (name: string, says: string, field: Asked) => (
    <KeyButton
      keyName={name}
      className="small"
      onPress={() => {
        setBase(ASKS[field].said(facts));
        setTyped("");
        setAsking(asking === field ? null : field);
      }}
      pressed={ASKS[field].said(facts) !== ""}
    >
      {words(says)}
    </KeyButton>
  );
  return (
    <>
      {asking && (
        <label className="flex shrink-0 items-center gap-2">
          {base && <span className="chip small max-w-[45%] truncate">{base}</span>}
          <input
            className="field min-w-0 flex-1"
            aria-label={ASKS[asking].label}
            placeholder={ASKS[asking].example}
            value={typed}
            onChange={(e) => {
              const { value } = e.target;
              setTyped(value);
              say(
                ASKS[asking].as(
                  asking === "note" ? sentences(base, value) : [base, value].filter(Boolean).join("; "),
                ),
              );
            }}
            onKeyDown={(e) => {
              if (e.key !== "Enter" && e.key !== "Escape") return;
              e.preventDefault();
              setAsking(null);
            }}
            ref={focusNow}
          />
        </label>
      )}
      <div
        className={
          compact
            ? "grid grid-cols-[repeat(13,minmax(0,1fr))] gap-1 [&>*]:!min-w-0 [&>*]:!flex-col [&>*]:!justify-center [&>*]:!gap-0.5 [&>*]:!px-0 [&>*]:!py-1"
            : "grid grid-cols-7 gap-1 [&>*]:!px-1 [&>*]:!text-[17px] max-xl:[&>*]:flex-col max-xl:[&>*]:!justify-center max-xl:[&>*]:!gap-0 max-xl:[&>*]:leading-none"
        }
      >
        {ask("F", "Facing", "facing")}
        {ask("W", "Witness", "marks")}
        {ask("M", "Note", "note")}
        <KeyButton
          keyName="B"
          className="small"
          onPress={() =>
            first
              ? tell("There is no step before this one to come out as one with.")
              : set({ asOne: !open.asOne })
          }
          pressed={open.asOne}
          disabled={open.editing !== null}
          label="Came out as one with the step before"
        >
          {words("As one")}
        </KeyButton>
        <KeyButton
          keyName="O"
          className="small"
          onPress={() => set({ needs: open.needs === null ? [] : null })}
          pressed={open.needs !== null}
          disabled={open.editing !== null}
          label="Order does not matter here"
        >
          {words(compact ? "Order" : "Any order")}
        </KeyButton>
        {opens("C", "Caution", "cautions", Boolean(facts.cautions))}
        {opens("H", "Pieces", "pieces", open.hardware.length > 0)}
        {opens("S", "Stack", "stack", open.stack.length > 0)}
        {opens("I", "Wires", "wires", Boolean(facts.wires))}
        {opens("D", "Freed", "freed", Boolean(facts.freed ?? facts.held))}
        {opens("J", "Timing", "timing", Boolean(facts.timing ?? facts.setting))}
        {opens("R", "Goes back", "back", Boolean(facts.back))}
        {opens(
          "V",
          "State",
          "state",
          Boolean(facts.doNotUndo ?? facts.tray ?? facts.minutes) || Object.keys(open.partStates).length > 0,
        )}
      </div>
    </>
  );
}
