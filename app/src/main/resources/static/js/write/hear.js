// A few words by ear, as they would be said or as a reading would have them.

import { askPriced, say } from '../app.js';
import { project } from './script.js';
import { play, stop } from '../player.js';

/** @param what written, and for a reading said and as; the cue whose voice speaks */
export async function hear({ written, said = '', as = '', cue = '' }) {
  const fields = { written, said, as, ...(cue ? { cue } : {}) };
  try {
    stop();
    const { status, body } = await askPriced(`/projects/${project}/hear`, fields);
    if (status !== 200) {
      say(body.sentence + (status === 402 ? ' Press again to hear it.' : ''));
      return;
    }
    await play(body.sound);
  } catch (error) {
    say(error.message);
  }
}
