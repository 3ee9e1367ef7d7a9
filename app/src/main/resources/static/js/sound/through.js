// Plays on from take to take without a break: every take and every gap is laid on its sample ahead of time. A take that
// begins before the one before it ends sounds together with it.

import { audio, beforePlay, RATE } from '../player.js';
import { piece, PIECE } from './pieces.js';
import { Stretcher } from './stretch.js';
import * as under from './under.js';

const AHEAD = 4;
const PUMP_MS = 120;
// what the device may already be ahead of what this page knows of it, on a busy machine
const LEAD = 0.08;
// sooner than that is too late
const SOONEST = 0.02;

let run = null;
let speed = 1;

/**
 * What is played: {id, sound, from, until, pause}; `from` and `until` in seconds of the sound, `pause` seconds of
 * silence after it before the next one, less than none where the next one begins earlier.
 * @param first item
 * @param nextOf asked for what follows an item when its time comes; null ends
 * @returns a promise of true when it ran to its end, false when it was stopped
 */
export async function play(first, nextOf) {
  stop();
  const context = audio();
  const mine = {
    nextOf,
    item: first,
    index: Math.floor((first.from ?? 0) / PIECE),
    laid: [],
    due: null,
    ends: 0,
    over: false,
    // what lies under it: as far as it is laid, and the gap that it is still to be laid in
    under: [],
    underTo: null,
    gap: null,
  };
  run = mine;
  mine.done = new Promise((resolve, reject) => {
    mine.resolve = resolve;
    mine.reject = reject;
  });
  // the first piece is on its way while the device wakes up
  piece(first.sound, mine.index).catch(() => {});
  await context.resume();
  pump(mine);
  return mine.done;
}

export function stop() {
  if (!run) return;
  const ended = run;
  run = null;
  clearTimeout(ended.timer);
  ended.laid.forEach(part => silence(part));
  ended.under.concat(ended.gap?.old ?? []).forEach(part => silence(part));
  ended.resolve(false);
}

function silence(part) {
  if (!part.source) return;
  try {
    part.source.stop();
  } catch {
    /* it has ended */
  }
  part.source.disconnect();
}

export const isPlaying = () => run !== null;

export function setSpeed(now) {
  speed = now;
}

/** What is heard right now: {item, seconds, elapsed: the same, going on in the gap after it}; null when nothing is. */
export function position() {
  if (!run?.laid.length) return null;
  const now = (audio().currentTime - (audio().outputLatency || 0)) * RATE;
  const part = run.laid.findLast(one => one.at <= now) ?? run.laid[0];
  const elapsed = part.from + (Math.max(0, now - part.at) / RATE) * part.speed;
  return { item: part.item, seconds: Math.min(part.to, elapsed), elapsed };
}

/** What is to come has changed: takes that haven't begun to sound are asked for anew. */
export function lookAgain() {
  if (!run) return;
  const current = position()?.item;
  // while a take is still being laid, nothing after it is
  if (!current || run.item === current) return;
  const last = run.laid.findLastIndex(part => part.item === current);
  const end = run.laid[last];
  run.laid.splice(last + 1).forEach(silence);
  const over = end.at + end.length;
  // what lies under it sounds on until what takes its place has come
  const old = run.under.filter(part => part.at >= over);
  run.under = run.under.filter(part => part.at < over);
  const start = under.startOf(current);
  run.underTo = start === null ? null : start + Math.round(end.to * RATE);
  run.gap = { item: current, from: end.to, at: over, old };
  run.due = over + Math.round(((current.pause ?? 0) / speed) * RATE);
  run.item = null;
  run.stretched = null;
  run.after = current;
  run.over = false;
  pump(run);
}

/** Lays what sounds within the next seconds. */
async function pump(mine) {
  clearTimeout(mine.timer);
  if (mine.pumping) return;
  mine.pumping = true;
  try {
    while (run === mine && !mine.over) {
      mine.due ??= Math.ceil((audio().currentTime + LEAD) * RATE);
      // before what follows is due: a gap may be longer than what is laid ahead
      if (mine.gap) await layGap(mine);
      if (run !== mine) break;
      if (mine.due > (audio().currentTime + AHEAD) * RATE) break;
      if (!mine.item) {
        const next = mine.nextOf(mine.after);
        if (!next) {
          mine.over = true;
          break;
        }
        mine.item = next;
        mine.index = Math.floor((next.from ?? 0) / PIECE);
        mine.stretcher = null;
      }
      const item = mine.item;
      const start = under.startOf(item);
      if (start !== null) under.warm(start + Math.round(Math.max(item.from ?? 0, mine.index * PIECE) * RATE));
      const part = await piece(item.sound, mine.index);
      // while it came, somebody may have stopped it or changed what follows
      if (run !== mine || mine.item !== item) continue;
      const beneath = await beneathOf(mine, item, part);
      if (run !== mine || mine.item !== item) continue;
      lay(mine, item, part, beneath);
    }
  } catch (error) {
    if (run === mine) {
      run = null;
      mine.laid.forEach(silence);
      mine.under.forEach(silence);
      mine.reject(error);
    }
    return;
  } finally {
    mine.pumping = false;
  }
  if (run !== mine) return;
  const now = audio().currentTime * RATE;
  mine.laid = mine.laid.filter(
    (one, i, all) => i === all.length - 1 || Math.max(all[i + 1].at, one.at + one.length) > now - RATE,
  );
  mine.under = mine.under.filter(one => one.at + one.length > now - RATE);
  if (mine.over && now >= Math.max(mine.due, mine.ends)) {
    run = null;
    mine.resolve(true);
    return;
  }
  mine.timer = setTimeout(() => pump(mine), PUMP_MS);
}

/** Of a piece, what is played of it: seconds of its sound. */
function bounds(mine, item, part) {
  const begins = mine.index * PIECE;
  return {
    begins,
    from: Math.max(item.from ?? 0, begins),
    until: Math.min(item.until ?? Infinity, begins + part.seconds),
  };
}

/**
 * What lies under the stretch that is laid next, and a little around it: a stretched one begins where the one before
 * it ended.
 */
async function beneathOf(mine, item, part) {
  const start = under.startOf(item);
  if (start === null) return null;
  const { from, until } = bounds(mine, item, part);
  const first = start + Math.round(Math.min(mine.stretched ?? from, from) * RATE);
  return { first, samples: await under.samples(first, start + Math.round(until * RATE)), start };
}

/**
 * Lays what lies under seconds of an item, from a sample of the device's time on; what is laid already isn't laid
 * twice.
 */
function layUnder(mine, beneath, from, to, at, length, pace) {
  if (!beneath || length <= 0) return;
  const wanted = beneath.start + Math.round(from * RATE);
  let first = Math.max(wanted, Math.min(mine.underTo ?? wanted, beneath.start + Math.round(to * RATE)));
  const end = pace === 1 ? wanted + length : beneath.start + Math.round(to * RATE);
  let skipped = Math.round((first - wanted) / pace);
  // what came too late is left out: it stays at its place in the programme
  const late = Math.ceil((audio().currentTime + 0.005) * RATE) - at - skipped;
  if (late > 0) {
    skipped += late;
    first += Math.round(late * pace);
  }
  if (end <= first || skipped >= length) return;
  const cut = beneath.samples.slice(first - beneath.first, end - beneath.first);
  const made = under.eased(under.fitted(cut, length - skipped, pace), first !== mine.underTo, false);
  mine.under.push({ source: under.sound(made, at + skipped), at: at + skipped, length: made.length });
  mine.underTo = end;
}

/** In the gap after an item, and after the last one as long as it goes on. */
async function layGap(mine) {
  const { item, from, at, old = [] } = mine.gap;
  mine.gap = null;
  const start = under.startOf(item);
  const first = start + Math.round(from * RATE);
  const seconds = start === null ? 0 : item.last ? under.left(first) : Math.max(0, item.pause ?? 0);
  const samples = seconds > 0 ? await under.samples(first, first + Math.round(seconds * RATE)) : null;
  old.forEach(silence);
  if (run !== mine || !samples) return;
  const length = Math.round((seconds / speed) * RATE);
  layUnder(mine, { first, samples, start }, from, from + seconds, at, length, speed);
  if (item.last) mine.ends = Math.max(mine.ends, at + length);
}

function lay(mine, item, part, beneath) {
  const { begins, from, until } = bounds(mine, item, part);
  const cut = part.samples.subarray(Math.round((from - begins) * RATE), Math.round((until - begins) * RATE));
  const last = part.last || until < begins + part.seconds || item.until <= begins + part.seconds;
  if (speed === 1) {
    put(mine, item, cut, from, until, 1, beneath);
  } else {
    mine.stretcher ??= new Stretcher(speed);
    const heard = mine.stretched ?? from;
    const made = mine.stretcher.push(cut);
    const rest = last ? mine.stretcher.end() : new Float32Array(0);
    const all = new Float32Array(made.length + rest.length);
    all.set(made);
    all.set(rest, made.length);
    const to = last ? until : heard + (all.length / RATE) * speed;
    put(mine, item, all, heard, to, mine.stretcher.speed, beneath);
    mine.stretched = to;
  }
  if (last) {
    mine.after = item;
    mine.gap = { item, from: until, at: mine.due };
    mine.item = null;
    mine.stretched = null;
    mine.due += Math.round(((item.pause ?? 0) / speed) * RATE);
  } else {
    mine.index++;
  }
}

function put(mine, item, samples, from, to, at, beneath) {
  if (!samples.length) return;
  // a piece that came too late begins as soon as it surely can: a gap is heard, and what follows keeps its distance
  const now = audio().currentTime;
  const due = mine.due < (now + SOONEST) * RATE ? Math.ceil((now + LEAD) * RATE) : mine.due;
  const buffer = audio().createBuffer(1, samples.length, RATE);
  buffer.copyToChannel(samples, 0);
  const source = audio().createBufferSource();
  source.buffer = buffer;
  source.connect(audio().destination);
  source.start(due / RATE);
  mine.laid.push({ item, source, at: due, length: samples.length, from, to, speed: at });
  layUnder(mine, beneath, from, to, due, samples.length, at);
  mine.due = due + samples.length;
  mine.ends = Math.max(mine.ends, mine.due);
}

beforePlay(stop);
