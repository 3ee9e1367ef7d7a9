// Who else has this project open, and on which cue: other windows, of this machine's browsers.

import { rawHeaders } from './app.js';
import { ask, formOf, glance } from './ask.js';
import * as transport from './transport.js';

const bar = document.querySelector('.transport');
const address = `/projects/${bar.dataset.project}/here`;
const told = bar.querySelector('.also');
const me = crypto.randomUUID();
const step = location.pathname.split('/').pop();
const LOOK_MS = 1000;
const STILL_MS = 20000;
const AGAIN_MS = 300;
const NAMES = {
  write: 'writing',
  cast: 'casting',
  direct: 'directing',
  listen: 'listening',
  record: 'recording',
  place: 'placing',
  deliver: 'delivering',
};
let at = null;
let saidAt = 0;

const current = () => transport.all()[transport.index()]?.id ?? '';

async function say() {
  at = current();
  saidAt = Date.now();
  const others = await glance(ask('POST', address, formOf({ page: me, step, ...(at ? { cue: at } : {}) })));
  if (others) show(others);
}

function show(others) {
  told.hidden = others.length === 0;
  const one = window =>
    `${window.person ? `${window.person}, ` : ''}${NAMES[window.step] ?? 'here'}${window.number
        ? ` cue ${window.number}` : ''}`;
  told.textContent = others.length === 1 ? `also here: ${one(others[0])}` : `${others.length} others here`;
  told.title = others.map(one).join(', ');
}

function leave() {
  const form = new URLSearchParams({ page: me });
  fetch(`${address}/leave`, { method: 'POST', keepalive: true, headers: rawHeaders(), body: form }).catch(() => {
    /* it is told by its silence */
  });
}

let over = false;
document.addEventListener('logophon:signed-out', () => {
  over = true;
});
// a hidden page is nowhere
setInterval(() => {
  if (!over && !document.hidden && (current() !== at || Date.now() - saidAt > STILL_MS)) say();
}, LOOK_MS);
// who comes while one has just said where one is isn't missed: one asks again a moment later
let later = null;
document.addEventListener('logophon:changed', event => {
  if (over || document.hidden || !event.detail.kinds.includes('here')) return;
  clearTimeout(later);
  later = setTimeout(say, Math.max(0, saidAt + AGAIN_MS - Date.now()));
});
document.addEventListener('visibilitychange', () => {
  if (document.hidden) leave();
  else say();
});
window.addEventListener('pagehide', leave);
