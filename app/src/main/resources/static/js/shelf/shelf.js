// The shelf follows what changes in its projects, but not under the hand of somebody who renames one.

import { house, renew } from '../app.js';
import { listen } from '../live.js';
import { send } from '../send.js';

function underHand() {
  const list = document.getElementById('projects');
  return list.querySelector('details[open]') !== null || list.contains(document.activeElement);
}

let due = null;
function follow() {
  clearTimeout(due);
  due = setTimeout(() => {
    if (underHand()) follow();
    else renew('#projects', `${house}/shelf`);
  }, 100);
}

// somebody may have taken hold of it since it was asked for
document.addEventListener('htmx:beforeSwap', event => {
  if (event.detail.target.id !== 'projects' || event.detail.requestConfig?.verb !== 'get' || !underHand()) return;
  event.detail.shouldSwap = false;
  follow();
});

listen(`${house}/events`, follow, (stamp, again) => { if (again) follow(); });

document.getElementById('draft')?.addEventListener('change', async event => {
  const [file] = event.target.files;
  if (!file) return;
  const told = document.getElementById('draft-told');
  told.textContent = `${file.name} comes in…`;
  const { status, body } = await send(`${house}/drafts?name=${encodeURIComponent(file.name)}`, file);
  event.target.value = '';
  if (status === 200) location.href = body.address;
  else told.textContent = body?.sentence ?? 'It could not be read.';
});
