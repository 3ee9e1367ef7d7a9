// The panel beside the score: voice, direction of cue, role and script, rests, takes.

import { ask, askPriced, renew, say } from '../app.js';
import { tieDials } from '../dials.js';
import { cast } from '../casting.js';
import * as player from '../player.js';
import * as transport from '../transport.js';

let level = 'cue';

async function nobody(project, role) {
  const form = new FormData();
  form.append('role', role);
  form.append('voice', '');
  const { status, body } = await ask('POST', `/projects/${project}/cast`, form);
  say(body?.sentence ?? 'That did not work. Reload the page.');
  return status === 200;
}

function bindVoice(now, project, changed) {
  const voice = now.querySelector('#voice');
  if (!voice) return;
  // the list is long and the same for every cue: it comes once with the page
  voice.replaceChildren(document.getElementById('voice-list').content.cloneNode(true));
  voice.value = voice.dataset.voice;
  voice.addEventListener('change', async () => {
    const done = voice.value
      ? await cast(project, voice.dataset.role, voice.value)
      : await nobody(project, voice.dataset.role);
    if (done) changed();
    else voice.value = voice.dataset.voice;
  });
  now.querySelector('#try-voice').addEventListener('click', async event => {
    if (!voice.value) {
      say('Choose a voice first.');
      return;
    }
    transport.halt();
    event.target.disabled = true;
    const { status, body } = await askPriced(`/projects/${project}/cast/audition`, {
      role: voice.dataset.role,
      voice: voice.value,
    });
    event.target.disabled = false;
    if (status !== 200) {
      say(body.sentence + (status === 402 ? ' Press Play again to hear it.' : ''));
      return;
    }
    try {
      await player.play(body.sound);
    } catch (error) {
      say(error.message);
    }
  });
}

function bindLevels(now) {
  const tabs = [...now.querySelectorAll('[role=tab]')];
  const choose = name => {
    level = name;
    tabs.forEach(tab => {
      const chosen = tab.id === `tab-${name}`;
      tab.setAttribute('aria-selected', chosen);
      tab.tabIndex = chosen ? 0 : -1;
      document.getElementById(tab.getAttribute('aria-controls')).hidden = !chosen;
    });
    const rests = document.getElementById('role-rests');
    if (rests) rests.hidden = name !== 'role';
  };
  tabs.forEach((tab, i) => {
    tab.addEventListener('click', () => choose(tab.id.slice(4)));
    tab.addEventListener('keydown', event => {
      const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
      if (!step) return;
      event.preventDefault();
      event.stopPropagation();
      const next = tabs[(i + step + tabs.length) % tabs.length];
      choose(next.id.slice(4));
      next.focus();
    });
  });
  choose(document.getElementById(`tab-${level}`) ? level : 'cue');
}

/** @param reload shows the stage anew */
export function bindPanel(now, project, reload) {
  const changed = () => {
    reload();
    renew('#head', `/projects/${project}/render?step=DIRECT`);
  };
  bindVoice(now, project, changed);
  tieDials(now);
  bindLevels(now);
  now.querySelector('#role-rests')?.addEventListener('change', async event => {
    const form = new FormData(event.currentTarget);
    form.append('role', event.currentTarget.dataset.role);
    form.append('version', event.currentTarget.dataset.version);
    const { status, body } = await ask('POST', `/projects/${project}/roles/rests`, form);
    if (status !== 200) say(body.sentence);
    changed();
  });
  now.querySelectorAll('[data-like], [data-follow]').forEach(one =>
    one.addEventListener('click', async () => {
      const { body } = await ask('POST', one.dataset.like ?? one.dataset.follow, new FormData());
      say(body?.sentence ?? 'That did not work. Reload the page.');
      changed();
    }),
  );
  now.querySelectorAll('.takes .play').forEach(button =>
    button.addEventListener('click', async () => {
      transport.halt();
      try {
        await player.play(`/projects/${project}/takes/${button.dataset.take}/sound/${Date.now()}.wav`);
      } catch (error) {
        say(error.message);
      }
    }),
  );
}
