// The Deliver page: what goes in, what it will hold, and the deliveries; it follows what changes elsewhere.

import { renew, say } from '../app.js';
import { ask, formOf, outcome } from '../ask.js';
import '../transport.js';
import { captions } from './captions.js';
import { clips } from './clips.js';

const main = document.querySelector('.deliver');
const address = `/projects/${main.dataset.project}`;
const form = document.getElementById('wish');
clips(`${address}/clips`);
const spoken = captions(`${address}/deliver/captions`);

/** What the form asks, as an address has it. */
const wished = () => new URLSearchParams(/** @type {any} */ (new FormData(form)));

const contents = () => renew('#contents', `${address}/deliver/contents?${wished()}`);
const checks = () => renew('#left-out', `${address}/deliver/left-out`);

let due = null;
function hold() {
  clearTimeout(due);
  due = setTimeout(contents, 200);
}

if (form) {
  checks();
  contents();
  form.addEventListener('input', event => {
    if (event.target.name !== 'setName') hold();
  });
  // Enter in the name of a set keeps it; it doesn't build
  form.addEventListener('keydown', event => {
    if (event.key !== 'Enter' || event.target.name !== 'setName') return;
    event.preventDefault();
    keepSet();
  });
  form.addEventListener('click', event => {
    const set = event.target.closest('[data-parts]');
    if (set) choose(set.dataset);
    if (event.target.closest('[data-keep-set]')) keepSet();
    const forget = event.target.closest('[data-forget]');
    if (forget) forgetSet(forget.dataset.forget);
    if (event.target.closest('[data-captions]')) spoken.open();
    const look = event.target.closest('button[data-look]');
    if (look) open(look.dataset.look);
    const folder = event.target.closest('[data-folder]');
    if (folder) intoFolder(folder.dataset.folder);
    if (event.target.closest('[data-clean]')) intoFolder(`${address}/deliveries/folder/clean`);
  });
}

/** A set for a common end ticks its parts; what else is chosen stays. */
function choose({ parts, format, title, captionsKinds, rate, bits, minutes, inClips }) {
  const tick = (name, wanted) =>
    form.querySelectorAll(`[name=${name}]`).forEach(box => {
      box.checked = wanted.split(' ').includes(box.value);
    });
  const set = (name, value) => {
    if (value !== undefined) form.querySelector(`[name=${name}]`).value = value;
  };
  tick('parts', parts);
  if (captionsKinds !== undefined) tick('captions', captionsKinds);
  Object.entries({ format, rate, bits, minutes }).forEach(([name, value]) => set(name, value));
  form.querySelector('[name=title]').checked = title === 'true';
  if (inClips !== undefined) form.querySelector('[name=inClips]').checked = inClips === 'true';
  hold();
}

/** Keeps what is chosen as a set of one's own. */
async function keepSet() {
  await sets('', new FormData(form));
}

async function forgetSet(name) {
  await sets('/remove', formOf({ setName: name }));
}

async function sets(path, wish) {
  const problem = document.getElementById('wish-problem');
  const done = await outcome(ask('POST', `${address}/deliver/sets${path}`, wish), sentence => {
    problem.textContent = sentence;
  });
  problem.hidden = done !== null;
  if (done) await renew('#sets', `${address}/deliver/sets`);
}

/** Writes a delivery into the project's folder, or takes away what is left there; says what came of it. */
async function intoFolder(where) {
  const told = document.getElementById('folder-told');
  const done = await outcome(ask('POST', where, new FormData()), sentence => {
    told.querySelector('span').textContent = sentence;
  });
  told.hidden = false;
  told.querySelector('button').hidden = !done?.left;
}

const dialog = document.getElementById('delivered');
async function open(where) {
  const answer = await fetch(where);
  if (!answer.ok) {
    say('That delivery can’t be shown. Reload the page.');
    return;
  }
  const found = new DOMParser().parseFromString(await answer.text(), 'text/html').getElementById('delivered-contents');
  document.getElementById('delivered-contents').replaceWith(document.adoptNode(found));
  if (!dialog.open) dialog.showModal();
}
dialog.addEventListener('change', event => {
  if (event.target.id === 'delivered-since') open(`${event.target.dataset.look}?since=${event.target.value}`);
});
dialog.addEventListener('click', event => {
  if (event.target.closest('[data-close]')) dialog.close();
});

let listed = '';
// a list that is as it was stays: a press that has begun on it isn't lost
document.addEventListener('htmx:beforeSwap', ({ detail }) => {
  if (detail.target.id !== 'deliveries') return;
  detail.shouldSwap = detail.serverResponse !== listed;
  listed = detail.serverResponse;
});

document.addEventListener('logophon:changed', event => {
  const { kinds } = event.detail;
  const cues = kinds.some(kind => ['content', 'status', 'house'].includes(kind));
  // the first cue, or the last one gone: the page is another one
  if (cues && !document.getElementById('contents')) {
    location.reload();
    return;
  }
  if (cues || kinds.includes('delivery')) checks();
  if (kinds.includes('delivery')) renew('#deliveries', `${address}/deliveries`);
  if (cues || kinds.includes('delivery')) {
    hold();
    spoken.renew();
  }
});
