"use client";

import { useState } from "react";
import { HARDWARE_KINDS, HARDWARE_NAMES, type HardwareKind } from "@/core/hardware/kinds";
import { onceHint } from "@/core/hardware/look-alikes";
import { type HardwareFacts, hardwareInWords, isDrawn, saidInWords } from "@/core/hardware/piece";
import { LONGEST_MM, MOST_PIECES } from "@/core/hardware/quick-line";
import { FaultLine } from "@/ui/fault-line";
import { HardwareGlyph } from "@/ui/hardware-glyph";
import { KeyButton } from "@/ui/key-button";
import { type StepNamed, TightFields } from "../../job-view/tight-fields";
import { Panel } from "./panel";

const COMMON_THREADS = ["ST2.9", "ST3.5", "ST4.2", "M3", "M4", "M5", "M6"];
const COMMON_LENGTHS = [8, 10, 12, 16, 20, 25, 30, 40];
const COMMON_DRIVES = ["TX10", "TX15", "TX20", "PH1", "PH2", "hex 3", "hex 4", "SL6"];
const PLACES = [
  "corners",
  "front left",
  "front right",
  "rear left",
  "rear right",
  "above",
  "below",
  "middle",
];
const THREADED: readonly HardwareKind[] = [
  "screw",
  "nut",
  "washer",
  "lock-washer",
  "wavy-washer",
  "clamp",
  "insert",
];
const DRIVEN: readonly HardwareKind[] = ["screw", "clamp"];

/** What this job used so far comes first, then what is common, each once. */
const offered = <T,>(used: readonly (T | undefined)[], common: readonly T[], max: number): T[] =>
  [...new Set([...used.filter((t): t is T => t !== undefined), ...common])].slice(0, max);

/** Hardware by touch alone: true-to-kind pictures, then thread, length and drive as this job used them. */
export function HardwarePanel({
  pieces,
  used,
  steps,
  onChange,
  onClose,
}: {
  pieces: readonly HardwareFacts[];
  used: readonly HardwareFacts[];
  /** what may have to be on before some of them are drawn */
  steps: readonly StepNamed[];
  onChange: (pieces: readonly HardwareFacts[]) => void;
  onClose: () => void;
}) {
  const [now, setNow] = useState<HardwareFacts>({ kind: "screw", qty: 1 });
  const [tightening, setTightening] = useState<number | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const set = (facts: Partial<HardwareFacts>): void => setNow((n) => ({ ...n, ...facts }));
  const newest = [...used].reverse();
  const add = (): void => {
    onChange([
      ...pieces,
      Object.fromEntries(Object.entries(now).filter(([, v]) => v !== undefined)) as unknown as HardwareFacts,
    ]);
    setNow({ kind: now.kind, qty: 1 });
  };
  const replace = (i: number, facts: Partial<HardwareFacts>): void =>
    onChange(pieces.map((p, k) => (k === i ? { ...p, ...facts } : p)));
  const button = (on: boolean, says: string, press: () => void, label?: string) => (
    <button
      type="button"
      key={says}
      aria-pressed={on}
      aria-label={label}
      className="key-button small justify-center"
      onClick={press}
    >
      {says}
    </button>
  );
  const sameKind = newest.filter((h) => h.kind === now.kind);
  const tightened = tightening === null ? undefined : pieces[tightening];
  if (tightening !== null && tightened)
    return (
      <Panel title={`How tight: ${hardwareInWords(tightened)}`} onClose={() => setTightening(null)}>
        <TightFields
          tight={tightened.tighten}
          steps={steps}
          onSay={(tighten) => replace(tightening, { tighten })}
        />
      </Panel>
    );
  return (
    <Panel
      title="Pieces"
      onClose={onClose}
      foot={
        <div className="grid grid-cols-[auto_auto_auto_1fr] items-center gap-1.5">
          {button(false, "−", () => set({ qty: Math.max(1, now.qty - 1) }), "One less")}
          <output aria-label="How many" className="figures min-w-[2.5ch] text-center text-[28px]">
            {now.qty}
          </output>
          {button(false, "+", () => set({ qty: Math.min(MOST_PIECES, now.qty + 1) }), "One more")}
          <KeyButton
            keyName="Enter"
            look="main"
            className="!min-h-[50px] justify-center !text-[21px]"
            onPress={add}
          >
            Add {hardwareInWords(now)}
          </KeyButton>
        </div>
      }
    >
      <div className="grid grid-cols-9 gap-1">
        {HARDWARE_KINDS.map((kind) => (
          <button
            type="button"
            key={kind}
            aria-pressed={now.kind === kind}
            className="key-button small flex-col justify-center !gap-0 !px-0 !py-0.5 !text-[14px]"
            onClick={() => setNow({ kind, qty: now.qty })}
          >
            <HardwareGlyph kind={kind} size={24} />
            {HARDWARE_NAMES[kind][0]}
          </button>
        ))}
      </div>
      {THREADED.includes(now.kind) && (
        <div className="grid grid-cols-7 gap-1.5">
          {offered(
            sameKind.map((h) => h.thread),
            COMMON_THREADS,
            7,
          ).map((t) => button(now.thread === t, t, () => set({ thread: now.thread === t ? undefined : t })))}
        </div>
      )}
      {now.kind !== "plug" && (
        <div className="grid grid-cols-8 gap-1.5">
          {offered(
            sameKind.map((h) => h.lengthMm),
            COMMON_LENGTHS,
            7,
          ).map((l) =>
            button(
              now.lengthMm === l,
              `${l}`,
              () => set({ lengthMm: now.lengthMm === l ? undefined : l }),
              `${l} mm`,
            ),
          )}
          <input
            aria-label="Another length, mm"
            className="field figure !min-h-[48px] !px-1 !text-[18px]"
            inputMode="decimal"
            placeholder="mm"
            aria-invalid={fault ? true : undefined}
            onChange={(e) => {
              const l = Number(e.target.value.replace(",", "."));
              const says =
                e.target.value.trim() === "" || (l > 0 && l <= LONGEST_MM)
                  ? null
                  : `“${e.target.value}” is no length here: above 0 and up to ${LONGEST_MM} mm.`;
              setFault(says);
              if (says === null && l > 0) set({ lengthMm: l });
            }}
          />
        </div>
      )}
      <FaultLine says={fault} />
      {DRIVEN.includes(now.kind) && (
        <div className="grid grid-cols-8 gap-1.5">
          {offered(
            sameKind.map((h) => h.drive),
            COMMON_DRIVES,
            8,
          ).map((d) => button(now.drive === d, d, () => set({ drive: now.drive === d ? undefined : d })))}
        </div>
      )}
      <div className="grid grid-cols-4 gap-1.5">
        {PLACES.map((p) => button(now.at === p, p, () => set({ at: now.at === p ? undefined : p })))}
      </div>
      {pieces.length > 0 && (
        <ul aria-label="Pieces of this step" className="flex flex-col">
          {pieces.map((p, i) => (
            <li
              key={`${hardwareInWords(p)}${i}`}
              className="flex items-center gap-1.5 border-b-2 border-base-300 pb-1"
            >
              <HardwareGlyph kind={p.kind} drive={p.drive} />
              <span className="flex-1 text-[18px] leading-tight">
                {saidInWords(p)}
                {!p.once && onceHint(p) && <span className="hush block text-[16px]">{onceHint(p)}</span>}
              </span>
              {button(
                p.once === true,
                "new",
                () => replace(i, { once: p.once ? undefined : true }),
                `${hardwareInWords(p)}: goes back new`,
              )}
              {THREADED.includes(p.kind) &&
                button(
                  p.leftHand === true,
                  "LH",
                  () => replace(i, { leftHand: p.leftHand ? undefined : true }),
                  `${hardwareInWords(p)}: left-hand thread`,
                )}
              {THREADED.includes(p.kind) &&
                button(
                  p.locker !== undefined,
                  "locker",
                  () => replace(i, { locker: p.locker ? undefined : "seen" }),
                  `${hardwareInWords(p)}: locker seen`,
                )}
              {isDrawn(p) &&
                button(
                  tightening === i || p.tighten !== undefined,
                  "tight",
                  () => setTightening(tightening === i ? null : i),
                  `${hardwareInWords(p)}: how tight`,
                )}
              {button(
                false,
                "×",
                () => onChange(pieces.filter((_, k) => k !== i)),
                `Strike ${hardwareInWords(p)}`,
              )}
            </li>
          ))}
        </ul>
      )}
    </Panel>
  );
}
