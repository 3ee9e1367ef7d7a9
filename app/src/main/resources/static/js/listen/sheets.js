// What the server tells of cues and takes, asked for once: the next cue is there before it sounds.

import { ask } from '../app.js';

const sheets = new Map();
const scores = new Map();
const MOST = 60;

function keep(map, key, value) {
  map.delete(key);
  map.set(key, value);
  if (map.size > MOST) map.delete(map.keys().next().value);
  return value;
}

/** A cue's sheet. @param stamp another one whenever it may be another; asked for anew then */
export function sheetOf(project, cue, stamp) {
  const known = sheets.get(cue);
  if (known?.stamp === stamp) return known.answer;
  const answer = ask('GET', `/projects/${project}/listen/cues/${cue}`).then(({ status, body }) => {
    if (status === 200) return body;
    sheets.delete(cue);
    throw new Error(body?.sentence ?? 'This cue can’t be shown now.');
  });
  keep(sheets, cue, { stamp, answer });
  return answer;
}

export const forget = () => sheets.clear();

/** Words and waveform of a take in time: they never change. */
export function scoreOf(address) {
  return scores.get(address) ?? keep(scores, address, ask('GET', address).then(({ status, body }) => {
    if (status === 200) return body;
    scores.delete(address);
    return null;
  }));
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
