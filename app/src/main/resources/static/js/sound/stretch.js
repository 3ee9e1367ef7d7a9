// Another speed at the same pitch: waveform similarity overlap-add (Verhelst and Roelands, ICASSP 1993).

const FRAME = 1440;
const HOP = FRAME / 2;
const REACH = 480;
const COARSE = 4;

const WINDOW = Float32Array.from({ length: FRAME }, (_, i) => 0.5 - 0.5 * Math.cos((2 * Math.PI * i) / FRAME));

/** Takes samples in stretches and gives them back faster or slower, at 48 kHz. @param speed 1 is as they are */
export class Stretcher {
  constructor(speed) {
    this.speed = speed;
    this.input = new Float32Array(0);
    // of the first sample in the input, and of the next frame
    this.dropped = 0;
    this.frames = 0;
    this.tail = new Float32Array(HOP);
    // where the frame before would go on by itself
    this.natural = 0;
  }

  push(samples) {
    const joined = new Float32Array(this.input.length + samples.length);
    joined.set(this.input);
    joined.set(samples, this.input.length);
    this.input = joined;
    return this.take(false);
  }

  /** What is left, when nothing follows. */
  end() {
    const silence = new Float32Array(FRAME + REACH);
    const joined = new Float32Array(this.input.length + silence.length);
    joined.set(this.input);
    this.length = this.dropped + this.input.length;
    this.input = joined;
    return this.take(true);
  }

  take(ending) {
    const out = [];
    for (;;) {
      const target = Math.round(this.frames * HOP * this.speed);
      if (ending && target >= this.length) break;
      if (target + REACH + FRAME + HOP > this.dropped + this.input.length) break;
      const at = this.frames === 0 ? 0 : this.best(target);
      const frame = this.input.subarray(at - this.dropped, at - this.dropped + FRAME);
      const made = new Float32Array(HOP);
      for (let i = 0; i < HOP; i++) {
        made[i] = this.frames === 0 ? frame[i] : this.tail[i] + frame[i] * WINDOW[i];
        this.tail[i] = frame[HOP + i] * WINDOW[HOP + i];
      }
      out.push(made);
      this.natural = at + HOP;
      this.frames++;
      const keep = Math.min(this.natural, Math.round(this.frames * HOP * this.speed) - REACH) - this.dropped;
      if (keep > 48000) {
        this.input = this.input.slice(keep);
        this.dropped += keep;
      }
    }
    const all = new Float32Array(out.length * HOP);
    out.forEach((made, i) => all.set(made, i * HOP));
    return all;
  }

  /** Near the place that is wanted, the one that goes on most like the frame before would have. */
  best(target) {
    const goes = this.natural - this.dropped;
    let best = target;
    let most = -Infinity;
    const score = at => {
      let sum = 0;
      const from = at - this.dropped;
      for (let i = 0; i < HOP; i += COARSE) sum += this.input[from + i] * this.input[goes + i];
      return sum;
    };
    const from = Math.max(this.dropped, target - REACH);
    for (let at = from; at <= target + REACH; at += COARSE) {
      const now = score(at);
      if (now > most) {
        most = now;
        best = at;
      }
    }
    return best;
  }
}
