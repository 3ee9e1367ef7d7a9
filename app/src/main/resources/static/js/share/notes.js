// Writing a note at a word of a link's cue.

import { button, element } from '../app.js';

/** @param place of the word in the cue's text @param note sends it; true when it is there */
export function write(one, place, note) {
  document.querySelector('.writing')?.remove();
  const form = element('form', 'writing');
  form.dataset.of = one.id;
  const label = element('label', '', `At “${one.text.slice(place.start, place.end)}”`);
  label.htmlFor = 'remark';
  const text = element('textarea', 'form-control');
  Object.assign(text, {
    id: 'remark',
    rows: 2,
    maxLength: Number(document.getElementById('shared').dataset.longestNote),
    required: true,
  });
  const row = element('div', 'row-of-buttons');
  const send = element('button', 'btn btn-sea', 'Save note');
  row.append(
    send,
    button('btn-quiet', 'Cancel', () => form.remove()),
  );
  form.append(label, text, row);
  form.addEventListener('submit', async event => {
    event.preventDefault();
    send.disabled = true;
    // what was written stays until it is there
    if (await note(one, place.start, text.value)) document.querySelector('.writing')?.remove();
    else send.disabled = false;
  });
  text.addEventListener('keydown', event => {
    if (event.key === 'Escape') form.remove();
    if (event.key === 'Enter' && !event.shiftKey) {
      event.preventDefault();
      form.requestSubmit();
    }
  });
  document.querySelector(`[data-cue="${one.id}"] .foot`).before(form);
  form.scrollIntoView({ block: 'nearest' });
  text.focus();
}
