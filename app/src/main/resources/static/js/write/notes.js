// Notes of those who listened, in the margin beside their cue.

import { ask, glance } from '../ask.js';
import { project, script } from './script.js';

let byCue = new Map();
let painted = () => {};

/** Puts the open notes on the cues of a state. */
export function noted(state) {
  state.cues.forEach(cue => {
    cue.notes = byCue.get(cue.id) ?? [];
  });
}

async function load() {
  const notes = await glance(ask('GET', `/projects/${project}/notes`));
  if (!notes) return;
  byCue = new Map();
  notes
    .filter(note => note.open && note.number)
    .forEach(note => byCue.set(note.cue, [...(byCue.get(note.cue) ?? []), `“${note.word}”: ${note.remark}`]));
  if (script.state) noted(script.state);
  painted();
}

/** @param paint shows the script anew */
export function follow(paint) {
  painted = paint;
  document.addEventListener('logophon:changed', event => {
    if (event.detail.kinds.includes('status')) load();
  });
  load();
}
