// A recording as it was heard against the script: its wave in rows, each word under its sound, doubts marked.

import { element } from '../app.js';

const SVG = 'http://www.w3.org/2000/svg';
const ROW_SECONDS = 4;
const HEIGHT = 52;
const DOUBT = 0.5;

const shape = (name, attributes) => {
  const made = document.createElementNS(SVG, name);
  Object.entries(attributes).forEach(([key, value]) => made.setAttribute(key, value));
  return made;
};

function outline(peaks, from, to, width) {
  const points = [];
  for (let x = 0; x <= width; x += 2) {
    const first = Math.floor(from + ((to - from) * x) / width);
    const last = Math.max(first + 1, Math.floor(from + ((to - from) * (x + 2)) / width));
    let most = 0;
    for (let i = first; i < Math.min(last, peaks.length); i++) most = Math.max(most, peaks[i]);
    points.push([x, ((most / 255) * HEIGHT) / 2]);
  }
  return points
    .map(([x, y]) => `${x},${HEIGHT / 2 - y}`)
    .concat(points.reverse().map(([x, y]) => `${x},${HEIGHT / 2 + y}`))
    .join(' ');
}

/** Rows of about the same length that end where a word does, so that none is cut in two. */
function rowStarts(data) {
  const count = Math.max(1, Math.ceil(data.seconds / ROW_SECONDS));
  const each = data.seconds / count;
  const starts = [0];
  for (let row = 1; row < count; row++) {
    const wanted = row * each;
    const nearest = data.words
      .map(word => word.from)
      .filter(from => Math.abs(from - wanted) < each * 0.4)
      .sort((one, other) => Math.abs(one - wanted) - Math.abs(other - wanted))[0];
    starts.push(nearest === undefined ? wanted : Math.max(0, nearest - 0.02));
  }
  return starts;
}

/**
 * @param data   words, peaks and length of the take
 * @param doubts of its words
 * @param play   told the second from which it shall be heard
 */
export function drawWave(box, data, doubts, play) {
  const starts = rowStarts(data);
  const ends = [...starts.slice(1), data.seconds];
  const longest = Math.max(...starts.map((from, row) => ends[row] - from));
  box.replaceChildren();
  starts.forEach((from, row) => {
    const each = ends[row] - from;
    const line = element('div', 'waverow');
    line.style.width = `${(each / longest) * 100}%`;
    const svg = shape('svg', {
      viewBox: `0 0 1000 ${HEIGHT}`,
      preserveAspectRatio: 'none',
      'aria-hidden': 'true',
      class: 'recwave',
    });
    svg.append(shape('polygon', { points: outline(data.peaks, from * 100, (from + each) * 100, 1000) }));
    svg.addEventListener('click', event => {
      const place = svg.getBoundingClientRect();
      play(from + ((event.clientX - place.left) / place.width) * each);
    });
    const words = element('div', 'wavewords');
    data.words.forEach((word, i) => {
      if (word.from < from || word.from >= from + each) return;
      const doubtful = (doubts[i] ?? 0) >= DOUBT;
      const said = element('button', doubtful ? 'waveword doubtful' : 'waveword', word.text);
      said.type = 'button';
      said.title = doubtful ? 'Doubtful match: play it' : '';
      said.style.left = `${((word.from - from) / each) * 100}%`;
      const next = data.words[i + 1];
      const until = next && next.from < from + each ? next.from : from + each;
      said.style.maxWidth = `${((until - word.from) / each) * 100}%`;
      said.dataset.from = word.from;
      said.addEventListener('click', () => play(word.from));
      words.append(said);
    });
    line.append(svg, words);
    box.append(line);
    words
      .querySelectorAll('.waveword')
      .forEach(word => word.classList.toggle('tight', word.scrollWidth > word.clientWidth + 1));
  });
}

/** Marks the word that sounds. @param seconds null for none */
export function light(box, seconds) {
  /** @type {any} */
  let now = null;
  box.querySelectorAll('.waveword').forEach(word => {
    word.classList.remove('sounds');
    if (seconds !== null && Number(word.dataset.from) <= seconds) now = word;
  });
  now?.classList.add('sounds');
}
