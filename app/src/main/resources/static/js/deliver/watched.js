// The folder whose scripts become clips like this project: only where the settings name a root for such folders.

import { ask, element } from '../app.js';

const part = document.getElementById('watched');
const told = document.getElementById('watched-told');
const untold = document.getElementById('watched-untold');
const watch = document.getElementById('watch');
const stop = document.getElementById('watch-stop');
const address = `/projects/${document.getElementById('transport').dataset.project}/watched`;

async function state() {
  const { status, body } = await ask('GET', address);
  if (status !== 200) return;
  part.hidden = !body.offered;
  watch.hidden = body.folder !== '';
  stop.hidden = body.folder === '';
  const where = `Scripts put into ${body.folder} become clips beside them, with this project’s settings.`;
  if (body.folder && told.textContent !== where) told.textContent = where;
  untold.replaceChildren(...body.untold.map(sentence => element('p', 'notice brick', sentence)));
  untold.hidden = body.untold.length === 0;
}

async function act(path) {
  const { body } = await ask('POST', path, new FormData());
  await state();
  told.textContent = body?.sentence ?? 'That did not work. Reload the page.';
}

watch.addEventListener('click', () => act(address));
stop.addEventListener('click', () => act(`${address}/stop`));
state();
// what becomes of scripts is told here while nobody presses anything
setInterval(() => {
  if (!document.hidden && !stop.hidden) state();
}, 10_000);
