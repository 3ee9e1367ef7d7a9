// Times of the picture from a file: shown first, corrected, then taken.

import { element, say } from '../app.js';
import { ask, outcome } from '../ask.js';
import { counted } from '../counted.js';
import * as transport from '../transport.js';

/** @param address of the step @param taken told when slots have changed */
export function timesDialog(dialog, address, taken) {
  const told = dialog.querySelector('#times-told');
  const rows = dialog.querySelector('#times-rows');
  const take = dialog.querySelector('#times-take');
  const file = dialog.querySelector('#times-file');
  const text = dialog.querySelector('#times-text');
  let slots = [];
  const tell = sentence => {
    told.textContent = sentence;
  };

  async function read() {
    const form = new FormData();
    if (file.files.length) form.append('file', file.files[0]);
    else form.append('text', text.value);
    const found = await outcome(ask('POST', `${address}/times`, form), tell);
    slots = found?.slots ?? [];
    const matched = slots.filter(slot => slot.cue).length;
    const moved = slots.filter(slot => slot.was).length;
    if (found)
      tell(
        `${found.format[0].toUpperCase()}${found.format.slice(1)}: ${counted(slots.length, 'slot')}, ` +
          `${matched} for a cue${moved ? `, ${moved} moved` : ''}.` +
          (found.guessed.length ? ` Understood as ${found.guessed.join('; ')}.` : ''),
      );
    rows.closest('.scrolling').hidden = slots.length === 0;
    take.hidden = slots.length === 0;
    rows.replaceChildren(...slots.map(row));
  }

  function row(slot, i) {
    const made = element('tr', '');
    const cue = element('select', 'form-select');
    cue.setAttribute('aria-label', `Cue for slot ${i + 1}`);
    cue.append(
      new Option('none', ''),
      ...transport.all().map(one => new Option(`${one.number} ${one.words.slice(0, 24)}`, one.id)),
    );
    cue.value = slot.cue ?? '';
    cue.addEventListener('change', () => {
      slot.cue = cue.value || null;
    });
    const td = content => {
      const cell = element('td', '');
      cell.append(content);
      return cell;
    };
    made.append(
      td(`${slot.number} ${slot.name}`.trim() || String(i + 1)),
      td(element('span', 'figures', slot.in)),
      td(element('span', 'figures', slot.out)),
      td(cue),
      td(element('span', 'figures soft', slot.was ?? '')),
    );
    return made;
  }

  dialog.querySelector('#times-read').addEventListener('click', read);
  file.addEventListener('change', read);
  take.addEventListener('click', async () => {
    const twice = slots.map(slot => slot.cue).filter((cue, i, all) => cue && all.indexOf(cue) !== i);
    if (twice.length) {
      tell('A cue has one slot only. Choose another cue for the second.');
      return;
    }
    const done = await outcome(
      ask('POST', `${address}/times/take`, {
        slots: slots.map(({ inMillis, outMillis, number, name, cue }) => ({ inMillis, outMillis, number, name, cue })),
      }),
      tell,
    );
    if (!done) return;
    dialog.close();
    say(done.sentence);
    taken();
  });
  dialog.querySelector('[data-close]').addEventListener('click', () => dialog.close());
  return () => {
    tell('');
    file.value = '';
    rows.closest('.scrolling').hidden = true;
    take.hidden = true;
    dialog.showModal();
  };
}
