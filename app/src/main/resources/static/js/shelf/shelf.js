// The shelf follows what changes in its projects, but not under the hand of somebody who renames one.

import { renew } from '../app.js';
import { listen } from '../live.js';

function underHand() {
  const list = document.getElementById('projects');
  return list.querySelector('details[open]') !== null || list.contains(document.activeElement);
}

let due = null;
function follow() {
  clearTimeout(due);
  due = setTimeout(() => {
    if (underHand()) follow();
    else renew('#projects', '/shelf');
  }, 100);
}

// somebody may have taken hold of it since it was asked for
document.addEventListener('htmx:beforeSwap', event => {
  if (event.detail.target.id !== 'projects' || event.detail.requestConfig?.verb !== 'get' || !underHand()) return;
  event.detail.shouldSwap = false;
  follow();
});

listen('/events', follow, (stamp, again) => { if (again) follow(); });
