// The script laid out a second time, in colour and with its margin, behind the transparent text area. Only lines that changed are
// built again: a key stroke in a long script costs a line, not the script.

import { element } from './app.js';

/** Stretches of the text that have a look of their own: headings, notes, cues; what lies between has none. */
function stretches(state) {
  return [
    ...state.scenes.map(s => ({ ...s, style: 'scene' })),
    ...state.notes.map(s => ({ ...s, style: 'note' })),
    ...state.cues.map(cue => ({ start: cue.start, end: cue.end, style: `spoken role-${cue.colour}${cue.problem ? ' trouble' : ''}`, cue })),
  ].sort((a, b) => a.start - b.start);
}

/** One entry a line of the text: its pieces and marks, and a key that tells whether a line that stands already shows the same. */
function linesOf(text, state, findings) {
  const marked = state ? stretches(state) : [];
  const longest = (state?.cues ?? []).reduce((most, cue) => Math.max(most, cue.seconds), 10);
  let next = 0;
  let nextFinding = 0;
  let start = 0;
  return text.split('\n').map(line => {
    const end = start + line.length;
    while (next < marked.length && marked[next].end <= start && marked[next].end < end) next++;
    while (nextFinding < findings.length && findings[nextFinding].end <= start) nextFinding++;
    const here = [];
    for (let i = next; i < marked.length && marked[i].start <= end; i++) if (marked[i].end > start) here.push(marked[i]);
    const found = [];
    for (let i = nextFinding; i < findings.length && findings[i].start < end; i++) if (findings[i].end > start) found.push(findings[i]);
    const made = pieces(line, start, here, found, state !== null);
    const cues = here.filter(s => s.cue && s.start >= start);
    const heads = cues.filter(s => s.start === start);
    const cuts = cues.filter(s => s.start > start);
    start = end + 1;
    const shown = cue => [cue.number, cue.role, cue.seconds.toFixed(1), cue.measured, cue.slot].join();
    const key = JSON.stringify([made, heads.map(s => shown(s.cue)), cuts.map(s => [s.start - end, s.cue.number]), heads.length ? longest : 0]);
    return { line, pieces: made, head: heads[0]?.cue, cuts: cuts.map(s => ({ at: s.start - (end - line.length), number: s.cue.number })), longest, key };
  });
}

/** The line cut wherever its look changes: [text, style, underline]. */
function pieces(line, start, here, found, known) {
  // a note may stand inside a paragraph: it is no part of the words around it
  if (known && /^\s*\/\//.test(line)) return [[line, 'note', '']];
  const edges = new Set([0, line.length]);
  const add = at => { if (at > start && at < start + line.length) edges.add(at - start); };
  here.forEach(s => { add(s.start); add(s.end); });
  found.forEach(f => { add(f.start); add(f.end); });
  const sorted = [...edges].sort((a, b) => a - b);
  const made = [];
  for (let i = 0; i + 1 < sorted.length; i++) {
    const from = start + sorted[i];
    const stretch = here.find(s => s.start <= from && s.end > from);
    const marks = found.filter(f => f.start <= from && f.end > from);
    made.push([line.slice(sorted[i], sorted[i + 1]), stretch && line.trim() ? stretch.style : '', marks.length ? marks[marks.length - 1].look + (marks.some(f => f.here) ? ' here' : '') : '']);
  }
  return made;
}

function lineBlock({ line, pieces: parts, head, cuts, longest, key }) {
  const block = element('div', 'line');
  block.key = key;
  block.line = line;
  let at = 0;
  for (const [text, style, underline] of parts) {
    const cut = cuts.find(c => c.at === at);
    if (cut) {
      const mark = element('i', 'cutmark');
      mark.append(element('b', '', cut.number));
      block.append(mark);
    }
    const span = element('span', style, underline ? undefined : text);
    if (underline) span.append(element('u', underline, text));
    block.append(span);
    at += text.length;
  }
  if (head) block.append(...marginOf(head, longest));
  return block;
}

function marginOf(cue, longest) {
  const number = element('div', `margincue role-${cue.colour}`);
  number.append(element('span', 'number', cue.number), element('span', 'who', cue.role));
  const time = element('div', 'margintime');
  const over = cue.slot && cue.seconds > cue.slot;
  const length = `${cue.tooLong ? 'long ' : ''}${cue.measured ? '' : '≈ '}${cue.seconds.toFixed(1)}${cue.slot ? ` of ${cue.slot.toFixed(1)}` : ''} s`;
  time.append(element('span', over ? 'figures over' : 'figures', over ? `over ${length}` : length));
  const bar = element('span', 'bar');
  const fill = element('span', over || cue.tooLong ? 'fill long' : 'fill');
  fill.style.width = `${Math.min(100, cue.seconds / longest * 100)}%`;
  bar.append(fill);
  time.append(bar);
  return [number, time];
}

/**
 * Brings the mirror in line with the text.
 *
 * @param state    of exactly this text, or null while it is being typed: then lines that read the same stay as they are
 * @param findings in the order of the text
 */
export function paint(mirror, text, state, findings) {
  const lines = linesOf(text, state, state ? findings : []);
  const blocks = mirror.children;
  const same = (block, wanted) => block.key === wanted.key || !state && block.line === wanted.line;
  let head = 0;
  while (head < blocks.length && head < lines.length && same(blocks[head], lines[head])) head++;
  let tail = 0;
  while (tail < blocks.length - head && tail < lines.length - head && same(blocks[blocks.length - 1 - tail], lines[lines.length - 1 - tail])) tail++;
  if (lines.length === blocks.length) {
    // the same lines, some of them with other marks: each that differs is replaced, the others stay
    for (let i = head; i < lines.length - tail; i++) if (!same(blocks[i], lines[i])) blocks[i].replaceWith(lineBlock(lines[i]));
    return;
  }
  const fresh = lines.slice(head, lines.length - tail).map(lineBlock);
  const after = blocks[blocks.length - tail] ?? null;
  while (blocks.length - tail > head) blocks[head].remove();
  const all = document.createDocumentFragment();
  all.append(...fresh);
  mirror.insertBefore(all, after);
}

/** Brings the line that holds a place of the text into view. */
export function reveal(mirror, text, place) {
  const line = mirror.children[text.slice(0, place).split('\n').length - 1];
  const box = line?.getBoundingClientRect();
  if (box && (box.top < 120 || box.bottom > window.innerHeight - 80)) line.scrollIntoView({ block: 'center' });
}
