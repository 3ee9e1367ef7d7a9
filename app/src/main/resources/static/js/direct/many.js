// One mark on every cue of a role, or of the script.

import { renew } from '../app.js';
import { ask, outcome } from '../ask.js';
import * as marks from './marks.js';

const EXAMPLES = { pace: '92', pitch: '-1.5', range: '120', loudness: '-3', style: 'weary 60' };

/** @param changed shows the stage anew */
export function bindMany(form, project, changed) {
  const { kind, value } = form.elements;
  kind.addEventListener('change', () => {
    value.placeholder = EXAMPLES[kind.value] ?? '';
    value.hidden = !(kind.value in EXAMPLES);
  });
  form.addEventListener('submit', async event => {
    event.preventDefault();
    await marks.settled();
    if (await outcome(ask('POST', `/projects/${project}/marks/all`, new FormData(form)))) {
      changed();
      renew('#head', `/projects/${project}/render?step=DIRECT`);
    }
  });
}
