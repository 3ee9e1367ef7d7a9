// The lists of sound files: brought in, heard, trimmed, levelled, noted where they are from.

import { button, element, say } from '../app.js';
import { ask, formOf, outcome, send } from '../ask.js';
import * as player from '../player.js';

const LISTS = [
  ['project', 'This project'],
  ['workspace', 'All projects'],
  ['along', 'Built in'],
];
const limits = document.querySelector('.frame').dataset;
const seconds = value => `${value.toFixed(value < 10 ? 2 : 1)} s`;

/** @param changed told when a list is another one */
export function soundLists(box, address, changed) {
  const open = new Set();

  async function post(path, fields = {}) {
    const done = await outcome(ask('POST', `${address}/sounds${path}`, formOf(fields)));
    await changed();
    return done !== null;
  }

  async function bring(files) {
    for (const file of files) {
      say(`Importing ${file.name}…`);
      const sound = await outcome(send(`${address}/sounds?name=${encodeURIComponent(file.name)}`, file));
      if (sound) open.add(sound.id);
    }
    await changed();
  }

  async function remove(sound) {
    if (!(await post(`/${sound.id}/delete`))) return;
    const back = button('btn-quiet', `Restore “${sound.name}”`, () => {
      post(`/${sound.id}/restore`);
      back.remove();
    });
    box.querySelector('#sounds-back').replaceChildren(back);
  }

  function field(sound, name, label, value, more = {}) {
    const input = element('input', 'form-control');
    Object.assign(input, { value, ...more });
    input.dataset.field = `${sound.id} ${name}`;
    input.dataset.was = input.value;
    input.addEventListener('change', () => {
      input.dataset.was = input.value;
      const number = input.type === 'number';
      post(`/${sound.id}`, { [name]: number ? input.value.replace('−', '-').replace(',', '.') : input.value });
    });
    const wrapped = element('label', '', label);
    wrapped.append(input);
    return wrapped;
  }

  const number = (least, most, step) => ({ type: 'number', min: least, max: most, step });

  function fields(sound) {
    const form = element('div', 'soundfields');
    if (sound.list === 'along') {
      form.append(element('p', 'soft', `Licence: ${sound.licence}.`));
      return form;
    }
    const shared = element('label', 'tick');
    const tick = element('input', '');
    Object.assign(tick, { type: 'checkbox', checked: sound.list === 'workspace' });
    tick.addEventListener('change', () => post(`/${sound.id}`, { shared: tick.checked }));
    shared.append(tick, ' All projects');
    form.append(
      field(sound, 'name', 'Name', sound.name, { type: 'text', maxLength: Number(limits.longestName) }),
      field(sound, 'licence', 'Source and licence', sound.licence, {
        type: 'text',
        maxLength: Number(limits.longestLicence),
        placeholder: 'recorded by myself',
      }),
      field(sound, 'from', 'In point, s', sound.from.toFixed(2), number(0, sound.whole, 0.01)),
      field(sound, 'to', 'Out point, s', sound.to.toFixed(2), number(0, sound.whole, 0.01)),
      field(sound, 'ownDb', 'Gain, dB', sound.ownDb, number(-Number(limits.ownDb), Number(limits.ownDb), 0.5)),
      shared,
      button('btn-quiet danger', 'Remove', () => remove(sound), `Remove ${sound.name} from the list`),
    );
    return form;
  }

  function row(sound) {
    const details = element('details', 'sound');
    details.open = open.has(sound.id);
    details.addEventListener('toggle', () => {
      if (details.open) open.add(sound.id);
      else open.delete(sound.id);
    });
    const summary = element('summary', '');
    summary.append(
      element('b', '', sound.name),
      element('span', 'soft figures', seconds(sound.to - sound.from)),
      element('span', 'soft', sound.uses ? `in ${sound.uses} place${sound.uses === 1 ? '' : 's'}` : ''),
    );
    details.append(summary, fields(sound));
    const line = element('li', '');
    line.append(
      button(
        'play',
        '▶',
        () => (player.isPlaying() ? player.stop() : player.play(sound.heard).catch(error => say(error.message))),
        `Play ${sound.name}`,
      ),
      details,
    );
    return line;
  }

  function show(sounds) {
    const list = box.querySelector('#soundlist');
    list.replaceChildren(
      ...LISTS.flatMap(([id, title]) => {
        const own = sounds.filter(sound => sound.list === id);
        return own.length ? [element('li', 'label', title), ...own.map(row)] : [];
      }),
    );
  }

  const input = box.querySelector('#sound-files');
  input.addEventListener('change', async () => {
    await bring(input.files);
    input.value = '';
  });
  const drop = box.querySelector('#sound-drop');
  drop.addEventListener('dragover', event => {
    event.preventDefault();
    drop.classList.add('over');
  });
  drop.addEventListener('dragleave', () => drop.classList.remove('over'));
  drop.addEventListener('drop', event => {
    event.preventDefault();
    drop.classList.remove('over');
    bring(event.dataTransfer.files);
  });
  return { show };
}
