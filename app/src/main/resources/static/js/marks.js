// Marks on the score: choosing words and gaps, setting, nudging, dragging and removing what is asked of them.

import { ask, button, element, say } from './app.js';
import { reachedOf } from './score.js';

const NEUTRAL = { pace: 100, pitch: 0, range: 100, loudness: 0, pause: 0 };
const STEPS = { pace: 2, pitch: 0.5, range: 10, loudness: 1, pause: 50 };
const FINE = { pace: 1, pitch: 0.1, range: 5, loudness: 0.2, pause: 10 };
const LIMITS = { pace: [50, 200], pitch: [-12, 12], range: [0, 200], loudness: [-24, 12], pause: [0, 10000] };
const LEVELS = ['none', 'moderate', 'strong', 'reduced'];
const DEPTHS = ['none', 'light', 'normal', 'deep'];

let cue = null;
let marks = null;
let changed = () => {};
let chosen = { from: 0, to: 0, gap: false };
let anchor = 0;
let copied = null;

export const onChange = listener => { changed = listener; };
export const lines = () => marks?.marks ?? [];
export const selection = () => chosen;
export const state = () => marks?.state;
export const fits = (take) => marks !== null && take.words.length === marks.words.length && take.words.every((word, i) => marks.text.slice(...marks.words[i]) === word.text);

/** The marks of a cue come from the server. @param address of the cue */
export async function load(address) {
  cue = address;
  marks = null;
  const { status, body } = await ask('GET', `${address}/marks`);
  if (cue !== address) return;
  marks = status === 200 ? body : null;
  const last = (marks?.words.length ?? 1) - 1;
  chosen = { from: Math.min(chosen.from, last), to: Math.min(chosen.to, last), gap: chosen.gap && chosen.from < last };
}

export function choose(index, { extend = false, gap = false } = {}) {
  const last = (marks?.words.length ?? 1) - 1;
  const at = Math.max(0, Math.min(gap ? last - 1 : last, index));
  if (extend && !gap) {
    chosen = { from: Math.min(anchor, at), to: Math.max(anchor, at), gap: false };
  } else {
    anchor = at;
    chosen = { from: at, to: at, gap: gap && last > 0 };
  }
  changed('selection');
}

/** The end of the selection that moves when it is extended. */
export const edge = () => anchor === chosen.from ? chosen.to : chosen.from;

/** Where a mark of a kind would stand: the chosen words, or for a gap the word before it. */
function placeOf(kind, where) {
  const onGap = kind === 'pause' || kind === 'breath';
  const from = onGap ? where.to : where.from;
  return { start: marks.words[from][0], end: marks.words[where.to][1], from, to: where.to };
}

/** The mark of a kind on just the chosen words. */
export function at(kind, where = chosen) {
  if (!marks) return undefined;
  const { from, to } = placeOf(kind, where);
  return marks.marks.find(mark => mark.kind === kind && mark.from === from && mark.to === to && mark.origin !== 'suggested');
}

// one after the other, each for what was chosen when it was asked for: a value that is nudged twice quickly is changed twice
let line = Promise.resolve();
function inTurn(act) {
  const where = chosen;
  const turn = () => marks ? act(where) : undefined;
  line = line.then(turn, turn);
  return line;
}

/** When everything that was asked for is saved. */
export const settled = () => line;

async function send(path, fields) {
  const form = new FormData();
  Object.entries(fields).forEach(([name, value]) => form.append(name, value));
  const { status, body } = await ask('POST', `${cue}${path}`, form);
  if (status !== 200) { say(body?.sentence ?? 'That did not work. Reload the page.'); return; }
  marks = body;
  changed('marks');
}

export const set = (kind, value) => inTurn(where => setNow(kind, value, where));

async function setNow(kind, value, where) {
  if (placeOf(kind, where).to === marks.words.length - 1 && (kind === 'pause' || kind === 'breath')) {
    say('After the last word comes the pause between cues: set it beside the score.');
    return;
  }
  const { start, end } = placeOf(kind, where);
  const nothing = value === '' || value === 'none' && kind !== 'stress' || kind !== 'pause' && Number(value) === NEUTRAL[kind];
  if (nothing || kind === 'stress' && value === 'none') {
    if (at(kind, where)) await send('/marks/remove', { start, end, kind });
  } else {
    await send('/marks', { start, end, kind, value });
  }
}

export const nudge = (kind, way, fine = false) => inTurn(where => {
  const now = Number(at(kind, where)?.value ?? NEUTRAL[kind]);
  const [least, most] = LIMITS[kind];
  const value = Math.max(least, Math.min(most, now + way * (fine ? FINE : STEPS)[kind]));
  return setNow(kind, String(Math.round(value * 100) / 100), where);
});

const next = (list, value) => list[(list.indexOf(value ?? 'none') + 1) % list.length];
export const cycleStress = () => inTurn(where => setNow('stress', next(LEVELS, at('stress', where)?.value), where));
export const cycleBreath = () => inTurn(where => setNow('breath', next(DEPTHS, at('breath', where)?.value), where));
export const toggleWhisper = () => inTurn(where => setNow('whisper', at('whisper', where) ? '' : 'on', where));

/** Takes what stands on the chosen words, or in the chosen gap, away. */
export const clear = () => inTurn(async where => {
  const gone = marks.marks.filter(mark => where.gap ? mark.to === where.to && (mark.kind === 'pause' || mark.kind === 'breath')
    : mark.from >= where.from && mark.to <= where.to);
  for (const mark of gone) await send('/marks/remove', { start: mark.start, end: mark.end, kind: mark.kind });
  if (!gone.length) say('Nothing is marked there.');
});

export function copy() {
  if (!marks) return;
  const inside = marks.marks.filter(mark => mark.from >= chosen.from && mark.to <= chosen.to && mark.origin !== 'suggested');
  copied = inside.map(mark => ({ kind: mark.kind, value: mark.value, from: mark.from - chosen.from, to: mark.to - chosen.from }));
  say(inside.length ? `${inside.length === 1 ? '1 mark' : `${inside.length} marks`} copied.` : 'Nothing is marked there.');
}

/** Puts copied marks on the words from the first chosen one on, in this cue or another. */
export const paste = () => inTurn(async where => {
  if (!copied?.length) { say('Copy marks first.'); return; }
  const first = where.from;
  for (const mark of copied) {
    const from = first + mark.from;
    const to = Math.min(first + mark.to, marks.words.length - 1);
    if (from >= marks.words.length) continue;
    await send('/marks', { start: marks.words[from][0], end: marks.words[to][1], kind: mark.kind, value: mark.value });
  }
});

/** Suggestions for a scope: proposed, taken ("/take") or cleared ("/clear"). @param one a single suggestion */
export const suggest = (path, scope, one) => inTurn(async () => {
  const form = new FormData();
  form.append('scope', scope);
  if (one) ['start', 'end', 'kind'].forEach(name => form.append(name, one[name]));
  const { status, body } = await ask('POST', `${cue}/suggest${path}`, form);
  say(body?.sentence ?? 'That did not work. Reload the page.');
  if (status !== 200) return;
  await load(cue);
  changed('marks');
});

/** @param way undo or redo */
export const history = (way, project) => inTurn(async () => {
  const { status, body } = await ask('POST', `/projects/${project}/marks/${way}`, new FormData());
  say(body?.sentence ?? 'That did not work. Reload the page.');
  if (status !== 200) return;
  await load(cue);
  changed('marks');
});

/** Lets the mouse choose and drag on a drawn score. */
export function drag(score, box) {
  let started = null;
  const wordAt = event => event.target.closest?.('.word');
  box.onpointerdown = event => {
    const rest = event.target.closest?.('.rest');
    if (event.target.classList.contains('grip-rest')) started = { kind: 'pause', x: event.clientX, gap: Number(rest.dataset.gap) };
    else if (event.target.classList.contains('grip-pitch')) started = { kind: 'pitch', y: event.clientY };
    else if (event.target.classList.contains('grip-pace')) started = { kind: 'pace', x: event.clientX, width: widthOf(score) };
    else if (wordAt(event)) started = { kind: 'words', from: Number(wordAt(event).dataset.word) };
  };
  box.onpointermove = event => {
    if (!started) return;
    if (started.kind === 'words') {
      const over = document.elementFromPoint(event.clientX, event.clientY)?.closest?.('#score .word');
      if (over && (started.moved || Number(over.dataset.word) !== started.from)) {
        if (!started.moved) choose(started.from);
        started.moved = true;
        choose(Number(over.dataset.word), { extend: true });
      }
      return;
    }
    // not before it moves: a click belongs to the word that it meets
    if (!started.moved) box.setPointerCapture(event.pointerId);
    started.moved = true;
    const value = valueOf(started, event, score);
    say(`${started.kind} ${started.kind === 'pause' ? `${(value / 1000).toFixed(2)} s` : started.kind === 'pitch' ? `${value > 0 ? '+' : ''}${value} st` : `${value} %`}`);
  };
  box.onpointerup = event => {
    const ended = started;
    started = null;
    if (!ended?.moved) return;
    // the click that follows would play
    box.dataset.dragged = 'true';
    if (ended.kind === 'words') return;
    if (ended.kind === 'pause') choose(ended.gap, { gap: true });
    set(ended.kind, String(valueOf(ended, event, score)));
  };
}

const widthOf = score => [...score.svg.querySelectorAll('.grip-pitch')].reduce((sum, rect) => sum + rect.width.baseVal.value, 0);

function valueOf(started, event, score) {
  const within = (kind, value) => Math.max(LIMITS[kind][0], Math.min(LIMITS[kind][1], value));
  if (started.kind === 'pause') {
    const rest = score.svg.querySelector(`.rest[data-gap="${started.gap}"] rect`);
    started.seconds ??= rest.width.baseVal.value / score.pixelsPerSecond;
    return within('pause', Math.round((started.seconds + (event.clientX - started.x) / score.pixelsPerSecond) * 100) * 10);
  }
  if (started.kind === 'pitch') {
    return within('pitch', Math.round((Number(at('pitch')?.value ?? 0) + (started.y - event.clientY) / score.pixelsPerSemitone) * 10) / 10);
  }
  const width = Math.max(8, started.width + event.clientX - started.x);
  return within('pace', Math.round(Number(at('pace')?.value ?? 100) * started.width / width));
}

const FIELDS = [['pace', 'Pace', '%'], ['pitch', 'Pitch', 'st'], ['range', 'Range', '%'], ['loudness', 'Loudness', 'dB']];

/** The exact values of what is chosen, always typable. @param styles names of ways of speaking */
export function showBar(bar, styles) {
  if (!marks?.words.length) { bar.hidden = true; return; }
  bar.hidden = false;
  const word = i => marks.text.slice(...marks.words[i]);
  const title = chosen.gap ? `Between “${word(chosen.from)}” and “${word(chosen.from + 1) ?? ''}”`
    : chosen.from === chosen.to ? `“${word(chosen.from)}”` : `“${word(chosen.from)} … ${word(chosen.to)}”, ${chosen.to - chosen.from + 1} words`;
  const fields = element('div', 'markfields');
  const typed = (kind, text, unit, shown) => {
    const label = element('label', '', text);
    const input = element('input', 'form-control');
    Object.assign(input, { type: 'number', name: kind, step: kind === 'pitch' || kind === 'loudness' ? 0.1 : kind === 'pause' ? 0.01 : 1, placeholder: kind === 'pause' ? 'its own' : NEUTRAL[kind], value: shown });
    [input.min, input.max] = kind === 'pause' ? [0, 10] : LIMITS[kind];
    input.addEventListener('change', () => set(kind, kind === 'pause' && input.value !== '' ? String(Math.round(input.value * 1000)) : input.value));
    label.append(input, element('span', 'unit', unit));
    fields.append(label);
  };
  const select = (kind, text, values, shown) => {
    const label = element('label', '', text);
    const input = element('select', 'form-select');
    input.name = kind;
    values.forEach(value => input.add(new Option(value, value, false, value === shown)));
    input.addEventListener('change', () => set(kind, input.value));
    label.append(input);
    fields.append(label);
  };
  if (chosen.gap) {
    typed('pause', 'Pause', 's', at('pause') ? (at('pause').value / 1000).toFixed(2) : '');
    select('breath', 'Breath', DEPTHS, at('breath')?.value ?? 'none');
  } else {
    FIELDS.forEach(([kind, text, unit]) => typed(kind, text, unit, at(kind)?.value ?? ''));
    select('stress', 'Stress', LEVELS, at('stress')?.value ?? 'none');
    select('style', 'Style', ['none', ...styles], at('style')?.value.split(' ')[0] ?? 'none');
    const label = element('label', 'tick', '');
    const tick = element('input', '');
    Object.assign(tick, { type: 'checkbox', name: 'whisper', checked: Boolean(at('whisper')) });
    tick.addEventListener('change', toggleWhisper);
    label.append(tick, ' Whisper');
    fields.append(label);
  }
  bar.replaceChildren(element('h2', 'reading', title), fields);
}

/** Every mark of the cue in words, each with what was reached and a way to take it off. */
export function showList(list) {
  list.replaceChildren(...lines().map(mark => {
    const item = element('li', mark.origin === 'suggested' ? 'ghost' : '');
    const words = mark.from === mark.to ? marks.text.slice(...marks.words[mark.from]) : `${marks.text.slice(...marks.words[mark.from])} … ${marks.text.slice(...marks.words[mark.to])}`;
    const what = mark.kind === 'pause' ? `pause ${mark.label}` : mark.label;
    item.append(element('span', 'reading', mark.kind === 'pause' || mark.kind === 'breath' ? `after “${words}”` : `“${words}”`), element('span', 'figures', `${what}${reachedOf(mark)}`));
    if (mark.reason) item.append(element('span', 'soft', mark.reason));
    if (mark.origin === 'suggested') item.append(button('btn-quiet', 'take', () => suggest('/take', 'CUE', mark), `Take ${what} of ${words}`));
    item.append(button('btn-quiet danger', 'remove', () => send('/marks/remove', { start: mark.start, end: mark.end, kind: mark.kind }), `Remove ${what} of ${words}`));
    return item;
  }));
}
