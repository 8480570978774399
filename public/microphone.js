// Hands the samples of the microphone on as they come.
registerProcessor(
  "microphone",
  class extends AudioWorkletProcessor {
    process(inputs) {
      const samples = inputs[0]?.[0];
      if (samples) this.port.postMessage(samples.slice());
      return true;
    }
  },
);
