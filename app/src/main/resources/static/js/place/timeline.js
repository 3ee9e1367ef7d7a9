// The timeline: a ruled sheet with scenes, notes and the picture's slots above and the clips below, a lane a role. Only
// what is seen is drawn.

import { markers } from './markers.js';
import { onPinch } from './pinch.js';
import { outline, peaksOf } from './wave.js';

// a timecode and the buttons that stand at the right: one that they would cut isn't written
const BESIDE_ZOOM = 200;
const SVG = 'http://www.w3.org/2000/svg';
const RULER = 20;
const MARKERS = 16;
const SLOTS = 22;
const LANE = 34;
const LEFT = 74;
const STEPS = [0.04, 0.2, 1, 2, 5, 10, 15, 30, 60, 120, 300, 600, 1800];
const MOST_PIXELS = 600;
const SNAP_PIXELS = 6;
const STEP = 1.6;
const SCROLLBAR = 17;

const make = (name, attributes, text) => {
  const made = document.createElementNS(SVG, name);
  for (const [key, value] of Object.entries(attributes)) made.setAttribute(key, value);
  if (text !== undefined) made.textContent = text;
  return made;
};

/** @param acts choose(id, more), moved(id, seconds), timecode(seconds), frame(): seconds of one, picked(): ids */
export function timeline(box, acts) {
  let table = null;
  let perSecond = 0;
  // true while all of it is shown: then it stays so, however long it grows
  let all = true;
  let chosen = null;
  let playhead = null;
  let drawn = null;
  let drag = null;
  // where the playhead stood last, in seconds
  let at = null;

  const length = () =>
    Math.max(
      table.seconds,
      ...table.rows.map(row => row.startSeconds + Math.max(row.seconds, row.slotSeconds ?? 0)),
      ...table.left.map(slot => slot.startSeconds + slot.seconds),
    );
  let seconds = 1;
  const whole = () => Math.max(0.02, (box.clientWidth - LEFT - 20) / Math.max(1, seconds));
  // the drawing is as wide as the box and stays in it: only what is long is scrolled
  const x = when => LEFT + when * perSecond - box.scrollLeft;
  const spacer = document.createElement('div');
  spacer.className = 'ruled-length';
  let soon = null;
  const later = () => {
    cancelAnimationFrame(soon);
    soon = requestAnimationFrame(draw);
  };

  function draw() {
    if (!table) return;
    if (all) perSecond = whole();
    const roles = [...new Set(table.rows.map(row => row.role))];
    const marked = markers(table, later);
    const top = RULER + (marked.length ? MARKERS : 0);
    spacer.style.width = `${Math.max(box.clientWidth, LEFT + seconds * perSecond + 30)}px`;
    const height = top + SLOTS + roles.length * LANE + 8;
    // its height is said, so that nothing around it is laid out anew while it is scrolled
    if (box.style.height !== `${height + SCROLLBAR}px`) box.style.height = `${height + SCROLLBAR}px`;
    const from = (box.scrollLeft - LEFT) / perSecond - 2;
    const to = from + box.clientWidth / perSecond + 4;
    const svg = make('svg', { width: box.clientWidth, height });
    rules(svg, from, to, height);
    marked
      .filter(one => one.seconds >= from - 20 && one.seconds <= to)
      .forEach((one, i, seen) => svg.append(marker(one, seen[i + 1])));
    roles.forEach((role, i) =>
      svg.append(
        make(
          'text',
          { class: 'lanename', x: 6, y: top + SLOTS + i * LANE + 20 },
          role.length > 10 ? `${role.slice(0, 9)}…` : role,
        ),
      ),
    );
    svg.append(make('text', { class: 'lanename', x: 6, y: top + 14 }, 'Picture'));
    table.left
      .filter(slot => slot.startSeconds + slot.seconds >= from && slot.startSeconds <= to)
      .forEach(slot =>
        svg.append(
          slotOf(
            'slot empty',
            slot.startSeconds,
            slot.seconds,
            top,
            `No cue for ${slot.name || 'this slot'}: ${slot.in} to ${slot.out}`,
          ),
        ),
      );
    for (const row of table.rows) {
      const first = Math.min(row.startSeconds, row.slotFrom ?? row.startSeconds);
      const last = Math.max(row.startSeconds + row.seconds, (row.slotFrom ?? 0) + (row.slotSeconds ?? 0));
      if (last < from || first > to) continue;
      const over = row.spare !== null && row.spare < 0;
      if (row.slotSeconds !== null)
        svg.append(
          slotOf(
            over ? 'slot over' : 'slot',
            row.slotFrom,
            row.slotSeconds,
            top,
            `Slot of ${row.number}: ${row.slotIn} to ${row.slotOut}`,
          ),
        );
      svg.append(clip(row, over, top + SLOTS + roles.indexOf(row.role) * LANE + 3, from, to));
    }
    playhead = make('line', { class: 'now', y1: RULER - 8, y2: height, visibility: 'hidden' });
    svg.append(playhead);
    if (drawn?.parentNode === box) drawn.replaceWith(svg);
    else box.replaceChildren(spacer, svg);
    drawn = svg;
    if (at !== null) mark(at);
  }

  function rules(svg, from, to, height) {
    const step = STEPS.find(one => one * perSecond >= 9) ?? STEPS.at(-1);
    const named = STEPS.find(one => one * perSecond >= 96 && one >= step) ?? STEPS.at(-1);
    for (let t = Math.max(0, Math.floor(from / step) * step); t <= Math.min(to, seconds); t += step) {
      const major = Math.abs(t / named - Math.round(t / named)) < 1e-6;
      svg.append(make('line', { class: major ? 'rule major' : 'rule', x1: x(t), x2: x(t), y1: RULER - 4, y2: height }));
      if (major && x(t) < box.clientWidth - BESIDE_ZOOM)
        svg.append(make('text', { x: x(t) + 3, y: 12 }, acts.timecode(t)));
    }
  }

  function marker(one, next) {
    const group = make('g', { class: `marker ${one.kind}`, ...(one.cue ? { 'data-note': one.cue } : {}) });
    const left = x(one.seconds);
    const room = next ? (next.seconds - one.seconds) * perSecond - 8 : 200;
    group.append(make('rect', { x: left, y: RULER, width: 3, height: MARKERS - 3 }), make('title', {}, one.said));
    if (room > 24) {
      const fits = Math.floor(room / 6.2);
      group.append(
        make(
          'text',
          { x: left + 6, y: RULER + 10 },
          one.text.length > fits ? `${one.text.slice(0, Math.max(1, fits - 1))}…` : one.text,
        ),
      );
    }
    return group;
  }

  function slotOf(name, start, runs, top, said) {
    const made = make('rect', {
      class: name,
      x: x(start),
      width: Math.max(1, runs * perSecond),
      y: top,
      height: SLOTS - 5,
      rx: 2,
    });
    made.append(make('title', {}, said));
    return made;
  }

  function clip(row, over, y, from, to) {
    const picked = acts.picked().includes(row.id);
    const group = make('g', {
      class: `clip role-${row.colour}${over ? ' over' : ''}${row.id === chosen ? ' chosen' : ''}${picked ? ' picked'
          : ''}`,
      'data-cue': row.id,
    });
    const left = x(row.startSeconds);
    const rect = make('rect', { x: left, width: Math.max(2, row.seconds * perSecond), y, height: LANE - 7, rx: 3 });
    rect.append(make('title', {}, `${row.number}: ${row.in} to ${row.out}`));
    group.append(rect);
    if (row.score && row.seconds * perSecond > 24) {
      const data = peaksOf(row.score, later);
      const seen = {
        from: Math.max(0, Math.floor((from - row.startSeconds) * perSecond)),
        to: Math.min(row.seconds, to - row.startSeconds) * perSecond,
      };
      if (data?.length)
        group.append(
          make('path', { class: 'wave', d: outline(data, { left, top: y, height: LANE - 7, perSecond, ...seen }) }),
        );
    }
    if (row.seconds * perSecond > 30) group.append(make('text', { x: left + 5, y: y + 17 }, row.number));
    return group;
  }

  function mark(now) {
    if (!playhead) return;
    playhead.setAttribute('visibility', 'visible');
    playhead.setAttribute('x1', x(now));
    playhead.setAttribute('x2', x(now));
  }

  /**
   * Near an edge of another clip, of a slot, or the playhead a clip comes to stand at it; else on the nearest
   * frame.
   */
  function snapped(id, by, moving) {
    const row = table.rows.find(one => one.id === id);
    const edges = table.rows
      .filter(one => !moving.has(one.id))
      .flatMap(one => [one.startSeconds, one.startSeconds + one.seconds])
      .concat(
        table.rows
          .concat(table.left.map(slot => ({ slotFrom: slot.startSeconds, slotSeconds: slot.seconds })))
          .flatMap(one => (one.slotSeconds === null ? [] : [one.slotFrom, one.slotFrom + one.slotSeconds])),
        at === null ? [] : [at],
      );
    let best = SNAP_PIXELS / perSecond;
    let found = by;
    for (const own of [row.startSeconds, row.startSeconds + row.seconds]) {
      for (const edge of edges) {
        const off = edge - (own + by);
        if (Math.abs(off) < best) {
          best = Math.abs(off);
          found = by + off;
        }
      }
    }
    return Math.round(found / acts.frame()) * acts.frame();
  }

  box.addEventListener('scroll', later);
  const pinch = onPinch(box, (factor, middle) => {
    drag = null;
    zoomBy(factor, middle);
  });
  box.addEventListener('pointerdown', event => {
    const note = event.target.closest('.marker[data-note]');
    if (note) {
      acts.choose(note.dataset.note, false);
      return;
    }
    const hit = event.target.closest('.clip');
    if (!hit || pinch.going()) return;
    const id = hit.dataset.cue;
    const more = event.shiftKey || event.ctrlKey || event.metaKey;
    acts.choose(id, more);
    if (more) return;
    const moving = new Set(acts.picked().includes(id) ? acts.picked() : [id]);
    drag = { id, moving, from: event.clientX, by: 0 };
    box.setPointerCapture(event.pointerId);
  });
  box.addEventListener('pointermove', event => {
    if (!drag) return;
    const by = (event.clientX - drag.from) / perSecond;
    drag.by =
      Math.abs(by * perSecond) < 3
        ? 0
        : event.altKey
          ? Math.round(by / acts.frame()) * acts.frame()
          : snapped(drag.id, by, drag.moving);
    for (const group of box.querySelectorAll('.clip'))
      if (drag.moving.has(group.dataset.cue)) group.setAttribute('transform', `translate(${drag.by * perSecond} 0)`);
    const row = table.rows.find(one => one.id === drag.id);
    const text = box.querySelector(`[data-cue="${drag.id}"] text`);
    if (text && drag.by) text.textContent = acts.timecode(Math.max(0, row.startSeconds + drag.by));
  });
  const drop = moved => {
    if (!drag) return;
    const { id, by } = drag;
    drag = null;
    if (moved && by) acts.moved(id, by);
    else draw();
  };
  box.addEventListener('pointerup', () => drop(true));
  box.addEventListener('pointercancel', () => drop(false));
  box.addEventListener(
    'wheel',
    event => {
      if (!event.ctrlKey) return;
      event.preventDefault();
      zoomBy(event.deltaY < 0 ? STEP : 1 / STEP, event.clientX - box.getBoundingClientRect().left);
    },
    { passive: false },
  );

  /** What stands at a place of the box stays there. */
  function zoomBy(factor, place) {
    const held = (box.scrollLeft + place - LEFT) / perSecond;
    perSecond = Math.max(whole(), Math.min(MOST_PIXELS, perSecond * factor));
    all = perSecond <= whole();
    draw();
    box.scrollLeft = held * perSecond + LEFT - place;
    draw();
  }

  return {
    show(now, which) {
      table = now;
      chosen = which;
      seconds = length();
      draw();
    },
    choose(which) {
      chosen = which;
      draw();
      const row = table?.rows.find(one => one.id === which);
      if (row && (x(row.startSeconds) < LEFT || x(row.startSeconds) > box.clientWidth - 40))
        box.scrollLeft += x(row.startSeconds) - box.clientWidth / 3;
    },
    place(now) {
      at = now ?? at;
      if (now === null) playhead?.setAttribute('visibility', 'hidden');
      else mark(now);
    },
    /** @param way above 0 wider, below narrower, 0 all of it */
    zoom(way) {
      if (way) {
        zoomBy(way > 0 ? STEP : 1 / STEP, box.clientWidth / 2);
        return;
      }
      all = true;
      box.scrollLeft = 0;
      draw();
    },
    resized() {
      if (table) draw();
    },
  };
}
