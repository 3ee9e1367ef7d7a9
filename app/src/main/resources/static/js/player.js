// Plays takes through Web Audio, so that playing starts at the very sample asked for and the playhead is the sound's
// own clock.

const decoded = new Map();
const MOST_KEPT = 40;
/** Samples a second of all that is played: the programme's own rate, so that nothing is moved off its sample. */
export const RATE = 48000;
let context;
let playing = null;
let makeWay = () => {};

/** The one way out for sound. */
export function audio() {
  context ??= new AudioContext({ sampleRate: RATE, latencyHint: 'interactive' });
  return context;
}

/** Of two things that play, the later is heard. @param act silences the other */
export function beforePlay(act) {
  makeWay = act;
}

/** The sound at an address, decoded; kept for the next time. */
export async function load(address) {
  if (!decoded.has(address)) {
    const response = await fetch(address);
    if (!response.ok) {
      let sentence = 'This sound can’t be loaded.';
      try {
        sentence = (await response.json()).sentence || sentence;
      } catch {
        /* keep the general sentence */
      }
      throw new Error(sentence);
    }
    decoded.set(address, await audio().decodeAudioData(await response.arrayBuffer()));
    if (decoded.size > MOST_KEPT) decoded.delete(decoded.keys().next().value);
  }
  return decoded.get(address);
}

/** Stops what plays; what asked for it is told. */
export function stop() {
  if (!playing) return;
  const { source, ended } = playing;
  playing = null;
  source.onended = null;
  source.stop();
  ended(false);
}

export const isPlaying = () => playing !== null;

/** Seconds into the sound that is heard right now; null when nothing plays. */
export function position() {
  if (!playing) return null;
  return playing.from + Math.max(0, audio().currentTime - (audio().outputLatency || 0) - playing.since);
}

/**
 * Plays a sound from a second on.
 * @returns a promise of true when it ran to its end, false when it was stopped
 */
export async function play(address, from = 0) {
  stop();
  makeWay();
  const buffer = await load(address);
  await audio().resume();
  return new Promise(resolve => {
    const source = audio().createBufferSource();
    source.buffer = buffer;
    source.connect(audio().destination);
    const since = audio().currentTime + 0.005;
    playing = { source, from, since, ended: resolve };
    source.onended = () => {
      if (playing?.source === source) {
        playing = null;
        resolve(true);
      }
    };
    source.start(since, Math.max(0, Math.min(from, buffer.duration)));
  });
}
