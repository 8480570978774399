"use client";

import { useState } from "react";
import { HARDWARE_NAMES } from "@/core/hardware/kinds";
import { type Hardware, hardwareInWords } from "@/core/hardware/piece";
import { FaultLine } from "@/ui/fault-line";
import { HardwareGlyph } from "@/ui/hardware-glyph";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { sayHowMany } from "./actions";

/** A piece of which nobody said how many there were, and where it came off. */
export interface Uncounted {
  readonly step: string;
  readonly at: string;
  readonly piece: Hardware;
}

/** What nobody counted at the strip is counted while it lies on the Mat: the ledger does not close before. */
export function NeverCounted({ pieces }: { pieces: readonly Uncounted[] }) {
  if (!pieces.length) return null;
  return (
    <section
      aria-label="Never counted"
      className="flex flex-col gap-1.5 border-l-[6px] border-error bg-base-200 p-2"
    >
      <h2 className="text-[20px] leading-none">Never counted</h2>
      {pieces.map((p) => (
        <HowMany key={p.piece.id} of={p} />
      ))}
    </section>
  );
}

function HowMany({ of: { step, at, piece } }: { of: Uncounted }) {
  const { run } = useJob();
  const fault = useFieldFault();
  const [typed, setTyped] = useState("");
  const [, many] = HARDWARE_NAMES[piece.kind];
  const keep = async (): Promise<void> => {
    if (fault.took(await run(sayHowMany, { step, piece: piece.id, qty: Number(typed) }))) setTyped("");
  };
  return (
    <form
      className="grid grid-cols-[1fr_64px_auto] items-center gap-1.5"
      onSubmit={(e) => {
        e.preventDefault();
        void keep();
      }}
    >
      <span className="flex items-center gap-1.5 text-[17px] leading-tight">
        <HardwareGlyph kind={piece.kind} drive={piece.drive} size={20} /> {hardwareInWords(piece)}, {at}
      </span>
      <input
        className="field figure !min-h-[48px] !px-1 text-center"
        inputMode="numeric"
        aria-label={`How many ${many}, ${at}`}
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
      />
      <KeyButton
        className="small"
        disabled={!typed.trim()}
        onPress={() => void keep()}
        label={`So many ${many}`}
      >
        ✓
      </KeyButton>
      <span className="col-span-3">
        <FaultLine says={fault.elsewhere()} />
      </span>
    </form>
  );
}
