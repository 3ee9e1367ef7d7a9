// The script as the page holds it: the text area, what the server says of it, and how a change gets there and back.

import { ask, say } from './app.js';

const page = document.querySelector('.write');
export const project = page.dataset.project;
export const area = document.getElementById('script');
const saved = document.getElementById('saved');
const conflict = document.getElementById('conflict');
const SAVE_AFTER_MS = 200;

export const script = { version: Number(page.dataset.version), saved: area.defaultValue, state: null, findings: [] };
let waiting = null;
let saving = null;
let theirs = null;
const listeners = [];

/** Called with each new state of the script, and with null while it is typed. */
export const onChange = listener => listeners.push(listener);
const tell = state => listeners.forEach(listener => listener(state));

export const unsaved = () => area.value !== script.saved;

/** Takes a state from the server; a text in it replaces the page's own, and the caret stays where it was. */
export function take(state) {
  const first = script.state === null;
  if (state.text !== null && state.text !== undefined && state.text !== area.value) {
    const caret = place(area.selectionStart, area.value, state.text);
    area.value = state.text;
    area.setSelectionRange(caret, caret);
  }
  if (state.text !== null && state.text !== undefined) script.saved = state.text;
  script.state = state;
  script.version = state.version;
  saved.textContent = unsaved() ? 'saving…' : state.saved > 1 ? `saved · ${state.saved} versions` : 'saved';
  tell(state);
  // the first state is what the page came with: nothing around the script has to follow it
  if (!first || state.report) document.dispatchEvent(new CustomEvent('logophon:saved'));
}

/** Where a place of one text is in another that differs in one stretch. */
function place(at, before, after) {
  let head = 0;
  const shortest = Math.min(before.length, after.length);
  while (head < shortest && before[head] === after[head]) head++;
  return at <= head ? at : Math.max(head, at + after.length - before.length);
}

async function send() {
  waiting = null;
  if (theirs) return;
  const text = area.value;
  if (text === script.saved) { saved.textContent = 'saved'; return; }
  saved.textContent = 'saving…';
  const { status, body } = await ask('PUT', `/projects/${project}/script`, { text, version: script.version });
  if (status === 200) {
    script.saved = text;
    take(body);
    if (area.value !== text) later();
  } else if (status === 409) {
    theirs = body;
    conflict.querySelector('.sentence').textContent = body.sentence;
    conflict.hidden = false;
    saved.textContent = 'not saved: changed in another window';
  } else {
    saved.textContent = 'not saved yet';
    say(body?.sentence ?? 'The script can’t be saved.');
    if (status === 0 || status >= 500) setTimeout(later, 2000);
  }
}

function save() {
  saving ??= send().finally(() => { saving = null; });
  return saving;
}

export function later() {
  clearTimeout(waiting);
  waiting = setTimeout(save, SAVE_AFTER_MS);
}

/** Saves what is typed, then asks for a change that needs the saved text. @returns the answer's body, or null when it was refused */
export async function change(address, fields = {}, make = null) {
  clearTimeout(waiting);
  while (saving || unsaved() && !theirs) await save();
  if (theirs) return null;
  const form = new FormData();
  Object.entries(fields).forEach(([name, value]) => form.append(name, value));
  form.append('version', script.version);
  const { status, body } = await ask('POST', address, make ? make(script.version) : form);
  if (status === 200) return body;
  say(body?.sentence ?? 'That did not work. Reload the page.');
  if (status === 409) await refresh();
  return null;
}

/** Changes the shape of the script, and shows what comes of it. */
export async function reshape(path, fields) {
  const state = await change(`/projects/${project}/script/${path}`, fields);
  if (state) take(state);
  return state !== null;
}

/** Fetches the script when another window may have changed it. */
export async function refresh() {
  if (unsaved() || saving || theirs) return;
  const { status, body } = await ask('GET', `/projects/${project}/script?text=true`);
  if (status === 200 && !unsaved() && !saving && body.version !== script.version) take(body);
}

area.addEventListener('input', () => {
  saved.textContent = 'typing…';
  tell(null);
  later();
});
window.addEventListener('beforeunload', event => { if (unsaved()) event.preventDefault(); });
window.addEventListener('focus', refresh);

document.getElementById('take-theirs').addEventListener('click', async () => {
  const { status, body: kept } = await ask('POST', `/projects/${project}/script/draft`, { text: area.value, version: script.version });
  if (status !== 200) { say(kept.sentence); return; }
  const { body } = await ask('GET', `/projects/${project}/script?text=true`);
  theirs = null;
  conflict.hidden = true;
  take(body);
});
document.getElementById('keep-both').addEventListener('click', async () => {
  const { status, body } = await ask('POST', `/projects/${project}/script/aside`, { text: area.value, version: script.version });
  if (status === 200) { script.saved = area.value; location.assign(body.address); } else { say(body.sentence); }
});

/** The first state; what is older than the text is dropped. */
export async function begin() {
  const { status, body } = await ask('GET', `/projects/${project}/script`);
  // words typed before this script had loaded are words too
  if (unsaved()) later();
  if (status !== 200) say(body.sentence); else if (!script.state && body.version === script.version) take(body);
  page.dataset.ready = 'true';
}
