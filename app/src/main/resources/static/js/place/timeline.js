// The timeline: a ruled sheet with the picture's slots above and the clips below, a lane a role. Only what is seen is drawn.

import { scoreOf } from '../scores.js';

const SVG = 'http://www.w3.org/2000/svg';
const TOP = 20;
const SLOTS = 22;
const LANE = 34;
const LEFT = 74;
const STEPS = [0.04, 0.2, 1, 2, 5, 10, 15, 30, 60, 120, 300, 600];
const MOST_PIXELS = 600;
const SNAP_PIXELS = 6;

const make = (name, attributes, text) => {
  const made = document.createElementNS(SVG, name);
  for (const [key, value] of Object.entries(attributes)) made.setAttribute(key, value);
  if (text !== undefined) made.textContent = text;
  return made;
};

/** @param acts {choose(id), moved(id, frames), timecode(seconds)} */
export function timeline(box, acts) {
  let table = null;
  let perSecond = 0;
  // true while all of it is shown: then it stays so, however long it grows
  let all = true;
  let chosen = null;
  let playhead = null;
  let drag = null;
  // where the playhead stood last, in seconds
  let at = null;

  const whole = () => Math.max(2, (box.clientWidth - LEFT - 20) / Math.max(1, length()));
  const length = () => Math.max(table.seconds, ...table.rows.map(row => row.startSeconds + Math.max(row.seconds, row.slotSeconds ?? 0)));
  const x = seconds => LEFT + seconds * perSecond;

  function draw() {
    if (!table) return;
    if (all) perSecond = whole();
    const roles = [...new Set(table.rows.map(row => row.role))];
    const width = Math.max(box.clientWidth, x(length()) + 30);
    const height = TOP + SLOTS + roles.length * LANE + 8;
    const from = (box.scrollLeft - LEFT) / perSecond - 2;
    const to = from + box.clientWidth / perSecond + 4;
    const svg = make('svg', { width, height });
    const step = STEPS.find(one => one * perSecond >= 9) ?? 600;
    const named = STEPS.find(one => one * perSecond >= 96 && one >= step) ?? 600;
    for (let t = Math.max(0, Math.floor(from / step) * step); t <= Math.min(to, length()); t += step) {
      const major = Math.abs(t / named - Math.round(t / named)) < 1e-6;
      svg.append(make('line', { class: major ? 'rule major' : 'rule', x1: x(t), x2: x(t), y1: TOP - 4, y2: height }));
      if (major) svg.append(make('text', { x: x(t) + 3, y: 12 }, acts.timecode(t)));
    }
    roles.forEach((role, i) => svg.append(make('text', { class: 'lanename', x: box.scrollLeft + 6, y: TOP + SLOTS + i * LANE + 20 }, role.length > 10 ? `${role.slice(0, 9)}…` : role)));
    svg.append(make('text', { class: 'lanename', x: box.scrollLeft + 6, y: TOP + 14 }, 'Picture'));
    for (const row of table.rows) {
      const start = row.startSeconds;
      if (Math.max(start + row.seconds, start + (row.slotSeconds ?? 0)) < from || start - (row.slotSeconds ?? 0) > to) continue;
      const over = row.spare !== null && row.spare < 0;
      if (row.slotSeconds !== null) {
        svg.append(make('rect', { class: over ? 'slot over' : 'slot', x: x(row.slotFrom), width: Math.max(1, row.slotSeconds * perSecond), y: TOP, height: SLOTS - 5, rx: 2 }));
      }
      const group = make('g', { class: `clip role-${row.colour}${over ? ' over' : ''}${row.id === chosen ? ' chosen' : ''}`, 'data-cue': row.id });
      const y = TOP + SLOTS + roles.indexOf(row.role) * LANE + 3;
      const clip = make('rect', { x: x(start), width: Math.max(2, row.seconds * perSecond), y, height: LANE - 7, rx: 3 });
      clip.append(make('title', {}, `${row.number}: ${row.in} to ${row.out}`));
      group.append(clip);
      if (row.score && row.seconds * perSecond > 24) group.append(wave(row, x(start), y, LANE - 7));
      if (row.seconds * perSecond > 30) group.append(make('text', { x: x(start) + 5, y: y + 17 }, row.number));
      svg.append(group);
    }
    const line = make('line', { class: 'now', y1: TOP - 8, y2: height, visibility: 'hidden' });
    svg.append(line);
    playhead = line;
    box.replaceChildren(svg);
  }

  const peaks = new Map();
  let soon = null;
  /** The waveform of a clip that is seen: read when it first comes into sight. */
  function wave(row, left, top, height) {
    const data = peaks.get(row.score);
    const path = make('path', { class: 'wave', d: 'M0 0' });
    if (data === undefined) {
      peaks.set(row.score, null);
      scoreOf(row.score).then(score => {
        peaks.set(row.score, score?.peaks ?? []);
        cancelAnimationFrame(soon);
        soon = requestAnimationFrame(draw);
      });
    }
    if (!data?.length) return path;
    const middle = top + height / 2;
    const width = row.seconds * perSecond;
    let up = '';
    let down = '';
    for (let px = 0; px <= width; px += 2) {
      let most = 0;
      for (let i = Math.floor(px / perSecond * 100); i <= Math.min(data.length - 1, (px + 2) / perSecond * 100); i++) most = Math.max(most, data[i]);
      const half = most / 255 * (height / 2 - 4);
      up += `L${(left + px).toFixed(1)} ${(middle - half).toFixed(1)}`;
      down = `L${(left + px).toFixed(1)} ${(middle + half).toFixed(1)}${down}`;
    }
    path.setAttribute('d', `M${left} ${middle}${up}${down}Z`);
    return path;
  }

  /** Near an edge of another clip, of a slot, or the playhead a clip comes to stand at it. */
  function snapped(id, seconds) {
    const row = table.rows.find(one => one.id === id);
    const edges = table.rows.filter(one => one.id !== id).flatMap(one => [one.startSeconds, one.startSeconds + one.seconds])
      .concat(table.rows.flatMap(one => (one.slotSeconds === null ? [] : [one.slotFrom, one.slotFrom + one.slotSeconds])), at === null ? [] : [at]);
    let best = SNAP_PIXELS / perSecond;
    let found = seconds;
    for (const own of [row.startSeconds, row.startSeconds + row.seconds]) {
      for (const edge of edges) {
        const off = edge - (own + seconds);
        if (Math.abs(off) < best) { best = Math.abs(off); found = seconds + off; }
      }
    }
    return found;
  }

  let due = null;
  box.addEventListener('scroll', () => { cancelAnimationFrame(due); due = requestAnimationFrame(draw); });
  box.addEventListener('pointerdown', event => {
    const clip = event.target.closest('.clip');
    if (!clip) return;
    acts.choose(clip.dataset.cue);
    drag = { id: clip.dataset.cue, from: event.clientX, clip: box.querySelector(`[data-cue="${clip.dataset.cue}"]`) };
    box.setPointerCapture(event.pointerId);
  });
  box.addEventListener('pointermove', event => {
    if (drag) drag.clip?.setAttribute('transform', `translate(${event.clientX - drag.from} 0)`);
  });
  box.addEventListener('pointerup', event => {
    if (!drag) return;
    const seconds = (event.clientX - drag.from) / perSecond;
    const { id } = drag;
    drag = null;
    if (Math.abs(seconds * perSecond) < 3) { draw(); return; }
    acts.moved(id, event.altKey ? seconds : snapped(id, seconds));
  });
  box.addEventListener('wheel', event => {
    if (!event.ctrlKey) return;
    event.preventDefault();
    zoom(event.deltaY < 0 ? 1 : -1);
  }, { passive: false });

  function zoom(way) {
    const middle = (box.scrollLeft + box.clientWidth / 2 - LEFT) / perSecond;
    all = way === 0;
    perSecond = all ? whole() : Math.max(whole(), Math.min(MOST_PIXELS, perSecond * (way > 0 ? 1.6 : 1 / 1.6)));
    draw();
    box.scrollLeft = way === 0 ? 0 : middle * perSecond + LEFT - box.clientWidth / 2;
    draw();
  }

  return {
    show(now, which) { table = now; chosen = which; draw(); },
    choose(which) {
      chosen = which;
      draw();
      const row = table?.rows.find(one => one.id === which);
      if (row && (x(row.startSeconds) < box.scrollLeft + LEFT || x(row.startSeconds) > box.scrollLeft + box.clientWidth - 40)) box.scrollLeft = x(row.startSeconds) - box.clientWidth / 3;
    },
    place(seconds) {
      at = seconds ?? at;
      if (!playhead) return;
      playhead.setAttribute('visibility', seconds === null ? 'hidden' : 'visible');
      if (seconds !== null) { playhead.setAttribute('x1', x(seconds)); playhead.setAttribute('x2', x(seconds)); }
    },
    zoom,
    resized() { if (table) draw(); },
  };
}
