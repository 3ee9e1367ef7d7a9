// The Write page: a text area that saves itself, and a margin that shows what the script becomes.

import { ask, clock, say } from './app.js';

const page = document.querySelector('.write');
const project = page.dataset.project;
const area = document.getElementById('script');
const mirror = document.getElementById('mirror');
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

/** Stretches of the text that have a look of their own: headings, notes, cues; what lies between has none. */
function stretches() {
  const marked = [
    ...state.scenes.map(s => ({ ...s, style: 'scene' })),
    ...state.notes.map(s => ({ ...s, style: 'note' })),
    ...state.cues.map(cue => ({ start: cue.start, end: cue.end, style: `spoken ${cue.colour}${cue.problem ? ' trouble' : ''}`, cue })),
  ];
  return marked.sort((a, b) => a.start - b.start);
}

/** One entry a line of the text: what it shows, and a key that tells whether a line that stands already shows the same. */
function linesOf(text) {
  const marked = state && savedText === text ? stretches() : [];
  const longest = (state?.cues ?? []).reduce((most, cue) => Math.max(most, cue.seconds), 10);
  let next = 0;
  let start = 0;
  return text.split('\n').map(line => {
    const end = start + line.length;
    while (next < marked.length && marked[next].end <= start && marked[next].end < end) next++;
    const stretch = next < marked.length && marked[next].start <= end && marked[next].start < marked[next].end ? marked[next] : null;
    // a note may stand inside a paragraph: it is no part of the words around it
    const note = state && /^\s*\/\//.test(line);
    const style = note ? 'note' : stretch && line.trim() && stretch.end > start ? stretch.style : '';
    const cue = style && !note && stretch.cue && stretch.start >= start ? stretch.cue : null;
    start = end + 1;
    const key = `${style}|${line}|${cue ? [cue.number, cue.role, cue.seconds.toFixed(1), cue.measured, longest].join('|') : ''}`;
    return { line, style, cue, longest, key };
  });
}

function lineBlock({ line, style, cue, longest, key }) {
  const block = element('div', 'line');
  block.key = key;
  block.append(element('span', style, line));
  if (cue) block.append(...marginOf(cue, longest));
  return block;
}

function marginOf(cue, longest) {
  const number = element('div', `margincue ${cue.colour}`);
  number.append(element('span', 'number', cue.number), element('span', 'who', cue.role));
  const time = element('div', 'margintime');
  time.append(element('span', 'figures', `${cue.seconds > LONG_CUE_SECONDS ? 'long ' : ''}${cue.measured ? '' : '≈ '}${cue.seconds.toFixed(1)} s`));
  const bar = element('span', 'bar');
  const fill = element('span', cue.seconds > LONG_CUE_SECONDS ? 'fill long' : 'fill');
  fill.style.width = `${Math.min(100, cue.seconds / longest * 100)}%`;
  bar.append(fill);
  time.append(bar);
  return [number, time];
}

/**
 * Lays the text out a second time, in colour and with its margin, behind the transparent text area. Only lines that
 * changed are built again: a key stroke in a long script costs a line, not the script.
 */
function paint() {
  const lines = linesOf(area.value);
  const blocks = mirror.children;
  const typing = state && savedText !== area.value;
  const same = (block, wanted) => block.key === wanted.key || typing && block.firstChild.textContent === wanted.line;
  let head = 0;
  while (head < blocks.length && head < lines.length && same(blocks[head], lines[head])) head++;
  let tail = 0;
  while (tail < blocks.length - head && tail < lines.length - head && same(blocks[blocks.length - 1 - tail], lines[lines.length - 1 - tail])) tail++;
  const fresh = lines.slice(head, lines.length - tail).map(lineBlock);
  const after = blocks[blocks.length - tail] ?? null;
  while (blocks.length - tail > head) blocks[head].remove();
  const all = document.createDocumentFragment();
  all.append(...fresh);
  mirror.insertBefore(all, after);
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
  mirror.children[area.value.slice(0, start).split('\n').length - 1]?.scrollIntoView({ block: 'center' });
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
  // an answer to this first question may come after that to a first save: what is older than the text is dropped
  if (status !== 200) say(body.sentence); else if (!state && body.version === version) show(body);
});
paint();

// the path, the running time and the transport follow the text
let headAfter = null;
document.addEventListener('logophon:saved', () => {
  clearTimeout(headAfter);
  headAfter = setTimeout(() => htmx.ajax('GET', `/projects/${project}/render?step=WRITE`, { target: '#head', swap: 'outerHTML' }), 400);
});
