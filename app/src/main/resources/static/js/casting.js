// Giving a voice to a role: what it would do is shown before it is done.

import { ask, formOf, outcome } from './ask.js';

const dialog = document.getElementById('casting');
let agreed = null;

/**
 * Casts a voice, after showing what becomes changed, what the voice lacks and what it costs, when there is any of it.
 * @returns true when it was cast
 */
export async function cast(project, role, voice) {
  const fields = { role, voice };
  const preview = await outcome(ask('GET', `/projects/${project}/cast/preview?${new URLSearchParams(fields)}`));
  if (!preview) return false;
  if ((preview.changed || preview.lacks.length || preview.cost) && !(await shown(role, preview))) return false;
  return (await outcome(ask('POST', `/projects/${project}/cast`, formOf(fields)))) !== null;
}

// wherever a role without a voice is named, one that fits is a press away; what changes by it is told to every page
document.addEventListener('click', async event => {
  const button = event.target.closest('[data-fitting]');
  if (!button) return;
  button.disabled = true;
  const project = location.pathname.split('/').slice(0, 3).join('/');
  const done = await outcome(ask('POST', `${project}/cast/fitting`, formOf({ role: button.dataset.fitting })));
  button.disabled = done !== null;
});

function shown(role, preview) {
  document.getElementById('casting-title').textContent = `Cast ${role}`;
  document.getElementById('casting-what').textContent = preview.sentence;
  document.getElementById('casting-cost').textContent = preview.cost;
  document.getElementById('casting-lacks').replaceChildren(
    ...preview.lacks.map(lack => {
      const item = document.createElement('li');
      item.textContent = lack;
      return item;
    }),
  );
  dialog.returnValue = '';
  dialog.showModal();
  return new Promise(resolve => {
    agreed = resolve;
  });
}

document.getElementById('casting-do')?.addEventListener('click', () => dialog.close('cast'));
dialog?.addEventListener('close', () => agreed?.(dialog.returnValue === 'cast'));
