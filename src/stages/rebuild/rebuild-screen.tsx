"use client";

import { useState } from "react";
import type { Gate } from "@/core/gates/open-gates";
import { isDrawn } from "@/core/hardware/piece";
import type { Stage } from "@/core/job/stages";
import type { FreshPieces } from "@/core/order/fresh-pieces";
import type { LedgerRow } from "@/core/order/hardware-ledger";
import type { RunningWait } from "@/core/order/running-waits";
import { lineAloud } from "@/core/rebuild/line-beside";
import type { Replaced } from "@/core/rebuild/replaced";
import { KeyButton } from "@/ui/key-button";
import { Ledger } from "@/ui/ledger";
import { GoOn } from "../frame/go-on";
import { PutInWork, type WorkPlace } from "../job-view/put-in-work";
import type { StepNamed } from "../job-view/tight-fields";
import { useJob } from "../saving/job-context";
import { doesNotApply, finishLine, strikeAssembly } from "./actions";
import { FindCause } from "./find-cause";
import { ForReturn } from "./for-return";
import { HeldUp } from "./held-up";
import { PointAtHoles } from "./holes-in-picture";
import { type LaidStep, Leftover } from "./leftover";
import { type LinePicture, LinePictures } from "./line-pictures";
import { LineSays, screwsOf } from "./line-says";
import { LineTrouble } from "./line-trouble";
import { type MissingPiece, MissingPieces, NotAllThere } from "./missing-pieces";
import { NeverCounted, type Uncounted } from "./never-counted";
import { ReadAloud } from "./read-aloud";
import type { LineNow } from "./rebuild-view";
import { TightenPieces } from "./tighten-pieces";
import { Waits } from "./waits";

export interface RebuildScreenProps {
  line: LineNow | null;
  last: { key: string; title: string } | null;
  count: number;
  pictures: readonly LinePicture[];
  noPicture: string;
  rows: readonly LedgerRow[];
  fresh: FreshPieces;
  replaced: readonly Replaced[];
  /** what a piece that is left over is held against */
  laid: readonly LaidStep[];
  /** what goes back later: a screw may be left loose for it */
  later: readonly StepNamed[];
  waits: readonly RunningWait[];
  /** what the line would close over, and has not set */
  held: RunningWait | null;
  /** what was not in its pocket when its step went back */
  missing: readonly MissingPiece[];
  /** of which nobody said how many there were */
  uncounted: readonly Uncounted[];
  /** what something can be done to now */
  places: readonly WorkPlace[];
  /** what the next closing line closes over, or what to fetch before beginning */
  foot: string;
  stage: Stage;
  gates: readonly Gate[];
}

/** What lies open at the line. */
type Sheet = "why" | "tight" | "holes" | "work" | "trouble" | "leftover" | null;

/** Rebuild: one line at a time, large, with the picture taken at the strip, and the ledger beside it. */
export function RebuildScreen(props: RebuildScreenProps) {
  const {
    line,
    last,
    count,
    pictures,
    noPicture,
    rows,
    fresh,
    replaced,
    laid,
    waits,
    missing,
    uncounted,
    foot,
    stage,
    gates,
  } = props;
  const { run } = useJob();
  const [sheet, setSheet] = useState<Sheet>(null);
  const toggle = (s: Sheet): void => setSheet(sheet === s ? null : s);
  const again = last && (() => void run(finishLine, { line: last.key, done: false }));
  const pointAt = pictures.flatMap(({ name, picture: { url, width, height } }) =>
    width && height ? [{ name, url, width, height }] : [],
  )[0];
  return (
    <div className="grid h-full grid-cols-[minmax(0,4fr)_minmax(0,5.4fr)_minmax(0,2.6fr)] gap-5">
      {sheet === "holes" && line?.words.step && pointAt ? (
        <PointAtHoles
          key={`holes ${line.key}`}
          step={line.words.step}
          count={screwsOf(line.words)}
          picture={pointAt}
          said={line.holes}
          onClose={() => setSheet(null)}
        />
      ) : (
        <LinePictures
          key={line?.key ?? "together"}
          pictures={pictures}
          none={noPicture}
          holes={line?.words.hardware.some(isDrawn) ? line.holes : undefined}
        />
      )}
      {sheet === "leftover" ? (
        <Leftover laid={laid} onClose={() => setSheet(null)} />
      ) : (
        <section aria-label="The line" className="flex min-h-0 flex-col gap-2">
          {line ? (
            <OpenLine
              {...props}
              line={line}
              sheet={sheet}
              toggle={toggle}
              close={() => setSheet(null)}
              again={again}
              onPoint={pointAt && (() => toggle("holes"))}
            />
          ) : (
            <div className="flex h-full flex-col gap-4">
              <h2 className="text-[40px]">
                {!count
                  ? "Nothing to put back yet."
                  : missing.length
                    ? "Back together, and something is missing."
                    : uncounted.length
                      ? "Back together, and not counted."
                      : "Back together, with nothing left over."}
              </h2>
              <p className="text-[23px]">
                {!count
                  ? "What is laid down at the strip goes back together here, line by line."
                  : missing.length
                    ? "The ledger is not closed. Look for it where its picture shows it sat, on the floor, in the old grease, at the magnet; or say what went in instead."
                    : uncounted.length
                      ? `All ${count} lines are done. The ledger closes once you say how many there were of what nobody counted.`
                      : `All ${count} lines are done, the Mat is empty, and the ledger balances.`}
              </p>
              <div className="mt-auto grid grid-cols-[1fr_auto] items-end gap-2">
                <GoOn from="rebuild" stage={stage} gates={gates} />
                {again && (
                  <KeyButton keyName="Z" onPress={again}>
                    Back one
                  </KeyButton>
                )}
              </div>
            </div>
          )}
        </section>
      )}
      <div className="flex min-h-0 flex-col gap-2">
        <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto">
          <MissingPieces pieces={missing} />
          <NeverCounted pieces={uncounted} />
          <Waits waits={waits} />
          <Ledger
            rows={rows}
            fresh={fresh}
            replaced={replaced}
            uncounted={uncounted.length}
            missing={missing.reduce((n, m) => n + m.qty, 0)}
            foot={foot}
          />
        </div>
        {line && <ReadAloud text={lineAloud(line.words, line.cautions)} />}
        <KeyButton
          keyName="K"
          className="small"
          pressed={sheet === "leftover"}
          onPress={() => toggle("leftover")}
        >
          Something is left over
        </KeyButton>
      </div>
    </div>
  );
}

/** The line that is to be done now, with what can be said of it. */
function OpenLine({
  line,
  count,
  last,
  later,
  held,
  places,
  sheet,
  toggle,
  close,
  again,
  onPoint,
}: Pick<RebuildScreenProps, "count" | "last" | "later" | "held" | "places"> & {
  line: LineNow;
  sheet: Sheet;
  toggle: (sheet: Sheet) => void;
  close: () => void;
  again: (() => void) | null;
  /** to point at the holes of its screws; left out: there is no picture */
  onPoint: (() => void) | undefined;
}) {
  const { run } = useJob();
  const { words } = line;
  const draws = words.step !== undefined && words.hardware.some(isDrawn);
  const done = (): void => {
    close();
    void run(finishLine, { line: line.key, done: true });
  };
  const head = (
    <>
      <p className="hush text-[19px] leading-tight">
        line {line.n} of {count} · {words.belongs}
        {words.tray && <b className="text-base-content"> · lies at {words.tray}</b>}
      </p>
      <h2 className="text-[31px] leading-[1.12]">{words.title}</h2>
    </>
  );
  if (sheet === "tight" && words.step)
    return (
      <>
        {head}
        <TightenPieces
          key={`tight ${line.key}`}
          step={words.step}
          hardware={words.hardware}
          steps={later}
          onClose={close}
        />
      </>
    );
  if (sheet === "trouble" && line.suspects.length)
    return (
      <>
        <h2 className="text-[24px] leading-[1.12]">{words.title}</h2>
        <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto">
          <FindCause key={`cause ${line.key}`} line={line.key} suspects={line.suspects} onClose={close} />
          {words.ifNot && <p className="says danger">{words.ifNot}</p>}
        </div>
        <LineTrouble key={`trouble ${line.key}`} begin={`No: ${words.title}`} later onClose={close} />
        <div className="grid grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)_minmax(0,1fr)] gap-1.5">
          <KeyButton
            keyName=" "
            look="main"
            className="justify-center"
            onPress={done}
            disabled={held !== null}
          >
            Yes, now it is
          </KeyButton>
          <KeyButton
            keyName="Z"
            className="small"
            disabled={!again}
            onPress={() => again?.()}
            label={last ? `Open again: ${last.title}` : "Nothing to open again"}
          >
            Back one
          </KeyButton>
          <KeyButton keyName="R" className="small" onPress={close}>
            Leave it
          </KeyButton>
        </div>
      </>
    );
  if (sheet === "work") return <PutInWork places={places} first={line.thing} onClose={close} />;
  return (
    <>
      {head}
      <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto">
        {!(sheet === "trouble" && line.suspects.length > 0) && (
          <LineSays
            key={`says ${line.key}`}
            words={words}
            cautions={line.cautions}
            holes={line.holes}
            onStrike={(assembly) => words.step && void run(strikeAssembly, { assembly, step: words.step })}
          />
        )}
        {(sheet === "why" || line.kind !== "fit") && (
          <ul className="says measured" aria-label="Why here">
            {line.because.map((b, i) => (
              <li key={i}>{b}</li>
            ))}
          </ul>
        )}
      </div>
      {held && <HeldUp wait={held} />}
      {sheet === "why" && words.step && (
        <ForReturn key={`return ${words.step}`} step={words.step} later={later} />
      )}
      {sheet === "trouble" && (line.kind === "fit" || line.kind === "set") && (
        <NotAllThere key={`missing ${line.key}`} line={line.key} hardware={words.hardware} onClose={close} />
      )}
      {sheet === "trouble" && words.ifNot && <p className="says danger">{words.ifNot}</p>}
      {sheet === "trouble" && (
        <LineTrouble
          key={`trouble ${line.key}`}
          begin={words.ifNot ? `No: ${words.title}` : ""}
          onClose={close}
        />
      )}
      <div className="grid grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)_minmax(0,1fr)_minmax(0,1fr)] gap-1.5">
        <KeyButton
          keyName=" "
          look="main"
          onPress={done}
          disabled={held !== null}
          className="row-span-2 justify-center"
        >
          {line.kind === "check" ? "Yes" : "Done"}
        </KeyButton>
        <KeyButton className="small" keyName="Y" onPress={() => toggle("why")} pressed={sheet === "why"}>
          Why here
        </KeyButton>
        <KeyButton
          className="small"
          keyName="R"
          look="warn"
          pressed={sheet === "trouble"}
          onPress={() => toggle("trouble")}
        >
          {words.ifNot ? "No" : "Trouble"}
        </KeyButton>
        <KeyButton
          className="small"
          keyName="Z"
          disabled={!again}
          onPress={() => again?.()}
          label={last ? `Open again: ${last.title}` : "Nothing to open again"}
        >
          Back one
        </KeyButton>
        <KeyButton className="small" keyName="H" disabled={!draws} onPress={() => toggle("tight")}>
          How tight
        </KeyButton>
        <KeyButton className="small" keyName="B" onPress={() => toggle("work")}>
          Put in work
        </KeyButton>
        {line.kind === "check" && (
          <KeyButton
            className="small"
            keyName="A"
            onPress={() => {
              close();
              void run(doesNotApply, { line: line.key });
            }}
          >
            Does not apply
          </KeyButton>
        )}
        {line.kind !== "check" && (
          <KeyButton
            className="small"
            keyName="D"
            disabled={!onPoint || !words.step || screwsOf(words) < 3 || screwsOf(words) > 24}
            pressed={sheet === "holes"}
            onPress={() => onPoint?.()}
            label="Point at the holes in the picture"
          >
            Their holes
          </KeyButton>
        )}
      </div>
    </>
  );
}
