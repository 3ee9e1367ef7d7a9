// Marks by the mouse: choosing a run of words, dragging its pitch and pace, and a rest's edge.

import { say } from '../app.js';
import * as marks from './marks.js';

// what is being dragged, also while the score is drawn anew under the hand
let started = null;

export const isDragging = () => started !== null;

/** Lets the mouse choose and drag on a drawn score. */
export function drag(score, box) {
  const wordAt = event => event.target.closest?.('.word');
  box.onpointerdown = event => {
    const rest = event.target.closest?.('.rest');
    if (event.target.classList.contains('grip-rest'))
      started = { kind: 'pause', x: event.clientX, gap: Number(rest.dataset.gap) };
    else if (event.target.classList.contains('grip-pitch')) started = { kind: 'pitch', y: event.clientY };
    else if (event.target.classList.contains('grip-pace'))
      started = { kind: 'pace', x: event.clientX, width: widthOf(score) };
    else if (wordAt(event)) started = { kind: 'words', from: Number(wordAt(event).dataset.word) };
  };
  box.onpointermove = event => {
    // let go outside of the score
    if (event.buttons === 0) started = null;
    if (!started) return;
    if (started.kind === 'words') {
      const over = document.elementFromPoint(event.clientX, event.clientY)?.closest?.('#score .word');
      if (over && (started.moved || Number(over.dataset.word) !== started.from)) {
        if (!started.moved) marks.choose(started.from);
        started.moved = true;
        marks.choose(Number(over.dataset.word), { extend: true });
      }
      return;
    }
    // not before it moves: a click belongs to the word that it meets
    if (!started.moved) box.setPointerCapture(event.pointerId);
    started.moved = true;
    const value = valueOf(started, event, score);
    say(
      `${started.kind} ${started.kind === 'pause' ? `${(value / 1000).toFixed(2)} s` : started.kind === 'pitch'
          ? `${value > 0 ? '+' : ''}${value} st` : `${value} %`}`,
    );
  };
  box.onpointercancel = () => {
    started = null;
  };
  box.onpointerup = event => {
    const ended = started;
    started = null;
    if (!ended?.moved) return;
    // the click that follows would play
    box.dataset.dragged = 'true';
    if (ended.kind === 'words') return;
    if (ended.kind === 'pause') marks.choose(ended.gap, { gap: true });
    marks.set(ended.kind, String(valueOf(ended, event, score)));
  };
}

const widthOf = score =>
  [...score.svg.querySelectorAll('.grip-pitch')].reduce((sum, rect) => sum + rect.width.baseVal.value, 0);

function valueOf(started, event, score) {
  const within = (kind, value) => Math.max(marks.KINDS[kind].least, Math.min(marks.KINDS[kind].most, value));
  if (started.kind === 'pause') {
    const rest = score.svg.querySelector(`.rest[data-gap="${started.gap}"] rect`);
    started.seconds ??= rest.width.baseVal.value / score.pixelsPerSecond;
    return within(
      'pause',
      Math.round((started.seconds + (event.clientX - started.x) / score.pixelsPerSecond) * 100) * 10,
    );
  }
  if (started.kind === 'pitch') {
    return within(
      'pitch',
      Math.round((Number(marks.at('pitch')?.value ?? 0) + (started.y - event.clientY) / score.pixelsPerSemitone) * 10) /
        10,
    );
  }
  const width = Math.max(8, started.width + event.clientX - started.x);
  return within('pace', Math.round((Number(marks.at('pace')?.value ?? 100) * started.width) / width));
}
