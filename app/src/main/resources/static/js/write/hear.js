// A few words by ear, as they would be said or as a reading would have them.

import { say } from '../app.js';
import { askPriced } from '../ask.js';
import { project } from './script.js';
import { play, stop } from '../player.js';

/** @param what written, and for a reading said and as; the cue whose voice speaks */
export async function hear({ written, said = '', as = '', cue = '' }) {
  const fields = { written, said, as, ...(cue ? { cue } : {}) };
  try {
    stop();
    const { sound } = await askPriced(`/projects/${project}/hear`, fields, 'Press again to hear it.');
    await play(sound);
  } catch (error) {
    say(error.message);
  }
}
