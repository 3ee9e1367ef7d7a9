// Hearing: from a word, on through, round and round, another take or another version at the same word.

import { say } from '../app.js';
import * as player from '../player.js';
import { scoreOf } from '../scores.js';
import { timedAt } from '../timed.js';
import * as through from '../sound/through.js';
import * as transport from '../transport.js';
import { timeMap } from './lanes.js';

const SPEEDS = [75, 90, 100, 110, 125, 150, 175, 200];
const STEP = 2;
const BETWEEN_ROUNDS = 0.35;

/** @param shown what the page shows: {cue, takes, active, words: places of the cue's words, chosen: [from, to]} */
export function hearing(shown) {
  let speed = 100;
  let mode = null;
  // seconds into the cue that is heard; kept when it stops, so that it goes on from there
  let at = 0;
  let version = null;
  let versionHeard = false;

  document.addEventListener('logophon:playhead', event => {
    if (event.detail.seconds !== null) at = event.detail.seconds;
  });

  const active = () => shown().takes[shown().active];
  const data = () => active()?.data;
  const kept = () => active()?.kept ?? true;

  /** @param from seconds into the take that is heard */
  async function alone(from, until) {
    const take = active();
    if (!take) {
      say('This cue has no take yet: render it first.');
      return;
    }
    mode = 'alone';
    await transport.play({ id: shown().cue, sound: take.sound, take: take.id, from, until }, () => null);
  }

  async function on(from) {
    mode = 'on';
    // the programme has the kept takes; somebody who hears another one hears that one first
    if (kept() || versionHeard) {
      await transport.playOn(from);
      return;
    }
    const cue = transport.all().find(one => one.id === shown().cue);
    await transport.play(
      { id: cue.id, sound: active().sound, take: active().id, from, pause: transport.gapAfter(cue.id) },
      transport.following,
    );
  }

  /** A word of the cue as the take has timed it; in other words than the cue's it is counted. */
  const timed = index => {
    const words = data()?.words ?? [];
    return active()?.otherWords
      ? words[Math.min(index, words.length - 1)]
      : words[timedAt(data(), shown().words[index]?.[0] ?? 0)];
  };

  async function round() {
    const [from, to] = shown().chosen;
    const words = data()?.words;
    if (!words?.length) {
      say('This take has no word times.');
      return;
    }
    mode = 'round';
    const item = () => ({
      id: shown().cue,
      sound: active().sound,
      take: active().id,
      from: timed(from).from,
      until: timed(to).to,
      pause: BETWEEN_ROUNDS,
    });
    await transport.play(item(), item);
  }

  const wordStart = index => (data()?.words.length ? (timed(index)?.from ?? 0) : 0);

  /** Goes on from another place in the way that it was heard. */
  function again(from) {
    if (mode === 'on') on(from);
    else alone(from);
  }

  return {
    playing: transport.isRunning,
    at: () => at,
    speed: () => speed,
    wordStart,
    toggle(from) {
      if (transport.isRunning()) transport.halt();
      else alone(from);
    },
    toggleOn(from) {
      if (transport.isRunning()) transport.halt();
      else on(from);
    },
    toggleRound() {
      if (transport.isRunning() && mode === 'round') transport.halt();
      else round();
    },
    fromWord(index) {
      if (transport.isRunning() && mode !== 'round') again(wordStart(index));
      else alone(wordStart(index));
    },
    /** A place that isn't the start of a word: a link, two seconds back. */
    from(seconds) {
      at = seconds;
      if (transport.isRunning()) again(seconds);
    },
    resume(way) {
      if (way === 'on') on(0);
      else alone(0);
    },
    mode: () => mode,
    step(way, open) {
      const wanted = at + way * STEP;
      const cues = transport.all();
      const index = cues.findIndex(cue => cue.id === shown().cue);
      const length = data()?.seconds ?? cues[index]?.seconds ?? 0;
      const neighbour = wanted < 0 ? cues[index - 1] : wanted > length ? cues[index + 1] : null;
      if (neighbour) {
        const there = wanted < 0 ? Math.max(0, neighbour.seconds + wanted) : Math.max(0, wanted - length);
        open(neighbour.id, there);
        return undefined;
      }
      at = Math.max(0, Math.min(length - 0.05, wanted));
      if (transport.isRunning()) again(at);
      return at;
    },
    /** Hears another take from the word that sounds now. @param other index of it. @param switched tells the page */
    async switchTo(other, switched) {
      const one = data();
      const two = shown().takes[other]?.data;
      const playing = transport.isRunning();
      const there = one && two ? timeMap(one, two)(at) : 0;
      switched(other);
      at = there;
      if (playing || mode === null) {
        if (mode === 'on') await on(there);
        else await alone(there);
      }
    },
    speedBy(way) {
      speed = SPEEDS[Math.max(0, Math.min(SPEEDS.length - 1, SPEEDS.indexOf(speed) + way))];
      through.setSpeed(speed / 100);
      say(`Speed ${speed} %, same pitch.`);
      if (transport.isRunning()) again(at);
      return speed;
    },
    /** @param takes by cue: {sound, score}; null for none */
    compare(name, takes) {
      version = takes ? { name, takes } : null;
      versionHeard = false;
      transport.choose(null);
    },
    async switchVersion() {
      if (!version) {
        say('Choose a version to compare with under “All takes” first.');
        return;
      }
      versionHeard = !versionHeard;
      const other = version.takes[shown().cue];
      let there = at;
      if (other && data()) {
        const score = await scoreOf(other.score);
        if (score) there = versionHeard ? timeMap(data(), score)(at) : timeMap(score, data())(at);
      }
      const playing = transport.isRunning();
      transport.halt();
      transport.choose(versionHeard ? version.takes : null);
      say(versionHeard ? `Now: ${version.name}.` : 'Now: the kept takes.');
      if (playing) {
        mode = 'on';
        await transport.playOn(there);
      }
    },
    otherSound: sound => {
      transport.halt();
      mode = 'alone';
      return transport.play({ id: shown().cue, sound, from: 0 }, () => null);
    },
    stop() {
      transport.halt();
      player.stop();
    },
  };
}
