"use client";

import { useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import { z } from "zod";
import { type OpenMicrophone, openMicrophone } from "@/bench/microphone";
import { recordingToKeep } from "@/bench/sound-reader";
import { sentence } from "@/core/sentence";
import type { SoundMoment } from "@/store/sounds";
import { FaultLine } from "@/ui/fault-line";
import { FilePick } from "@/ui/file-pick";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";

const kept = z.object({ version: z.int().optional(), says: z.string().optional() }).catch({});
/** Longer does not make it surer, s. */
const STOPS_AFTER_S = 12;
/** A quarter of an hour of a studio's recorder. */
const MOST_BYTES = 250e6;

/** Records the unit through the microphone, or reads a recording from a file; it is kept at once. */
export function Record({ moment, onKept }: { moment: SoundMoment; onKept: () => void }) {
  const { number, sawVersion } = useJob();
  const router = useRouter();
  const [microphone, setMicrophone] = useState<OpenMicrophone | null>(null);
  const [heard, setHeard] = useState({ seconds: 0, level: 0 });
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const open = useRef<OpenMicrophone | null>(null);
  // what the shop did not take is held until it does
  const [unsent, setUnsent] = useState<Blob | null>(null);
  const keep = async (from: Blob | ArrayBuffer | { samples: Float32Array; rate: number }): Promise<void> => {
    setBusy(true);
    let wav: Blob | null = null;
    try {
      wav = from instanceof Blob ? from : new Blob([await recordingToKeep(from)], { type: "audio/wav" });
      const form = new FormData();
      form.set("moment", moment);
      form.set("wav", wav, "recording.wav");
      const answer = await fetch(`/api/jobs/${number}/sounds`, { method: "POST", body: form });
      const said = kept.parse(await answer.json().catch(() => ({})));
      if (!answer.ok || said.version === undefined)
        throw new Error(said.says ?? "The shop did not keep the recording: try again.");
      sawVersion(said.version);
      router.refresh();
      setFault(null);
      setUnsent(null);
      onKept();
    } catch (e) {
      setUnsent(wav);
      setFault(
        e instanceof TypeError
          ? "The shop's computer does not answer: the recording is held here until it does."
          : e instanceof Error
            ? e.message
            : "The recording was not kept.",
      );
    } finally {
      setBusy(false);
    }
  };
  const stop = (): void => {
    const m = open.current;
    open.current = null;
    setMicrophone(null);
    if (m) void keep(m.close());
  };
  const begin = async (): Promise<void> => {
    setFault(null);
    try {
      const m = await openMicrophone();
      open.current = m;
      setHeard({ seconds: 0, level: 0 });
      setMicrophone(m);
    } catch (e) {
      setFault(e instanceof Error ? e.message : "The microphone could not be opened.");
    }
  };
  // what is open when the page is left is closed
  useEffect(() => () => void open.current?.close(), []);
  const stopNow = useRef(stop);
  stopNow.current = stop;
  useEffect(() => {
    if (!microphone) return;
    const timer = setInterval(() => {
      setHeard({ seconds: microphone.seconds(), level: microphone.level() });
      if (microphone.seconds() >= STOPS_AFTER_S) stopNow.current();
    }, 100);
    return () => clearInterval(timer);
  }, [microphone]);
  const read = async (file: File): Promise<void> => {
    if (file.size > MOST_BYTES)
      return setFault("this recording is larger than 250 MB: ten seconds are enough");
    await keep(await file.arrayBuffer());
  };
  return (
    <div className="flex flex-col gap-2">
      <p className="says danger">
        Guards on, nothing loose near it, ears covered if it is loud. The microphone a hand's breadth from the
        gear case; keep still.
      </p>
      <div className="flex flex-wrap items-center gap-2">
        {microphone ? (
          <KeyButton keyName=" " look="main" onPress={stop}>
            Stop and keep it <b className="figures">{heard.seconds.toFixed(0)} s</b>
          </KeyButton>
        ) : (
          <KeyButton keyName=" " look="main" disabled={busy} onPress={() => void begin()}>
            {busy ? "Keeping it …" : `Record ${moment === "before" ? "before" : "after"} the repair`}
          </KeyButton>
        )}
        {microphone ? (
          <meter
            className="h-8 w-40"
            aria-label="Loudness"
            min={0}
            max={1}
            low={0.03}
            high={0.97}
            optimum={0.5}
            value={heard.level}
          />
        ) : (
          <FilePick label="Recording" accept=".wav,audio/wav" keyName="W" onFile={(file) => void read(file)}>
            Read a WAV …
          </FilePick>
        )}
      </div>
      {microphone && heard.seconds > 1 && heard.level < 0.01 && (
        <p className="says danger">Next to nothing is heard: is this the right microphone?</p>
      )}
      {microphone && heard.level > 0.98 && (
        <p className="says danger">It is too loud for the microphone: hold it further away.</p>
      )}
      <FaultLine says={fault && sentence(fault)} />
      {unsent && (
        <KeyButton keyName="Y" disabled={busy} onPress={() => void keep(unsent)}>
          Send the recording again
        </KeyButton>
      )}
    </div>
  );
}
