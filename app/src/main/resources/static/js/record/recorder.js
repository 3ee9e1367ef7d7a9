// A cue said by a person: count-in, level, what is wrong with it, and on to the server.

import { button, element } from '../app.js';
import { send } from '../ask.js';
import * as kept from './kept.js';
import * as tape from './tape.js';

const page = id => document.getElementById(id);
const BEATS = 3;
const BEAT_MS = 700;
const QUIET_DB = -45;
const LOUD_ROOM_DB = -50;
const CLIPS_DB = -0.2;
const MOST_SECONDS = 590;

/**
 * @param project its id
 * @param cue     the one that is shown, or null
 * @param begins  called before it records: nothing else sounds then
 * @param taken   called with the cue and the take when the server has a recording
 */
export function recorder(project, { cue, begins, taken }) {
  // idle, opening, counting, recording, sending
  let state = 'idle';
  let recording = null;
  // what the microphone heard while it was being opened: whoever doesn't wait for a count-in may speak already
  let early = [];
  let room = null;
  let loudest = -90;
  let clipped = false;
  let holding = -90;

  function advise(sentence, name = '') {
    page('advice').textContent = sentence;
    page('advice').className = name;
    if (!sentence) page('advice').append(element('span', 'soft', 'Press the button, or R.'));
  }

  function show(now) {
    state = now;
    const button = page('go');
    button.className = `recbutton ${now}`;
    button.setAttribute('aria-pressed', String(now === 'recording' || now === 'counting'));
    button.querySelector('span').textContent = now === 'idle' ? 'Record' : now === 'sending' ? 'Working' : 'Stop';
    button.disabled = now === 'sending' || now === 'opening';
    document.body.classList.toggle('recording', now === 'recording');
  }

  function meter({ peak, rms }) {
    const share = db => Math.max(0, Math.min(1, (db + 60) / 60));
    page('fill').style.width = `${share(rms) * 100}%`;
    holding = Math.max(peak, holding - 1.5);
    page('hold').style.left = `${share(holding) * 100}%`;
    page('meter').setAttribute('aria-valuenow', Math.round(Math.max(-60, rms)));
    page('meter').classList.toggle('clips', peak > CLIPS_DB);
  }

  function sounds(samples) {
    const now = tape.level(samples);
    meter(now);
    if (state === 'counting') room = room === null ? now.rms : Math.min(room, now.rms);
    if (state === 'opening') early.push(samples);
    if (state !== 'recording') return;
    recording.add(samples);
    loudest = Math.max(loudest, now.rms);
    clipped ||= now.peak > CLIPS_DB;
    const seconds = recording.seconds();
    page('time').textContent =
      `${String(Math.floor(seconds / 60)).padStart(2, '0')}:${(seconds % 60).toFixed(1).padStart(4, '0')}`;
    const rooms = room === null ? '' : `room noise ${Math.round(room)} dB`.replace('-', '−');
    if (clipped) advise('Too loud: it clips. Move back a little, or turn the microphone down.', 'bad');
    else if (room !== null && room > LOUD_ROOM_DB) advise(`The room is loud: ${rooms}.`, 'bad');
    else if (seconds > 2 && loudest < QUIET_DB) advise('Very quiet: move nearer, or turn the microphone up.', 'bad');
    else advise(seconds > 2 ? `${rooms}${rooms ? ' · ' : ''}good distance` : rooms);
    if (seconds > MOST_SECONDS) stop();
  }

  const wait = millis =>
    new Promise(resolve => {
      setTimeout(resolve, millis);
    });

  async function start() {
    const sheet = cue();
    if (!sheet || state !== 'idle') return;
    begins();
    show('opening');
    early = [];
    tape.onSound(sounds);
    try {
      await tape.open(page('microphone').value);
    } catch (error) {
      show('idle');
      advise(error.message, 'bad');
      return;
    }
    offerMicrophones();
    room = null;
    loudest = -90;
    clipped = false;
    holding = -90;
    if (page('countin').checked) {
      early = [];
      show('counting');
      for (let beat = BEATS; beat > 0; beat--) {
        page('time').textContent = String(beat);
        advise(beat === BEATS ? 'Quiet now: the room is measured.' : 'Ready…');
        await wait(BEAT_MS);
        if (/** @type {string} */ (state) !== 'counting') return;
      }
    }
    recording = new tape.Recording({ project, cue: sheet.id, number: sheet.number });
    early.forEach(samples => recording.add(samples));
    early = [];
    show('recording');
  }

  async function stop() {
    if (state === 'counting') {
      show('idle');
      advise('');
      return;
    }
    if (state !== 'recording') return;
    const done = recording;
    recording = null;
    show('sending');
    tape.onSound(meterOnly);
    await done.kept;
    advise('Checking against the script…');
    await hand(done.about, done.parts);
    show('idle');
  }

  const meterOnly = samples => meter(tape.level(samples));

  /** Gives a recording to the server; until it has it, the browser keeps it. */
  async function hand(about, parts) {
    let saved;
    try {
      saved = await send(
        `/projects/${about.project}/record/cues/${about.cue}`,
        tape.wav(parts),
        'Logophon doesn’t answer. The recording is kept in this browser, and offered again.',
      );
    } catch (refusal) {
      advise(refusal.message, 'bad');
      // what the server has refused for good isn't offered again: it said why
      if ([400, 422].includes(refusal.status)) await kept.forget(about.id).catch(() => {});
      else leftover();
      return;
    }
    await kept.forget(about.id).catch(() => {});
    advise(saved.sentence);
    await taken(about.cue, saved.take);
  }

  /** Recordings that never reached the server, from this or an earlier visit. */
  async function leftover() {
    const waiting = (await kept.all().catch(() => [])).filter(
      one => one.project === project && one.id !== recording?.about.id,
    );
    page('leftover').hidden = waiting.length === 0;
    page('leftover').replaceChildren(
      ...waiting.flatMap(one => {
        const at = new Date(one.at).toTimeString().slice(0, 5);
        const line = element('p', '', `A recording of cue ${one.number} from ${at} didn’t reach Logophon. `);
        line.append(
          button('btn btn-plain', 'Save', async () => {
            await hand(one, await kept.pieces(one.id));
            leftover();
          }),
          button('btn-quiet', 'Delete', async () => {
            await kept.forget(one.id);
            leftover();
          }),
        );
        return [line];
      }),
    );
  }

  async function offerMicrophones() {
    const chosen = page('microphone').value;
    const devices = await tape.microphones();
    page('microphone').replaceChildren(
      new Option('Default', ''),
      ...devices.map(device => new Option(device.label, device.deviceId)),
    );
    page('microphone').value = devices.some(device => device.deviceId === chosen) ? chosen : '';
  }

  page('go').addEventListener('click', () => (state === 'idle' ? start() : stop()));
  page('microphone').addEventListener('change', () => tape.close());
  document.addEventListener('logophon:microphone-gone', () => {
    stop();
    advise('The microphone is gone. The recording until then is kept.', 'bad');
  });
  window.addEventListener('beforeunload', event => {
    if (state === 'recording') event.preventDefault();
  });

  return { start, stop, advise, leftover, idle: () => state === 'idle' };
}
