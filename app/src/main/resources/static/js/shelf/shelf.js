// The shelf follows what changes in its projects, but not under the hand of somebody who renames one.

import { renew } from '../app.js';
import { listen } from '../live.js';

let due = null;
function follow() {
  clearTimeout(due);
  due = setTimeout(() => {
    const list = document.getElementById('projects');
    if (list.querySelector('details[open]') || list.contains(document.activeElement)) follow();
    else renew('#projects', '/shelf');
  }, 100);
}

listen('/events', follow, (stamp, again) => { if (again) follow(); });
