// The shelf follows what changes in its projects, but not under the hand of somebody who renames one.

import { house, renew } from '../app.js';
import { outcome, send } from '../ask.js';
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
    else renew('#projects', document.getElementById('projects').dataset.list);
  }, 100);
}

// somebody may have taken hold of it since it was asked for
document.addEventListener('htmx:beforeSwap', event => {
  if (
    event.detail.target.id !== 'projects' ||
    event.detail.requestConfig?.verb !== 'get' ||
    !underHand() ||
    event.detail.requestConfig.elt.closest('.findproject, .more')
  )
    return;
  event.detail.shouldSwap = false;
  follow();
});

listen(`${house}/events`, follow, (_, again) => {
  if (again) follow();
});

/** A file that becomes a project is sent as it is, and its page is opened. @param address for its name */
function becomes(field, address) {
  document.getElementById(field)?.addEventListener('change', async event => {
    const [file] = event.target.files;
    if (!file) return;
    const told = document.getElementById(`${field}-told`);
    told.textContent = `Importing ${file.name}…`;
    const made = await outcome(send(address(file.name), file), sentence => {
      told.textContent = sentence;
    });
    event.target.value = '';
    if (made) location.href = made.address;
  });
}

const typed = id => document.getElementById(id).value;
becomes('draft', name => {
  const wish = { name, project: typed('name'), from: typed('draft-from'), to: typed('draft-to') };
  return `${house}/drafts?${new URLSearchParams(wish)}`;
});
becomes('brought', () => `${house}/projects/file`);
