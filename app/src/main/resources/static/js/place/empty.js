// Nothing is written yet: the page waits for the first cue.

import '../transport.js';

document.addEventListener('logophon:programme', event => {
  if (event.detail.cues.length) location.reload();
});
