// Cues of a link: their words, notes, and whether they are approved.

import { button, element } from '../app.js';

const box = one => document.querySelector(`[data-cue="${one.id}"]`);

/** @param acts what one can do: choose, hear, approve */
export function drawCues(into, shown, acts) {
  const open = into.querySelector('.writing');
  let scene = null;
  const parts = [];
  shown.cues.forEach((one, i) => {
    if (one.scene && one.scene !== scene) parts.push(element('h2', 'scene', one.scene));
    scene = one.scene;
    const card = element('article', one.approved ? 'sharedcue approved' : 'sharedcue');
    card.dataset.cue = one.id;
    card.style.setProperty('--role', `var(--role-${one.colour})`);
    const side = element('div', 'side');
    side.append(element('span', 'figures', one.number), element('span', 'who', one.role));
    const text = element('p', 'reading', one.text);
    text.addEventListener('click', async event => {
      await acts.choose(i, 0);
      // its words are there now: which of them was touched
      const touched = document.elementFromPoint(event.clientX, event.clientY)?.closest('.w');
      if (touched) acts.hear(i, Number(touched.dataset.word));
      else acts.hear(i, 0);
    });
    const approve = button(
      one.approved ? 'btn-quiet' : 'btn btn-plain',
      one.approved ? `✓ approved by ${one.approved}` : 'Approve',
      () => acts.approve(one),
      one.approved ? `Cue ${one.number} is approved by ${one.approved}: withdraw` : `Approve cue ${one.number}`,
    );
    approve.setAttribute('aria-pressed', String(Boolean(one.approved)));
    approve.disabled = !one.ready && !one.approved;
    const foot = element('div', 'foot');
    foot.append(one.ready ? approve : element('span', 'soft', 'being changed'));
    const notes = element('ul', 'sharednotes');
    notes.append(
      ...shown.notes
        .filter(note => note.cue === one.id)
        .map(note => {
          const line = element('li', note.open ? '' : 'done');
          line.append(
            element('b', 'reading', `“${note.word}”`),
            element('span', '', note.remark),
            element('span', 'soft', `${note.writer}${note.open ? '' : ' · done'}`),
          );
          return line;
        }),
    );
    card.append(side, text, notes, foot);
    parts.push(card);
  });
  into.replaceChildren(...parts);
  // a note that is being written stays
  if (open) into.querySelector(`[data-cue="${open.dataset.of}"] .foot`)?.before(open);
}

/** Parts the words of a cue, so that one of them can light up. @param times of its words, in order */
export function spoken(one, times, notes) {
  const text = box(one)?.querySelector('p.reading');
  if (!text || text.dataset.parted) return;
  text.dataset.parted = 'yes';
  const mine = notes.filter(note => note.cue === one.id);
  const parts = [];
  let end = 0;
  times.forEach((time, i) => {
    parts.push(document.createTextNode(one.text.slice(end, time.start)));
    const span = element(
      'span',
      mine.some(note => note.start < time.end && note.end > time.start) ? 'w noted' : 'w',
      one.text.slice(time.start, time.end),
    );
    span.dataset.word = i;
    parts.push(span);
    end = time.end;
  });
  parts.push(document.createTextNode(one.text.slice(end)));
  text.replaceChildren(...parts);
}

/** Lights a word of a cue, and no other. */
export function marked(one, word, scroll) {
  document
    .querySelectorAll('.sharedcue.current')
    .forEach(card => card.classList.toggle('current', card.dataset.cue === one.id));
  document.querySelectorAll('.w.now').forEach(span => span.classList.remove('now'));
  const card = box(one);
  card?.classList.add('current');
  const now = card?.querySelector(`.w[data-word="${word}"]`);
  now?.classList.add('now');
  const seen = card?.getBoundingClientRect();
  if (seen && (scroll || seen.bottom < 80 || seen.top > window.innerHeight - 120))
    card.scrollIntoView({ block: 'center' });
}
