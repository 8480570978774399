import type { SoundAnswered, SoundQuestion } from "@/bench/sound-reader";
import { Fault } from "@/core/fault";
import { listen } from "@/core/sound/listen";
import { readWav } from "@/core/sound/wav";
import { keptWav } from "@/core/sound/write-wav";

function answer(q: SoundQuestion): SoundAnswered["result"] {
  return q.ask === "keep"
    ? keptWav(readWav(new Uint8Array(q.wav)))
    : q.ask === "keep-samples"
      ? keptWav(q)
      : listen(readWav(new Uint8Array(q.wav)), q.train);
}

self.onmessage = ({ data: { id, question } }: MessageEvent<{ id: number; question: SoundQuestion }>) => {
  try {
    self.postMessage({ id, result: answer(question) });
  } catch (e) {
    self.postMessage({ id, fault: e instanceof Fault ? e.says : "The recording could not be worked on." });
    if (!(e instanceof Fault)) throw e;
  }
};
