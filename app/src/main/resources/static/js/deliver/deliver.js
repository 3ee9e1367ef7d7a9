// The Deliver page: what goes in, what it will hold, and the deliveries; it follows what changes elsewhere.

import { ask, renew, say } from '../app.js';
import '../transport.js';

const main = document.querySelector('.deliver');
const address = `/projects/${main.dataset.project}`;
const form = document.getElementById('wish');

/** What the form asks, as an address has it. */
const wished = () => new URLSearchParams(new FormData(form));

let due = null;
function hold() {
  clearTimeout(due);
  due = setTimeout(() => renew('#contents', `${address}/deliver/contents?${wished()}`), 200);
}

if (form) {
  form.addEventListener('input', hold);
  form.addEventListener('click', event => {
    const set = event.target.closest('[data-parts]');
    if (set) choose(set.dataset);
    const look = event.target.closest('button[data-look]');
    if (look) open(look.dataset.look);
    const folder = event.target.closest('[data-folder]');
    if (folder) intoFolder(folder.dataset.folder);
    if (event.target.closest('[data-clean]')) intoFolder(`${address}/deliveries/folder/clean`);
  });
}

/** A set for a common end ticks its parts; what else is chosen stays. */
function choose({ parts, format, title }) {
  const wanted = parts.split(' ');
  form.querySelectorAll('[name=parts]').forEach(box => { box.checked = wanted.includes(box.value); });
  form.querySelector('[name=format]').value = format;
  form.querySelector('[name=title]').checked = title === 'true';
  hold();
}

/** Writes a delivery into the project's folder, or takes away what is left there; says what came of it. */
async function intoFolder(where) {
  const { status, body } = await ask('POST', where, new FormData());
  const told = document.getElementById('folder-told');
  told.hidden = false;
  told.querySelector('span').textContent = body?.sentence ?? 'That did not work. Reload the page.';
  told.querySelector('button').hidden = status !== 200 || !body.left;
}

const dialog = document.getElementById('delivered');
async function open(where) {
  const answer = await fetch(where);
  if (!answer.ok) { say('That delivery can’t be looked into. Reload the page.'); return; }
  const found = new DOMParser().parseFromString(await answer.text(), 'text/html').getElementById('delivered-contents');
  document.getElementById('delivered-contents').replaceWith(document.adoptNode(found));
  if (!dialog.open) dialog.showModal();
}
dialog.addEventListener('change', event => {
  if (event.target.id === 'delivered-since') open(`${event.target.dataset.look}?since=${event.target.value}`);
});
dialog.addEventListener('click', event => { if (event.target.closest('[data-close]')) dialog.close(); });

document.addEventListener('logophon:changed', event => {
  const { kinds } = event.detail;
  const cues = kinds.some(kind => ['content', 'status', 'house'].includes(kind));
  // the first cue, or the last one gone: the page is another one
  if (cues && !document.getElementById('contents')) { location.reload(); return; }
  if (cues) renew('#left-out', `${address}/deliver/left-out`);
  if (kinds.includes('delivery')) renew('#deliveries', `${address}/deliveries`);
  if (cues || kinds.includes('delivery')) hold();
});
