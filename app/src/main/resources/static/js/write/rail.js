// The panels beside the script: tabs, readings, find, versions, counts, the watch list.

import { fill, say } from '../app.js';
import { ask, glance } from '../ask.js';
import { tabsOf } from '../tabs.js';
import { area, change, project, script, take } from './script.js';
import { hear } from './hear.js';
import { proof } from './proof.js';

const proofPanel = document.getElementById('proof');
const other = document.getElementById('other');
const comparing = document.getElementById('comparing');
let current = 'proof';
let opened = Promise.resolve(false);

const choose = tabsOf(document.querySelector('.tabs'), name => {
  opened = open(name);
});

/** True when the panel is there and another one than proof. */
export function openPanel(name) {
  choose(name);
  return opened;
}

async function open(name) {
  current = name;
  proofPanel.hidden = name !== 'proof';
  other.hidden = name === 'proof';
  other.replaceChildren();
  return name !== 'proof' && (await fill(other, `/projects/${project}/${name}`));
}

/**
 * Counts and versions follow the script, but not under the hand; readings and the watch list change what proof
 * finds.
 */
const SETTLED_MS = 500;
let following = null;
const inUse = () =>
  other.contains(document.activeElement) ||
  [...other.querySelectorAll('input[name]')].some(input => input.value !== input.defaultValue);
function follow() {
  clearTimeout(following);
  following = setTimeout(async () => {
    if (!['counts', 'versions'].includes(current)) return;
    if (inUse() || !(await fill(other, `/projects/${project}/${current}`, () => !inUse()))) {
      other.addEventListener('focusout', follow, { once: true });
    }
  }, SETTLED_MS);
}
document.addEventListener('logophon:saved', follow);
document.addEventListener('htmx:afterRequest', event => {
  if (
    event.detail.requestConfig?.verb === 'post' &&
    other.contains(event.detail.elt) &&
    !event.detail.elt.closest('#finding')
  ) {
    proof();
    glance(ask('GET', `/projects/${project}/script`)).then(now => {
      if (now?.version === script.version) take(now);
    });
  }
});

function tried(form, input) {
  return {
    written: form.elements.written.value,
    said: input.value,
    as: form.elements.as.value,
    cue: form.dataset.cue ?? '',
  };
}

other.addEventListener('click', async event => {
  const hearing = event.target.closest('.hear');
  if (hearing) {
    const form = hearing.closest('form');
    if (!form.elements.written.value.trim()) {
      say('Type the written form first.');
      return;
    }
    if (hearing.dataset.written !== undefined)
      hear({ written: form.elements.written.value, cue: form.dataset.cue ?? '' });
    else hear(tried(form, hearing.parentElement.querySelector('input.form-control')));
  }
  const playing = event.target.closest('.play-reading');
  if (playing) hear(playing.dataset);
  const hit = event.target.closest('.hit[data-start]');
  if (hit && Number(hit.dataset.start) >= 0) {
    area.select(Number(hit.dataset.start), Number(hit.dataset.end));
  }
  const replacing = event.target.closest('[data-replace]');
  if (replacing) {
    const fields = Object.fromEntries(new FormData(document.getElementById('finding')));
    const state = await change(replacing.dataset.replace, fields);
    if (state) {
      take(state);
      document.getElementById('hits').replaceChildren();
      say('Replaced. Undo restores it.');
    }
  }
  const compared = event.target.closest('[data-compare]');
  if (compared) {
    if (await fill(document.getElementById('compared'), compared.dataset.compare)) comparing.showModal();
  }
});

// of two tries the chosen one is kept: it is the one that the form sends
other.addEventListener('change', event => {
  if (event.target.name !== 'chosen') return;
  const inputs = [...other.querySelectorAll('#tries input.form-control')];
  inputs.forEach((input, i) => {
    if (String(i) === event.target.value) input.name = 'said';
    else input.removeAttribute('name');
  });
});

comparing.addEventListener('click', async event => {
  const restoring = event.target.closest('[data-restore]');
  if (!restoring) return;
  const state = await change(restoring.dataset.restore);
  if (state) {
    take(state);
    comparing.close();
    say('Restored. The state before is in Versions.');
  }
});

document.addEventListener('logophon:respell', async event => {
  if (!(await openPanel('readings'))) return;
  const form = document.getElementById('add-reading');
  form.elements.written.value = event.detail.written;
  form.dataset.cue = event.detail.cue;
  const said = other.querySelector('#tries input.form-control');
  said.value = event.detail.said;
  said.focus();
});

document.addEventListener('keydown', event => {
  if ((event.ctrlKey || event.metaKey) && !event.shiftKey && event.key.toLowerCase() === 'f') {
    event.preventDefault();
    openPanel('find').then(() => document.getElementById('what')?.focus());
  }
});
