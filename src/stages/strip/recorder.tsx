"use client";

import { useMemo, useState } from "react";
import { Fault } from "@/core/fault";
import type { Gate } from "@/core/gates/open-gates";
import { sayingsOf } from "@/core/hardware/line/completion";
import { type LaidHardware, lookAlikes, placeFault } from "@/core/hardware/look-alikes";
import { worthALook } from "@/core/hardware/quick-line";
import { newStepFrom } from "@/core/job/recorded-step";
import type { Stage } from "@/core/job/stages";
import { asRecorded, EMPTY, type OpenStep, type Understood } from "@/core/recorder/open-step";
import { opened } from "@/core/recorder/opened-again";
import type { SafetyQuestion } from "@/core/safety/question";
import { sentence } from "@/core/sentence";
import { useKey } from "@/ui/keys";
import { Mat, type MatDrop } from "@/ui/mat";
import { type Packed, usePacked } from "@/ui/packed";
import { needsOfPocket, type Pocket } from "@/ui/pocket";
import type { StepNamed } from "../job-view/tight-fields";
import { useJob } from "../saving/job-context";
import { newKey } from "../saving/new-key";
import { cameOutAsOne, layStepDown, setNeeds, slideTo } from "./actions";
import { LastTime } from "./as-last-time";
import { BackAgain, type BackStep } from "./back-again";
import { FactKeys } from "./fact-keys";
import { HeldNext } from "./held-next";
import { KindQuestion } from "./kind-question";
import type { LaidStep } from "./laid-step";
import { LayKeys } from "./lay-keys";
import { laidWith, matWith } from "./laying";
import { PictureArea, type StepPicture } from "./picture-area";
import { PocketInHand } from "./pocket-in-hand";
import { StepFields } from "./step-fields";
import { type LiveWork, StepCautions, StepSays } from "./step-says";
import { type Sheet, StepSheet } from "./step-sheet";
import { UnderstoodChips } from "./understood-chips";
import { type AsLastTime, useGhost } from "./use-ghost";
import { useLaidStep } from "./use-laid-step";
import { useLaying } from "./use-laying";
import { useOpenStep } from "./use-open-step";
import { WhatWasDone } from "./what-was-done";

export interface RecorderProps {
  pockets: Packed<readonly Pocket[]>;
  /** the hardware that lies there, for what looks alike and for what this job used so far */
  laid: Packed<readonly LaidHardware[]>;
  pictures: readonly StepPicture[];
  draft: unknown;
  finished: boolean;
  gates: readonly Gate[];
  stageNow: Stage;
  unit: string;
  undo: readonly string[];
  tools: readonly string[];
  live: readonly LiveWork[];
  /** questions of the safety gate that sat inside, and are not answered yet */
  later: readonly SafetyQuestion[];
  /** what this shop said parts are, by their names in small letters */
  known: Readonly<Record<string, string>>;
  /** what is back in the machine, and may have come off again */
  back: readonly BackStep[];
  /** the job of the last other unit of this model */
  ghostFrom?: string;
}

/** The recorder: picture, what came off, hardware, down on the Mat. One key each. */
export function Recorder({
  pockets: packedPockets,
  laid: packedLaid,
  pictures,
  draft,
  finished,
  gates,
  stageNow,
  unit,
  undo,
  tools,
  live,
  later,
  known,
  back,
  ghostFrom,
}: RecorderProps) {
  const { run, say } = useJob();
  const inShop = usePacked(packedPockets);
  const laidInShop = usePacked(packedLaid);
  const recording = useOpenStep(draft);
  const { open, read, empty, set, replace } = recording;
  const [sheet, setSheet] = useState<Sheet | "pocket" | null>(null);
  const [taken, setInHand] = useState<string | null>(null);
  const laying = useLaying((step: OpenStep): boolean => {
    if (empty) replace(step);
    return empty;
  });
  const { onTheWay } = laying;
  const pockets = useMemo(
    () => matWith(inShop, onTheWay, (key) => pictures.find((p) => p.stepKey === key && !p.step)?.sha256),
    [inShop, onTheWay, pictures],
  );
  const laid = useMemo(
    () => laidWith(laidInShop, onTheWay, inShop.length),
    [laidInShop, onTheWay, inShop.length],
  );

  const inHand = inShop.findIndex((p) => p.step === taken);
  const inHandStep = useLaidStep(taken ?? open.editing, pictures);
  const editing = open.editing ? inShop.findIndex((p) => p.step === open.editing) : -1;
  const n = editing >= 0 ? editing + 1 : pockets.length + 1;
  const alike = useMemo(
    () =>
      read.hardware.length
        ? lookAlikes(read.hardware, editing >= 0 ? laid.filter((b) => b.step !== n) : laid)
        : [],
    [read.hardware, laid, editing, n],
  );
  const [without, setWithout] = useState(false);
  const ghost = useGhost(without || finished ? undefined : ghostFrom, pockets, laid);
  const last = without || finished ? undefined : ghost;
  const noPlace = placeFault(read.hardware);
  const said = useMemo(
    () => ({
      parts: sayingsOf(pockets.map((p) => p.title)),
      places: sayingsOf(laid.flatMap((l) => l.hardware.map((h) => h.at))),
    }),
    [pockets, laid],
  );

  /** what was doubtful and has been shown once */
  const [looked, setLooked] = useState("");
  const lookAgain = looked && looked === lookOf(open, read) ? looked : "";
  /** what was done is being picked; what comes next is being typed while this step is stopped */
  const [isAsking, setAsking] = useState(false);
  const [typingNext, setTypingNext] = useState(false);
  const isHolding = lookAgain !== "" && (typingNext || open.next.what !== "" || open.next.line !== "");
  const close = (): void => setSheet(null);
  const toSheet = (next: Sheet): void => {
    if (open.line) recording.takeLine();
    setSheet(sheet === next ? null : next);
  };
  const done = (): void => {
    const { what, line } = open.next;
    replace(what || line ? { ...EMPTY, key: newKey(), since: Date.now(), what, line } : EMPTY);
    setSheet(null);
    setInHand(null);
    setLooked("");
    setAsking(false);
    setTypingNext(false);
  };
  /** it was said that what is back stayed on: until something more goes back, or comes off */
  const [stayedOn, setStayedOn] = useState("");
  const backSays = back.map((b) => b.step).join();
  const isBackAsked = back.length > 0 && stayedOn !== backSays && open.editing === null;
  const lay = async (): Promise<void> => {
    if (empty) return;
    if (isBackAsked)
      return say("Some of it is back in the machine: say first, in the red field, what came off again.");
    const look = lookOf(open, read);
    if (look && look !== looked) {
      setLooked(look);
      return;
    }
    const step = asRecorded(open, read, Date.now());
    try {
      newStepFrom(step);
    } catch (e) {
      if (!(e instanceof Fault)) throw e;
      return say(sentence(e.says));
    }
    if (open.editing === null) {
      laying.lay(open);
      done();
    } else if ((await run(layStepDown, { editing: open.editing, step })).ok) done();
  };
  /** pictures that were taken already belong to it */
  const asLast = (l: AsLastTime): OpenStep => ({
    ...l.open(),
    ...(open.key && { key: open.key, since: open.since }),
  });
  const layAsLast = (l: AsLastTime): void => {
    if (isBackAsked) {
      replace(asLast(l));
      return;
    }
    laying.lay(asLast(l));
    done();
  };
  const edit = ({ step, parts }: LaidStep): void => {
    if (!empty && open.editing === null) {
      say(`Step ${n} is still open here: lay it down first, then edit step ${inHand + 1}.`);
      return;
    }
    replace(opened(step, (id) => ({ name: id, ...parts.find((p) => p.id === id) }), newKey()));
    close();
  };
  const dropped = (d: MatDrop): void => {
    if (d.what === "slide") return void run(slideTo, { step: d.step, to: d.to });
    if (d.what === "one") return void run(cameOutAsOne, { step: d.step, other: d.other });
    const at = pockets.findIndex((p) => p.step === d.step);
    const needs = needsOfPocket(pockets, at).flatMap((i) => pockets[i]?.step ?? []);
    void run(setNeeds, {
      step: d.step,
      needs: needs.includes(d.other) ? needs.filter((s) => s !== d.other) : [...needs, d.other],
    });
  };
  const takeInHand = (step: string | undefined): void => {
    setInHand(step ?? null);
    setSheet("pocket");
  };
  const pick = (step: string): void => {
    if (open.needs !== null && open.editing === null)
      set({
        needs: open.needs.includes(step) ? open.needs.filter((s) => s !== step) : [...open.needs, step],
      });
    else takeInHand(step);
  };
  // what was laid down last can be taken in hand once the shop has it, which gives it its name
  const [lastWanted, setLastWanted] = useState(false);
  if (lastWanted && !onTheWay.length) {
    setLastWanted(false);
    takeInHand(inShop.at(-1)?.step);
  }
  useKey("L", () => setLastWanted(true), pockets.length > 0, "Pick up the last pocket");
  return (
    <>
      <main className="work grid grid-cols-[minmax(430px,600px)_minmax(500px,1fr)] gap-5">
        <div className="flex min-h-0 flex-col">
          <div className="min-h-0 flex-1">
            {sheet === null && (
              <PictureArea
                open={open}
                n={n}
                pockets={pockets}
                pictures={
                  open.editing !== null && inHandStep
                    ? [...inHandStep.pictures, ...pictures.filter((p) => p.step !== open.editing)]
                    : pictures
                }
                hint={`${unit} ${open.what} ${read.hardware.map((h) => h.kind).join(" ")}`}
                begin={() => set({})}
              />
            )}
            {sheet !== null && sheet !== "pocket" && (
              <StepSheet
                sheet={sheet}
                recording={recording}
                laid={laid}
                steps={stepsBefore(inShop, editing)}
                onClose={close}
              />
            )}
            {sheet === "pocket" && inHand >= 0 && (
              <PocketInHand
                pockets={inShop}
                at={inHand}
                laid={inHandStep}
                onMove={takeInHand}
                onEdit={edit}
                onClose={close}
              />
            )}
          </div>
          <StepCautions recording={recording} known={known} />
          <KindQuestion recording={recording} known={known} />
        </div>
        <section aria-label={`Step ${n}`} className="flex min-h-0 flex-col gap-1.5">
          <StepFields n={n} recording={recording} said={said} lay={() => void lay()} />
          {/* what was understood stands first: no chip is out of sight unseen */}
          <div className="flex min-h-0 flex-1 flex-col gap-1.5 overflow-y-auto">
            {isBackAsked && !empty && (
              <BackAgain key={backSays} back={back} onStayed={() => setStayedOn(backSays)} />
            )}
            {empty && last && (
              <LastTime
                last={last}
                onChange={() => replace(asLast(last))}
                onWithout={() => setWithout(true)}
              />
            )}
            <StepSays
              n={n}
              recording={recording}
              pockets={pockets}
              alike={alike}
              noPlace={noPlace}
              tools={tools}
              live={live}
              later={later}
              refused={laying.refused}
              lookAgain={lookAgain}
              onPickUp={(step) =>
                empty
                  ? laying.pickUp(step)
                  : say(`Step ${n} is still open here: lay it down first, then pick the other up.`)
              }
              onLeave={done}
            >
              <UnderstoodChips
                recording={recording}
                alike={alike}
                isShort={lookAgain !== "" || isAsking}
                isAsking={isAsking}
                onAsk={() => setAsking(!isAsking)}
              />
            </StepSays>
          </div>
          {lookAgain && (
            <HeldNext n={n} recording={recording} isTyping={isHolding} onType={() => setTypingNext(true)} />
          )}
          {isAsking ? (
            <WhatWasDone
              now={read.action}
              pick={(action) => {
                set({ action });
                setAsking(false);
              }}
            />
          ) : isHolding ? null : (
            <FactKeys
              recording={recording}
              first={pockets.length === 0}
              sheet={sheet === "pocket" ? null : sheet}
              compact={!empty || last !== undefined}
              onSheet={toSheet}
            />
          )}
          <LayKeys
            empty={empty}
            last={last && { title: last.next.title, lay: () => layAsLast(last) }}
            editing={open.editing !== null}
            any={pockets.length > 0}
            finished={finished}
            undo={onTheWay.length ? `step ${pockets.length}, on its way to the shop` : (undo[0] ?? null)}
            stage={stageNow}
            gates={gates}
            lay={() => void lay()}
            takeBack={laying.takeBackLast}
          />
        </section>
      </main>
      <Mat
        pockets={pockets}
        hand={editing >= 0 ? editing : pockets.length}
        foot={footOf(inShop)}
        picked={sheet === "pocket" ? (taken ?? undefined) : undefined}
        onPick={pick}
        onDrag={dropped}
      />
    </>
  );
}

/** What may have been meant otherwise, in one saying; empty: nothing. */
const lookOf = (open: OpenStep, read: Understood): string =>
  [...open.looks, ...worthALook(read), ...whatStays(open, read)]
    .map((l) => (/\?$/.test(l) ? l : `${l}.`))
    .join(" ");

/** A step that is only a look lays no part on the bench: what is named there is asked for. */
const whatStays = (open: OpenStep, read: Understood): string[] =>
  open.action === "note" && read.names.length
    ? [`Only a look: does ${read.names.join(", ")} stay in the machine?`]
    : [];

/** What lies on the Mat before a step, as it is named where something waits for it. */
const stepsBefore = (pockets: readonly Pocket[], editing: number): StepNamed[] =>
  pockets.flatMap((p, i) =>
    editing < 0 || i < editing ? [{ id: p.step, says: `step ${i + 1}, ${p.title},` }] : [],
  );

function footOf(pockets: readonly Pocket[]): string {
  const pieces = pockets.reduce((sum, p) => sum + (p.pieces ?? 0), 0);
  return pockets.length
    ? `${pockets.length} laid down · ${pieces} ${pieces === 1 ? "piece" : "pieces"} of hardware · arcs: what had to be off first · stitched: came out as one · ▼ facing · ≈ looks like another · L picks up a pocket`
    : "The Mat is empty: what comes off first lies furthest left.";
}
