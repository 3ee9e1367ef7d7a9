// The Write page: a text area that saves itself, and a margin that shows what the script becomes.

import { ask, clock, say } from './app.js';

const page = document.querySelector('.write');
const project = page.dataset.project;
const area = document.getElementById('script');
const mirror = document.getElementById('mirror');
const left = document.getElementById('margin-left');
const right = document.getElementById('margin-right');
const saved = document.getElementById('saved');
const conflict = document.getElementById('conflict');
const SAVE_AFTER_MS = 350;
const LONG_CUE_SECONDS = 45;
let version = Number(page.dataset.version);
let savedText = area.value;
let waiting = null;
let saving = false;
let theirs = null;
let state = null;

const element = (name, className, text) => {
  const made = document.createElement(name);
  if (className) made.className = className;
  if (text !== undefined) made.textContent = text;
  return made;
};

/** Pieces of the text in order: headings, notes, cues, and what lies between. */
function pieces() {
  const marked = [
    ...state.scenes.map(s => ({ ...s, style: 'scene' })),
    ...state.notes.map(s => ({ ...s, style: 'note' })),
    ...state.cues.map((cue, i) => ({ start: cue.start, end: cue.end, style: `spoken ${cue.colour}${cue.problem ? ' trouble' : ''}`, cue: i })),
  ].sort((a, b) => a.start - b.start);
  return marked;
}

/** Lays the text out a second time, in colour, behind the transparent text area, and hangs the margin on it. */
function paint() {
  const text = area.value;
  const parts = [];
  const anchors = [];
  let at = 0;
  for (const piece of state && savedText === text ? pieces() : []) {
    if (piece.start < at) continue; // a note inside a paragraph keeps the paragraph's look
    if (piece.start > at) parts.push(document.createTextNode(text.slice(at, piece.start)));
    const span = element('span', piece.style, text.slice(piece.start, piece.end));
    if (piece.cue !== undefined) anchors.push([piece.cue, span]);
    parts.push(span);
    at = piece.end;
  }
  parts.push(document.createTextNode(`${text.slice(at)}\n`));
  mirror.replaceChildren(...parts);
  grow();
  if (state && (anchors.length || !text.trim())) margin(anchors);
}

function grow() {
  area.style.height = 'auto';
  area.style.height = `${Math.max(area.scrollHeight, area.parentElement.parentElement.clientHeight - 2)}px`;
}

function margin(anchors) {
  const top = mirror.getBoundingClientRect().top;
  // read every place first, then write: one layout, not one a cue
  const places = anchors.map(([, span]) => span.getBoundingClientRect().top - top);
  const numbers = [];
  const times = [];
  const longest = Math.max(10, ...state.cues.map(cue => cue.seconds));
  anchors.forEach(([i], k) => {
    const cue = state.cues[i];
    const number = element('div', `margincue ${cue.colour}`);
    number.append(element('span', 'number', cue.number), element('span', 'who', cue.role));
    number.style.top = `${places[k]}px`;
    numbers.push(number);
    const time = element('div', 'margintime');
    time.append(element('span', 'figures', `${cue.seconds > LONG_CUE_SECONDS ? 'long ' : ''}${cue.measured ? '' : '≈ '}${cue.seconds.toFixed(1)} s`));
    const bar = element('span', 'bar');
    const fill = element('i', cue.seconds > LONG_CUE_SECONDS ? 'long' : '');
    fill.style.width = `${Math.min(100, cue.seconds / longest * 100)}%`;
    bar.append(fill);
    time.append(bar);
    time.style.top = `${places[k]}px`;
    times.push(time);
  });
  left.replaceChildren(...numbers);
  right.replaceChildren(...times);
}

function totals() {
  document.getElementById('total-words').textContent = state.words.toLocaleString('en');
  document.getElementById('total-characters').textContent = state.characters.toLocaleString('en');
  document.getElementById('total-time').textContent = clock(state.seconds);
  const against = document.getElementById('total-against');
  const over = state.targetSeconds ? state.seconds - state.targetSeconds : 0;
  against.textContent = !state.targetSeconds ? 'running time, pauses included'
    : Math.abs(over) < 1 ? `of ${clock(state.targetSeconds)}: just right`
    : over > 0 ? `of ${clock(state.targetSeconds)}: ${clock(over)} too long, about ${Math.round(over * state.words / Math.max(1, state.seconds))} words`
    : `of ${clock(state.targetSeconds)}: ${clock(-over)} to spare`;
  const trouble = state.cues.filter(cue => cue.problem);
  document.getElementById('todo-count').textContent = trouble.length;
  document.getElementById('todo-none').hidden = trouble.length > 0;
  document.getElementById('todo').replaceChildren(...trouble.slice(0, 50).map(cue => {
    const item = element('li');
    const button = element('button', 'btn-quiet', `${cue.number}: ${cue.problem}`);
    button.type = 'button';
    button.addEventListener('click', () => { area.focus(); area.setSelectionRange(cue.start, cue.end); reveal(cue.start); });
    item.append(button);
    return item;
  }));
  document.getElementById('cue-summary').textContent = state.cues.length === 0 ? 'No cues yet.'
    : `${state.cues.length} ${state.cues.length === 1 ? 'cue' : 'cues'}, ${new Set(state.cues.map(cue => cue.role)).size} ${new Set(state.cues.map(cue => cue.role)).size === 1 ? 'role' : 'roles'}.`;
  document.getElementById('cue-list').replaceChildren(...state.cues.slice(0, 300).map(cue =>
    element('li', '', `${cue.number}, ${cue.role}, ${cue.seconds.toFixed(1)} seconds`)));
}

function reveal(start) {
  const line = [...mirror.querySelectorAll('.spoken')].find((span, i) => state.cues[i]?.start === start);
  line?.scrollIntoView({ block: 'center' });
}

function show(next) {
  state = next;
  version = next.version;
  paint();
  totals();
}

async function save() {
  waiting = null;
  if (saving || theirs) return;
  const text = area.value;
  if (text === savedText) { saved.textContent = 'saved'; return; }
  saving = true;
  saved.textContent = 'saving…';
  const { status, body } = await ask('PUT', `/projects/${project}/script`, { text, version });
  saving = false;
  if (status === 200) {
    savedText = text;
    show(body);
    saved.textContent = area.value === savedText ? 'saved' : 'saving…';
    document.dispatchEvent(new CustomEvent('logophon:saved'));
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

function later() {
  clearTimeout(waiting);
  waiting = setTimeout(save, SAVE_AFTER_MS);
}

area.addEventListener('input', () => {
  saved.textContent = 'typing…';
  paint();
  later();
});
window.addEventListener('resize', () => state && paint());
window.addEventListener('beforeunload', event => { if (area.value !== savedText) event.preventDefault(); });

document.getElementById('take-theirs').addEventListener('click', async () => {
  const { body } = await ask('GET', `/projects/${project}/script`);
  area.value = theirs.text;
  savedText = theirs.text;
  theirs = null;
  conflict.hidden = true;
  saved.textContent = 'saved';
  show(body);
});
document.getElementById('keep-both').addEventListener('click', async () => {
  const { status, body } = await ask('POST', `/projects/${project}/script/aside`, { text: area.value, version });
  if (status === 200) { savedText = area.value; location.assign(body.address); } else { say(body.sentence); }
});

document.fonts.ready.then(async () => {
  const { status, body } = await ask('GET', `/projects/${project}/script`);
  if (status === 200) show(body); else say(body.sentence);
});
grow();
paint();

// the path, the running time and the transport follow the text
let headAfter = null;
document.addEventListener('logophon:saved', () => {
  clearTimeout(headAfter);
  headAfter = setTimeout(() => htmx.ajax('GET', `/projects/${project}/render?step=WRITE`, { target: '#head', swap: 'outerHTML' }), 400);
});
