// Hands the microphone's samples over as they come, in pieces of a tenth of a second. Runs beside the page, so that
// nothing is left out.

const PIECE = 4800;

class Tape extends AudioWorkletProcessor {
  constructor() {
    super();
    this.piece = new Float32Array(PIECE);
    this.filled = 0;
  }

  process(inputs) {
    const channel = inputs[0][0];
    if (!channel) return true;
    for (let i = 0; i < channel.length; i++) {
      this.piece[this.filled++] = channel[i];
      if (this.filled === PIECE) {
        this.port.postMessage(this.piece, [this.piece.buffer]);
        this.piece = new Float32Array(PIECE);
        this.filled = 0;
      }
    }
    return true;
  }
}
registerProcessor('logophon-tape', Tape);
