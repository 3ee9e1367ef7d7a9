// The script as the page holds it: the editor, what the server says of it, and how a change gets there and back.

import { say } from '../app.js';
import { ask, formOf, glance, outcome } from '../ask.js';
import { editor } from './editor.js';

const page = document.querySelector('.write');
export const project = page.dataset.project;
const saved = document.getElementById('saved');
const conflict = document.getElementById('conflict');
const SAVE_AFTER_MS = 200;
const source = document.getElementById('script-source');

export const script = { version: Number(page.dataset.version), state: null, findings: [] };
let waiting = null;
let saving = null;
// changes that were asked for and not answered yet, and whether something was heard of meanwhile
let changing = 0;
let missed = false;
let theirs = null;
// the text as it was sent, when what was saved holds somebody else's words too and one has gone on writing
let base = null;
const listeners = [];
const carets = [];

export const area = editor(document.getElementById('editor'), {
  text: source.defaultValue,
  most: Number(page.dataset.most),
  nonce: page.dataset.nonce,
  typed() {
    saved.textContent = 'typing…';
    tell(null);
    later();
  },
  moved: () => carets.forEach(listener => listener()),
  full: () => say('A project holds two million characters. Make a second project of the rest.'),
});
source.remove();
// the text that the server has, as the editor knows it
let kept = area.mark();

/** Called with each new state of the script, and with null while it is typed. */
export const onChange = listener => listeners.push(listener);
const tell = state => listeners.forEach(listener => listener(state));
/** Called when the caret has moved. */
export const onCaret = listener => carets.push(listener);

export const unsaved = () => kept === null || !area.isAt(kept);

/** Takes a state from the server; a text in it replaces the page's own, and the caret stays where it was. */
export function take(state) {
  // an answer that was overtaken by what another window did
  if (state.version < script.version) return;
  const first = script.state === null;
  const comes = state.text !== null && state.text !== undefined;
  if (comes) {
    area.show(state.text);
    kept = area.mark();
  }
  script.state = state;
  script.version = state.version;
  saved.textContent = unsaved() ? 'saving…' : state.saved > 1 ? `saved · ${state.saved} versions` : 'saved';
  tell(state);
  // the first state is what the page came with: nothing around the script has to follow it
  if (!first || state.report) document.dispatchEvent(new CustomEvent('logophon:saved'));
}

async function send() {
  waiting = null;
  if (theirs) return;
  if (!unsaved()) {
    saved.textContent = 'saved';
    return;
  }
  saved.textContent = 'saving…';
  const sent = area.mark();
  const text = area.text();
  let state;
  try {
    state = await ask('PUT', `/projects/${project}/script`, { text, version: script.version, base });
  } catch (refusal) {
    notSaved(refusal);
    return;
  }
  kept = sent;
  if (typeof state.text === 'string' && unsaved()) {
    // somebody else's words came along, and these went on meanwhile: they are brought together with the next save
    base = text;
    script.version = state.version;
    kept = null;
  } else {
    if (typeof state.text === 'string') say('Someone else changed other cues meanwhile. Both changes are here.');
    base = null;
    take(state);
  }
  if (unsaved()) later();
}

function notSaved({ status, body, message }) {
  if (status === 409) {
    theirs = body;
    conflict.querySelector('.sentence').textContent = message;
    conflict.hidden = false;
    saved.textContent = 'not saved: changed in another window';
    return;
  }
  saved.textContent = 'not saved yet';
  say(message);
  if (status === 0 || status >= 500) setTimeout(later, 2000);
}

function save() {
  saving ??= send().finally(() => {
    saving = null;
    setTimeout(catchUp);
  });
  return saving;
}

export function later() {
  clearTimeout(waiting);
  waiting = setTimeout(save, SAVE_AFTER_MS);
}

/**
 * Saves what is typed, then asks for a change that needs the saved text.
 * @returns the answer's body, or null when it was refused
 */
export async function change(address, fields = {}, make = null) {
  clearTimeout(waiting);
  while (saving || (unsaved() && !theirs)) await save();
  if (theirs) return null;
  const { version } = script;
  changing += 1;
  try {
    return await ask('POST', address, make ? make(version) : formOf({ ...fields, version })).finally(() => {
      changing -= 1;
      setTimeout(catchUp);
    });
  } catch (refusal) {
    say(refusal.message);
    if (refusal.status === 409) await refresh();
    return null;
  }
}

/** Changes the shape of the script, and shows what comes of it. */
export async function reshape(path, fields) {
  const state = await change(`/projects/${project}/script/${path}`, fields);
  if (state) take(state);
  return state !== null;
}

/** Fetches the script when another window may have changed it. */
export async function refresh() {
  // a change of this page's own is heard of before its answer is here, and the answer tells more
  missed = Boolean(saving) || changing > 0;
  if (missed || unsaved() || theirs) return;
  const now = await glance(ask('GET', `/projects/${project}/script?text=true`));
  if (saving || changing) missed = true;
  else if (now && !unsaved() && now.version > script.version) take(now);
}

function catchUp() {
  if (missed) refresh();
}

window.addEventListener('beforeunload', event => {
  if (unsaved()) event.preventDefault();
});
window.addEventListener('focus', refresh);
// another window has saved the script, or something has become of its cues
document.addEventListener('logophon:changed', event => {
  if (event.detail.kinds.includes('content')) refresh();
});
document.addEventListener('logophon:programme', event => {
  if (!script.state || unsaved() || saving) return;
  const now = new Map(event.detail.cues.map(cue => [cue.id, cue]));
  let differs = false;
  for (const cue of script.state.cues) {
    const became = now.get(cue.id);
    if (
      !became ||
      (became.state === cue.state &&
        became.problem === cue.problem &&
        became.measured === cue.measured &&
        became.number === cue.number)
    )
      continue;
    Object.assign(cue, {
      state: became.state,
      problem: became.problem,
      measured: became.measured,
      seconds: became.seconds,
      number: became.number,
    });
    differs = true;
  }
  if (differs) tell(script.state);
});

document.getElementById('take-theirs').addEventListener('click', async () => {
  await ask('POST', `/projects/${project}/script/draft`, { text: area.text(), version: script.version });
  const now = await ask('GET', `/projects/${project}/script?text=true`);
  theirs = null;
  base = null;
  conflict.hidden = true;
  take(now);
});
document.getElementById('keep-both').addEventListener('click', async () => {
  const { address } = await ask('POST', `/projects/${project}/script/aside`, {
    text: area.text(),
    version: script.version,
  });
  kept = area.mark();
  location.assign(address);
});

/** The first state; what is older than the text is dropped. */
export async function begin() {
  const now = await outcome(ask('GET', `/projects/${project}/script`));
  // words typed before this script had loaded are words too
  if (unsaved()) later();
  if (now && !script.state && now.version === script.version) take(now);
  page.dataset.ready = 'true';
}
