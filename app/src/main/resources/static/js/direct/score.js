// Draws the score of a take: systems of about 160 px a second, one under the other, with waveform, pitch line and words
// at their true time.

import { explain, signs } from './phrasing.js';

const SVG = 'http://www.w3.org/2000/svg';
const USUAL = 160;
const WIDTHS = [60, 100, USUAL, 240, 360, 560];
const LEFT = 34;
const RIGHT = 12;
const RULER = 16;
const WAVE = 44;
const PITCH = 64;
const WORDS = 32;
const LEAD = 16;
const LANE = 19;
// between the pitch and the words: what phrasing does
const SIGNS = 14;
const WORD_TOP = RULER + WAVE + PITCH + SIGNS;
const STAFF = WORD_TOP + WORDS;
const SHORTEST_REST = 0.06;
let pxPerSecond = USUAL;

/** Wider or narrower. @returns pixels a second */
export function zoom(way) {
  pxPerSecond = WIDTHS[Math.max(0, Math.min(WIDTHS.length - 1, WIDTHS.indexOf(pxPerSecond) + way))];
  return pxPerSecond;
}

const make = (name, attributes, text) => {
  const made = document.createElementNS(SVG, name);
  for (const [key, value] of Object.entries(attributes)) made.setAttribute(key, value);
  if (text !== undefined) made.textContent = text;
  return made;
};

let ruler = null;
function textWidth(text, size) {
  ruler ??= document.createElement('canvas').getContext('2d');
  ruler.font = `${size}px Reading, serif`;
  return ruler.measureText(text).width;
}

/**
 * @param data  what the server gives of a take: seconds, peaks, pitch, words
 * @param marks lines of marks on those words; {from, to, kind, label, origin, reached…}
 * @param notes of those who listened; {index, remark}
 * @param phrasing what it does to the words; {index, from, to, move, sentence}
 */
export function drawScore(box, data, marks = [], notes = [], phrasing = []) {
  const width = Math.max(320, box.clientWidth);
  const systems = systemsOf(data, (width - LEFT - RIGHT) / pxPerSecond);
  const lanes = lanesOf(marks, data, systems);
  const hanging = leadsOf(data, systems);
  let y = 0;
  systems.forEach(system => {
    system.y = y;
    y += STAFF + system.leads + system.lanes * LANE + (system.lanes ? 8 : 0);
  });
  const svg = make('svg', {
    viewBox: `0 0 ${width} ${y + 4}`,
    height: y + 4,
    role: 'presentation',
    class: data.guessed ? 'guessed' : '',
  });
  const scale = pitchScale(data.pitch);
  systems.forEach(span => svg.append(system(data, span, scale)));
  const words = data.words.map((_, i) =>
    wordGroup(
      svg,
      data,
      i,
      systems,
      marks,
      hanging.get(i),
      notes.filter(note => note.index === i),
      phrasing,
    ),
  );
  joints(svg, data, systems, marks);
  lanes.forEach(lane => svg.append(laneBar(lane)));
  const chosen = make('g', { class: 'chosen', 'aria-hidden': 'true' });
  svg.append(chosen);
  const playhead = make('g', { visibility: 'hidden' });
  playhead.append(
    make('line', { class: 'head-line', y1: 8, y2: STAFF + 8 }),
    make('path', { class: 'head-cap', d: 'M-5 4h10l-5 7z' }),
  );
  svg.append(playhead);
  box.replaceChildren(svg);
  return {
    svg,
    words,
    scale,
    pixelsPerSecond: pxPerSecond,
    /** How many pixels a semitone is high, for dragging. */
    pixelsPerSemitone: scale ? (PITCH - 10) / (12 * Math.log2(scale.high / scale.low)) : 6,
    place(seconds) {
      if (seconds === null || seconds > data.seconds + 0.05) {
        playhead.setAttribute('visibility', 'hidden');
        return;
      }
      const [x, top] = position(Math.min(seconds, data.seconds), systems);
      playhead.setAttribute('transform', `translate(${x} ${top})`);
      playhead.setAttribute('visibility', 'visible');
    },
    /** Shows what is chosen: words from one to another, or the gap after a word. */
    choose(from, to, gap) {
      chosen.replaceChildren();
      words.forEach((group, i) => group.classList.toggle('picked', !gap && i >= from && i <= to));
      svg
        .querySelectorAll('.rest')
        .forEach(rest => rest.classList.toggle('picked', gap && Number(rest.dataset.gap) === from));
      if (gap) {
        const [x, top] = position(data.words[from].to, systems);
        chosen.append(make('line', { class: 'gapline', x1: x, x2: x, y1: top + RULER, y2: top + STAFF }));
        return;
      }
      systems.forEach(system => {
        const here = data.words
          .map((word, i) => ({ word, i }))
          .filter(({ word, i }) => i >= from && i <= to && word.from >= system.from && word.from < system.to);
        if (!here.length) return;
        const x = LEFT + (here[0].word.from - system.from) * pxPerSecond;
        const end = LEFT + (here.at(-1).word.to - system.from) * pxPerSecond;
        chosen.append(
          make('rect', {
            class: 'grip-pitch',
            x,
            width: Math.max(4, end - x),
            y: system.y + RULER + WAVE,
            height: PITCH,
            rx: 3,
          }),
          make('rect', {
            class: 'grip-pace',
            x: end - 4,
            width: 8,
            y: system.y + WORD_TOP,
            height: WORDS,
            rx: 3,
          }),
        );
      });
    },
  };
}

/**
 * Runs of marks get lanes under the words of each system that they reach into, one under the other where they
 * overlap.
 */
function lanesOf(marks, data, systems) {
  systems.forEach(system => {
    system.lanes = 0;
    system.taken = [];
  });
  const lanes = [];
  for (const mark of marks) {
    if ((onGap(mark) && mark.origin !== 'suggested') || mark.from < 0 || mark.to < mark.from) continue;
    for (const system of systems) {
      const inside = data.words
        .map((_, i) => i)
        .filter(
          i => i >= mark.from && i <= mark.to && data.words[i].from >= system.from && data.words[i].from < system.to,
        );
      if (!inside.length) continue;
      const from = data.words[inside[0]].from;
      const to = data.words[inside.at(-1)].to;
      let lane = system.taken.findIndex(end => end <= from + 0.001);
      if (lane < 0) lane = system.taken.push(0) - 1;
      // room for the label as well
      system.taken[lane] = Math.max(to, from + (textWidth(label(mark), 11.5) + 12) / pxPerSecond);
      system.lanes = Math.max(system.lanes, lane + 1);
      lanes.push({ mark, system, lane, from, to });
    }
  }
  return lanes;
}

const label = mark =>
  `${mark.origin === 'suggested' ? '? ' : ''}${mark.kind === 'pause' ? 'pause ' : ''}${mark.label}${reachedOf(mark)}`;

/** What was reached, where it is another figure than was asked for. */
export function reachedOf(mark) {
  const measurable = mark.kind in { pace: 1, pitch: 1, loudness: 1, range: 1, pause: 1 };
  if (mark.reached === null || mark.reached === undefined) return mark.made && measurable ? ' (not measurable)' : '';
  const asked = Number(mark.value);
  const off = { pace: 0.5, pitch: 0.05, loudness: 0.05, range: 1, pause: 5 }[mark.kind];
  if (off === undefined || Number.isNaN(asked) || Math.abs(mark.reached - asked) < off) return measurable ? ' ✓' : '';
  return mark.kind === 'pause'
    ? ` → ${(mark.reached / 1000).toFixed(2)}`
    : ` → ${mark.reached.toFixed(mark.kind === 'pitch' || mark.kind === 'loudness' ? 1 : 0).replace('-', '−')}`;
}

function laneBar({ mark, system, lane, from, to }) {
  const x = LEFT + (from - system.from) * pxPerSecond;
  const y = system.y + STAFF + system.leads - 4 + lane * LANE;
  const group = make('g', {
    class: `lane lane-${mark.kind}${mark.origin === 'suggested' ? ' ghost' : ''}`,
    'aria-hidden': 'true',
    'data-from': mark.from,
    'data-to': mark.to,
  });
  group.append(
    make('line', { x1: x, x2: Math.max(x + 5, LEFT + (to - system.from) * pxPerSecond - 3), y1: y + 2, y2: y + 2 }),
    make('text', { x: x + 1, y: y + 14 }, label(mark)),
  );
  return group;
}

/** Like lines of sheet music, systems break between words: {from, to} in seconds. */
/** Lines of the score, which get their places by and by. */
function systemsOf(data, longest) {
  /** @type {any[]} */
  const systems = [];
  let from = 0;
  data.words.forEach((word, i) => {
    const start = i === 0 ? 0 : word.from;
    if (word.to - from > longest && start > from) {
      // a rest at the end of a system may be longer than the room that is left: it is drawn as far as that goes
      systems.push({ from, to: Math.min(start, from + longest) });
      from = start;
    }
  });
  systems.push({ from, to: data.seconds });
  return systems;
}

const position = (seconds, systems) => {
  let s = systems.length - 1;
  while (s > 0 && seconds < systems[s].from) s--;
  return [LEFT + (seconds - systems[s].from) * pxPerSecond, systems[s].y];
};

/** Hz to height, logarithmic over the voice's own range: equal intervals look equal. */
function pitchScale(pitch) {
  const voiced = pitch.filter(hz => hz > 0).sort((a, b) => a - b);
  if (voiced.length === 0) return null;
  const low = voiced[Math.floor(voiced.length * 0.03)] * 0.92;
  const high = voiced[Math.floor(voiced.length * 0.97)] * 1.09;
  const span = Math.log2(high / low);
  return {
    low,
    high,
    y: hz => RULER + WAVE + PITCH - 4 - Math.max(-0.04, Math.min(1.04, Math.log2(hz / low) / span)) * (PITCH - 10),
  };
}

function system(data, { from, to, y: top }, scale) {
  const group = make('g', { transform: `translate(0 ${top})` });
  const end = LEFT + (to - from) * pxPerSecond;
  const marks = make('g', { class: 'ruler' });
  for (let t = Math.ceil(from); t <= to; t++) {
    const x = LEFT + (t - from) * pxPerSecond;
    marks.append(make('line', { class: 'grid', x1: x, x2: x, y1: RULER, y2: STAFF }));
    // no room for its figures at the edge
    if ((to - t) * pxPerSecond >= 12) marks.append(make('text', { x: x + 3, y: 11 }, `${t.toFixed(1)}`));
  }
  group.append(marks, wave(data, from, to, end));
  if (scale) group.append(pitchLines(data, from, to, scale, end));
  return group;
}

function wave(data, from, to, end) {
  const middle = RULER + WAVE / 2;
  const first = Math.round(from * 100);
  const last = Math.min(data.peaks.length, Math.round(to * 100));
  let top = '';
  let bottom = '';
  for (let i = first; i < last; i++) {
    const x = (LEFT + (i / 100 - from) * pxPerSecond).toFixed(1);
    const half = Math.max(0.4, (data.peaks[i] / 255) * (WAVE / 2 - 2));
    top += `L${x} ${(middle - half).toFixed(1)}`;
    bottom = `L${x} ${(middle + half).toFixed(1)}${bottom}`;
  }
  const group = make('g', {});
  group.append(make('line', { class: 'base', x1: LEFT, x2: end, y1: middle, y2: middle }));
  if (top) group.append(make('path', { class: 'wave', d: `M${LEFT} ${middle}${top}${bottom}Z` }));
  return group;
}

function pitchLines(data, from, to, scale, end) {
  const group = make('g', {});
  for (const hz of [60, 80, 100, 150, 200, 250, 300, 400].filter(f => f >= scale.low && f <= scale.high)) {
    const y = scale.y(hz);
    group.append(
      make('line', { class: 'dots', x1: LEFT, x2: end, y1: y, y2: y }),
      make('text', { class: 'hz', x: 4, y: y + 3 }, hz),
    );
  }
  let path = '';
  let before = 0;
  for (let i = Math.round(from * 100); i < Math.min(data.pitch.length, Math.round(to * 100)); i++) {
    const hz = data.pitch[i];
    if (hz > 0) {
      const x = LEFT + (i / 100 - from) * pxPerSecond;
      // a leap of a third within 10 ms is a new stroke, not a slide
      const joined = before > 0 && Math.abs(Math.log2(hz / before)) < 0.3;
      path += `${joined ? 'L' : 'M'}${x.toFixed(1)} ${scale.y(hz).toFixed(1)}`;
    }
    before = hz;
  }
  group.append(make('path', { class: 'pitchline', d: path || 'M0 0' }));
  return group;
}

/** The size in which a word fits its box; undefined when it fits in none. */
const sizeOf = word => [15, 14, 13, 12].find(px => textWidth(word.text, px) + 5 <= boxWidthOf(word));
const boxWidthOf = word => Math.max(3, (word.to - word.from) * pxPerSecond - 1.5);

/**
 * Words too short for their type hang under their box on a lead, each on the first line that is free.
 * @returns for each its line
 */
function leadsOf(data, systems) {
  const lines = new Map();
  systems.forEach(system => {
    system.ends = [];
  });
  data.words.forEach((word, i) => {
    if (sizeOf(word)) return;
    const system = systems.findLast(one => word.from >= one.from) ?? systems[0];
    const x = LEFT + (word.from - system.from) * pxPerSecond;
    let line = system.ends.findIndex(end => end < x);
    if (line < 0) line = system.ends.push(0) - 1;
    system.ends[line] = x + textWidth(word.text, 13) + 5;
    lines.set(i, line);
  });
  systems.forEach(system => {
    system.leads = Math.max(2, system.ends.length) * LEAD + 4;
  });
  return lines;
}

function wordGroup(svg, data, i, systems, marks, line, notes, phrasing) {
  const word = data.words[i];
  const [x, y] = position(word.from, systems);
  const boxWidth = boxWidthOf(word);
  const top = y + WORD_TOP;
  const size = sizeOf(word);
  const own = marks.filter(mark => mark.from <= i && mark.to >= i && mark.origin !== 'suggested');
  const stress = own.filter(mark => mark.kind === 'stress').at(-1)?.value;
  const state = `${size ? '' : ' small'}${stress ? ` stress-${stress}` : ''}${own.some(mark => mark.kind === 'whisper')
      ? ' whispered' : ''}`;
  const said = own
    .filter(mark => !onGap(mark) || mark.to === i)
    .map(mark => (mark.kind === 'pause' ? `then a pause of ${mark.label}` : mark.label));
  const group = make('g', {
    class: `word${state}`,
    tabindex: i === 0 ? 0 : -1,
    role: 'button',
    'data-word': i,
    'aria-label': [
      word.text,
      ...(data.guessed ? [] : [`at ${word.from.toFixed(2)} seconds`]),
      ...said,
      ...phrasing.filter(part => part.from <= i && part.to >= i).map(part => part.sentence),
      ...notes.map(note => `note: ${note.remark}`),
    ].join(', ') + (data.guessed ? ': not rendered yet' : ': play from here'),
  });
  group.append(make('rect', { x, y: top, width: boxWidth, height: WORDS, rx: 3 }));
  if (size) {
    group.append(make('text', { x: x + boxWidth / 2, y: top + 21, 'font-size': size }, word.text));
  } else {
    const baseline = top + WORDS + 14 + line * LEAD;
    group.append(
      make('line', { class: 'lead', x1: x + 2, x2: x + 2, y1: top + WORDS, y2: baseline - 9 }),
      make('text', { x: x + 1, y: baseline, 'font-size': 13 }, word.text),
    );
  }
  if (notes.length) {
    const dots = make('line', { class: 'noteline', x1: x + 1, x2: x + boxWidth - 1, y1: top - 2, y2: top - 2 });
    dots.append(make('title', {}, notes.map(note => note.remark).join('\n')));
    group.append(dots);
  }
  if (stress)
    group.append(
      make('line', {
        class: 'stressline',
        x1: x + 1,
        x2: x + boxWidth - 1,
        y1: top + WORDS - 2.5,
        y2: top + WORDS - 2.5,
      }),
    );
  const why = phrasing.find(part => part.move === 'rest' && part.to === i);
  const rested = shown => (why ? explain(shown, why) : shown);
  const next = data.words[i + 1];
  const after = marks.filter(mark => mark.to === i && onGap(mark) && mark.origin !== 'suggested');
  if (next && rests(word, next, after))
    svg.append(rested(rest(x + boxWidth + 1.5, word.to, next.from, top, svg.viewBox.baseVal.width - RIGHT, i, after)));
  svg.append(group);
  const here = phrasing.filter(
    part => part.move !== 'rest' && (part.move === 'span' || part.move === 'accent' ? part.from : part.to) === i,
  );
  svg.append(...signs(here, x, boxWidth, top));
  return group;
}

// pauses, breaths and sounds stand between two words
const onGap = mark => ['pause', 'breath', 'sound'].includes(mark.kind);
const rests = (word, next, after) => next.from - word.to >= SHORTEST_REST || after.length > 0;

/** Where words touch there is a gap as well: it is chosen and pulled open at their common edge. */
function joints(svg, data, systems, marks) {
  data.words.slice(0, -1).forEach((word, i) => {
    const next = data.words[i + 1];
    if (
      rests(
        word,
        next,
        marks.filter(mark => mark.to === i && onGap(mark) && mark.origin !== 'suggested'),
      )
    )
      return;
    const [x, y] = position(word.from, systems);
    const edge = x + boxWidthOf(word) + 0.75;
    const width = Math.min(8, 0.4 * Math.min(boxWidthOf(word), boxWidthOf(next)));
    const top = y + WORD_TOP;
    const group = make('g', { class: 'rest joint', 'aria-hidden': 'true', 'data-gap': i });
    group.append(
      make('rect', { x: edge, y: top, width: 0, height: WORDS }),
      make('rect', { class: 'grip-rest', x: edge - width / 2, y: top, width, height: WORDS }),
    );
    svg.append(group);
  });
}

function rest(x, from, to, top, edge, gap, marks) {
  const width = Math.max(4, Math.min((to - from) * pxPerSecond - 1.5, edge - x));
  const pause = marks.find(mark => mark.kind === 'pause');
  const sound = marks.find(mark => mark.kind === 'sound');
  const breath = marks.find(mark => mark.kind === 'breath');
  const group = make('g', { class: `rest${pause || sound ? ' asked' : ''}`, 'aria-hidden': 'true', 'data-gap': gap });
  group.append(make('rect', { x, y: top, width, height: WORDS, rx: 2 }));
  const words = pause ? `${(Number(pause.value) / 1000).toFixed(2)}` : (to - from).toFixed(2);
  const inside = sound ? 'sound' : breath ? 'breath' : '';
  if (width > 32) group.append(make('text', { x: x + width / 2, y: top + (inside ? 14 : 20) }, words));
  if (inside && width > 32)
    group.append(
      make(
        'text',
        { class: 'breath', x: x + width / 2, y: top + 27 },
        sound && width > 70 ? sound.value.split(' ').slice(2).join(' ').slice(0, 12) : inside,
      ),
    );
  else if (inside) group.append(make('circle', { class: 'breath', cx: x + width / 2, cy: top + WORDS / 2, r: 2.5 }));
  group.append(make('rect', { class: 'grip-rest', x: x + width - 5, y: top, width: 9, height: WORDS }));
  return group;
}
