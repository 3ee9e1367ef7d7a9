// Hearing the chosen cue: from a word, a run of words, as it was before; the playhead goes with the sound.

import { say } from '../app.js';
import * as player from '../player.js';
import * as transport from '../transport.js';

/** @param shown gives the drawn score of a take and its data, or nulls: {score, data, cue, sound} */
export function listening(shown) {
  function place(seconds) {
    const { score, data } = shown();
    // where words only may come to stand there is nothing to be in step with
    if (data?.guessed) return;
    score?.place(seconds);
    score?.words.forEach((group, i) =>
      group.classList.toggle('now', seconds !== null && seconds >= data.words[i].from && seconds < data.words[i].to),
    );
  }

  function follow(until) {
    let started = false;
    const step = () => {
      const seconds = player.position();
      if (seconds !== null && seconds >= until) player.stop();
      if ((seconds === null && started) || seconds >= until) {
        place(null);
        return;
      }
      if (seconds !== null) {
        started = true;
        place(seconds);
      }
      requestAnimationFrame(step);
    };
    requestAnimationFrame(step);
  }

  /** Plays the chosen cue alone, from a second on. @param until second at which it stops; the end when left out */
  async function playFrom(seconds, until = Infinity) {
    const { cue, sound } = shown();
    if (!sound) {
      say('This cue has no take yet. R renders one.');
      return;
    }
    transport.halt();
    transport.goTo(cue);
    try {
      const whole = player.play(sound, seconds);
      follow(until);
      await whole;
    } catch (error) {
      say(error.message);
    }
    place(null);
  }

  return { place, playFrom };
}
