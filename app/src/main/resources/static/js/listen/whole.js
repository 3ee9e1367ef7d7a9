// What is done to the takes of many cues at once: keeping, rendering again, comparing whole versions, cleaning up.

import { element } from '../app.js';
import { ask, askPriced, formOf, outcome } from '../ask.js';

const megabytes = bytes => `${(bytes / 1e6).toFixed(1)} MB`;

/** @param {{version: Function, changed: Function}} acts version(name, takes) */
export function wholePanel(box, project, acts) {
  const address = `/projects/${project}/listen`;
  const versions = box.querySelector('#version');
  const space = box.querySelector('#space-told');
  const scene = () => box.querySelector('#whole-scene').value;

  async function send(path, fields = {}) {
    if (await outcome(ask('POST', address + path, formOf(fields)))) acts.changed();
    load();
  }

  async function load() {
    const [list, room] = await Promise.all([ask('GET', `${address}/versions`), ask('GET', `${address}/storage`)]);
    const chosen = versions.value;
    versions.replaceChildren(new Option('none', ''), ...list.map(one => new Option(one.name, one.id)));
    versions.value = list.some(one => one.id === chosen) ? chosen : '';
    const { takes, all, loose, looseBytes, deleted, deletedBytes } = room;
    space.textContent = `${takes} take${takes === 1 ? '' : 's'} of this project use ${megabytes(all - deletedBytes)}.`;
    const clean = box.querySelector('#clean');
    clean.disabled = loose === 0;
    clean.textContent = loose === 0 ? 'Nothing to clean up' : `Delete ${loose} unused`;
    box.querySelector('#clean-told').textContent =
      loose === 0
        ? 'Every take is kept, starred, named, labelled or noted.'
        : `Neither kept nor starred, named, labelled or noted. They can be restored; ` +
        `emptied, they free ${megabytes(looseBytes)}.`;
    const empty = box.querySelector('#empty');
    empty.disabled = deleted === 0;
    empty.textContent = deleted === 0 ? 'No deleted takes' : `Empty ${deleted} deleted take${deleted === 1 ? '' : 's'}`;
    box.querySelector('#empty-told').textContent =
      deleted === 0 ? '' : `Frees ${megabytes(deletedBytes)}, and can’t be undone.`;
  }

  box
    .querySelector('#keep-many')
    .addEventListener('click', () =>
      send('/keep', { choice: box.querySelector('#whole-choice').value, scene: scene() }),
    );
  box
    .querySelector('#again')
    .addEventListener('click', () =>
      outcome(askPriced(`${address}/again`, { scene: scene() }, 'Press it again to agree.')),
    );
  box.querySelector('#clean').addEventListener('click', () => send('/clean'));
  box.querySelector('#empty').addEventListener('click', () => send('/empty'));
  versions.addEventListener('change', async () => {
    if (!versions.value) {
      acts.version('', null);
      return;
    }
    const there = await ask('GET', `${address}/versions/${versions.value}`);
    const count = Object.keys(there).length;
    box
      .querySelector('#version-told')
      .replaceChildren(
        count === 0
          ? 'No cue sounds different there.'
          : `${count} cue${count === 1 ? '' : 's'} sound${count === 1 ? 's' : ''} different there. `,
        ...(count ? [element('kbd', '', 'V'), ' switches at the same word.'] : []),
      );
    acts.version(versions.selectedOptions[0].textContent, there);
  });
  return { load };
}
