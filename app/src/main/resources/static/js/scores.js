// Words and waveforms of takes in time, asked for once: what a take is never changes.

import { ask, glance } from './ask.js';

const scores = new Map();
const MOST = 60;

/** Puts the latest into a map, and lets the oldest go. */
export function keep(map, key, value) {
  map.delete(key);
  map.set(key, value);
  if (map.size > MOST) map.delete(map.keys().next().value);
  return value;
}

/** Words and waveform of a take in time: they never change. */
export function scoreOf(address) {
  return (
    scores.get(address) ??
    keep(
      scores,
      address,
      glance(ask('GET', address)).then(score => {
        if (!score) scores.delete(address);
        return score;
      }),
    )
  );
}
