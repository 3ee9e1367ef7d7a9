// How recordings are cleaned: what is ticked, remembered with the role.

import { say } from '../app.js';
import { ask, outcome } from '../ask.js';

const page = id => document.getElementById(id);
const TICKS = ['rumble', 'clicks', 'clipped'];
const FIGURES = { noise: ['noise-db', 'noiseDb'], hum: ['hum-hz', 'humHz'], gaps: ['gap-seconds', 'longestGap'] };
const ticked = name => page(`clean-${name}`).checked;

/**
 * @param project its id
 * @param take    whose recording is cleaned, or null
 * @param done    called with the cleaned take
 * @return shows what the role's recordings were cleaned of last; null for nothing
 */
export function cleaner(project, { take, done }) {
  page('clean').addEventListener('submit', async event => {
    event.preventDefault();
    const asked = take();
    if (!asked) return;
    const form = new FormData();
    Object.entries(FIGURES).forEach(([name, [field]]) => {
      if (ticked(name)) form.append(name, page(field).value);
    });
    TICKS.forEach(name => form.append(name, String(ticked(name))));
    page('clean-go').disabled = true;
    say('Cleaning…');
    const cleaned = await outcome(ask('POST', `/projects/${project}/record/takes/${asked.id}/clean`, form));
    page('clean-go').disabled = false;
    if (cleaned) done(cleaned.take);
  });

  return known => {
    Object.entries(FIGURES).forEach(([name, [field, figure]]) => {
      page(`clean-${name}`).checked = known?.[figure] > 0;
      if (known?.[figure] > 0) page(field).value = known[figure];
    });
    TICKS.forEach(name => {
      page(`clean-${name}`).checked = Boolean(known?.[name]);
    });
  };
}
