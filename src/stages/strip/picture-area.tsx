"use client";

import dynamic from "next/dynamic";
import { useState } from "react";
import type { JobPicture } from "@/core/job/picture";
import type { OpenStep } from "@/core/recorder/open-step";
import { KeyButton } from "@/ui/key-button";
import { type FramedPicture, framed, PictureFrame, pictureUrl } from "@/ui/picture-frame";
import type { Pocket } from "@/ui/pocket";
import { usePictures } from "../frame/picture-queue";
import { TakePicture } from "../frame/take-picture";
import { useJob } from "../saving/job-context";
import { saveMarks } from "./actions";
import { type ComparedPicture, ComparePictures } from "./compare-pictures";

// the drawing library draws on a canvas, which only a browser has
const MarkPicture = dynamic(() => import("./mark-picture").then((m) => m.MarkPicture), { ssr: false });

/** A picture of the job, as the recorder shows it. */
export type StepPicture = Pick<
  JobPicture,
  "sha256" | "name" | "role" | "step" | "stepKey" | "marks" | "width" | "height"
>;

interface Shown extends FramedPicture {
  readonly id: string;
  /** its name in the job, once the shop has it */
  readonly name?: string;
  readonly waiting?: boolean;
}

/**
 * The pictures of the step that is open, or the last thing off; the camera; marks; two pictures side by side.
 */
export function PictureArea({
  open,
  n,
  pockets,
  pictures,
  hint,
  begin,
}: {
  open: OpenStep;
  n: number;
  pockets: readonly Pocket[];
  pictures: readonly StepPicture[];
  hint: string;
  /** gives the open step its name, if it has none yet: its pictures go by it */
  begin: () => void;
}) {
  const { run } = useJob();
  const { waiting } = usePictures();
  const [mode, setMode] = useState<"camera" | "marks" | "compare" | null>(null);
  const [picked, setPicked] = useState<string | null>(null);
  const asShown = (p: StepPicture): Shown => ({ ...framed(p), id: p.sha256, name: p.name });
  const own: Shown[] = [
    ...pictures
      .filter(
        (p) =>
          (open.key !== "" && p.stepKey === open.key && !p.step) ||
          (open.editing !== null && p.step === open.editing),
      )
      .map(asShown),
    ...waiting
      .filter(
        (p) =>
          open.key !== "" &&
          p.place.stepKey === open.key &&
          !p.refused &&
          !pictures.some((kept) => kept.name === p.kept?.name),
      )
      .map((p) => ({ id: p.key, url: p.url, ...(p.kept ? { name: p.kept.name } : { waiting: true }) })),
  ];
  const lastStep = pockets.at(-1)?.step;
  const earlier = pockets.findLast((p) => p.thumb && p.step !== open.editing)?.thumb;
  // a step that is on its way has its pictures under the recorder's own name for it
  const lastOff = pictures.find((p) => lastStep !== undefined && (p.step ?? p.stepKey) === lastStep);
  const last = lastOff ?? pictures.find((p) => p.role === "intake");
  const shown = own.find((p) => p.id === picked) ?? own[own.length - 1];
  const lying = shown ?? (last && asShown(last));
  const marked = lying?.name;
  const camera = (): void => {
    begin();
    setMode("camera");
  };
  if (mode === "camera")
    return (
      <TakePicture
        where={{ role: "step", stepKey: open.key, ...(open.editing ? { step: open.editing } : {}) }}
        hint={hint}
        ghost={earlier && pictureUrl(earlier)}
        onClose={() => setMode(null)}
        onTaken={() => {
          setPicked(null);
          setMode(null);
        }}
      />
    );
  if (mode === "marks" && lying && marked)
    return (
      <MarkPicture
        url={lying.url}
        marks={pictures.find((p) => p.name === marked)?.marks ?? []}
        onSave={(marks) => void run(saveMarks, { picture: marked, marks: [...marks] })}
        onClose={() => setMode(null)}
      />
    );
  const words = own.length
    ? `step ${n}: ${own.length === 1 ? "one picture" : `${own.length} pictures`}${shown?.waiting ? ", on its way to the shop" : ""}`
    : lastOff
      ? `the last thing off: step ${pockets.length}, ${pockets[pockets.length - 1]?.title}`
      : pockets.length
        ? `as it came in (step ${pockets.length} has no picture)`
        : "as it came in";
  const others: ComparedPicture[] = [
    ...[...own]
      .reverse()
      .map((p, i) => ({ id: p.id, url: p.url, words: `step ${n}, picture ${own.length - i}` })),
    ...pockets.toReversed().flatMap((p) => {
      const at = pockets.indexOf(p) + 1;
      return p.thumb && p.step !== open.editing
        ? [{ id: p.thumb, url: pictureUrl(p.thumb), words: `step ${at}, ${p.title}` }]
        : [];
    }),
    ...pictures
      .filter((p) => p.role === "intake")
      .map((p) => ({ id: p.sha256, url: pictureUrl(p.sha256), words: "as it came in" })),
  ].filter((p) => p.id !== lying?.id);
  return (
    <div className="relative flex h-full min-h-0 flex-col">
      <PictureFrame picture={lying} words={words} className="flex-1" />
      {own.length > 1 && (
        <ul aria-label="Pictures of this step" className="absolute top-2 left-2 flex gap-1.5">
          {own.map((p, i) => (
            <li key={p.id}>
              <button
                type="button"
                aria-pressed={p.id === shown?.id}
                aria-label={`picture ${i + 1} of this step`}
                onClick={() => setPicked(p.id)}
                className={`block size-[56px] overflow-hidden border-2 ${p.id === shown?.id ? "border-accent" : "border-base-100"}`}
              >
                {/* biome-ignore lint/performance/noImgElement: may lie in the browser only */}
                <img src={p.url} alt="" className="h-full w-full object-cover" />
              </button>
            </li>
          ))}
        </ul>
      )}
      <div className="grid grid-cols-3 gap-1.5 pt-1.5">
        <KeyButton keyName="P" className="small justify-center" onPress={camera}>
          {own.length ? "Another picture" : "Picture"}
        </KeyButton>
        <KeyButton
          keyName="A"
          className="small justify-center"
          onPress={() => setMode("marks")}
          disabled={!marked}
        >
          Arrow, ring, word
        </KeyButton>
        <KeyButton
          keyName="X"
          className="small justify-center"
          onPress={() => setMode("compare")}
          disabled={!lying || !others.length || mode === "compare"}
        >
          Side by side
        </KeyButton>
      </div>
      {mode === "compare" && lying && others.length > 0 && (
        <ComparePictures others={others} right={{ url: lying.url, words }} onClose={() => setMode(null)} />
      )}
    </div>
  );
}
