"use client";

import { useEffect, useMemo, useRef, useState } from "react";
import type { Gate } from "@/core/gates/open-gates";
import { type LaidHardware, lookAlikes, placeFault } from "@/core/hardware/look-alikes";
import { factsWith } from "@/core/job/recorded-step";
import type { StepFacts } from "@/core/job/step";
import { cautionsFor } from "@/core/safety/cautions";
import { focusNow } from "@/ui/focus-now";
import { KeyButton, KeyCap } from "@/ui/key-button";
import { useKey } from "@/ui/keys";
import { Mat, type MatDrop, needsOfPocket, type Pocket } from "@/ui/mat";
import { type Packed, usePacked } from "@/ui/packed";
import { GoOn } from "../frame/go-on";
import { useJob } from "../saving/job-context";
import { newKey } from "../saving/new-key";
import { useDraft } from "../saving/use-draft";
import { useTypedEarly } from "../saving/use-typed-early";
import { cameOutAsOne, layStepDown, setNeeds, setStripFinished, slideTo, takeBack } from "./actions";
import { asRecorded, EMPTY, isEmpty, lineTaken, minutesByClock, type OpenStep, opened, openStep, pieceName, understood } from "./open-step";
import { CautionsPanel, FreedPanel, StatePanel, TimingPanel, WiresPanel } from "./panels/fact-panels";
import { HardwarePanel } from "./panels/hardware-panel";
import { PocketPanel } from "./panels/pocket-panel";
import { StackPanel } from "./panels/stack-panel";
import { PictureArea, type StepPicture } from "./picture-area";
import { UnderstoodChips } from "./understood-chips";
import { useLaidStep } from "./use-laid-step";

export interface RecorderProps {
  pockets: Packed<readonly Pocket[]>;
  /** the hardware that lies there, for what looks alike and for what this job used so far */
  laid: Packed<readonly LaidHardware[]>;
  pictures: readonly StepPicture[];
  draft: unknown;
  finished: boolean;
  gates: readonly Gate[];
  stageNow: Parameters<typeof GoOn>[0]["stage"];
  unit: string;
  undo: readonly string[];
  tools: readonly string[];
}

type Sheet = "pieces" | "stack" | "wires" | "freed" | "cautions" | "timing" | "state" | "pocket";
type Asked = "facing" | "marks" | "note";
/** Facts that are one line of words. Several witness marks have a semicolon between them. */
const ASKS: Readonly<
  Record<Asked, { readonly label: string; readonly example: string; readonly said: (facts: StepFacts) => string; readonly as: (typed: string) => StepFacts }>
> = {
  facing: { label: "Facing", example: "flange to the rear", said: (f) => f.facing ?? "", as: (facing) => ({ facing }) },
  marks: {
    label: "Witness mark",
    example: "paint dot on cover and case",
    said: (f) => f.marks?.join("; ") ?? "",
    as: (typed) => ({ marks: typed ? [typed] : [] }),
  },
  note: { label: "Note", example: "what must not be forgotten", said: (f) => f.note ?? "", as: (note) => ({ note }) },
};

/** The recorder: picture, what came off, hardware, down on the Mat. One key each. */
export function Recorder({ pockets: packedPockets, laid: packedLaid, pictures, draft, finished, gates, stageNow, unit, undo, tools }: RecorderProps) {
  const { run, say } = useJob();
  const pockets = usePacked(packedPockets);
  const laid = usePacked(packedLaid);
  const [open, setOpen] = useDraft<OpenStep>("strip.step", draft, openStep, EMPTY);
  const [sheet, setSheet] = useState<Sheet | null>(null);
  const [asking, setAsking] = useState<Asked | null>(null);
  const [taken, setInHand] = useState<string | null>(null);
  const what = useRef<HTMLInputElement>(null);
  const line = useRef<HTMLInputElement>(null);
  const begun = (now: OpenStep): OpenStep => ({ ...now, key: now.key || newKey(), since: now.since ?? Date.now() });
  const set = (fields: Partial<OpenStep>): void => setOpen((now) => ({ ...begun(now), ...fields }));
  const sayFacts = (facts: StepFacts): void => setOpen((now) => ({ ...begun(now), facts: factsWith(now.facts, facts) }));
  // pictures go by the step's own name: it has one before the first of them is taken
  useEffect(() => {
    if (!open.key) setOpen((now) => (now.key ? now : { ...now, key: newKey() }));
  });
  useTypedEarly(what, open.what, (text) => set({ what: text }));
  useTypedEarly(line, open.line, (text) => set({ line: text }));
  useKey("N", () => what.current?.focus(), true, "What came off");
  useKey("Q", () => line.current?.focus(), true, "Hardware, in shorthand");

  const inHand = pockets.findIndex((p) => p.step === taken);
  const inHandStep = useLaidStep(taken ?? open.editing);
  const read = useMemo(() => understood(open), [open]);
  const editing = open.editing ? pockets.findIndex((p) => p.step === open.editing) : -1;
  const n = editing >= 0 ? editing + 1 : pockets.length + 1;
  const alike = useMemo(
    () => (read.hardware.length ? lookAlikes(read.hardware, editing >= 0 ? laid.filter((b) => b.step !== n) : laid) : []),
    [read.hardware, laid, editing, n],
  );
  const noPlace = placeFault(read.hardware);
  const cautions = cautionsFor(
    { id: "now", action: read.action, title: open.what, hardware: read.hardware.map((h, i) => ({ id: String(i), ...h })), ...read.facts },
    read.names,
    "off",
  );
  const empty = isEmpty(open, read) && open.editing === null;

  const takeLine = (): void => setOpen((now) => lineTaken(begun(now), understood(now)));
  const toSheet = (next: Sheet): void => {
    if (open.line) takeLine();
    setAsking(null);
    setSheet(sheet === next ? null : next);
  };
  const done = (): void => {
    setOpen(EMPTY);
    setAsking(null);
    setSheet(null);
    setInHand(null);
  };
  const lay = async (): Promise<void> => {
    if (noPlace) return say(`${noPlace.charAt(0).toUpperCase()}${noPlace.slice(1)}.`);
    const result = await run(layStepDown, { editing: open.editing, step: asRecorded(open, read, Date.now()) });
    if (result.ok) done();
  };
  const takeUp = (i: number): void => {
    if (!inHandStep) return;
    if (!empty && open.editing === null) {
      say(`Step ${n} is still open here: lay it down first, then edit step ${i + 1}.`);
      return;
    }
    setOpen(opened(inHandStep.step, (id) => ({ name: id, ...inHandStep.parts.find((p) => p.id === id) }), newKey()));
    setSheet(null);
  };
  const dropped = (d: MatDrop): void => {
    if (d.what === "slide") return void run(slideTo, { step: d.step, to: d.to });
    if (d.what === "one") return void run(cameOutAsOne, { step: d.step, other: d.other });
    const at = pockets.findIndex((p) => p.step === d.step);
    const needs = needsOfPocket(pockets, at).flatMap((i) => pockets[i]?.step ?? []);
    void run(setNeeds, { step: d.step, needs: needs.includes(d.other) ? needs.filter((s) => s !== d.other) : [...needs, d.other] });
  };
  const pick = (step: string): void => {
    if (open.needs !== null && open.editing === null) set({ needs: open.needs.includes(step) ? open.needs.filter((s) => s !== step) : [...open.needs, step] });
    else {
      setInHand(step);
      setSheet("pocket");
    }
  };
  const takeInHand = (): void => {
    setInHand(pockets.at(-1)?.step ?? null);
    setSheet("pocket");
  };
  useKey("L", takeInHand, pockets.length > 0, "Pick up the last pocket");
  const factProps = { facts: read.facts, say: sayFacts, open, set, onClose: () => setSheet(null) };
  const key = (name: string, says: string, target: Sheet, holds: boolean) => (
    <KeyButton keyName={name} className="small" onPress={() => toSheet(target)} pressed={sheet === target || holds}>
      {says}
    </KeyButton>
  );
  const ask = (name: string, says: string, field: Asked, label?: string) => (
    <KeyButton
      keyName={name}
      className="small"
      onPress={() => setAsking(asking === field ? null : field)}
      pressed={ASKS[field].said(open.facts) !== ""}
      {...(label ? { label } : {})}
    >
      {says}
    </KeyButton>
  );
  return (
    <>
      <main className="work grid grid-cols-[minmax(430px,600px)_minmax(500px,1fr)] gap-5">
        <div className="min-h-0">
          {sheet === null && (
            <PictureArea open={open} n={n} pockets={pockets} pictures={pictures} hint={`${unit} ${open.what} ${read.hardware.map((h) => h.kind).join(" ")}`} />
          )}
          {sheet === "pieces" && (
            <HardwarePanel
              pieces={open.hardware}
              used={laid.flatMap((b) => b.hardware)}
              onChange={(hardware) => set({ hardware })}
              onClose={() => setSheet(null)}
            />
          )}
          {sheet === "stack" && (
            <StackPanel stack={open.stack} hardware={open.hardware} names={read.names} onChange={(stack) => set({ stack })} onClose={() => setSheet(null)} />
          )}
          {sheet === "wires" && <WiresPanel {...factProps} />}
          {sheet === "freed" && <FreedPanel {...factProps} action={read.action} />}
          {sheet === "cautions" && <CautionsPanel {...factProps} />}
          {sheet === "timing" && <TimingPanel {...factProps} />}
          {sheet === "state" && <StatePanel {...factProps} names={read.names} minutes={minutesByClock(open, Date.now())} />}
          {sheet === "pocket" && taken !== null && inHand >= 0 && (
            <PocketPanel
              pockets={pockets}
              at={inHand}
              onMove={(to) => setInHand(pockets[to]?.step ?? null)}
              onTakeUp={inHandStep && (() => takeUp(inHand))}
              onSlide={(to) => void run(slideTo, { step: taken, to })}
              onNeeds={(needs) => void run(setNeeds, { step: taken, needs: [...needs] })}
              onBundle={(other) => void run(cameOutAsOne, { step: taken, other })}
              onClose={() => setSheet(null)}
            />
          )}
        </div>
        <section aria-label={`Step ${n}`} className="flex min-h-0 flex-col gap-1.5">
          <div className="grid grid-cols-[auto_auto_1fr] items-center gap-2.5">
            <span className="figures text-[44px] leading-[48px] font-semibold">{n}</span>
            <label htmlFor="what" title="What came off">
              <KeyCap of="N" />
            </label>
            <input
              id="what"
              ref={what}
              className="field"
              aria-label="What came off"
              autoComplete="off"
              placeholder="what came off: gear case cover"
              value={open.what}
              onChange={(e) => set({ what: e.target.value })}
              onKeyDown={(e) => e.key === "Enter" && (e.ctrlKey ? void lay() : e.currentTarget.blur())}
            />
          </div>
          <div className="grid grid-cols-[auto_1fr] items-center gap-2.5">
            <label htmlFor="line" title="Hardware, in shorthand">
              <KeyCap of="Q" />
            </label>
            <input
              id="line"
              ref={line}
              className="field figure !text-[21px]"
              aria-label="Hardware, in shorthand"
              autoComplete="off"
              placeholder="4x TX15 16 ST3.5 corners"
              value={open.line}
              onChange={(e) => set({ line: e.target.value })}
              onKeyDown={(e) => {
                if (e.key !== "Enter") return;
                if (e.ctrlKey) return void lay();
                takeLine();
                e.currentTarget.blur();
              }}
            />
          </div>
          <UnderstoodChips open={open} read={read} alike={alike} set={set} />
          <div className="flex min-h-0 flex-1 flex-col gap-1.5 overflow-y-auto">
            {open.editing !== null && (
              <p className="says measured">
                Step {n} is being edited: what is changed here replaces what lies on the Mat.{" "}
                <button type="button" className="min-h-[44px] font-bold underline" onClick={done}>
                  Leave it as it was
                </button>
              </p>
            )}
            {noPlace && <p className="says danger">{noPlace}.</p>}
            {alike.map((a) => (
              <p key={a.piece} className="says danger" role="status">
                <b>≈ {pieceName(read.hardware[a.piece] as (typeof read.hardware)[number])}:</b> {a.says}
                {a.close ? ". No eye tells them apart: bag them separately." : "."}
              </p>
            ))}
            {cautions.map((c) => (
              <p key={c} className="says">
                {c}
              </p>
            ))}
            {open.needs !== null && open.editing === null && (
              <p className="says measured">
                Order does not matter here: it needs{" "}
                {open.needs.length ? `only ${open.needs.map((s) => `step ${pockets.findIndex((p) => p.step === s) + 1}`).join(", ")}` : "nothing"}. Press a
                pocket on the Mat to name one.
              </p>
            )}
            {empty && tools.length > 0 && (
              <p className="says">
                <b>Tools so far:</b> {tools.join(", ")}
              </p>
            )}
          </div>
          {asking && (
            <input
              className="field"
              aria-label={ASKS[asking].label}
              placeholder={ASKS[asking].example}
              value={ASKS[asking].said(open.facts)}
              onChange={(e) => sayFacts(ASKS[asking].as(e.target.value))}
              onKeyDown={(e) => {
                if (e.key !== "Enter" && e.key !== "Escape") return;
                e.preventDefault();
                setAsking(null);
              }}
              ref={focusNow}
            />
          )}
          <div className="grid grid-cols-6 gap-1.5">
            {ask("F", "Facing", "facing")}
            {ask("W", "Witness", "marks")}
            {ask("M", "Note", "note")}
            <KeyButton
              keyName="B"
              className="small"
              onPress={() => (pockets.length ? set({ asOne: !open.asOne }) : say("There is no step before this one to come out as one with."))}
              pressed={open.asOne}
              disabled={open.editing !== null}
              label="Came out as one with the step before"
            >
              As one
            </KeyButton>
            <KeyButton
              keyName="O"
              className="small"
              onPress={() => set({ needs: open.needs === null ? [] : null })}
              pressed={open.needs !== null}
              disabled={open.editing !== null}
              label="Order does not matter here"
            >
              Any order
            </KeyButton>
            {key("C", "Caution", "cautions", Boolean(open.facts.cautions))}
            {key("H", "Pieces", "pieces", open.hardware.length > 0)}
            {key("S", "Stack", "stack", open.stack.length > 0)}
            {key("I", "Wires", "wires", Boolean(open.facts.wires))}
            {key("D", "Freed", "freed", Boolean(open.facts.freed ?? open.facts.held))}
            {key("J", "Timing", "timing", Boolean(open.facts.timing ?? open.facts.setting))}
            {key("V", "State", "state", Boolean(open.facts.doNotUndo ?? open.facts.tray ?? open.facts.minutes) || Object.keys(open.partStates).length > 0)}
          </div>
          <div className="flex gap-2 [&>:first-child]:flex-1">
            {empty && finished ? (
              <GoOn from="strip" stage={stageNow} gates={gates} />
            ) : (
              <KeyButton keyName=" " look="main" onPress={() => void lay()} disabled={empty} className="justify-center">
                {open.editing === null ? "Lay it down" : "Lay it back down"}
              </KeyButton>
            )}
            {empty && pockets.length > 0 && (
              <div className="flex gap-2">
                <KeyButton keyName="E" onPress={() => void run(setStripFinished, { finished: !finished })} pressed={finished}>
                  {finished ? "Strip complete ✓" : "Strip complete"}
                </KeyButton>
                <KeyButton
                  keyName="Z"
                  onPress={() => void run(takeBack)}
                  disabled={!undo.length}
                  label={undo[0] ? `Take back: ${undo[0]}` : "Nothing to take back"}
                >
                  Take back
                </KeyButton>
              </div>
            )}
          </div>
        </section>
      </main>
      <Mat
        pockets={pockets}
        hand={editing >= 0 ? editing : pockets.length}
        foot={footOf(pockets)}
        picked={sheet === "pocket" ? (taken ?? undefined) : undefined}
        onPick={pick}
        onDrag={dropped}
      />
    </>
  );
}

function footOf(pockets: readonly Pocket[]): string {
  const pieces = pockets.reduce((sum, p) => sum + (p.pieces ?? 0), 0);
  return pockets.length
    ? `${pockets.length} laid down · ${pieces} pieces of hardware · arcs: what had to be off first · stitched: came out as one · ▼ facing · ≈ looks like another · L picks up a pocket`
    : "The Mat is empty: what comes off first lies furthest left.";
}
