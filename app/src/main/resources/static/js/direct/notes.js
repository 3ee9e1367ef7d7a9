// Notes of those who listened, at their words in the score and in words under it.

import { button, element } from '../app.js';
import { ask, glance, outcome } from '../ask.js';

let notes = [];

/** Those that are open, each with the place of its word. */
export const openNotes = () => notes.filter(note => note.open && note.index >= 0);

/** Reads the notes of the chosen cue. @param address of the cue @param still false when another one is shown by now */
export async function loadNotes(address, still) {
  const now = await glance(ask('GET', `${address}/notes`));
  if (now && still()) notes = now;
}

/** @param project its address @param pick chooses a word @param changed shows them anew */
export function showNotes(box, project, pick, changed) {
  const open = notes.filter(note => note.open);
  box.hidden = open.length === 0;
  box.replaceChildren(
    element('h2', 'label', open.length === 1 ? '1 note' : `${open.length} notes`),
    ...open.map(note => {
      const row = element('div', 'noteline');
      const word = button(
        'btn-quiet',
        `“${note.word}”`,
        () => {
          if (note.index >= 0) pick(note.index);
        },
        `Choose “${note.word}”`,
      );
      row.append(
        word,
        element('span', '', note.index < 0 ? `${note.remark} (its word is gone)` : note.remark),
        button(
          'btn-quiet',
          'Done',
          async () => {
            await outcome(ask('POST', `${project}/notes/${note.id}/done`, new FormData()));
            changed();
          },
          `Done: ${note.remark}`,
        ),
      );
      return row;
    }),
  );
}
