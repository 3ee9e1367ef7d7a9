// The waveform of a clip on the timeline: read when it first comes into sight.

import { scoreOf } from '../scores.js';

const A_SECOND = 100;
const peaks = new Map();

/** @param came told when a waveform has come that wasn't there. @returns its peaks; null while they are on their way */
export function peaksOf(address, came) {
  if (!peaks.has(address)) {
    peaks.set(address, null);
    scoreOf(address).then(score => {
      peaks.set(address, score?.peaks ?? []);
      came();
    });
  }
  return peaks.get(address);
}

/** The outline of it as a path, two pixels a step. @param from and to what is seen of it, in pixels from its left */
export function outline(data, { left, top, height, perSecond, from, to }) {
  const middle = top + height / 2;
  let up = '';
  let down = '';
  for (let px = from; px <= to; px += 2) {
    let most = 0;
    const last = Math.min(data.length - 1, ((px + 2) / perSecond) * A_SECOND);
    for (let i = Math.floor((px / perSecond) * A_SECOND); i <= last; i++) most = Math.max(most, data[i]);
    const half = (most / 255) * (height / 2 - 4);
    up += `L${(left + px).toFixed(1)} ${(middle - half).toFixed(1)}`;
    down = `L${(left + px).toFixed(1)} ${(middle + half).toFixed(1)}${down}`;
  }
  return `M${left + from} ${middle}${up}${down}Z`;
}
