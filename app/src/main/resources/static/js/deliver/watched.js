// The folder whose scripts become clips like this project: only where the settings name a root for such folders.

import { ask } from '../app.js';

const part = document.getElementById('watched');
const told = document.getElementById('watched-told');
const watch = document.getElementById('watch');
const stop = document.getElementById('watch-stop');
const address = `/projects/${document.getElementById('transport').dataset.project}/watched`;

async function state() {
  const { status, body } = await ask('GET', address);
  if (status !== 200) return;
  part.hidden = !body.offered;
  watch.hidden = body.folder !== '';
  stop.hidden = body.folder === '';
  if (body.folder) told.textContent = `Scripts that are put into ${body.folder} become clips beside them, like this project.`;
}

async function act(path) {
  const { body } = await ask('POST', path, new FormData());
  await state();
  told.textContent = body?.sentence ?? 'That did not work. Reload the page.';
}

watch.addEventListener('click', () => act(address));
stop.addEventListener('click', () => act(`${address}/stop`));
state();
