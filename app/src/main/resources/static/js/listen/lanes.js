// Takes in lanes, word under word: the lane that is heard keeps its own time, and the others are laid under its words.

import { button, element } from '../app.js';
import { edits } from './may.js';

const SVG = 'http://www.w3.org/2000/svg';
const HEIGHT = 54;
// a word that is so much longer or shorter than above stands out
const OTHERWISE = 0.2;
const OTHERWISE_SECONDS = 0.06;
const LONGEST_MATCHED = 500;

const make = (name, attributes, text) => {
  const made = document.createElementNS(SVG, name);
  for (const [key, value] of Object.entries(attributes)) made.setAttribute(key, value);
  if (text !== undefined) made.textContent = text;
  return made;
};

/** Which words of two takes are the same: pairs of places, both rising. */
function matched(one, other) {
  if (one.length > LONGEST_MATCHED || other.length > LONGEST_MATCHED) return [];
  const long = Array.from({ length: one.length + 1 }, () => new Uint16Array(other.length + 1));
  for (let i = one.length - 1; i >= 0; i--) {
    for (let j = other.length - 1; j >= 0; j--) {
      long[i][j] = one[i].text === other[j].text ? long[i + 1][j + 1] + 1 : Math.max(long[i + 1][j], long[i][j + 1]);
    }
  }
  const pairs = [];
  for (let i = 0, j = 0; i < one.length && j < other.length;) {
    if (one[i].text === other[j].text) pairs.push([i++, j++]);
    else if (long[i + 1][j] >= long[i][j + 1]) i++;
    else j++;
  }
  return pairs;
}

/** From the time of one take to that of another, by the words that they share; straight between them. */
export function timeMap(from, to) {
  const knots = [[0, 0]];
  for (const [i, j] of matched(from.words, to.words)) {
    for (const [a, b] of [
      [from.words[i].from, to.words[j].from],
      [from.words[i].to, to.words[j].to],
    ]) {
      if (a > knots.at(-1)[0] + 1e-4 && b >= knots.at(-1)[1]) knots.push([a, b]);
    }
  }
  knots.push([Math.max(from.seconds, knots.at(-1)[0] + 1e-3), Math.max(to.seconds, knots.at(-1)[1])]);
  return seconds => {
    let k = 1;
    while (k < knots.length - 1 && seconds > knots[k][0]) k++;
    const [a, b] = knots[k - 1];
    const [c, d] = knots[k];
    return b + ((Math.max(a, Math.min(c, seconds)) - a) / (c - a)) * (d - b);
  };
}

function wave(data, base, map, width) {
  const svg = make('svg', {
    class: 'lanewave',
    viewBox: `0 0 ${width} ${HEIGHT}`,
    preserveAspectRatio: 'none',
    'aria-hidden': 'true',
  });
  const middle = HEIGHT / 2;
  let top = '';
  let bottom = '';
  for (let x = 0; x <= width; x += 2) {
    const from = map((x / width) * base.seconds);
    const to = map(((x + 2) / width) * base.seconds);
    let most = 0;
    for (let i = Math.floor(from * 100); i <= Math.min(data.peaks.length - 1, to * 100); i++)
      most = Math.max(most, data.peaks[i]);
    const half = Math.max(0.5, (most / 255) * (middle - 4));
    top += `L${x} ${(middle - half).toFixed(1)}`;
    bottom = `L${x} ${(middle + half).toFixed(1)}${bottom}`;
  }
  const pairs = matched(base.words, data.words);
  for (const [i, j] of pairs) {
    const word = base.words[i];
    const x = (word.from / base.seconds) * width;
    const here = data.words[j].to - data.words[j].from;
    const above = word.to - word.from;
    if (Math.abs(here / above - 1) > OTHERWISE && Math.abs(here - above) > OTHERWISE_SECONDS) {
      const box = make('rect', {
        class: 'otherwise',
        x,
        y: 2,
        width: Math.max(3, ((word.to - word.from) / base.seconds) * width),
        height: HEIGHT - 4,
      });
      box.append(make('title', {}, `“${word.text}” ${here > above ? '+' : '−'}${Math.abs(here - above).toFixed(2)} s`));
      svg.append(box);
    }
    svg.append(make('line', { class: 'wordstart', x1: x, x2: x, y1: 0, y2: HEIGHT }));
  }
  svg.append(make('path', { class: 'wave', d: `M0 ${middle}${top}${bottom}Z` }));
  return svg;
}

function about(take, i, hidden) {
  const box = element('div', 'about');
  const line = element('div', 'line');
  line.append(element('b', '', hidden ? `Take ${i + 1}` : take.title || take.name));
  if (!hidden) {
    if (take.title) line.append(element('span', 'soft', take.name));
    line.append(element('span', 'figures soft', `${take.seconds.toFixed(1)} s`));
    if (take.starred) {
      const star = element('span', 'star', '★');
      star.title = 'starred';
      star.setAttribute('role', 'img');
      star.setAttribute('aria-label', 'starred');
      line.append(star);
    }
    if (take.kept) line.append(element('span', 'pill sea', 'kept'));
    const differs = element('div', 'differs', `${take.voice}, ${take.differs}`);
    differs.title = `${take.differs}; ${take.when}`;
    box.append(line, differs);
    if (take.labels.length) {
      const labels = element('div', 'labels');
      take.labels.forEach(label => labels.append(element('span', `label-chip role-${colourOf(label)}`, label)));
      box.append(labels);
    }
    if (take.remark) box.append(element('div', 'remark', take.remark));
  } else {
    box.append(line);
  }
  return box;
}

/** A label has the same colour wherever it stands. */
export function colourOf(label) {
  let sum = 0;
  for (const c of label) sum = (sum * 31 + c.codePointAt(0)) % 9973;
  return sum % 7;
}

/**
 * Draws lanes. @param takes lines with their score: {…, data}; @param heard index of the one whose time is shown
 * @param {{hear: Function, act: Function}} acts hear(i), act(i, what)
 */
export function drawLanes(box, takes, heard, hidden, acts) {
  const base = takes[heard]?.data;
  // beside what is said of them, or under it where the window is narrow
  const beside = window.matchMedia('(max-width: 760px)').matches ? 0 : 190;
  const width = Math.max(200, box.clientWidth - beside);
  const list = element('ol', 'lanes');
  takes.forEach((take, i) => {
    const row = element('li', `lane${take.kept && !hidden ? ' kept' : ''}${i === heard ? ' heard' : ''}`);
    const play = button(
      'lanekey',
      i < 9 ? String(i + 1) : '▸',
      () => acts.hear(i),
      `Play ${hidden ? `take ${i + 1}` : take.name} from the same word`,
    );
    if (i === heard) play.setAttribute('aria-pressed', 'true');
    const side = element('div', 'side');
    side.append(play, about(take, i, hidden));
    row.append(side);
    row.append(
      base && take.data
        ? wave(take.data, base, i === heard ? t => t : timeMap(base, take.data), width)
        : element('div', 'lanewave waiting', 'loading'),
    );
    if (!hidden) row.append(menu(take, i, acts));
    list.append(row);
  });
  const head = element('div', 'lanehead');
  head.hidden = true;
  box.replaceChildren(list, ...(base ? [ruler(base, width)] : []), head);
  return {
    place(seconds) {
      head.hidden = seconds === null || !base;
      if (!head.hidden) head.style.setProperty('--at', `${Math.max(0, Math.min(1, seconds / base.seconds))}`);
    },
  };
}

function menu(take, i, acts) {
  const box = element('div', 'laneacts');
  const what = take.name;
  if (!edits) return box;
  box.append(
    button(
      'btn-quiet',
      take.starred ? '★' : '☆',
      () => acts.act(i, 'star'),
      `${take.starred ? 'Remove the star of' : 'Star'} ${what}`,
    ),
  );
  if (!take.kept) box.append(button('btn-quiet', 'Keep', () => acts.act(i, 'keep'), `Keep ${what}`));
  box.append(
    button('btn-quiet', 'Edit details', () => acts.act(i, 'describe'), `Name, labels and note of ${what}`),
    button('btn-quiet', 'Use this direction', () => acts.act(i, 'like'), `Use the direction of ${what}`),
  );
  if (!take.kept) box.append(button('btn-quiet danger', 'Delete', () => acts.act(i, 'delete'), `Delete ${what}`));
  return box;
}

function ruler(base, width) {
  const svg = make('svg', {
    class: 'laneruler',
    viewBox: `0 0 ${width} 16`,
    preserveAspectRatio: 'none',
    'aria-hidden': 'true',
  });
  const step = [0.5, 1, 2, 5, 10, 30, 60].find(s => (s / base.seconds) * width > 46) ?? 120;
  for (let t = 0; t < base.seconds; t += step)
    svg.append(make('text', { x: (t / base.seconds) * width, y: 12 }, t.toFixed(1)));
  return svg;
}
