// Draws the score of a take: systems of about 160 px a second, one under the other, with waveform, pitch line and words at their true time.

const SVG = 'http://www.w3.org/2000/svg';
const PX_PER_SECOND = 160;
const LEFT = 34;
const RIGHT = 12;
const RULER = 16;
const WAVE = 44;
const PITCH = 64;
const WORDS = 32;
const LEADS = 36;
const SYSTEM = RULER + WAVE + PITCH + WORDS + LEADS;
const SHORTEST_REST = 0.06;

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
 * @param data what the server gives of a take: seconds, peaks, pitch, words
 * @returns {{words: SVGElement[], place(seconds: number|null): void}}
 */
export function drawScore(box, data) {
  const width = Math.max(320, box.clientWidth);
  const systems = systemsOf(data, (width - LEFT - RIGHT) / PX_PER_SECOND);
  const height = systems.length * SYSTEM + 4;
  const svg = make('svg', { viewBox: `0 0 ${width} ${height}`, height, role: 'presentation' });
  const scale = pitchScale(data.pitch);
  systems.forEach((span, s) => svg.append(system(data, s, span, scale)));
  const words = data.words.map((word, i) => wordGroup(svg, data, word, i, systems));
  const playhead = make('g', { visibility: 'hidden' });
  playhead.append(make('line', { class: 'head-line', y1: 8, y2: SYSTEM - LEADS + 8 }), make('path', { class: 'head-cap', d: 'M-5 4h10l-5 7z' }));
  svg.append(playhead);
  box.replaceChildren(svg);
  return {
    words,
    place(seconds) {
      if (seconds === null || seconds > data.seconds + 0.05) { playhead.setAttribute('visibility', 'hidden'); return; }
      const [x, y] = position(Math.min(seconds, data.seconds), systems);
      playhead.setAttribute('transform', `translate(${x} ${y})`);
      playhead.setAttribute('visibility', 'visible');
    },
  };
}

/** Like lines of sheet music, systems break between words: {from, to} in seconds. */
function systemsOf(data, longest) {
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
  return [LEFT + (seconds - systems[s].from) * PX_PER_SECOND, s * SYSTEM];
};

/** Hz to height, logarithmic over the voice's own range: equal intervals look equal. */
function pitchScale(pitch) {
  const voiced = pitch.filter(hz => hz > 0).sort((a, b) => a - b);
  if (voiced.length === 0) return null;
  const low = voiced[Math.floor(voiced.length * 0.03)] * 0.92;
  const high = voiced[Math.floor(voiced.length * 0.97)] * 1.09;
  const span = Math.log2(high / low);
  return { low, high, y: hz => RULER + WAVE + PITCH - 4 - Math.max(-0.04, Math.min(1.04, Math.log2(hz / low) / span)) * (PITCH - 10) };
}

function system(data, s, { from, to }, scale) {
  const group = make('g', { transform: `translate(0 ${s * SYSTEM})` });
  const end = LEFT + (to - from) * PX_PER_SECOND;
  const marks = make('g', { class: 'ruler' });
  for (let t = Math.ceil(from); t <= to; t++) {
    const x = LEFT + (t - from) * PX_PER_SECOND;
    marks.append(make('line', { class: 'grid', x1: x, x2: x, y1: RULER, y2: SYSTEM - LEADS }), make('text', { x: x + 3, y: 11 }, `${t.toFixed(1)}`));
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
    const x = (LEFT + (i / 100 - from) * PX_PER_SECOND).toFixed(1);
    const half = Math.max(0.4, data.peaks[i] / 255 * (WAVE / 2 - 2));
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
    group.append(make('line', { class: 'dots', x1: LEFT, x2: end, y1: y, y2: y }), make('text', { class: 'hz', x: 4, y: y + 3 }, hz));
  }
  let path = '';
  let before = 0;
  for (let i = Math.round(from * 100); i < Math.min(data.pitch.length, Math.round(to * 100)); i++) {
    const hz = data.pitch[i];
    if (hz > 0) {
      const x = LEFT + (i / 100 - from) * PX_PER_SECOND;
      // a leap of a third within 10 ms is a new stroke, not a slide
      const joined = before > 0 && Math.abs(Math.log2(hz / before)) < 0.3;
      path += `${joined ? 'L' : 'M'}${x.toFixed(1)} ${scale.y(hz).toFixed(1)}`;
    }
    before = hz;
  }
  group.append(make('path', { class: 'pitchline', d: path || 'M0 0' }));
  return group;
}

function wordGroup(svg, data, word, i, systems) {
  const [x, y] = position(word.from, systems);
  const boxWidth = Math.max(3, (word.to - word.from) * PX_PER_SECOND - 1.5);
  const top = y + RULER + WAVE + PITCH;
  const size = [15, 14, 13, 12].find(px => textWidth(word.text, px) + 5 <= boxWidth);
  const group = make('g', { class: size ? 'word' : 'word small', tabindex: i === 0 ? 0 : -1, role: 'button', 'data-word': i,
    'aria-label': `${word.text}, at ${word.from.toFixed(2)} seconds: play from here` });
  group.append(make('rect', { x, y: top, width: boxWidth, height: WORDS, rx: 3 }));
  if (size) {
    group.append(make('text', { x: x + boxWidth / 2, y: top + 21, 'font-size': size }, word.text));
  } else {
    // too short for its type: the word hangs under its box on a lead, on whichever of two lines is free
    const line = leadLine(svg, x, y, textWidth(word.text, 13));
    const baseline = top + WORDS + (line === 0 ? 14 : 30);
    group.append(make('line', { class: 'lead', x1: x + 2, x2: x + 2, y1: top + WORDS, y2: baseline - 9 }), make('text', { x: x + 1, y: baseline, 'font-size': 13 }, word.text));
  }
  const next = data.words[i + 1];
  if (next && next.from - word.to >= SHORTEST_REST) svg.append(rest(x + boxWidth + 1.5, word.to, next.from, top, svg.viewBox.baseVal.width - RIGHT));
  svg.append(group);
  return group;
}

const taken = new WeakMap();
function leadLine(svg, x, y, width) {
  const ends = taken.get(svg) ?? new Map();
  taken.set(svg, ends);
  for (const line of [0, 1]) {
    if ((ends.get(`${y}/${line}`) ?? -1) < x) {
      ends.set(`${y}/${line}`, x + width + 5);
      return line;
    }
  }
  return 1;
}

function rest(x, from, to, top, edge) {
  const width = Math.min((to - from) * PX_PER_SECOND - 1.5, edge - x);
  const group = make('g', { class: 'rest', 'aria-hidden': 'true' });
  group.append(make('rect', { x, y: top, width: Math.max(2, width), height: WORDS, rx: 2 }));
  if (width > 32) group.append(make('text', { x: x + width / 2, y: top + 20 }, (to - from).toFixed(2)));
  return group;
}
