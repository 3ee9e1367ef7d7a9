// Takes in pieces of ten seconds: a long one starts at once, and only what is near the playhead is held.

import { audio, RATE } from '../player.js';

export const PIECE = 10;
// decoded beyond a piece's edges and cut away again: a resampler settles within it, and pieces join to the sample
const MARGIN = 0.1;
const MOST_HELD = 12;
const HEADER = 44;
const FASTEST = 48000;

const heads = new Map();
const held = new Map();

async function bytes(address, from, to) {
  const response = await fetch(address, { headers: { Range: `bytes=${from}-${to}` } });
  if (!response.ok) {
    let sentence = 'This sound can’t be loaded.';
    try {
      sentence = (await response.json()).sentence || sentence;
    } catch {
      /* keep the general sentence */
    }
    throw new Error(sentence);
  }
  return {
    data: await response.arrayBuffer(),
    total: Number(response.headers.get('Content-Range')?.split('/')[1] ?? response.headers.get('Content-Length')),
  };
}

/** The first bytes of a file say its rate and its length. */
function readHead(data, total) {
  const view = new DataView(data);
  const rate = view.getUint32(24, true);
  return { rate, samples: Math.min(view.getUint32(40, true), total - HEADER) / 2 };
}

/** How many samples at the programme's rate so many of a sound come to: as the server counts. */
export const converted = (samples, rate) => Math.floor((samples * RATE + rate / 2) / rate);

async function decoded(pcm, rate) {
  const file = new ArrayBuffer(HEADER + pcm.byteLength);
  const view = new DataView(file);
  const tag = (at, text) => [...text].forEach((c, i) => view.setUint8(at + i, c.charCodeAt(0)));
  tag(0, 'RIFF');
  view.setUint32(4, 36 + pcm.byteLength, true);
  tag(8, 'WAVEfmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, 1, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, rate, true);
  view.setUint32(28, rate * 2, true);
  view.setUint16(32, 2, true);
  view.setUint16(34, 16, true);
  tag(36, 'data');
  view.setUint32(40, pcm.byteLength, true);
  new Uint8Array(file, HEADER).set(new Uint8Array(pcm));
  return (await audio().decodeAudioData(file)).getChannelData(0);
}

async function make(address, index) {
  const first = index * PIECE;
  let head = heads.get(address);
  let data;
  let start;
  if (!head) {
    // the rate isn't known yet: as much as the fastest would need
    const answer = await bytes(address, 0, HEADER + 2 * FASTEST * (PIECE + MARGIN) - 1);
    head = readHead(answer.data, answer.total);
    heads.set(address, head);
    if (index === 0) {
      data = answer.data.slice(HEADER);
      start = 0;
    }
  }
  const { rate, samples } = head;
  if (!data) {
    start = Math.max(0, Math.round((first - MARGIN) * rate));
    const end = Math.min(samples, Math.round((first + PIECE + MARGIN) * rate));
    if (end <= first * rate) throw new Error('This sound ended before it was expected to. Reload the page.');
    data = (await bytes(address, HEADER + 2 * start, HEADER + 2 * end - 1)).data;
  }
  const last = samples <= (first + PIECE) * rate;
  const length = converted(last ? samples - first * rate : PIECE * rate, rate);
  const all = await decoded(data, rate);
  const from = Math.round((first - start / rate) * RATE);
  const made = new Float32Array(length);
  made.set(all.subarray(from, Math.min(all.length, from + length)));
  return { samples: made, seconds: length / RATE, last };
}

/** A piece of a sound, kept for the next time. Samples at the programme's rate, seconds, and whether it is the last. */
export function piece(address, index) {
  const key = `${index} ${address}`;
  let found = held.get(key);
  held.delete(key);
  found ??= make(address, index).catch(error => {
    held.delete(key);
    throw error;
  });
  held.set(key, found);
  if (held.size > MOST_HELD) held.delete(held.keys().next().value);
  return found;
}

/** Seconds of sound that the page holds, at the most. */
export const mostHeld = MOST_HELD * PIECE;
