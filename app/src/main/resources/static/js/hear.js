// A few words by ear, as they would be said or as a reading would have them.

import { say } from './app.js';
import { project } from './script.js';
import { play, stop } from './player.js';

/** @param what written, and for a reading said and as; the cue whose voice speaks */
export async function hear({ written, said = '', as = '', cue = '' }) {
  const query = new URLSearchParams({ written, said, as });
  if (cue) query.set('cue', cue);
  try {
    stop();
    await play(`/projects/${project}/hear?${query}`);
  } catch (error) {
    say(error.message);
  }
}
