// The table of cues in time: each field is typed into, and says at once what comes of it.

import { button, element } from '../app.js';

const KINDS = [
  ['follow', 'follows'],
  ['fixed', 'fixed'],
  ['slot', 'in its slot'],
];

function field(value, label, act) {
  const made = element('input', 'form-control');
  made.value = value;
  made.dataset.was = value;
  made.setAttribute('aria-label', label);
  made.addEventListener('change', () => {
    if (made.value.trim() !== made.dataset.was) act(made.value.trim());
  });
  made.addEventListener('keydown', event => {
    if (event.key === 'Escape') made.value = made.dataset.was;
  });
  return made;
}

function select(value, options, label, act) {
  const made = element('select', 'form-select');
  options.forEach(([id, text]) => made.append(new Option(text, id)));
  made.value = value;
  made.setAttribute('aria-label', label);
  made.addEventListener('change', () => act(made.value));
  return made;
}

const cell = (name, ...parts) => {
  const made = element('td', name);
  made.append(...parts);
  return made;
};

/** What settles a finding in one step. */
function settling(one, found, acts) {
  const quiet = (text, act, label) => button('btn-quiet', text, act, `${label} ${one.number}`);
  switch (found.kind) {
    case 'over-slot':
      return one.measured ? quiet('Make it fit', () => acts.fit(one.id), 'Make it fit: cue') : null;
    case 'overlap':
      return quiet('Follow the cue before', () => acts.place(one, { kind: 'follow' }), 'Follow the cue before: cue');
    case 'no-slot':
      return quiet('Follow the cue before', () => acts.place(one, { kind: 'follow' }), 'Follow the cue before: cue');
    case 'early':
      return quiet('Remove offset', () => acts.place(one, { kind: 'slot', offset: '0' }), 'Remove the offset of cue');
    case 'gap':
      return quiet('Move later', () => acts.move(one.id, found.frames), 'Move it later: cue');
    default:
      return null;
  }
}

/** @param acts place(row, fields), choose(id), fit(id), hear(id), move(id, frames), box(row), drop(slot) */
export function placeTable(body, acts) {
  /** A slot of the picture for which there is no cue. */
  function leftRow(slot) {
    const made = element('tr', 'leftslot');
    const name = cell('cuecell', element('span', 'role', 'no cue'), element('span', 'reading', slot.name));
    const todo = cell(
      'todo',
      element('p', '', 'The picture leaves time here.'),
      button('btn-quiet', 'Remove slot', () => acts.drop(slot.id), `Remove the slot at ${slot.in}`),
    );
    made.append(
      cell(''),
      name,
      cell(''),
      cell(''),
      cell(''),
      cell(''),
      cell('slotcell', element('span', 'figures', `${slot.in} – ${slot.out}`)),
      cell(''),
      todo,
    );
    return made;
  }

  function row(one) {
    const made = element('tr', '');
    made.dataset.cue = one.id;
    const cue = cell(`cuecell role-${one.colour}`);
    if (one.firstOf) cue.append(element('span', 'scenename', one.firstOf));
    cue.append(
      button(
        'btn-quiet',
        one.number,
        () => {
          acts.choose(one.id);
          acts.hear(one.id);
        },
        `Play cue ${one.number}`,
      ),
      element('span', 'role', one.role),
      element('span', 'reading', one.words),
    );
    const slotted = one.kind === 'slot';
    const stands = cell(
      '',
      select(one.kind, KINDS, `Position of cue ${one.number}`, kind => acts.place(one, { kind })),
    );
    if (slotted)
      stands.append(
        ' ',
        select(
          one.anchor,
          [
            ['start', 'at its start'],
            ['middle', 'in its middle'],
            ['end', 'at its end'],
          ],
          `Position of cue ${one.number} in its slot`,
          anchor => acts.place(one, { kind: 'slot', anchor }),
        ),
      );
    const inside =
      one.kind === 'fixed'
        ? field(one.in, `Cue ${one.number} starts at`, value => acts.place(one, { kind: 'fixed', in: value }))
        : element('span', 'figures', one.in);
    const slot = cell('slotcell');
    if (slotted) {
      slot.append(
        field(one.slotIn, `Slot of cue ${one.number} begins at`, value => acts.place(one, { kind: 'slot', in: value })),
        ' ',
        field(one.slotOut, `Slot of cue ${one.number} ends at`, value => acts.place(one, { kind: 'slot', out: value })),
      );
    } else {
      slot.append(element('span', 'soft', '–'));
    }
    const over = one.spare !== null && one.spare < 0;
    const todo = cell(
      'todo',
      ...one.found.flatMap(found => [element('p', '', found.sentence), settling(one, found, acts)]).filter(Boolean),
      ...one.noted.map(note => element('p', 'notedhere', `Note on “${note.word}”: ${note.remark}`)),
    );
    made.append(
      cell('', acts.box(one)),
      cue,
      stands,
      cell('', inside),
      cell('', element('span', 'figures', one.out)),
      cell('', element('span', 'figures', `${one.measured ? '' : '≈ '}${one.runs}`)),
      slot,
      cell(
        '',
        element(
          'span',
          over ? 'figures over' : 'figures',
          one.spare === null ? '' : `${one.spare < 0 ? '−' : ''}${Math.abs(one.spare)} f`,
        ),
      ),
      todo,
    );
    made.addEventListener('focusin', () => acts.choose(one.id));
    made.addEventListener('click', event => {
      if (!event.target.closest('input[type=checkbox]')) acts.choose(one.id);
    });
    return made;
  }

  let shown = new Map();
  return {
    /** Only rows that say something else are made anew: the one under the hand stays. */
    show(table, chosen) {
      const now = new Map();
      const rows = table.rows.map((plain, i) => {
        const one = {
          ...plain,
          firstOf: plain.scene === table.rows[i - 1]?.scene ? '' : plain.scene,
          noted: table.notes.filter(note => note.cue === plain.id),
        };
        // where it starts moves with every cue before it: the row shows its timecode alone
        const key = JSON.stringify({ ...one, startSeconds: 0, slotFrom: 0 });
        const there = shown.get(one.id);
        const kept = there?.key === key ? there.row : row(one);
        now.set(one.id, { key, row: kept });
        return kept;
      });
      const focused = document.activeElement;
      const label = body.contains(focused) ? focused.getAttribute('aria-label') : null;
      shown = now;
      const left = table.left.map(leftRow);
      if (
        rows.length + left.length !== body.rows.length ||
        rows.some((made, i) => made !== body.rows[i]) ||
        left.length
      )
        body.replaceChildren(...rows, ...left);
      if (label)
        [...body.querySelectorAll('[aria-label]')].find(one => one.getAttribute('aria-label') === label)?.focus();
      this.choose(chosen);
    },
    choose(id) {
      [...body.rows].forEach(one => one.classList.toggle('chosen', one.dataset.cue === id));
    },
  };
}
