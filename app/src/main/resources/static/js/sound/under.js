// What lies under the programme, laid beside what is said: the same stretch of the programme at the same moment.

import { audio, RATE } from '../player.js';
import { piece, PIECE } from './pieces.js';
import { Stretcher } from './stretch.js';

const BLOCK = PIECE * RATE;
// where it goes on at another place, it comes within so many samples instead of clicking
const JOINT = 480;

/** @type {{sound: string, seconds: number, startOf: (item: any) => number|null}|null} */
let layer = null;
let wanted = true;

/** @param {typeof layer} now startOf: where in the programme an item begins, in seconds; null for none */
export function lay(now) {
  layer = now;
}

export const lies = () => layer !== null;

/** Whether it is to be heard. */
export function hear(on) {
  wanted = on;
}

const length = () => Math.round(layer.seconds * RATE);

/** The programme's sample at which an item's own first sample stands; null where nothing lies under it. */
export function startOf(item) {
  const seconds = layer && wanted ? layer.startOf(item) : null;
  return seconds === null || seconds === undefined ? null : Math.round(seconds * RATE);
}

/** Samples of the programme's layer from one place to another; beyond its end it is silent. */
export async function samples(from, to) {
  const made = new Float32Array(Math.max(0, to - from));
  const first = Math.max(0, from);
  const end = Math.min(to, length());
  for (let index = Math.floor(first / BLOCK); index * BLOCK < end; index++) {
    const part = await piece(layer.sound, index);
    const a = Math.max(first, index * BLOCK);
    const b = Math.min(end, index * BLOCK + part.samples.length);
    if (b > a) made.set(part.samples.subarray(a - index * BLOCK, b - index * BLOCK), a - from);
  }
  return made;
}

/** Lets what sounds at a place come, while something else is waited for. */
export function warm(place) {
  if (place < length()) piece(layer.sound, Math.floor(Math.max(0, place) / BLOCK)).catch(() => {});
}

/** How much of it is left after a place, in seconds. */
export const left = from => Math.max(0, (length() - from) / RATE);

/** A stretch as long as what is said with it, which may be slower or faster. */
export function fitted(under, count, speed) {
  if (speed === 1) return under.length === count ? under : resized(under, count);
  const stretcher = new Stretcher(speed);
  const made = stretcher.push(under);
  const rest = stretcher.end();
  const all = new Float32Array(made.length + rest.length);
  all.set(made);
  all.set(rest, made.length);
  return eased(resized(all, count), true, true);
}

function resized(from, count) {
  const made = new Float32Array(count);
  made.set(from.subarray(0, count));
  return made;
}

/** Comes, or goes, without a click. */
export function eased(under, coming, going) {
  const ramp = Math.min(JOINT, under.length >> 1);
  for (let i = 0; i < ramp; i++) {
    if (coming) under[i] *= i / ramp;
    if (going) under[under.length - 1 - i] *= i / ramp;
  }
  return under;
}

/** Lays samples at a sample of the device's time. @returns what silences them */
export function sound(under, at) {
  const buffer = audio().createBuffer(1, under.length, RATE);
  buffer.copyToChannel(under, 0);
  const source = audio().createBufferSource();
  source.buffer = buffer;
  source.connect(audio().destination);
  source.start(at / RATE);
  return source;
}
