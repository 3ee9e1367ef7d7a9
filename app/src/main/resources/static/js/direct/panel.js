// The panel beside the score: voice, direction of cue, role and script, rests, takes.

import { renew, say } from '../app.js';
import { ask, askPriced, formOf, outcome } from '../ask.js';
import { tieDials } from '../dials.js';
import { cast } from '../casting.js';
import * as player from '../player.js';
import { tabsOf } from '../tabs.js';
import * as transport from '../transport.js';

let level = 'cue';

const nobody = (project, role) => outcome(ask('POST', `/projects/${project}/cast`, formOf({ role, voice: '' })));

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
    try {
      const { sound } = await askPriced(
        `/projects/${project}/cast/audition`,
        { role: voice.dataset.role, voice: voice.value },
        'Press Play again to hear it.',
      ).finally(() => {
        event.target.disabled = false;
      });
      await player.play(sound);
    } catch (error) {
      say(error.message);
    }
  });
}

function bindLevels(now) {
  const choose = tabsOf(now.querySelector('[role=tablist]'), name => {
    level = name;
    const rests = document.getElementById('role-rests');
    if (rests) rests.hidden = name === 'project';
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
    await outcome(ask('POST', `/projects/${project}/roles/rests`, form));
    changed();
  });
  now.querySelector('[data-phrase]')?.addEventListener('click', async event => {
    const { phrase, version } = event.currentTarget.dataset;
    await outcome(ask('POST', phrase, formOf({ version })));
    changed();
  });
  now.querySelectorAll('[data-like], [data-follow]').forEach(one =>
    one.addEventListener('click', async () => {
      await outcome(ask('POST', one.dataset.like ?? one.dataset.follow, new FormData()));
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
