/** A microphone that is open: what it has heard so far, and how to close it. */
export interface OpenMicrophone {
  readonly seconds: () => number;
  /** loudest of the last moments, 0 to 1 */
  readonly level: () => number;
  readonly close: () => { readonly samples: Float32Array; readonly rate: number };
}

/**
 * Opens the microphone as it is: without what browsers do to voices, which takes steady noise for something
 * to be removed.
 *
 * Rejects with a sentence where there is none, where it is not allowed, or where this page was not opened
 * safely.
 */
export async function openMicrophone(): Promise<OpenMicrophone> {
  if (!navigator.mediaDevices?.getUserMedia)
    throw new Error(
      "This browser gives no microphone to this page: open it on the shop's own computer or by its safe address, or read a WAV file.",
    );
  const stream = await navigator.mediaDevices
    .getUserMedia({ audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false } })
    .catch((e: unknown) => {
      throw new Error(
        e instanceof DOMException && e.name === "NotAllowedError"
          ? "The microphone is not allowed for this page: allow it beside the address, or read a WAV file."
          : "No microphone is found: plug one in, or read a WAV file.",
      );
    });
  const context = new AudioContext();
  const parts: Float32Array[] = [];
  let count = 0;
  let level = 0;
  const stop = (): void => {
    for (const track of stream.getTracks()) track.stop();
    void context.close();
  };
  try {
    await context.audioWorklet.addModule("/microphone.js");
  } catch {
    stop();
    throw new Error(
      "The microphone could not be read: this browser is too old, or the page has gone away. Read a WAV file.",
    );
  }
  const node = new AudioWorkletNode(context, "microphone", { numberOfOutputs: 0 });
  node.port.onmessage = ({ data }: MessageEvent<Float32Array>) => {
    parts.push(data);
    count += data.length;
    level = Math.max(0.9 * level, ...data.map(Math.abs));
  };
  context.createMediaStreamSource(stream).connect(node);
  return {
    seconds: () => count / context.sampleRate,
    level: () => level,
    close: () => {
      const samples = new Float32Array(count);
      let at = 0;
      for (const p of parts) {
        samples.set(p, at);
        at += p.length;
      }
      const rate = context.sampleRate;
      stop();
      return { samples, rate };
    },
  };
}
