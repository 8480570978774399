import type { Listened } from "@/core/sound/listen";
import type { TrainInput } from "@/core/train/train";

/** What the sound worker is asked: to make a recording as it is kept, or to listen to one. */
export type SoundQuestion =
  | { readonly ask: "keep"; readonly wav: ArrayBuffer }
  | { readonly ask: "keep-samples"; readonly samples: Float32Array; readonly rate: number }
  | { readonly ask: "listen"; readonly wav: ArrayBuffer; readonly train: TrainInput | null };

export interface SoundAnswered {
  readonly id: number;
  readonly result?: Uint8Array | Listened;
  readonly fault?: string;
}

let worker: Worker | undefined;
let next = 1;
const waiting = new Map<number, { done: (x: SoundAnswered["result"]) => void; failed: (e: Error) => void }>();

function ask(question: SoundQuestion): Promise<SoundAnswered["result"]> {
  if (!worker) {
    worker = new Worker(new URL("../workers/sound-worker.ts", import.meta.url), { type: "module" });
    worker.onmessage = ({ data }: MessageEvent<SoundAnswered>) => {
      const w = waiting.get(data.id);
      waiting.delete(data.id);
      if (data.fault !== undefined) w?.failed(new Error(data.fault));
      else w?.done(data.result);
    };
    worker.onerror = () => {
      worker?.terminate();
      worker = undefined;
      for (const w of waiting.values())
        w.failed(new Error("The recording could not be worked on: what listens stopped."));
      waiting.clear();
    };
  }
  const id = next++;
  return new Promise((done, failed) => {
    waiting.set(id, { done, failed });
    worker?.postMessage({ id, question });
  });
}

/** A recording as it is kept: short, mono, thinned. Rejects with a sentence for what is none. */
export async function recordingToKeep(
  from: ArrayBuffer | { readonly samples: Float32Array; readonly rate: number },
): Promise<Uint8Array<ArrayBuffer>> {
  const kept = await ask(
    from instanceof ArrayBuffer ? { ask: "keep", wav: from } : { ask: "keep-samples", ...from },
  );
  if (!(kept instanceof Uint8Array)) throw new Error("The recording could not be worked on.");
  return new Uint8Array(kept);
}

/** What a kept recording tells. Rejects with a sentence. */
export async function listenTo(wav: ArrayBuffer, train: TrainInput | null): Promise<Listened> {
  const told = await ask({ ask: "listen", wav, train });
  if (!told || told instanceof Uint8Array) throw new Error("The recording could not be worked on.");
  return told;
}
