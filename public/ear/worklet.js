/* Hands a microphone's samples on, in pieces; nothing of them is kept here. */
const piece = 2048;

class Microphone extends AudioWorkletProcessor {
  samples = new Float32Array(piece);
  filled = 0;
  to = null;

  constructor() {
    super();
    this.port.onmessage = ({ data }) => {
      this.to = data;
    };
  }

  process([input]) {
    const channel = input[0];
    if (!channel || !this.to) return true;
    for (const sample of channel) {
      this.samples[this.filled++] = sample;
      if (this.filled < piece) continue;
      this.to.postMessage(this.samples, [this.samples.buffer]);
      this.samples = new Float32Array(piece);
      this.filled = 0;
    }
    return true;
  }
}

registerProcessor('vowstep-microphone', Microphone);
