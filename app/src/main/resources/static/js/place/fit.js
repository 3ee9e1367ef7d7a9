// Making cues fit their slots: what would come of it is shown first, and each can be left out.

import { element, say } from '../app.js';
import { ask, outcome } from '../ask.js';

const seconds = value => `${value.toFixed(2)} s`;

/** The text of a cue with what could go marked in it. */
function couldGo({ text, could }) {
  const made = element('p', 'couldgo');
  let from = 0;
  [...could]
    .sort((a, b) => a.start - b.start)
    .forEach(stretch => {
      made.append(text.slice(from, stretch.start), element('mark', '', text.slice(stretch.start, stretch.end)));
      from = stretch.end;
    });
  made.append(text.slice(from));
  return made;
}

/** @param address of the step @param applied told when cues were directed */
export function fitDialog(dialog, address, applied) {
  const rows = dialog.querySelector('#fit-rows');
  const told = dialog.querySelector('#fit-told');
  const apply = dialog.querySelector('#fit-apply');
  const borrow = dialog.querySelector('#fit-borrow');
  const loosen = dialog.querySelector('#fit-loosen');
  let only = [];
  const tell = sentence => {
    told.textContent = sentence;
  };

  const asked = () => new URLSearchParams({ borrow: borrow.checked, loosen: loosen.checked });
  const ticked = () => [...rows.querySelectorAll('input:checked')].map(input => input.value);

  function row(one) {
    const made = element('tr', '');
    const tick = element('input', '');
    Object.assign(tick, { type: 'checkbox', value: one.cue, checked: true });
    tick.setAttribute('aria-label', `Cue ${one.number}`);
    const label = element('label', 'tick');
    label.append(tick, one.number);
    [label, seconds(one.now), seconds(one.slot)].forEach(content => {
      const td = element('td', 'figures');
      td.append(content);
      made.append(td);
    });
    const way = element('td', '');
    way.append(one.way || 'unchanged');
    if (one.could.length) way.append(couldGo(one));
    made.append(way, element('td', 'figures', seconds(one.result)));
    return made;
  }

  async function preview() {
    const all = await outcome(ask('GET', `${address}/fit?${asked()}`), tell);
    if (!all) return;
    const shown = all.filter(one => !only.length || only.includes(one.cue));
    rows.replaceChildren(...shown.map(row));
    dialog.querySelector('.scrolling').hidden = shown.length === 0;
    const cut = shown.filter(one => !one.fits).length;
    told.textContent =
      shown.length === 0
        ? 'Every rendered cue fits its slot.'
        : cut
          ? `${cut === 1 ? '1 cue doesn’t'
              : `${cut} cues don’t`} come to fit without words cut by hand; what could go is marked.`
          : '';
    apply.disabled = shown.length === 0;
  }

  [borrow, loosen].forEach(one => one.addEventListener('change', preview));
  rows.addEventListener('change', () => {
    apply.disabled = ticked().length === 0;
  });
  apply.addEventListener('click', async () => {
    const form = new FormData();
    asked().forEach((value, name) => form.append(name, value));
    ticked().forEach(cue => form.append('only', cue));
    const done = await outcome(ask('POST', `${address}/fit`, form), tell);
    if (!done) return;
    dialog.close();
    say(done.sentence);
    applied();
  });
  dialog.querySelector('[data-close]').addEventListener('click', () => dialog.close());
  /** @param cues that it is about; none for all */
  return async (cues = []) => {
    only = cues;
    await preview();
    dialog.showModal();
  };
}
