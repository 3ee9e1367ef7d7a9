// The Direct page: the score of the chosen cue, its marks, and what can be done with them by key and by mouse.

import { renew, say, typing } from '../app.js';
import { ask, outcome } from '../ask.js';
import { cueList } from '../cuelist.js';
import { drag, isDragging } from './dragging.js';
import { guessed } from './guess.js';
import { bind } from '../keys.js';
import { listening } from './listening.js';
import { bindMany } from './many.js';
import { showBar, showList } from './markbar.js';
import * as marks from './marks.js';
import { loadNotes, openNotes, showNotes } from './notes.js';
import { bindPanel } from './panel.js';
import * as player from '../player.js';
import { sign } from './phrasing.js';
import { showQuotations } from './quotations.js';
import { drawScore, zoom } from './score.js';
import { scoreKeys } from './scorekeys.js';
import * as transport from '../transport.js';

const project = document.querySelector('.transport').dataset.project;
let score = null;
// of the take that is drawn, or guessed where there is none of these words
let data = null;
let word = 0;
// the stage on which a render was asked for: what comes after it is played
let askedOn = null;
// the take that was kept before the last render, to hear what it was like
let before = null;
let hearsBefore = false;
// the line that offers a deleted take back, while its cue is shown anew. @type {{cue: string, undo: Element} | null}
let undoable = null;
// whether the keyboard is on a word of the score whose stage is being replaced
let onScore = false;
// a word that the address names: where a note is to be directed
let wantedWord = new URLSearchParams(location.search).has('word')
  ? Number(new URLSearchParams(location.search).get('word'))
  : null;

const stage = () => document.getElementById('stage');
const { place, playFrom } = listening(() => ({
  score,
  data,
  cue: stage()?.dataset.cue,
  sound: stage()?.dataset.sound,
}));
const list = cueList(
  document.getElementById('cuelist'),
  id => `/projects/${project}/direct?cue=${id}`,
  link => {
    history.pushState(null, '', link.href);
    renew('#stage', link.href);
  },
);

const reload = () => renew('#stage', `/projects/${project}/direct?cue=${stage().dataset.cue}`);

function keepUndo(now) {
  if (undoable?.cue === now.dataset.cue && !document.getElementById('deleted-take')) {
    now.querySelector('.centre').prepend(undoable.undo);
    htmx.process(undoable.undo);
  }
  undoable = null;
}

/** What the stage before showed. @type {{take?: string, cue?: string}} */
const shown = {};

async function enterStage() {
  const now = stage();
  if (!now) return;
  transport.goTo(now.dataset.cue);
  keepUndo(now);
  bindStage(now);
  list.mark(now.dataset.cue);
  const box = document.getElementById('score');
  if (now.dataset.cue !== shown.cue) {
    score = null;
    data = null;
  }
  if (now.dataset.take !== shown.take || now.dataset.cue !== shown.cue) {
    before = now.dataset.cue === shown.cue ? shown.take : null;
    hearsBefore = false;
  }
  shown.take = now.dataset.take;
  shown.cue = now.dataset.cue;
  const [taken] = await Promise.all([
    box.dataset.score ? outcome(ask('GET', box.dataset.score)) : null,
    marks.load(`/projects/${project}/cues/${now.dataset.cue}`),
    loadNotes(`/projects/${project}/cues/${now.dataset.cue}`, () => now === stage()),
  ]);
  if (now !== stage()) return;
  data = taken && (!marks.all() || marks.fits(taken)) ? taken : marks.all() ? guessed(marks.all()) : null;
  // what fits a word's box is measured in the score's own type, which is fetched when it is first wanted
  await Promise.all([15, 13].map(px => document.fonts.load(`${px}px Reading`)));
  if (!data) {
    score = null;
    box.replaceChildren();
  }
  draw();
  if (wantedWord !== null && score) {
    pick(wantedWord);
    wantedWord = null;
  }
  if (askedOn && askedOn !== now && now.dataset.state !== 'rendering') {
    const wanted = askedOn.dataset.cue === now.dataset.cue && now.dataset.state === 'ready';
    askedOn = null;
    if (wanted) playFrom(word > 0 && data?.words[word] ? Math.max(0, data.words[word].from - 0.05) : 0);
  }
}

function bindStage(now) {
  bindPanel(now, project, reload);
  const price = now.querySelector('#render-paid');
  price?.addEventListener('click', () => {
    askedOn = now;
  });
  // what costs is agreed to on purpose: R shows the price, Enter on it pays
  price?.focus();
  now.querySelector('#play-cue').addEventListener('click', () => (player.isPlaying() ? player.stop() : playFrom(0)));
  now.querySelector('#render-cue').addEventListener('click', () => {
    askedOn = now;
  });
  bindMany(now.querySelector('#many'), project, reload);
}

function draw() {
  const box = document.getElementById('score');
  if (!box || !data?.words.length) return;
  // whoever is on a word with the keyboard stays there, whatever the score is drawn anew for
  const focused = document.activeElement?.closest?.('#score .word');
  score = drawScore(box, data, marks.lines(), openNotes(), marks.phrasing());
  showLegend(marks.phrasing());
  word = Math.min(word, score.words.length - 1);
  if (focused) score.words[word].focus({ preventScroll: true });
  drag(score, box);
  show();
}

/** Suggestions made and taken; then what they changed is rendered, and the cue that is shown is played. */
async function improve() {
  const now = stage();
  const reach = scope();
  await marks.suggest('/improve', reach);
  if (now !== stage() || marks.state()?.id === 'ready') return;
  if (reach === 'CUE') {
    now.querySelector('#render-cue').click();
    return;
  }
  askedOn = now;
  await outcome(ask('POST', `/projects/${project}/render`, new FormData()));
  reload();
  renew('#head', `/projects/${project}/render?step=DIRECT`);
}

function showLegend(parts) {
  const legend = document.getElementById('phrasing-legend');
  legend.hidden = parts.length === 0;
  legend.querySelectorAll('i').forEach(place => {
    if (!place.firstChild) place.append(sign(place.dataset.move));
    place.parentElement.hidden = !parts.some(part => part.move === place.dataset.move);
  });
}

/** What is chosen, its exact values, and every mark in words. */
function show() {
  const bar = document.getElementById('markbar');
  const markList = document.getElementById('marklist');
  if (!bar || !markList || !marks.all()) return;
  const { from, to, gap } = marks.selection();
  score?.choose(from, to, gap);
  const focused = bar.contains(document.activeElement) ? document.activeElement.name : null;
  showBar(bar, stage().dataset.styles.split(' '));
  if (focused) bar.querySelector(`[name="${focused}"]`)?.focus();
  showList(markList);
  document.getElementById('nomarks').hidden = marks.lines().length > 0;
  showNotes(document.getElementById('cuenotes'), `/projects/${project}`, pick, notesAgain);
  showQuotations(document.getElementById('quotations'), marks.all(), marks.sayQuotation);
}

async function notesAgain() {
  const now = stage();
  await loadNotes(`/projects/${project}/cues/${now.dataset.cue}`, () => now === stage());
  if (now === stage() && !isDragging()) draw();
}

document.addEventListener('logophon:changed', event => {
  if (event.detail.kinds.includes('status') && stage()) notesAgain();
});

marks.onChange(what => {
  // what was asked of the cue before is saved while the next one is on its way
  if (!data) return;
  if (what === 'selection') {
    show();
    return;
  }
  if (what === 'dials') {
    reload();
    return;
  }
  if (data.guessed && marks.all()) data = guessed(marks.all());
  draw();
  if (marks.state()) showState(marks.state());
});

function select(index, focus = true) {
  if (!score?.words.length) return;
  score.words[word]?.setAttribute('tabindex', -1);
  word = Math.max(0, Math.min(score.words.length - 1, index));
  score.words[word].setAttribute('tabindex', 0);
  if (focus) score.words[word].focus();
}

/** Chooses a word or a gap, and the keyboard follows. */
function pick(index, options = {}) {
  if (!score?.words.length) return;
  select(index);
  marks.choose(word, options);
}

const playWord = () =>
  data.guessed ? say('These words have no take yet. R renders one.') : playFrom(data.words[word].from);

document.addEventListener('logophon:playhead', event => {
  if (event.detail.id === stage()?.dataset.cue) place(event.detail.seconds);
});
document.addEventListener('logophon:cue', event => list.open(event.detail.id));
function showProgramme(cues) {
  list.show(cues, stage()?.dataset.cue);
  if (!stage()) return;
  if (!transport.isRunning()) transport.goTo(stage().dataset.cue);
  follow(cues.find(cue => cue.id === stage().dataset.cue));
}
document.addEventListener('logophon:programme', event => showProgramme(event.detail.cues));

const PATIENCE_MS = 400;
let settling = null;
const became = cue => `${cue.state} ${cue.sound} ${cue.takes}`;
const underHand = now => isDragging() || (now.contains(document.activeElement) && typing(document.activeElement));

/** The stage shows what its cue has become, wherever it was changed; but not under the hand. */
async function follow(cue) {
  const now = stage();
  if (!cue || underHand(now)) return;
  clearTimeout(settling);
  if (became(cue) !== now.dataset.became) {
    if (now.dataset.state === 'rendering') {
      reload();
      return;
    }
    // a change that was made here may be newer than what is told: then the next telling agrees
    settling = setTimeout(() => {
      const last = transport.all().find(other => other.id === stage()?.dataset.cue);
      if (last && became(last) !== stage().dataset.became && !underHand(stage())) reload();
    }, PATIENCE_MS);
    return;
  }
  if (cue.asked === now.dataset.asked) return;
  // other marks, or another direction: the marks are read again, and drawn when they differ from those that are here
  now.dataset.asked = cue.asked;
  await marks.reload();
}

function showState(state) {
  const label = document.getElementById('cuestate');
  stage().dataset.state = state.id;
  stage().dataset.became = stage().dataset.became.replace(/^\S+/, state.id);
  if (label) {
    label.className = `state state-${state.id}`;
    label.textContent = state.label;
  }
}

window.addEventListener('popstate', () => location.reload());

document.addEventListener('click', async event => {
  const phrased = event.target.closest('[data-phrased]');
  if (phrased) {
    marks.own(Number(phrased.dataset.phrased));
    return;
  }
  const suggestion = event.target.closest('[data-suggest]');
  if (suggestion) {
    marks.suggest(suggestion.dataset.suggest, scope());
    return;
  }
  if (event.target.closest('#improve')) {
    improve();
    return;
  }
  const zooming = event.target.closest('[data-zoom]');
  if (zooming) {
    zoomBy(Number(zooming.dataset.zoom));
    return;
  }
  if (event.target.closest('#show-ssml')) {
    showSsml();
    return;
  }
  if (event.target.closest('#ssml-copy')) {
    try {
      await navigator.clipboard.writeText(document.getElementById('ssml-text').value);
      say('Copied.');
    } catch {
      document.getElementById('ssml-text').select();
      say('Press Ctrl+C to copy.');
    }
    return;
  }
  if (event.target.closest('#show-keys')) {
    keys.explain();
    return;
  }
  const box = event.target.closest('#score');
  if (!box) return;
  const dragged = box.dataset.dragged;
  delete box.dataset.dragged;
  if (dragged) return;
  const group = event.target.closest('.word');
  const rest = event.target.closest('.rest');
  const lane = event.target.closest('.lane');
  if (rest) pick(Number(rest.dataset.gap), { gap: true });
  if (lane) {
    marks.choose(Number(lane.dataset.from));
    marks.choose(Number(lane.dataset.to), { extend: true });
  }
  if (!group) return;
  pick(Number(group.dataset.word), { extend: event.shiftKey });
  if (!event.shiftKey && !data.guessed) playWord();
});

async function showSsml() {
  await marks.settled();
  const answer = await fetch(`/projects/${project}/cues/${stage().dataset.cue}/ssml`);
  document.getElementById('ssml-text').value = answer.ok
    ? await answer.text()
    : 'This cue can’t be written as SSML now.';
  document.getElementById('ssml').showModal();
}

function zoomBy(way) {
  say(`${zoom(way)} pixels a second.`);
  draw();
  score?.words[word]?.scrollIntoView({ block: 'nearest' });
}

function playChosen() {
  const { from, to } = marks.selection();
  if (data.guessed) playWord();
  else playFrom(data.words[from].from, data.words[to].to);
}

/** Renders what was changed, and plays it from the chosen word. */
async function render() {
  await marks.settled();
  document.getElementById('render-cue')?.click();
}

async function once() {
  await ask('POST', `/projects/${project}/cues/${stage().dataset.cue}/more`, new FormData());
  render();
}

async function hearBefore() {
  if (!before) {
    say('Render a change first. Then this plays before and after.');
    return;
  }
  hearsBefore = !hearsBefore;
  say(hearsBefore ? 'Before.' : 'After.');
  transport.halt();
  try {
    await player.play(
      hearsBefore ? `/projects/${project}/takes/${before}/sound/${before}.wav` : stage().dataset.sound,
      data?.words[word]?.from ?? 0,
    );
  } catch (error) {
    say(error.message);
  }
}

/** How far suggestions reach: this cue unless somebody chose more. */
const scope = () => document.getElementById('suggest-scope')?.value ?? 'CUE';

const keys = scoreKeys({
  project,
  list,
  marks,
  scope,
  pick,
  playWord,
  playChosen,
  render,
  hearBefore,
  once,
  zoomBy,
  word: () => word,
});
bind(keys.table);

let resizing = null;
window.addEventListener('resize', () => {
  clearTimeout(resizing);
  resizing = setTimeout(draw, 80);
});

document.addEventListener('htmx:beforeSwap', ({ detail }) => {
  if (detail.target.id !== 'stage') return;
  onScore = Boolean(document.activeElement?.closest('#score .word'));
  // what can still be undone stays in sight when the stage is only drawn anew, also twice before it is put there again
  const anew = detail.requestConfig.verb === 'get';
  const undo = anew && document.getElementById('deleted-take');
  if (undo) undoable = { cue: stage().dataset.cue, undo: undo.cloneNode(true) };
  else if (!anew) undoable = null;
});
// a cue that is shown anew keeps its score, and the keyboard on it, until the new one is drawn
document.addEventListener('htmx:afterSwap', () => {
  const now = stage();
  if (!score || !now || score.svg.isConnected || now.dataset.cue !== shown.cue) return;
  document.getElementById('score').replaceChildren(score.svg);
  if (onScore) score.words[word].focus({ preventScroll: true });
});
document.addEventListener('htmx:afterSettle', event => {
  if (event.detail.target.id === 'stage' || event.detail.elt?.id === 'stage') enterStage();
});

enterStage();
// it may have come before this page was ready for it
if (transport.all().length) showProgramme(transport.all());
