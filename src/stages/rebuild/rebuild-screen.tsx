"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Gate } from "@/core/gates/open-gates";
import { hardwareInWords, saidInWords } from "@/core/hardware/piece";
import type { Stage } from "@/core/job/stages";
import type { LedgerRow } from "@/core/order/hardware-ledger";
import type { LineWords } from "@/core/rebuild/line-in-words";
import { focusNow } from "@/ui/focus-now";
import { HardwareGlyph } from "@/ui/hardware-glyph";
import { KeyButton } from "@/ui/key-button";
import { Ledger } from "@/ui/ledger";
import { GoOn } from "../frame/go-on";
import { useJob } from "../saving/job-context";
import { finishLine, noteTrouble, secondFault } from "./actions";
import { ForReturn } from "./for-return";
import { type LaidStep, Leftover } from "./leftover";
import { type LinePicture, LinePictures } from "./line-pictures";
import { TighteningOrder } from "./tightening-order";

export interface RebuildScreenProps {
  line: { key: string; n: number; kind: string; words: LineWords; cautions: readonly string[]; because: readonly string[] } | null;
  last: { key: string; title: string } | null;
  count: number;
  pictures: readonly LinePicture[];
  noPicture: string;
  rows: readonly LedgerRow[];
  /** what a piece that is left over is held against */
  laid: readonly LaidStep[];
  /** what the next closing line closes over, or what to fetch before beginning */
  foot: string;
  stage: Stage;
  gates: readonly Gate[];
}

/** Rebuild: one line at a time, large, with the picture taken at the strip, and the ledger beside it. */
export function RebuildScreen({ line, last, count, pictures, noPicture, rows, laid, foot, stage, gates }: RebuildScreenProps) {
  const { run, number } = useJob();
  const router = useRouter();
  const [why, setWhy] = useState(false);
  const [leftover, setLeftover] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const done = (): void => {
    if (!line) return;
    setWhy(false);
    void run(finishLine, { line: line.key, done: true });
  };
  return (
    <div className="grid h-full grid-cols-[minmax(0,4fr)_minmax(0,5.4fr)_minmax(0,2.6fr)] gap-5">
      <LinePictures key={line?.key ?? "together"} pictures={pictures} none={noPicture} />
      {leftover ? (
        <Leftover laid={laid} onClose={() => setLeftover(false)} />
      ) : (
        <section aria-label="The line" className="flex min-h-0 flex-col gap-2">
          {line ? (
            <>
              <p className="hush text-[19px] leading-tight">
                line {line.n} of {count} · {line.words.belongs}
                {line.words.tray && <b className="text-base-content"> · lies at {line.words.tray}</b>}
              </p>
              <h2 className="text-[31px] leading-[1.12]">{line.words.title}</h2>
              <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto">
                {line.words.grams !== undefined && (
                  <p>
                    <span className="figures text-[48px] leading-none">{line.words.grams.toFixed(1)}</span> <span className="text-[24px]">g</span>
                  </p>
                )}
                {(line.words.hardware.length > 0 || line.words.torqueNm !== undefined) && (
                  <div className="flex items-center gap-6">
                    <TighteningOrder
                      count={line.words.hardware.filter((h) => h.kind === "screw").reduce((n, h) => n + h.qty, 0)}
                      key={line.key}
                      saidInARow={line.words.inARow === true}
                    />
                    <div className="flex flex-1 flex-wrap items-center gap-2">
                      {line.words.torqueNm !== undefined && (
                        <p className="w-full">
                          <span className="figures text-[48px] leading-none">{line.words.torqueNm}</span> <span className="text-[24px]">N·m</span>
                          {line.words.pattern && <span className="block text-[20px]">{line.words.pattern}</span>}
                        </p>
                      )}
                      {line.words.hardware.map((h) => (
                        <span key={h.id} className="chip">
                          <HardwareGlyph kind={h.kind} drive={h.drive} /> {line.words.torqueNm === undefined ? saidInWords(h) : hardwareInWords(h)}
                          {line.words.torqueNm !== undefined && h.tighten?.feel}
                          {h.once && <b className="text-error">new</b>}
                        </span>
                      ))}
                    </div>
                  </div>
                )}
                {line.words.passes && <p className="says measured text-[22px]">{line.words.passes}</p>}
                {line.words.facing && (
                  <p className="says measured text-[22px]">
                    ▼ Facing: <b>{line.words.facing}</b>
                  </p>
                )}
                {line.words.mind.map((m, i) => (
                  <p key={i} className="says measured text-[22px]">
                    {m}
                  </p>
                ))}
                {line.words.stack.length > 1 && (
                  <ol className="says measured list-inside list-decimal text-[20px]" aria-label="Stack, the lowest first">
                    {line.words.stack.map((piece, i) => (
                      <li key={i}>{piece}</li>
                    ))}
                  </ol>
                )}
                {line.words.marks.map((m, i) => (
                  <p key={i} className="says measured">
                    ✎ Witness: {m}
                  </p>
                ))}
                {line.words.wires.length > 0 && <p className="says measured">Wires: {line.words.wires.map((w) => `${w.colour} → ${w.to}`).join(", ")}</p>}
                {line.words.renewed.map((r, i) => (
                  <p key={i} className="says good">
                    {r}
                  </p>
                ))}
                {line.cautions.map((c, i) => (
                  <p key={i} className="says danger font-semibold">
                    {c}
                  </p>
                ))}
                {line.words.note && <p className="says">{line.words.note}</p>}
                {(why || line.kind !== "fit") && (
                  <ul className="says measured" aria-label="Why here">
                    {line.because.map((b, i) => (
                      <li key={i}>{b}</li>
                    ))}
                  </ul>
                )}
              </div>
              {why && line.words.step && <ForReturn key={line.words.step} step={line.words.step} />}
              {trouble !== null && line.words.ifNot && <p className="says danger">{line.words.ifNot}</p>}
              {trouble !== null && (
                <form
                  className="flex gap-2"
                  onSubmit={(e) => {
                    e.preventDefault();
                    void run(noteTrouble, { says: trouble }).then((r) => r.ok && setTrouble(null));
                  }}
                >
                  <input
                    className="field"
                    aria-label="What is wrong"
                    placeholder="does not turn past half"
                    value={trouble}
                    onChange={(e) => setTrouble(e.target.value)}
                    onKeyDown={(e) => {
                      if (e.key !== "Escape") return;
                      e.preventDefault();
                      setTrouble(null);
                    }}
                    ref={focusNow}
                  />
                  <button type="submit" className="key-button warn">
                    Write it down
                  </button>
                  <button
                    type="button"
                    className="key-button"
                    onClick={() => void run(secondFault, { says: trouble }).then((r) => r.ok && router.push(`/jobs/${number}/judge`))}
                  >
                    Back to Judge with it
                  </button>
                </form>
              )}
              <div className="grid grid-cols-[minmax(0,1.6fr)_repeat(3,minmax(0,1fr))] gap-1.5">
                <KeyButton keyName=" " look="main" onPress={done} className="justify-center">
                  {line.kind === "check" ? "Yes" : "Done"}
                </KeyButton>
                <KeyButton className="small" keyName="Y" onPress={() => setWhy(!why)} pressed={why}>
                  Why here
                </KeyButton>
                <KeyButton className="small" keyName="R" look="warn" onPress={() => setTrouble(line.words.ifNot ? `No: ${line.words.title}` : "")}>
                  {line.words.ifNot ? "No" : "Trouble"}
                </KeyButton>
                <KeyButton
                  className="small"
                  keyName="Z"
                  disabled={!last}
                  onPress={() => last && void run(finishLine, { line: last.key, done: false })}
                  label={last ? `Open again: ${last.title}` : "Nothing to open again"}
                >
                  Back one
                </KeyButton>
              </div>
            </>
          ) : (
            <div className="flex h-full flex-col gap-4">
              <h2 className="text-[40px]">{count ? "Back together, with nothing left over." : "Nothing to put back yet."}</h2>
              <p className="text-[23px]">
                {count
                  ? `All ${count} lines are done, the Mat is empty, and the ledger balances.`
                  : "What is laid down at the strip goes back together here, line by line."}
              </p>
              <div className="mt-auto grid grid-cols-[1fr_auto] items-end gap-2">
                <GoOn from="rebuild" stage={stage} gates={gates} />
                {last && (
                  <KeyButton keyName="Z" onPress={() => void run(finishLine, { line: last.key, done: false })}>
                    Back one
                  </KeyButton>
                )}
              </div>
            </div>
          )}
        </section>
      )}
      <div className="flex min-h-0 flex-col gap-2">
        <Ledger rows={rows} foot={foot} />
        <KeyButton keyName="K" className="small mt-auto" pressed={leftover} onPress={() => setLeftover(!leftover)}>
          Something is left over
        </KeyButton>
      </div>
    </div>
  );
}
