// The looks of the script: scenes, notes, the words of each role, findings, and the margin with number, role and time.

import { Decoration, WidgetType } from '@codemirror/view';
import { element } from '../app.js';

/** Something beside the text that is drawn anew only when it says something else. */
class Drawn extends WidgetType {
  constructor(key, draw) {
    super();
    this.key = key;
    this.draw = draw;
  }

  eq(other) {
    return other.key === this.key;
  }

  toDOM() {
    return this.draw();
  }

  ignoreEvent() {
    return true;
  }
}

function margin(cue, longest) {
  const box = element('span', 'margins');
  // the list of cues beside the script says the same to those who don't see the margin
  box.setAttribute('aria-hidden', 'true');
  const number = element('span', `margincue role-${cue.colour}`);
  number.append(element('span', 'number', cue.number), element('span', 'who', cue.role));
  if (cue.notes?.length) {
    const notes = element('span', 'noted', cue.notes.length === 1 ? '1 note' : `${cue.notes.length} notes`);
    notes.title = cue.notes.join('\n');
    number.append(notes);
  }
  const time = element('span', 'margintime');
  const over = cue.slot && cue.seconds > cue.slot;
  const length = `${cue.tooLong ? 'long ' : ''}${cue.measured ? '' : '≈ '}${cue.seconds.toFixed(1)}${cue.slot
      ? ` of ${cue.slot.toFixed(1)}` : ''} s`;
  time.append(element('span', over ? 'figures over' : 'figures', over ? `over ${length}` : length));
  const bar = element('span', 'bar');
  const fill = element('span', over || cue.tooLong ? 'fill long' : 'fill');
  fill.style.width = `${Math.min(100, (cue.seconds / longest) * 100)}%`;
  bar.append(fill);
  time.append(bar);
  box.append(number, time);
  return box;
}

function cut(number) {
  const mark = element('i', 'cutmark');
  mark.setAttribute('aria-hidden', 'true');
  mark.append(element('b', '', number));
  return mark;
}

const looks = new Map();
/** One decoration a look: thousands of stretches share a few. */
function look(tagName, className) {
  const key = `${tagName} ${className}`;
  if (!looks.has(key)) looks.set(key, Decoration.mark({ tagName, class: className }));
  return looks.get(key);
}

/** @param state of the text as it is @param findings in the order of the text @param text the editor's own */
export function dressing(state, findings, text) {
  const ranges = [];
  const add = (from, to, what) => {
    if (from < to && to <= text.length) ranges.push(what.range(from, to));
  };
  state.scenes.forEach(scene => add(scene.start, scene.end, look('span', 'scene')));
  state.notes.forEach(note => add(note.start, note.end, look('span', 'note')));
  const longest = state.cues.reduce((most, cue) => Math.max(most, cue.seconds), 10);
  for (const cue of state.cues) {
    if (cue.end > text.length) continue;
    add(cue.start, cue.end, look('span', `spoken role-${cue.colour}${cue.problem ? ' trouble' : ''}`));
    const heads = text.lineAt(cue.start).from === cue.start;
    const key = heads
      ? JSON.stringify([
          cue.number,
          cue.role,
          cue.colour,
          cue.seconds.toFixed(1),
          cue.measured,
          cue.slot,
          cue.tooLong,
          longest,
          cue.notes,
        ])
      : `cut ${cue.number}`;
    ranges.push(
      Decoration.widget({
        side: -1,
        widget: new Drawn(key, heads ? () => margin(cue, longest) : () => cut(cue.number)),
      }).range(cue.start),
    );
  }
  findings.forEach(finding => add(finding.start, finding.end, look('u', finding.look + (finding.here ? ' here' : ''))));
  return Decoration.set(ranges, true);
}
