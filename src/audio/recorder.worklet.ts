/*
 * Hands on what the microphone hears, in blocks of one channel.
 */

declare const registerProcessor: (name: string, processor: unknown) => void;
declare class AudioWorkletProcessor {
  readonly port: MessagePort;
}

/** Samples of a block: about 23 ms. */
const BLOCK = 1024;

class Recorder extends AudioWorkletProcessor {
  private block = new Float32Array(BLOCK);
  private filled = 0;

  process([input]: readonly (readonly Float32Array[])[]): boolean {
    const [channel] = input;
    // A device that was taken away sends nothing.
    if (!channel) return true;
    for (const one of channel) {
      this.block[this.filled++] = one;
      if (this.filled === BLOCK) {
        this.port.postMessage(this.block, [this.block.buffer]);
        this.block = new Float32Array(BLOCK);
        this.filled = 0;
      }
    }
    return true;
  }
}

registerProcessor('recorder', Recorder);
