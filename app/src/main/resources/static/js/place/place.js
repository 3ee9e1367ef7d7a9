// The Place page: clips on the frames of the picture, what runs over, and what makes it fit.

import { element, say, typing } from '../app.js';
import { ask, formOf, outcome } from '../ask.js';
import { timecode } from '../clock.js';
import * as transport from '../transport.js';
import { choice } from './choice.js';
import { fitDialog } from './fit.js';
import { gapsDialog } from './gaps.js';
import { placeTable } from './table.js';
import { timeline } from './timeline.js';
import { timesDialog } from './times.js';
import { ownVideo } from './video.js';

const project = document.querySelector('.transport').dataset.project;
const address = `/projects/${project}/place`;
const page = name => document.getElementById(name);
let table = null;
let chosen = null;
let rate = null;

async function load() {
  table = await ask('GET', `${address}/table`);
  rate = transport.frameRate();
  chosen ??= table.rows[0]?.id;
  table.rows.forEach(row => {
    row.slotFrom = row.slotSeconds === null ? null : slotFrom(row);
  });
  picked.keep(table.rows.map(row => row.id));
  rows.show(table, chosen);
  line.show(table, chosen);
  const focused = document.activeElement;
  if (focused !== page('rate')) page('rate').value = table.rate;
  if (focused !== page('start')) page('start').value = table.start;
  if (focused !== page('least')) page('least').value = table.leastGapMillis / 1000;
  page('whole-found').hidden = table.sentences.length === 0;
  page('whole-found').replaceChildren(...table.sentences.map(sentence => element('li', '', sentence)));
  page('make-fit').disabled = !table.rows.some(row => row.slotSeconds !== null);
}

/** Where a slot begins in the programme: its timecode less the programme's own. */
function slotFrom(row) {
  const frames = text => {
    const [h, m, s, f] = text.split(/[:;]/).map(Number);
    return ((h * 60 + m) * 60 + s) * (rate?.counted ?? 25) + f;
  };
  const per = rate ? rate.frames / rate.seconds : 25;
  return row.startSeconds + (frames(row.slotIn) - frames(row.in)) / per;
}

async function send(path, body) {
  const done = await outcome(ask('POST', address + path, body));
  // also what was refused: the field says again what is true
  await load();
  return done !== null;
}

/** @param more true to choose it beside others */
function choose(id, more = false) {
  if (more) picked.toggle(id);
  if (chosen === id) return;
  chosen = id;
  rows.choose(id);
  line.choose(id);
  if (!transport.isRunning()) transport.goTo(id);
}

const perFrame = () => (rate ? rate.seconds / rate.frames : 0.04);
const moved = ids => (ids.some(id => picked.has(id)) ? picked.ids() : ids);
const nudge = (ids, frames) => send('/nudge', { cues: moved(ids), frames });
const openFit = fitDialog(page('fit'), address, load);
const picked = choice(page('chosen'), {
  changed: () => {
    page('rows')
      .querySelectorAll('input[type=checkbox]')
      .forEach(box => {
        box.checked = picked.has(box.closest('tr').dataset.cue);
      });
    page('choose-all').checked = table !== null && table.rows.length > 0 && picked.ids().length === table.rows.length;
    line?.resized();
  },
  place: (ids, kind) => send('/many', { cues: ids, kind: kind.toUpperCase() }),
  fit: ids => openFit(ids),
});
const rows = placeTable(page('rows'), {
  place: (row, { kind, anchor, ...fields }) =>
    send(
      `/cues/${row.id}`,
      formOf({ ...fields, kind: kind.toUpperCase(), ...(anchor ? { anchor: anchor.toUpperCase() } : {}) }),
    ),
  choose,
  fit: id => send('/fit', formOf({ only: id })),
  move: (id, frames) => send('/nudge', { cues: [id], frames }),
  box: row => picked.box(row),
  drop: slot => send(`/slots/${slot}/drop`, new FormData()),
  hear: id => {
    transport.halt();
    transport.goTo(id);
    transport.playOn();
  },
});
const line = timeline(page('ruled'), {
  choose,
  moved: (id, seconds) => nudge([id], Math.round(seconds / perFrame())),
  frame: perFrame,
  picked: () => picked.ids(),
  timecode: seconds => (rate ? timecode(seconds, rate) : ''),
});

const video = ownVideo(page('ownvideo'), {
  frame: perFrame,
  timecode: seconds => (rate ? timecode(seconds, { ...rate, start: 0 }) : `${seconds.toFixed(1)} s`),
});
let tapped = null;

/** The slot of the chosen cue, tapped while the picture runs. @param edge in or out */
function tap(edge) {
  if (!video.isOpen() || !chosen) {
    say('Open your own video first: I and O tap the slot while it runs.');
    return;
  }
  const at = timecode(video.time(), rate);
  if (edge === 'in') {
    tapped = { cue: chosen, in: at };
    say(`In at ${at}. O taps the out.`);
    return;
  }
  if (tapped?.cue !== chosen) {
    say('I taps the in first.');
    return;
  }
  send(`/cues/${chosen}`, formOf({ kind: 'SLOT', in: tapped.in, out: at }));
  tapped = null;
}

const openTimes = timesDialog(page('times'), address, load);
page('gaps-open').addEventListener('click', gapsDialog(page('gaps'), address, load));
page('read-times').addEventListener('click', openTimes);
page('make-fit').addEventListener('click', () => openFit());
page('choose-all').addEventListener('change', event =>
  picked.all(
    table.rows.map(row => row.id),
    event.target.checked,
  ),
);
['rate', 'start', 'least'].forEach(name =>
  page(name).addEventListener('change', () =>
    send(
      '/picture',
      formOf({
        rate: page('rate').value,
        start: page('start').value,
        leastGapMillis: Math.round(Number(page('least').value || 0) * 1000),
      }),
    ),
  ),
);
document.querySelector('.timeline .zoom').addEventListener('click', event => {
  const way = event.target.closest('[data-zoom]');
  if (way) line.zoom(Number(way.dataset.zoom));
});

document.addEventListener('keydown', event => {
  if (event.target.closest?.('dialog')) return;
  if ((event.ctrlKey || event.metaKey) && ['z', 'Z', 'y'].includes(event.key) && !typing(event.target)) {
    event.preventDefault();
    send(event.key === 'z' ? '/undo' : '/redo', new FormData());
    return;
  }
  const step =
    event.altKey &&
    chosen &&
    { ArrowLeft: -1, ArrowRight: 1, PageUp: -Math.round(1 / perFrame()), PageDown: Math.round(1 / perFrame()) }[
      event.key
    ];
  if (step) {
    event.preventDefault();
    nudge([chosen], step * (event.shiftKey ? 10 : 1));
    return;
  }
  if (!typing(event.target) && !event.ctrlKey && !event.altKey && ['i', 'o'].includes(event.key)) {
    tap(event.key === 'i' ? 'in' : 'out');
    return;
  }
  if (!typing(event.target) && ['+', '-'].includes(event.key)) line.zoom(event.key === '+' ? 1 : -1);
});
document.addEventListener('logophon:playhead', event => {
  const cue = transport.all().find(one => one.id === event.detail.id);
  const { seconds, elapsed } = event.detail;
  const now = seconds === null || !cue ? null : cue.start + seconds;
  line.place(now);
  video.follow(now === null ? null : cue.start + elapsed, transport.isRunning());
});
document.addEventListener('logophon:cue', event => {
  choose(event.detail.id);
  const cue = transport.all().find(one => one.id === event.detail.id);
  if (cue && !transport.isRunning()) video.follow(cue.start, false);
});
// what has become of clips, here or elsewhere
document.addEventListener('logophon:programme', () => {
  if (page('rows')) load();
});
let resizing = null;
window.addEventListener('resize', () => {
  clearTimeout(resizing);
  resizing = setTimeout(() => line.resized(), 80);
});
if (page('rows') && transport.all().length) load();
