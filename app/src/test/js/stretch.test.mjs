import assert from 'node:assert/strict';
import { test } from 'node:test';
import { Stretcher } from '../../main/resources/static/js/sound/stretch.js';

const RATE = 48_000;
const TONE = 220;

const tone = seconds => Float32Array.from({ length: seconds * RATE }, (_, i) => 0.5 * Math.sin(2 * Math.PI * TONE * i / RATE));

/** At a speed, given in stretches as they are loaded. */
function stretched(samples, speed) {
  const stretcher = new Stretcher(speed);
  const out = [];
  for (let at = 0; at < samples.length; at += 7_000) out.push(...stretcher.push(samples.subarray(at, at + 7_000)));
  out.push(...stretcher.end());
  return out;
}

/** Rising zero crossings a second, between the ends. */
function pitch(samples) {
  const from = RATE / 10;
  const to = samples.length - RATE / 10;
  let rising = 0;
  for (let i = from; i < to; i++) if (samples[i] < 0 && samples[i + 1] >= 0) rising++;
  return rising * RATE / (to - from);
}

for (const speed of [0.5, 0.8, 1, 1.25, 2]) {
  test(`at speed ${speed} a tone lasts ${1 / speed} times as long and keeps its pitch and its level`, () => {
    const out = stretched(tone(2), speed);
    assert.ok(Math.abs(out.length / RATE - 2 / speed) < 0.05, `${out.length / RATE} s`);
    assert.ok(Math.abs(pitch(out) - TONE) < TONE * 0.01, `${pitch(out)} Hz`);
    const level = Math.sqrt(out.slice(RATE / 10, -RATE / 10).reduce((sum, x) => sum + x * x, 0) / (out.length - RATE / 5));
    assert.ok(Math.abs(level - 0.5 / Math.SQRT2) < 0.02, `${level}`);
  });
}

test('silence stays silence and nothing becomes nothing', () => {
  assert.ok(stretched(new Float32Array(RATE), 1.3).every(sample => sample === 0));
  assert.equal(stretched(new Float32Array(0), 1.3).length, 0);
});
