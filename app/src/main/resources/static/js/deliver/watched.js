// The folder whose scripts become clips like this project: only where the settings name a root for such folders.

import { element } from '../app.js';
import { ask, glance, outcome } from '../ask.js';

const part = document.getElementById('watched');
const told = document.getElementById('watched-told');
const untold = document.getElementById('watched-untold');
const watch = document.getElementById('watch');
const stop = document.getElementById('watch-stop');
const address = `/projects/${document.getElementById('transport').dataset.project}/watched`;

async function state() {
  const now = await glance(ask('GET', address));
  if (!now) return;
  part.hidden = !now.offered;
  watch.hidden = now.folder !== '';
  stop.hidden = now.folder === '';
  const where = `Scripts put into ${now.folder} become clips beside them, with this project’s settings.`;
  if (now.folder && told.textContent !== where) told.textContent = where;
  untold.replaceChildren(...now.untold.map(sentence => element('p', 'notice brick', sentence)));
  untold.hidden = now.untold.length === 0;
}

async function act(path) {
  let came = '';
  await outcome(ask('POST', path, new FormData()), sentence => {
    came = sentence;
  });
  await state();
  told.textContent = came;
}

watch.addEventListener('click', () => act(address));
stop.addEventListener('click', () => act(`${address}/stop`));
state();
// what becomes of scripts is told here while nobody presses anything
setInterval(() => {
  if (!document.hidden && !stop.hidden) state();
}, 10_000);
