// Notes on words: written where the ear stops, done in a later take.

import { button, element } from '../app.js';
import { ask, formOf, outcome } from '../ask.js';
import { changes, edits } from './may.js';

/** @param {{changed: Function, goTo: Function, back: Function}} acts goTo(note) */
export function notesPanel(box, project, acts) {
  const list = box.querySelector('#notelist');
  const writer = box.querySelector('#notewriter');
  const field = writer.querySelector('textarea');
  let meant = null;

  async function send(address, fields) {
    const done = await outcome(ask('POST', `/projects/${project}${address}`, formOf(fields)));
    if (done) acts.changed();
    return done !== null;
  }

  function close() {
    writer.hidden = true;
    meant = null;
    acts.back();
  }

  async function save() {
    const written = field.value.trim();
    if (!written) {
      close();
      return;
    }
    const done = meant.note
      ? await send(`/notes/${meant.note.id}`, { remark: written, version: meant.note.version })
      : await send(`/cues/${meant.cue}/notes`, {
          ...(meant.take ? { heard: meant.take } : {}),
          at: meant.at,
          remark: written,
        });
    // what could not be saved stays where it was written
    if (done) {
      field.value = '';
      close();
    }
  }

  writer.addEventListener('submit', event => {
    event.preventDefault();
    save();
  });
  field.addEventListener('keydown', event => {
    if (event.key === 'Enter' && !event.shiftKey) {
      event.preventDefault();
      save();
    }
    if (event.key === 'Escape') {
      event.preventDefault();
      close();
    }
  });
  writer.querySelector('[data-leave]').addEventListener('click', close);

  function item(note) {
    const made = element('li', `note${note.open ? '' : ' done'}`);
    const head = element('div', 'line');
    const word = button('word', `“${note.word}”`, () => acts.goTo(note), `Hear cue ${note.number} from “${note.word}”`);
    head.append(
      word,
      element(
        'span',
        `pill${note.open ? ' amber' : ''}`,
        note.open ? 'open' : note.doneTake ? `done in ${note.doneTake}` : 'done',
      ),
    );
    made.append(head);
    if (note.start < 0)
      made.append(
        element('p', 'gone', note.number ? 'Its word is gone from the cue.' : 'Its cue has left the script.'),
      );
    made.append(element('p', 'remark', note.remark));
    const acting = element('div', 'acts');
    if (note.number && edits) {
      const direct = element('a', 'btn-quiet', 'Direct');
      direct.href = `/projects/${project}/direct?cue=${note.cue}${note.index >= 0 ? `&word=${note.index}` : ''}`;
      acting.append(direct);
    }
    if (edits)
      acting.append(
        note.open
          ? button('btn-quiet', 'Done', () => send(`/notes/${note.id}/done`, {}), `Done: ${note.remark}`)
          : button('btn-quiet', 'Reopen', () => send(`/notes/${note.id}/open`, {})),
      );
    if (changes(note))
      acting.append(
        button('btn-quiet', 'Edit', () => write({ note, word: note.word }), `Change the note on “${note.word}”`),
        button(
          'btn-quiet danger',
          'Delete',
          async () => {
            if (await send(`/notes/${note.id}/delete`, {})) offerBack(note);
          },
          `Delete the note on “${note.word}”`,
        ),
      );
    acting.append(
      element(
        'span',
        'soft when',
        `${note.writer ? `${note.writer}, ` : ''}${note.take ? `${note.take}, ` : ''}${note.when}`,
      ),
    );
    made.append(acting);
    return made;
  }

  function offerBack(note) {
    const back = box.querySelector('#noteback');
    back.replaceChildren(
      'The note was deleted. ',
      button('btn-quiet', 'Undo', () => {
        back.hidden = true;
        send(`/notes/${note.id}/restore`, {});
      }),
    );
    back.hidden = false;
  }

  /** @param what cue, at, take and word of a new one; note and word of one that is there */
  function write(what) {
    // a note that is being written isn't thrown away by another keystroke
    if (!writer.hidden && field.value.trim() && !what.note) {
      field.focus();
      return;
    }
    meant = what;
    writer.hidden = false;
    writer.querySelector('label').textContent = what.note ? `The note on “${what.word}”` : `Note on “${what.word}”`;
    field.value = what.note?.remark ?? '';
    field.focus();
  }

  return {
    write,
    show(notes) {
      const empty = element('li', 'soft', 'No notes on this cue. N stops and writes a note at this word.');
      list.replaceChildren(...(notes.length ? notes.map(item) : [empty]));
    },
  };
}
