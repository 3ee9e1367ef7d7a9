// What somebody with a link hears: read along, jump, note, approve.

import { say, typing } from '../app.js';
import { ask, formOf, outcome } from '../ask.js';
import { clock } from '../clock.js';
import * as through from '../sound/through.js';
import * as under from '../sound/under.js';
import { drawCues, marked, spoken } from './cues.js';

const here = location.pathname.replace(/\/$/, '');
const part = id => document.getElementById(id);
const PLAY = 'M3 1.5v13l11-6.5z';
const STOP = 'M2.5 2.5h11v11h-11z';
const LOOK_MS = 2500;
let shown = { stamp: null, cues: [], notes: [], seconds: 0 };
let at = 0;
// the word that is chosen in the current cue
let word = 0;
let moves = null;
const words = new Map();

const cue = () => shown.cues[at];

function timesOf(one) {
  if (!words.has(one.take)) {
    words.set(
      one.take,
      ask('GET', `${here}/takes/${one.take}/words`).catch(refusal => {
        words.delete(one.take);
        throw refusal;
      }),
    );
  }
  return words.get(one.take);
}

// --- what there is

async function read() {
  const now = await ask('GET', `${here}/programme`).catch(over);
  if (!now) return;
  const current = cue()?.id;
  shown = now;
  at = Math.max(
    0,
    shown.cues.findIndex(one => one.id === current),
  );
  part('told').textContent = `${shown.told} · ${clock(shown.seconds)}`;
  part('nothing').hidden = shown.cues.length > 0;
  part('play').disabled = !shown.cues.length;
  part('note').disabled = !shown.cues.length;
  part('seek').max = shown.seconds;
  part('approve-all').hidden = !shown.cues.length || shown.cues.every(one => one.approved);
  const scenes = [...new Map(shown.cues.map((one, i) => [one.scene, i])).keys()].filter(Boolean);
  part('scenes').hidden = scenes.length < 2;
  part('scenes').replaceChildren(
    ...(scenes.length < 2
      ? []
      : scenes.map(scene => {
          const link = Object.assign(document.createElement('button'), {
            type: 'button',
            className: 'btn-quiet',
            textContent: scene,
          });
          link.addEventListener('click', () => go(shown.cues.findIndex(one => one.scene === scene)));
          return link;
        })),
  );
  drawCues(part('cues'), shown, acts);
  under.lay(
    shown.layer
      ? {
          sound: shown.layer,
          seconds: shown.layerSeconds,
          startOf: what => shown.cues.find(one => one.id === what.id)?.start ?? null,
        }
      : null,
  );
  through.lookAgain();
  await choose(at, word, false);
}

/** A link that ended while it was open. */
function over(refusal) {
  if (refusal.status === 0) {
    say('Logophon doesn’t answer. This page looks again.');
    return;
  }
  stop();
  clearInterval(looking);
  part('cues').replaceChildren();
  part('nothing').hidden = false;
  part('nothing').textContent = refusal.message;
  ['play', 'note', 'seek'].forEach(id => {
    part(id).disabled = true;
  });
  part('approve-all').hidden = true;
}

const looking = setInterval(async () => {
  if (document.hidden) return;
  const now = await ask('GET', `${here}/stamp`).catch(over);
  if (now && now.stamp !== shown.stamp) read();
}, LOOK_MS);

// --- where one is

async function choose(index, wordIndex, scroll = true) {
  at = Math.max(0, Math.min(shown.cues.length - 1, index));
  const now = cue();
  if (!now) return;
  try {
    const times = await timesOf(now);
    if (cue() !== now) return;
    word = Math.max(0, Math.min(times.length - 1, wordIndex));
    spoken(now, times, shown.notes);
    marked(now, word, scroll);
  } catch (error) {
    say(error.message);
  }
  if (!through.isPlaying()) place(now.start);
}

async function go(index) {
  const playing = through.isPlaying();
  stop();
  await choose(index, 0);
  if (playing) play();
}

function place(seconds) {
  part('time').textContent = clock(seconds);
  part('seek').value = seconds;
  part('seek').setAttribute('aria-valuetext', `${clock(seconds)}${cue() ? `, cue ${cue().number}` : ''}`);
}

// --- playing

function item(one, from = 0) {
  return {
    id: one.id,
    sound: one.sound,
    from,
    get last() {
      return shown.cues.at(-1)?.id === one.id;
    },
    get pause() {
      const now = shown.cues.findIndex(other => other.id === one.id);
      const next = shown.cues[now + 1];
      return next ? next.start - shown.cues[now].start - shown.cues[now].seconds : 0;
    },
  };
}

function after(played) {
  const next = shown.cues[shown.cues.findIndex(one => one.id === played.id) + 1];
  return next ? item(next) : null;
}

async function play(from) {
  const now = cue();
  if (!now) return;
  const begin = from ?? (await timesOf(now).catch(() => []))[word]?.startSeconds ?? 0;
  part('play').setAttribute('aria-label', 'Stop');
  part('play').querySelector('path').setAttribute('d', STOP);
  const whole = through.play(item(now, begin), after);
  follow();
  try {
    await whole;
  } catch (error) {
    say(error.message);
  }
  if (!through.isPlaying()) stop();
}

function stop() {
  cancelAnimationFrame(moves);
  through.stop();
  part('play').setAttribute('aria-label', 'Play');
  part('play').querySelector('path').setAttribute('d', PLAY);
}

async function follow() {
  const now = through.position();
  if (now) {
    const index = shown.cues.findIndex(one => one.id === now.item.id);
    if (index >= 0 && index !== at) await choose(index, 0);
    const times = words.get(cue()?.take) ? await timesOf(cue()).catch(() => []) : [];
    const sounding = times.findLastIndex(one => one.startSeconds <= now.seconds);
    if (sounding >= 0 && sounding !== word) {
      word = sounding;
      marked(cue(), word, false);
    }
    place(cue().start + now.elapsed);
  }
  if (through.isPlaying()) moves = requestAnimationFrame(follow);
}

// --- what one says

function me() {
  const name = part('name').value.trim();
  if (!name) {
    part('name').focus();
    say('Type your name first. It goes with your notes.');
  }
  return name;
}

async function tell(address, fields) {
  try {
    const { sentence } = await ask('POST', `${here}/${address}`, formOf(fields));
    await read();
    say(sentence);
    return true;
  } catch (refusal) {
    // what it is about has changed: it is shown as it is now
    if (refusal.status === 409) await read();
    say(refusal.message);
    return false;
  }
}

const acts = {
  choose: async (index, wordIndex) => {
    const playing = through.isPlaying();
    stop();
    await choose(index, wordIndex, false);
    if (playing) play();
  },
  hear: async (index, wordIndex) => {
    stop();
    await choose(index, wordIndex, false);
    play();
  },
  approve: one => {
    const name = me();
    if (name) tell(`cues/${one.id}/approval${one.approved ? '/withdraw' : ''}`, { take: one.take, name });
  },
  note: (one, place, remark) => {
    const name = me();
    return name ? tell(`cues/${one.id}/notes`, { take: one.take, at: place, remark, name }) : false;
  },
};

async function note() {
  const now = cue();
  if (!now) return;
  const times = await timesOf(now).catch(() => []);
  stop();
  const { write } = await import('./notes.js');
  write(now, times[word] ?? { start: 0, end: now.text.length }, acts.note);
}

part('approve-all').addEventListener('click', async () => {
  const name = me();
  if (!name) return;
  await outcome(ask('POST', `${here}/approval`, { takes: shown.cues.map(one => one.take), name }));
  read();
});
part('play').addEventListener('click', () => (through.isPlaying() ? stop() : play()));
part('note').addEventListener('click', note);
part('seek').addEventListener('change', async () => {
  const wanted = Number(part('seek').value);
  const index = Math.max(
    0,
    shown.cues.findLastIndex(one => one.start <= wanted),
  );
  const playing = through.isPlaying();
  stop();
  await choose(index, 0);
  const into = Math.max(0, wanted - cue().start);
  const times = await timesOf(cue()).catch(() => []);
  word = Math.max(
    0,
    times.findLastIndex(one => one.startSeconds <= into),
  );
  marked(cue(), word, true);
  place(wanted);
  if (playing) play(Math.min(into, cue().seconds - 0.05));
});
if (part('download')) part('download').href = `${here}/download`;
try {
  part('name').value = localStorage.getItem('logophon-name') ?? '';
} catch {
  /* a private window remembers nothing */
}
part('name').addEventListener('change', () => {
  try {
    localStorage.setItem('logophon-name', part('name').value.trim());
  } catch {
    /* a private window remembers nothing */
  }
});
const keys = {
  ' ': () => (through.isPlaying() ? stop() : play()),
  n: note,
  '[': () => go(at - 1),
  ']': () => go(at + 1),
  ArrowLeft: () => acts.choose(at, word - 1),
  ArrowRight: () => acts.choose(at, word + 1),
};
document.addEventListener('keydown', event => {
  if (typing(event.target) || event.ctrlKey || event.metaKey || event.altKey || event.target.type === 'range') return;
  if (event.key === ' ' && event.target.closest('button, a')) return;
  const act = keys[event.key.length === 1 ? event.key.toLowerCase() : event.key];
  if (!act) return;
  event.preventDefault();
  act();
});
read();
