// The transport at the foot of every project page: plays the programme cue by cue, shows where it is, and goes where
// one clicks.

import { renew, say, typing } from './app.js';
import { ask, glance, outcome } from './ask.js';
import { timecode } from './clock.js';
import { listen } from './live.js';
import * as player from './player.js';
import * as through from './sound/through.js';
import * as under from './sound/under.js';

const bar = document.querySelector('.transport');
const project = bar.dataset.project;
const button = bar.querySelector('.play');
const strip = bar.querySelector('.strip');
const PLAY = 'M3 1.5v13l11-6.5z';
const STOP = 'M2.5 2.5h11v11h-11z';
const SVG = 'http://www.w3.org/2000/svg';
const LAYER_MS = 250;
let cues = [];
let rate = null;
let length = 1;
// which state of the programme the page has
let stamp = null;
// the state that the stream began with, while the page has none yet
let greeting = null;
let refreshes = 0;
let deltas = 0;
let at = 0;
let running = false;
// the play that is asked for last
let turn = null;
let moves = null;

/** Reads the whole programme, for what the stream can't tell piece by piece. */
export async function refresh() {
  const mine = (refreshes += 1);
  const told = deltas;
  const body = await outcome(ask('GET', `/projects/${project}/programme`));
  // a later one brings more
  if (!body || mine !== refreshes) return;
  const missed = greeting !== null && greeting !== body.stamp;
  greeting = null;
  // what was told while this was under way may be newer than it
  if (missed || told !== deltas) {
    await refresh();
    return;
  }
  stamp = body.stamp;
  rate = body.frameRate;
  take(body.cues, body.seconds);
}

function take(now, seconds) {
  const current = cues[at]?.id;
  cues = now;
  length = seconds || 1;
  const same = cues.findIndex(cue => cue.id === current);
  at = same >= 0 ? same : Math.min(at, Math.max(0, cues.length - 1));
  draw();
  layers = null;
  // many changes in a row are asked about once, unless it is heard; where nothing lies, a take brings nothing that play
  // won't ask for
  const content = stamp?.split('.')[0];
  if (running) beneath();
  else if (under.lies() || content !== layersOf) {
    clearTimeout(layersDue);
    layersDue = setTimeout(beneath, LAYER_MS);
  }
  layersOf = content;
  through.lookAgain();
  document.dispatchEvent(new CustomEvent('logophon:programme', { detail: { cues } }));
}

// what lies under the programme as it is now: asked for when it is to be heard, and once at first
let layers = null;
let layersDue = null;
let layersOf = null;
const beds = bar.querySelector('.beds');

function beneath() {
  layers ??= glance(ask('GET', `/projects/${project}/layer`)).then(body => {
    if (!body) {
      layers = null;
      return;
    }
    beds.hidden = !body.address;
    under.lay(
      body.address
        ? {
            sound: body.address,
            seconds: body.seconds,
            startOf: what => cues.find(cue => cue.id === what.id)?.start ?? null,
          }
        : null,
    );
    // what is to come sounds as it is now
    if (running) through.lookAgain();
  });
  return layers;
}
beds.addEventListener('click', event => {
  // by mouse: Space goes on playing and stopping
  if (event.detail > 0) beds.blur();
  const on = beds.getAttribute('aria-pressed') !== 'true';
  beds.setAttribute('aria-pressed', on);
  under.hear(on);
  say(on ? 'Sounds and beds are heard.' : 'The voice alone is heard.');
  through.lookAgain();
});

/** What has become of some cues, as the stream tells it. */
async function apply(delta) {
  if (delta.all || !cues.length) {
    await refresh();
    return;
  }
  deltas += 1;
  stamp = delta.stamp;
  if (!delta.cues.length && !delta.starts) return;
  const changed = new Map(delta.cues.map(cue => [cue.id, cue]));
  take(
    cues.map((cue, i) => {
      const now = changed.get(cue.id) ?? cue;
      return delta.starts ? { ...now, start: delta.starts[i] / 1000 } : now;
    }),
    delta.seconds,
  );
}

let headDue = null;
/** The head follows what changed; a price that somebody is reading stays. */
function renewHead() {
  clearTimeout(headDue);
  headDue = setTimeout(() => {
    const head = document.getElementById('head');
    if (!head.querySelector('.priced')) renew('#head', `/projects/${project}/render?step=${head.dataset.step}`);
  }, 30);
}

listen(
  `/projects/${project}/events`,
  async ({ kinds, programme }) => {
    if (kinds.some(kind => ['content', 'status', 'house'].includes(kind))) {
      renewHead();
      if (programme) await apply(programme);
    }
    document.dispatchEvent(new CustomEvent('logophon:changed', { detail: { kinds } }));
  },
  async (now, again) => {
    if (stamp === now) return;
    if (stamp === null) greeting = now;
    const behind = again || stamp !== null;
    if (stamp !== null) {
      renewHead();
      await refresh();
    }
    if (behind)
      document.dispatchEvent(
        new CustomEvent('logophon:changed', {
          detail: { kinds: ['content', 'status', 'delivery', 'findings', 'house'] },
        }),
      );
  },
);
document.addEventListener('logophon:gone', () =>
  say('This project was deleted in another window. The shelf can bring it back.'),
);

function draw() {
  strip.setAttribute('viewBox', `0 0 1000 26`);
  const gap = Math.min(1.5, 400 / Math.max(1, cues.length) / 2);
  strip.replaceChildren(
    ...cues.map(cue => {
      const rect = document.createElementNS(SVG, 'rect');
      const x = (cue.start / length) * 1000;
      rect.setAttribute('x', x);
      rect.setAttribute('width', Math.max(0.6, (cue.seconds / length) * 1000 - gap));
      // shape as well as colour: what is ready stands full, what isn't stands low
      const ready = cue.state === 'ready';
      rect.setAttribute('y', ready ? 5 : 13);
      rect.setAttribute('height', ready ? 16 : 8);
      rect.setAttribute('class', `state-${cue.state}`);
      return rect;
    }),
    ...cues.flatMap(reviewed),
  );
  const frame = document.createElementNS(SVG, 'rect');
  frame.setAttribute('class', 'at');
  strip.append(frame);
  show();
}

/**
 * What people have said of a cue: a line under it once it is approved, dots where it has changed since, a stroke
 * over it for a note.
 */
function reviewed(cue) {
  const x = (cue.start / length) * 1000;
  const width = Math.max(0.6, (cue.seconds / length) * 1000 - 1.5);
  const mark = (name, y) => {
    const line = document.createElementNS(SVG, 'line');
    Object.entries({ class: name, x1: x, x2: x + width, y1: y, y2: y }).forEach(([key, value]) =>
      line.setAttribute(key, value),
    );
    return line;
  };
  return [
    ...(cue.review === 'unheard' ? [] : [mark(`review-${cue.review}`, 24)]),
    ...(cue.openNotes ? [mark('noted', 2)] : []),
  ];
}

function show(seconds = 0) {
  const cue = cues[at];
  button.disabled = !cues.some(c => c.sound);
  strip.setAttribute('aria-valuemax', Math.max(1, cues.length));
  strip.setAttribute('aria-valuenow', cues.length ? at + 1 : 1);
  strip.setAttribute('aria-valuetext', cue ? `cue ${cue.number}, ${cue.role}, ${cue.label}${said(cue)}` : 'no cues');
  bar.querySelector('.cuenow b').textContent = cue ? cue.number : '–';
  bar.querySelector('.time').textContent = rate ? timecode(cue ? cue.start + seconds : 0, rate) : '';
  const rect = cue && strip.children[at];
  const frame = strip.lastElementChild;
  if (rect && frame) {
    frame.setAttribute('x', Number(rect.getAttribute('x')) - 1);
    frame.setAttribute('width', Number(rect.getAttribute('width')) + 2);
    frame.setAttribute('y', 2);
    frame.setAttribute('height', 22);
  }
}

/** For screen readers, and in lists. */
export const said = cue =>
  `${cue.review === 'unheard' ? '' : `, ${cue.reviewed}`}${cue.openNotes
      ? `, ${cue.openNotes} open note${cue.openNotes === 1 ? '' : 's'}` : ''}`;

/** Makes a cue the current one. @param tell false when the page chose it itself */
export function go(index, tell = true) {
  if (!cues.length) return;
  at = Math.max(0, Math.min(cues.length - 1, index));
  show();
  if (tell) document.dispatchEvent(new CustomEvent('logophon:cue', { detail: { id: cues[at].id } }));
}

export function goTo(id) {
  const index = cues.findIndex(cue => cue.id === id);
  if (index >= 0 && index !== at) go(index, false);
}

export const all = () => cues;

/** What timecode counts in. */
export const frameRate = () => rate;

/** Which of them is the current one. */
export const index = () => at;

// which takes are heard, where a page has others than the kept ones
let version = null;
// which cues are heard, where a page leaves some out
/** @type {(cue: any) => boolean} */
let heard = () => true;

/** @param sounds addresses by cue; null for the kept takes */
export function choose(sounds) {
  version = sounds;
  through.lookAgain();
}

/** @param which cues are played on through */
export function only(which) {
  heard = which;
  through.lookAgain();
}

const soundOf = cue => version?.[cue.id]?.sound ?? cue.sound;
// what comes after a cue is asked for when its end is near: it may have changed by then
const item = (cue, from = 0) => ({
  id: cue.id,
  sound: soundOf(cue),
  from,
  get pause() {
    return gapAfter(cue.id);
  },
  get last() {
    return !heardAfter(cue.id);
  },
});

/** The next cue that has something to be heard; cues without a take are passed over. */
function heardAfter(id) {
  const index = cues.findIndex(cue => cue.id === id);
  return cues.slice(index + 1).find(cue => soundOf(cue) && heard(cue));
}

/** Seconds until the next cue begins; less than none where it begins before this one ends. */
export function gapAfter(id) {
  const index = cues.findIndex(cue => cue.id === id);
  const cue = cues[index];
  const next = heardAfter(id);
  if (!cue || !next) return 0;
  const overlap = next === cues[index + 1] && next.start > cue.start ? next.start - cue.start - cue.seconds : 0;
  return overlap < -0.001 ? overlap : cue.pause;
}

export function following(played) {
  const next = heardAfter(played.id);
  return next ? item(next) : null;
}

/**
 * Plays on through the programme from the current cue.
 * @param from seconds into it
 */
export async function playOn(from = 0) {
  const first = soundOf(cues[at] ?? {}) ? cues[at] : cues.slice(at + 1).find(cue => soundOf(cue) && heard(cue));
  if (!first) {
    halt();
    return;
  }
  go(cues.indexOf(first));
  await play(item(first, first === cues[at] ? from : 0), following);
}

/** Plays what a page puts together itself: {id, sound, from, until, pause}. */
export async function play(what, follows) {
  player.stop();
  running = true;
  const mine = {};
  turn = mine;
  button.setAttribute('aria-label', 'Stop');
  button.querySelector('path').setAttribute('d', STOP);
  await beneath();
  // meanwhile somebody may have stopped it, or begun another
  if (turn !== mine) return;
  const whole = through.play(what, follows);
  tick();
  try {
    if (await whole) halt();
  } catch (error) {
    say(error.message);
    halt();
  }
}

function tick() {
  cancelAnimationFrame(moves);
  const step = () => {
    const now = through.position();
    if (now) {
      if (now.item.id !== cues[at]?.id) {
        const index = cues.findIndex(cue => cue.id === now.item.id);
        if (index >= 0) go(index);
      }
      show(now.seconds);
      document.dispatchEvent(
        new CustomEvent('logophon:playhead', {
          detail: { id: cues[at]?.id, seconds: now.seconds, elapsed: now.elapsed, item: now.item },
        }),
      );
    }
    // something else may have been played meanwhile
    if (running && !through.isPlaying()) {
      halt();
      return;
    }
    if (running) moves = requestAnimationFrame(step);
  };
  moves = requestAnimationFrame(step);
}

export function halt() {
  running = false;
  turn = null;
  cancelAnimationFrame(moves);
  through.stop();
  player.stop();
  button.setAttribute('aria-label', 'Play the programme');
  button.querySelector('path').setAttribute('d', PLAY);
  document.dispatchEvent(new CustomEvent('logophon:playhead', { detail: { id: cues[at]?.id, seconds: null } }));
}

export const isRunning = () => running;

button.addEventListener('click', () => (running ? halt() : playOn()));
strip.addEventListener('click', event => {
  const box = strip.getBoundingClientRect();
  const wanted = ((event.clientX - box.left) / box.width) * length;
  const index = cues.findIndex((_, i) => wanted < (cues[i + 1]?.start ?? Infinity));
  const playing = running;
  halt();
  go(Math.max(0, index));
  if (playing) playOn();
});
strip.addEventListener('keydown', event => {
  const step = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, Home: -Infinity, End: Infinity }[event.key];
  if (step === undefined) return;
  event.preventDefault();
  event.stopPropagation();
  go(step === -Infinity ? 0 : step === Infinity ? cues.length - 1 : at + step);
});
document.addEventListener('keydown', event => {
  if (event.key !== ' ' || event.defaultPrevented || typing(event.target) || event.target.closest('button, a, summary'))
    return;
  event.preventDefault();
  if (running) halt();
  else playOn();
});
refresh();
