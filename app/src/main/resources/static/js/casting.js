// Giving a voice to a role: what it would do is shown before it is done.

import { ask, say } from './app.js';

const dialog = document.getElementById('casting');
let agreed = null;

/**
 * Casts a voice, after showing what becomes changed, what the voice lacks and what it costs, when there is any of it.
 * @returns true when it was cast
 */
export async function cast(project, role, voice) {
  const { status, body } = await ask(
    'GET',
    `/projects/${project}/cast/preview?${new URLSearchParams({ role, voice })}`,
  );
  if (status !== 200) {
    say(body.sentence);
    return false;
  }
  if ((body.changed || body.lacks.length || body.cost) && !(await shown(role, body))) return false;
  const form = new FormData();
  form.append('role', role);
  form.append('voice', voice);
  const done = await ask('POST', `/projects/${project}/cast`, form);
  say(done.body?.sentence ?? 'That did not work. Reload the page.');
  return done.status === 200;
}

// wherever a role without a voice is named, one that fits is a press away; what changes by it is told to every page
document.addEventListener('click', async event => {
  const button = event.target.closest('[data-fitting]');
  if (!button) return;
  button.disabled = true;
  const form = new FormData();
  form.append('role', button.dataset.fitting);
  const { status, body } = await ask(
    'POST',
    `${location.pathname.split('/').slice(0, 3).join('/')}/cast/fitting`,
    form,
  );
  say(body?.sentence ?? 'That did not work. Reload the page.');
  button.disabled = status === 200;
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
