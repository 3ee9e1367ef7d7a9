// The Deliver page follows what changes elsewhere: what is missing, the names of the clips, the deliveries.

import { renew } from '../app.js';
import '../transport.js';

const main = document.querySelector('.deliver');
const address = `/projects/${main.dataset.project}`;

document.addEventListener('logophon:changed', event => {
  const { kinds } = event.detail;
  const cues = kinds.some(kind => ['content', 'status', 'house'].includes(kind));
  // the first cue, or the last one gone: the page is another one
  if (cues && !document.getElementById('names')) { location.reload(); return; }
  if (cues) {
    renew('#left-out', `${address}/deliver/left-out`);
    renew('#names', `${address}/deliver/names?${new URLSearchParams({ pattern: document.getElementById('pattern').value })}`);
  }
  if (kinds.includes('delivery')) renew('#deliveries', `${address}/deliveries`);
});
