// The microphone: opened once, heard without anything that "improves" it, its samples kept as they come.

import { RATE } from '../player.js';
import * as kept from './kept.js';

let stream = null;
let context = null;
let opened = null;
/** @type {(samples: any) => void} */
let hear = () => {};

const WHY = {
  NotAllowedError: 'The browser may not use the microphone. Allow it at the address above, and press record again.',
  NotFoundError: 'No microphone is there. Plug one in, and press record again.',
  NotReadableError: 'Another program holds the microphone. Close that one, and press record again.',
  OverconstrainedError: 'That microphone isn’t there any more. Choose another one.',
};

/** Opens the microphone. @throws Error with a sentence */
export async function open(device) {
  if (stream && opened === device) return;
  close();
  if (!navigator.mediaDevices) throw new Error('This browser gives no microphone to this page. Open it at localhost.');
  let tape;
  try {
    // all that takes time comes first: what is said as soon as the microphone is on is heard
    tape = await listener();
    stream = await navigator.mediaDevices.getUserMedia({
      audio: {
        channelCount: 1,
        echoCancellation: false,
        noiseSuppression: false,
        autoGainControl: false,
        ...(device ? { deviceId: { exact: device } } : {}),
      },
    });
  } catch (error) {
    close();
    throw new Error(WHY[error.name] ?? 'The microphone can’t be used. Look at the browser’s settings for this page.');
  }
  opened = device;
  context.createMediaStreamSource(stream).connect(tape);
  stream
    .getAudioTracks()[0]
    .addEventListener('ended', () => document.dispatchEvent(new CustomEvent('logophon:microphone-gone')));
}

/** What hands on each piece of sound that reaches it. */
async function listener() {
  context = new AudioContext({ sampleRate: RATE });
  await context.audioWorklet.addModule('/js/record/worklet.js');
  const tape = new AudioWorkletNode(context, 'logophon-tape', {
    numberOfOutputs: 0,
    channelCount: 1,
    channelCountMode: 'explicit',
  });
  tape.port.onmessage = event => hear(event.data);
  await context.resume();
  return tape;
}

export function close() {
  stream?.getTracks().forEach(track => track.stop());
  context?.close();
  stream = null;
  context = null;
}

/** @param act told each piece of samples */
export function onSound(act) {
  hear = act;
}

export async function microphones() {
  const devices = (await navigator.mediaDevices?.enumerateDevices()) ?? [];
  return devices.filter(device => device.kind === 'audioinput' && device.deviceId && device.label);
}

/** Level of samples: peak and mean power, in dB. */
export function level(samples) {
  let peak = 0;
  let power = 0;
  for (const sample of samples) {
    peak = Math.max(peak, Math.abs(sample));
    power += sample * sample;
  }
  return { peak: 20 * Math.log10(Math.max(peak, 1e-6)), rms: 10 * Math.log10(Math.max(power / samples.length, 1e-12)) };
}

/** One recording from its first piece to its last. */
export class Recording {
  constructor(about) {
    this.about = { ...about, id: crypto.randomUUID(), at: Date.now() };
    this.parts = [];
    this.kept = kept.begin(this.about).catch(() => {});
  }

  add(samples) {
    const at = this.parts.push(samples) - 1;
    this.kept = this.kept
      .then(() => kept.add(this.about.id, at, samples))
      .catch(() => {
        /* a private window keeps nothing */
      });
  }

  seconds() {
    return this.parts.reduce((sum, part) => sum + part.length, 0) / RATE;
  }
}

/** WAV in 24 bits. */
export function wav(parts) {
  const count = parts.reduce((sum, part) => sum + part.length, 0);
  const bytes = new DataView(new ArrayBuffer(44 + 3 * count));
  const text = (at, letters) => [...letters].forEach((letter, i) => bytes.setUint8(at + i, letter.charCodeAt(0)));
  text(0, 'RIFF');
  bytes.setUint32(4, 36 + 3 * count, true);
  text(8, 'WAVEfmt ');
  bytes.setUint32(16, 16, true);
  bytes.setUint16(20, 1, true);
  bytes.setUint16(22, 1, true);
  bytes.setUint32(24, RATE, true);
  bytes.setUint32(28, 3 * RATE, true);
  bytes.setUint16(32, 3, true);
  bytes.setUint16(34, 24, true);
  text(36, 'data');
  bytes.setUint32(40, 3 * count, true);
  let at = 44;
  for (const part of parts)
    for (const sample of part) {
      const value = Math.max(-8388608, Math.min(8388607, Math.round(sample * 8388608)));
      bytes.setUint8(at, value & 255);
      bytes.setUint8(at + 1, (value >> 8) & 255);
      bytes.setUint8(at + 2, (value >> 16) & 255);
      at += 3;
    }
  return new Blob([bytes], { type: 'audio/wav' });
}
