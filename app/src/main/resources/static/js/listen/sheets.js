// What the server tells of cues and takes, asked for once: the next cue is there before it sounds.

import { ask } from '../app.js';
import { keep } from '../scores.js';

const sheets = new Map();

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
