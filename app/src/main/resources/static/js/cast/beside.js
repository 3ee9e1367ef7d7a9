// Voices side by side: up to six say the same line, and a key goes from one to the other at the same word.

import { button, element, say } from '../app.js';
import { askPriced } from '../ask.js';
import * as player from '../player.js';
import * as transport from '../transport.js';

const MOST = 6;
const LETTERS = 'ABCDEF';
const SVG = 'http://www.w3.org/2000/svg';
const list = document.getElementById('candidates');
const none = document.getElementById('no-candidates');
const keys = document.getElementById('candidate-keys');
const hide = document.getElementById('hide-names');
let candidates = [];
let heard = null;
let plays = 0;
/** @type {(voice: string) => void} */
let castIt = () => {};
let changed = () => {};

export const onCast = listener => {
  castIt = listener;
};
export const onChange = listener => {
  changed = listener;
};
/** How often something was played: who waits for a sound sees whether another one was chosen meanwhile. */
export const played = () => plays;
export const has = voice => candidates.some(c => c.voice === voice);
export const letters = () => candidates.map((c, i) => ({ voice: c.voice, letter: LETTERS[i] }));

/**
 * What a voice says, made or fetched.
 * @param agrees whether asking again for what costs agrees to its price
 * @param quiet  whether nothing is said when it can't
 * @returns null when it can't, after saying why; with a price and no sound when that comes first
 */
export async function audition(wanted, { agrees = true, quiet = false } = {}) {
  try {
    return await askPriced(wanted.address, wanted.fields, 'Press again to hear it.', agrees);
  } catch (refusal) {
    if (!quiet) say(refusal.message);
    const { price, sentence } = refusal.body;
    return refusal.status === 402 ? { voice: wanted.fields.voice, price, sentence } : null;
  }
}

/** Plays an audition from a second on. @returns true when it ran to its end */
export async function play(made, from = 0) {
  plays += 1;
  transport.halt();
  heard = made;
  show();
  try {
    const whole = player.play(made.sound, from);
    follow(whole);
    return await whole;
  } catch (error) {
    say(error.message);
    return false;
  }
}

/** Puts a voice beside the others, or takes it away again. */
export async function toggle(voice, line) {
  if (has(voice)) {
    drop(voice);
    return;
  }
  if (candidates.length === MOST) {
    say('Six voices are being compared. Remove one first.');
    return;
  }
  const made = await audition(line(voice));
  if (!made || made.price || has(voice)) return;
  candidates.push({ ...made, line });
  player.load(made.sound).catch(error => say(error.message));
  draw();
}

function drop(voice) {
  candidates = candidates.filter(c => c.voice !== voice);
  draw();
}

/** Another line, or another direction of the role: everyone says it again. */
export async function again(line) {
  const made = await Promise.all(candidates.map(c => audition(line(c.voice), { agrees: false })));
  // one that costs stays, with its price in the place of its sound
  candidates = candidates.map((c, i) => made[i] && { name: c.name, ...made[i], line }).filter(Boolean);
  candidates.filter(c => c.sound).forEach(c => player.load(c.sound).catch(() => {}));
  draw();
}

async function pay(candidate) {
  const made = await audition(candidate.line(candidate.voice));
  if (!made || made.price) return;
  candidates = candidates.map(c => (c.voice === candidate.voice ? { ...made, line: c.line } : c));
  draw();
  play(made);
}

/** From the candidate that plays to another one, at the word that sounds now; from the start when none plays. */
export function switchTo(index) {
  const to = candidates[index];
  if (!to) return;
  if (to.price) {
    say(to.sentence);
    return;
  }
  const now = player.position();
  let from = 0;
  if (now !== null && heard && heard.starts.length === to.starts.length) {
    const word = heard.starts.findLastIndex(start => start <= now);
    if (word >= 0) {
      const end = (made, i) => made.starts[i + 1] ?? made.seconds;
      const share = (now - heard.starts[word]) / Math.max(0.01, end(heard, word) - heard.starts[word]);
      from = to.starts[word] + Math.min(1, share) * (end(to, word) - to.starts[word]);
    }
  }
  play(to, from);
}

function picture(peaks) {
  const svg = document.createElementNS(SVG, 'svg');
  svg.setAttribute('viewBox', '0 0 220 26');
  svg.setAttribute('preserveAspectRatio', 'none');
  svg.setAttribute('aria-hidden', 'true');
  const loudest = Math.max(1, ...peaks);
  const path = document.createElementNS(SVG, 'path');
  path.setAttribute(
    'd',
    peaks
      .map((peak, i) => {
        const h = Math.max(0.5, (12 * peak) / loudest);
        return `M${2 * i + 1} ${13 - h}V${13 + h}`;
      })
      .join(''),
  );
  const line = document.createElementNS(SVG, 'line');
  line.setAttribute('y2', 26);
  line.setAttribute('visibility', 'hidden');
  svg.append(path, line);
  return svg;
}

function draw() {
  none.hidden = candidates.length > 0;
  keys.hidden = candidates.length < 2;
  list.replaceChildren(
    ...candidates.map((c, i) => {
      const item = element('li', 'candidate');
      item.dataset.voice = c.voice;
      const name = hide.checked ? `Voice ${LETTERS[i]}` : c.name;
      const head = element('div', 'named');
      const letter = button('letter', LETTERS[i], () => switchTo(i), `Play ${name}`);
      letter.setAttribute('aria-keyshortcuts', i + 1);
      head.append(letter, element('b', 'reading', name));
      if (c.price) {
        const row = element('div', 'row-of-buttons');
        row.append(
          button('btn btn-amber', `Play for ${c.price}`, () => pay(c)),
          button('btn-quiet', 'Remove', () => drop(c.voice), `Remove ${name}`),
        );
        item.append(head, element('div', 'soft', c.sentence), row);
        return item;
      }
      head.append(element('span', 'figures', `${c.seconds.toFixed(1)} s`));
      const figures = hide.checked
        ? ''
        : `${c.about} · ${c.wordsPerMinute} wpm${c.pitchHz ? ` · ${c.pitchHz} Hz` : ''}`;
      const row = element('div', 'row-of-buttons');
      row.append(
        button('btn btn-sea', 'Cast', () => castIt(c.voice), `Cast ${name}`),
        button('btn-quiet', 'Remove', () => drop(c.voice), `Remove ${name}`),
      );
      item.append(head, picture(c.peaks), element('div', 'figures', figures), row);
      return item;
    }),
  );
  show();
  changed();
}

function show() {
  const now = player.isPlaying() ? heard?.voice : null;
  list.querySelectorAll('.candidate').forEach(item => item.classList.toggle('now', item.dataset.voice === now));
}

/** Shows who plays and where, until it ends; loading it takes a moment. */
function follow(whole) {
  let over = false;
  whole
    .catch(() => {})
    .finally(() => {
      over = true;
    });
  const step = () => {
    const seconds = player.position();
    list.querySelectorAll('.candidate').forEach(item => {
      const line = item.querySelector('svg line');
      const mine = seconds !== null && item.dataset.voice === heard?.voice;
      line.setAttribute('visibility', mine ? 'visible' : 'hidden');
      if (mine) {
        const x = (220 * seconds) / heard.seconds;
        line.setAttribute('x1', x);
        line.setAttribute('x2', x);
      }
    });
    show();
    if (!over) requestAnimationFrame(step);
  };
  requestAnimationFrame(step);
}

hide?.addEventListener('change', () => {
  // a fair choice: nobody knows who is who until the names come back
  if (hide.checked) {
    for (let i = candidates.length - 1; i > 0; i--) {
      const j = crypto.getRandomValues(new Uint32Array(1))[0] % (i + 1);
      [candidates[i], candidates[j]] = [candidates[j], candidates[i]];
    }
  }
  draw();
});
