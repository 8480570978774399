"use client";

import { useState } from "react";
import { HARDWARE_NAMES } from "@/core/hardware/kinds";
import { type Hardware, hardwareInWords, isLoose } from "@/core/hardware/piece";
import { capital } from "@/core/sentence";
import { FaultLine } from "@/ui/fault-line";
import { HardwareGlyph } from "@/ui/hardware-glyph";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { goOnWithout, putInInstead } from "./actions";
import { takeOffAgain } from "./way-in/actions";

/** A piece that was not there when its step went back. */
export interface MissingPiece {
  readonly step: string;
  /** what the step is called */
  readonly at: string;
  readonly piece: Hardware;
  readonly qty: number;
  /** what it looked like where it sat */
  readonly picture?: { readonly name: string; readonly url: string };
}

/**
 * At a line: not all that should go back lies in its pocket. So many of each are said to be missing, and the
 * line is done without them.
 */
export function NotAllThere({
  line,
  hardware,
  onClose,
}: {
  line: string;
  hardware: readonly Hardware[];
  onClose: () => void;
}) {
  const { run } = useJob();
  const fault = useFieldFault();
  const [gone, setGone] = useState<Readonly<Record<string, number>>>({});
  const pieces = hardware.filter(isLoose);
  const missing = pieces.map((h) => ({ piece: h.id, qty: gone[h.id] ?? 0 })).filter((m) => m.qty > 0);
  if (!pieces.length) return null;
  const keep = async (): Promise<void> => {
    if (fault.took(await run(goOnWithout, { line, missing }))) onClose();
  };
  return (
    <section
      aria-label="Not all of it is there"
      className="flex flex-col gap-1.5 border-l-[6px] border-error bg-base-200 p-2"
    >
      <h3 className="text-[20px] leading-none">Is one of them not in its pocket?</h3>
      <ul className="flex flex-col gap-1.5">
        {pieces.map((h) => {
          const n = gone[h.id] ?? 0;
          const [one] = HARDWARE_NAMES[h.kind];
          return (
            <li
              key={h.id}
              className="grid grid-cols-[minmax(0,1fr)_auto_auto] items-center gap-2 text-[19px]"
            >
              <span className="flex items-center gap-2 leading-tight">
                <HardwareGlyph kind={h.kind} drive={h.drive} size={20} />
                <span>
                  {hardwareInWords({ ...h, at: undefined })}
                  {n > 0 && <b className="text-error">: {n} missing</b>}
                </span>
              </span>
              <KeyButton
                className="small"
                disabled={n >= h.qty}
                label={`One ${one} is missing`}
                onPress={() => setGone({ ...gone, [h.id]: n + 1 })}
              >
                One is missing
              </KeyButton>
              <KeyButton
                className="small"
                disabled={n === 0}
                label={`One ${one} less is missing`}
                onPress={() => setGone({ ...gone, [h.id]: n - 1 })}
              >
                −
              </KeyButton>
            </li>
          );
        })}
      </ul>
      <FaultLine says={fault.elsewhere()} />
      {missing.length > 0 && (
        <KeyButton look="warn" className="small justify-center" onPress={() => void keep()}>
          Go on without, and look for it
        </KeyButton>
      )}
    </section>
  );
}

/**
 * What is missing, each with the picture of where it sat: found, its step is opened again; or another went
 * in.
 */
export function MissingPieces({ pieces }: { pieces: readonly MissingPiece[] }) {
  if (!pieces.length) return null;
  return (
    <section
      aria-label="Missing"
      className="flex flex-col gap-1.5 border-l-[6px] border-error bg-base-200 p-2"
    >
      <h2 className="text-[20px] leading-none">Missing</h2>
      {pieces.map((p) => (
        <Lost key={p.piece.id} of={p} />
      ))}
    </section>
  );
}

function Lost({ of: { step, at, piece, qty, picture } }: { of: MissingPiece }) {
  const { run } = useJob();
  const fault = useFieldFault();
  const [instead, setInstead] = useState<string | null>(null);
  const what = hardwareInWords({ ...piece, qty, at: undefined });
  return (
    <div className="flex flex-col gap-1.5 text-[18px] leading-tight">
      <div className="flex items-start gap-2">
        {picture && (
          // biome-ignore lint/performance/noImgElement: pictures come from the shop's own folder
          <img
            src={picture.url}
            alt={`where it sat: ${at}`}
            className="h-[72px] w-[88px] shrink-0 object-cover"
          />
        )}
        <span>
          <b>{capital(what)}</b>, of {at}
          {piece.at && `, ${piece.at}`}
        </span>
      </div>
      <div className="grid grid-cols-2 gap-1.5">
        <KeyButton
          className="small justify-center"
          label={`Found: ${what}`}
          onPress={() => void run(takeOffAgain, { step }).then(fault.took)}
        >
          Found
        </KeyButton>
        <KeyButton
          className="small justify-center"
          label={`Another went in: ${what}`}
          pressed={instead !== null}
          onPress={() => setInstead(instead === null ? "" : null)}
        >
          Another …
        </KeyButton>
      </div>
      {instead !== null && (
        <form
          className="grid grid-cols-[minmax(0,1fr)_auto] gap-1.5"
          onSubmit={(e) => {
            e.preventDefault();
            void run(putInInstead, { step, piece: piece.id, from: instead }).then(fault.took);
          }}
        >
          <input
            className="field"
            aria-label={`Where the other ${what} came from`}
            placeholder="drawer 4"
            maxLength={200}
            value={instead}
            onChange={(e) => setInstead(e.target.value)}
          />
          <button type="submit" className="key-button small" aria-label="It went in">
            ✓
          </button>
        </form>
      )}
      <FaultLine says={fault.elsewhere()} />
    </div>
  );
}
