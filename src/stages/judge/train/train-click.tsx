"use client";

import { useEffect, useMemo, useRef, useState } from "react";
import { z } from "zod";
import { Fault } from "@/core/fault";
import type { Frozen } from "@/core/frozen";
import { sentence } from "@/core/sentence";
import { clicksIn } from "@/core/sound/clicks";
import { readWav } from "@/core/sound/wav";
import { findClick } from "@/core/train/click-finder";
import { solveTrain } from "@/core/train/solve";
import type { TrainInput } from "@/core/train/train";
import { FaultLine } from "@/ui/fault-line";
import { FilePick } from "@/ui/file-pick";
import { KeyButton } from "@/ui/key-button";
import { percent } from "@/ui/odds";
import { useDraft } from "../../saving/use-draft";
import { figure } from "./in-figures";

const tapsSchema = z.object({
  clicks: z.array(z.number()),
  turns: z.array(z.number()),
  /** the shaft that is watched; null: the last of the train */
  watched: z.string().nullable(),
  /** the clicks were found in a recording of so many seconds */
  heardS: z.number().optional(),
});
type Taps = Frozen<z.infer<typeof tapsSchema>>;
const NONE: Taps = { clicks: [], turns: [], watched: null };
/** A quarter of an hour of a studio's recorder. */
const MOST_BYTES = 250e6;
/** A pause after which a new series begins, ms. */
const NEW_SERIES_MS = 15_000;

/**
 * Tap along to the click, and to a shaft that is watched; what in the train comes round just so is named,
 * best first.
 */
export function TrainClick({
  train,
  light,
  kept,
}: {
  train: TrainInput;
  light: (at: string | undefined) => void;
  kept: unknown;
}) {
  const [taps, setTaps] = useDraft<Taps>("train.clicks", kept, tapsSchema, NONE);
  const shafts = useMemo(() => solveTrain(train).shafts.filter((s) => s.turnsPerInputTurn !== null), [train]);
  const watched = taps.watched ?? shafts.at(-1)?.shaft ?? "";
  const began = useRef(0);
  const tap = (which: "clicks" | "turns"): void => {
    // one clock for both series, on from what was kept before a reload
    const last = Math.max(0, ...taps.clicks, ...taps.turns);
    const now = performance.now();
    if (!began.current || (last === 0 && !taps.clicks.length && !taps.turns.length))
      began.current = now - last - (last ? NEW_SERIES_MS : 0);
    const t = Math.round(now - began.current);
    const own = taps[which];
    const fresh = own.length && t - (own.at(-1) as number) > NEW_SERIES_MS ? [] : own;
    setTaps({
      ...(taps.heardS === undefined ? taps : { ...NONE, watched: taps.watched }),
      [which]: [...(taps.heardS === undefined ? fresh : []), t],
    });
  };
  const [unread, setUnread] = useState<string | null>(null);
  const listen = async (file: File): Promise<void> => {
    if (file.size > MOST_BYTES)
      return setUnread("this recording is larger than 250 MB: ten seconds are enough");
    try {
      const recording = readWav(new Uint8Array(await file.arrayBuffer()));
      // a microphone does not see a shaft: it ran at the motor's speed
      setTaps({
        clicks: clicksIn(recording).clicksMs.map((t) => Math.round(t * 10) / 10),
        turns: [],
        watched: "",
        heardS: recording.seconds,
      });
      setUnread(null);
    } catch (e) {
      if (!(e instanceof Fault)) throw e;
      setUnread(e.says);
    }
  };
  const found = useMemo(() => {
    if (taps.clicks.length < 3) return null;
    if (watched && taps.turns.length < 3) return null;
    try {
      return findClick({
        train,
        clicksMs: [...taps.clicks],
        heard: taps.heardS !== undefined,
        ...(watched ? { turns: { shaft: watched, tapsMs: [...taps.turns] } } : {}),
      });
    } catch (e) {
      if (e instanceof Fault) return e.says;
      throw e;
    }
  }, [train, taps, watched]);
  const first = found && typeof found !== "string" ? found.suspects[0] : undefined;
  const at = first?.rate.at;
  useEffect(() => {
    light(at);
    return () => light(undefined);
  }, [at, light]);
  if (!train.meshes.length)
    return <p className="says">Add the meshes first: a click is matched against what turns.</p>;
  return (
    <>
      <p className="says danger">
        Turn it by hand, unplugged. Under power keep fingers, hair and sleeves out: listen, do not touch.
      </p>
      <div className="grid grid-cols-2 gap-2">
        <div>
          <label className="words" htmlFor="watched">
            Turning
          </label>
          <select
            id="watched"
            className="field"
            value={watched}
            onChange={(e) => setTaps({ ...taps, watched: e.target.value })}
          >
            {shafts.map((s) => (
              <option key={s.shaft} value={s.shaft}>
                by hand, I watch {s.shaft}
              </option>
            ))}
            <option value="">under power, {train.input.rpm} rpm</option>
          </select>
        </div>
        <KeyButton
          keyName="Backspace"
          className="self-end"
          onPress={() => setTaps({ ...NONE, watched: taps.watched })}
        >
          Tap again from the start
        </KeyButton>
      </div>
      <div className={`grid gap-2 ${watched ? "grid-cols-2" : ""}`}>
        <KeyButton keyName="X" look="main" onPress={() => tap("clicks")} className="justify-center">
          Click! <b className="figures">{taps.clicks.length}</b>
        </KeyButton>
        {watched && (
          <KeyButton keyName="B" look="main" onPress={() => tap("turns")} className="justify-center">
            {watched} came round <b className="figures">{taps.turns.length}</b>
          </KeyButton>
        )}
      </div>
      <div className="flex items-center gap-3">
        <FilePick
          label="Recording"
          accept=".wav,audio/wav"
          keyName="R"
          className="small"
          onFile={(file) => void listen(file)}
        >
          Hear it in a recording …
        </FilePick>
        {taps.heardS !== undefined && (
          <span className="hush text-[18px]">
            {taps.clicks.length} clicks heard in {taps.heardS.toFixed(1)} s
          </span>
        )}
      </div>
      <FaultLine says={unread && sentence(unread)} />
      {typeof found === "string" && (
        <p role="alert" className="says danger first-letter:uppercase">
          {found}.
        </p>
      )}
      {!found && (
        <p className="hush text-[19px]">
          Tap X at every click{watched ? `, B each time a mark on ${watched} comes round` : ""}: at least
          three, eight is better. A missed one does no harm.
        </p>
      )}
      {found && typeof found !== "string" && (
        <>
          <p className="says measured">
            A click every <b className="figures">{(found.clicks.periodMs / 1000).toFixed(2)} s</b> ±{" "}
            {(found.clicks.u / 1000).toFixed(2)}: {figure(found.perInputTurn.value)} for one turn of{" "}
            {train.input.shaft}
            {found.clicks.missed ? `, ${found.clicks.missed} missed` : ""}
            {found.clicks.dropped ? `, ${found.clicks.dropped} struck twice` : ""}.
          </p>
          <ol aria-label="Where the click comes from">
            {found.suspects.slice(0, 5).map((s, i) => (
              <li
                key={s.rate.kind + s.rate.at + s.rate.perInputTurn}
                className="grid grid-cols-[minmax(0,1fr)_80px] gap-3 border-b-2 border-base-300 py-1.5"
              >
                <span className={i === 0 ? "text-[22px] font-semibold" : "text-[19px]"}>{s.says}</span>
                <span className="figures text-right text-[24px]">{percent(s.probability)}</span>
              </li>
            ))}
            {found.none > 0.05 && (
              <li className="grid grid-cols-[minmax(0,1fr)_80px] gap-3 py-1.5 text-[19px]">
                <span>none of these: look for something outside the train, or tap again</span>
                <span className="figures text-right text-[24px]">{percent(found.none)}</span>
              </li>
            )}
          </ol>
        </>
      )}
    </>
  );
}
