// What happened, in one list, and how it was then.

import { button, element } from '../app.js';
import { ask } from '../ask.js';

const KINDS = {
  takes: ['made', 'kept', 'deleted', 'restored', 'emptied'],
  words: ['words'],
  notes: ['noted', 'note_done', 'note_reopened', 'note_deleted', 'approved', 'withdrawn'],
  voices: ['recast', 'directed'],
  deliveries: ['delivered'],
};

/** @param {{hear: Function, keep: Function}} acts hear(sound), keep(take) */
export function historyPanel(box, project, acts) {
  const list = box.querySelector('#historylist');
  const kind = box.querySelector('#history-kind');
  const whole = box.querySelector('#history-whole');
  let cue = null;

  async function load() {
    const all = await ask('GET', `/projects/${project}/history${whole.checked || !cue ? '' : `?cue=${cue}`}`);
    const lines = all.filter(line => !kind.value || KINDS[kind.value].includes(line.what));
    list.replaceChildren(...(lines.length ? lines.map(item) : [element('li', 'soft', 'Nothing of this kind yet.')]));
  }

  function item(line) {
    const made = element('li', '');
    made.append(
      element('span', 'figures soft', line.when),
      ' ',
      element('span', '', `${whole.checked && line.number ? `${line.number} ` : ''}${line.told}`),
    );
    const what = line.cue ?? (whole.checked ? null : cue);
    if (what)
      made.append(
        ' ',
        button('btn-quiet', 'Play as it was', () => then(what, line, made), `Cue as it was on ${line.when}`),
      );
    return made;
  }

  async function then(what, line, row) {
    const was = await ask('GET', `/projects/${project}/cues/${what}/then?at=${encodeURIComponent(line.at)}`);
    row.querySelector('.then')?.remove();
    const box = element('div', 'then');
    box.append(element('p', 'reading', was.words));
    if (!was.otherWords) box.append(element('p', 'soft', 'The words are the same now.'));
    if (was.sound) {
      box.append(button('btn-quiet', `hear ${was.name}`, () => acts.hear(what, was.sound)));
      if (!was.kept) box.append(button('btn-quiet', `keep ${was.name} again`, () => acts.keep(was.take)));
    } else {
      box.append(element('p', 'soft', 'No take was kept then, or its sound was emptied.'));
    }
    row.append(box);
  }

  kind.addEventListener('change', load);
  whole.addEventListener('change', load);
  return {
    show(now) {
      cue = now;
      if (!box.hidden) load();
    },
    load,
  };
}
