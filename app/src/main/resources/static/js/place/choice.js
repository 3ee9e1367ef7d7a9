// Which cues are chosen to be placed together, and what can be done with them.

import { element } from '../app.js';

/**
 * @param bar  shown while some are chosen
 * @param {{changed: Function, place: Function, fit: Function}} acts place(ids, fields), fit(ids)
 */
export function choice(bar, acts) {
  const ids = new Set();
  const told = bar.querySelector('[role=status]');
  const kind = bar.querySelector('select');

  function changed() {
    bar.hidden = ids.size === 0;
    told.textContent = ids.size === 1 ? '1 cue chosen' : `${ids.size} cues chosen`;
    acts.changed();
  }
  kind.addEventListener('change', () => {
    if (kind.value) acts.place([...ids], kind.value);
    kind.value = '';
  });
  bar.querySelector('[data-fit]').addEventListener('click', () => acts.fit([...ids]));
  bar.querySelector('[data-none]').addEventListener('click', () => {
    ids.clear();
    changed();
  });

  return {
    has: id => ids.has(id),
    ids: () => [...ids],
    set(id, on) {
      if (on) ids.add(id);
      else ids.delete(id);
      changed();
    },
    toggle(id) {
      this.set(id, !ids.has(id));
    },
    all(every, on) {
      ids.clear();
      if (on) every.forEach(id => ids.add(id));
      changed();
    },
    /** Those that are no longer there aren't chosen either. */
    keep(every) {
      const gone = [...ids].filter(id => !every.includes(id));
      gone.forEach(id => ids.delete(id));
      if (gone.length) changed();
    },
    /** The box at the head of a row. */
    box(row) {
      const made = element('input', '');
      made.type = 'checkbox';
      made.checked = ids.has(row.id);
      made.setAttribute('aria-label', `Choose cue ${row.number}`);
      made.addEventListener('change', () => this.set(row.id, made.checked));
      return made;
    },
  };
}
