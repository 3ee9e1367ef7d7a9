// Words and waveforms of takes in time, asked for once: what a take is never changes.

import { ask } from './app.js';

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
  return scores.get(address) ?? keep(scores, address, ask('GET', address).then(({ status, body }) => {
    if (status === 200) return body;
    scores.delete(address);
    return null;
  }));
}

/** Which word of a take stands at a place of its text, or else the next one: it may have timed fewer than are written. */
export function timedAt(data, place) {
  const index = data.words.findIndex(word => word.end > place);
  return index < 0 ? data.words.length - 1 : index;
}

/** The last word that has begun, −1 before the first. */
export function wordAt(data, seconds) {
  let low = 0;
  let high = data.words.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (data.words[middle].from <= seconds) low = middle + 1; else high = middle;
  }
  return low - 1;
}
