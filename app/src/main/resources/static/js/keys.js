// One table of keys for a page: it binds them, and the page of shortcuts is made from it.

import { button, element, typing } from './app.js';

/**
 * @param table rows of {keys: ['Shift+U'], what: 'sentence', group, act(event)}; a key is named as the browser names
 * it,   with Ctrl+, Alt+ and Shift+ before it in this order
 */
export function bind(table) {
  const acts = new Map(table.flatMap(row => row.keys.map(key => [key, row])));
  document.addEventListener(
    'keydown',
    event => {
      if (event.defaultPrevented || typing(event.target) || event.target.closest?.('dialog')) return;
      const letter = event.key.length === 1 ? event.key.toUpperCase() : event.key;
      const shifted = event.shiftKey && (event.key.length > 1 || /[A-Z ]/.test(letter));
      const name = `${event.ctrlKey || event.metaKey ? 'Ctrl+' : ''}${event.altKey ? 'Alt+' : ''}${shifted ? 'Shift+'
          : ''}${letter === ' ' ? 'Space' : letter}`;
      const row = acts.get(name);
      if (!row || row.act(event) === false) return;
      event.preventDefault();
    },
    true,
  );
}

// a plus between names joins them; alone it is a key
const pretty = key =>
  key
    .split(/(?<=.)\+(?=.)/)
    .map(part => ({ ArrowLeft: '←', ArrowRight: '→', ArrowUp: '↑', ArrowDown: '↓', Delete: 'Del' })[part] ?? part);

/** Fills a dialog with the table, group by group. */
export function explain(dialog, table) {
  const groups = [...new Set(table.map(row => row.group))];
  dialog.replaceChildren(
    element('h2', '', 'Keys'),
    ...groups.map(group => {
      const section = element('section', 'keygroup');
      const list = element('dl', '');
      table
        .filter(row => row.group === group)
        .forEach(row => {
          const term = element('dt', '');
          row.keys.forEach((key, i) => {
            if (i) term.append(' ');
            pretty(key).forEach(part => term.append(element('kbd', '', part)));
          });
          list.append(term, element('dd', '', row.what));
        });
      section.append(element('h3', 'label', group), list);
      return section;
    }),
    button('btn btn-plain', 'Close', () => dialog.close()),
  );
}
