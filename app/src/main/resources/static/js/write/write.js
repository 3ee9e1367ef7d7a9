// The Write page: an editor that saves itself and shows what the script becomes, and panels beside it.

import { element } from '../app.js';
import { clock } from '../clock.js';
import { area, begin, onChange, script, unsaved } from './script.js';
import { onFindings, proof } from './proof.js';
import '../casting.js';
import './rail.js';
import './shape.js';
import { follow, noted } from './notes.js';
import './opening.js';

const MOST_LISTED = 300;

function repaint() {
  // while it is typed the looks move with the words
  if (script.state && !unsaved()) area.dress(script.state, script.findings);
}

function totals(state) {
  document.getElementById('total-words').textContent = state.words.toLocaleString('en');
  document.getElementById('total-characters').textContent = state.characters.toLocaleString('en');
  document.getElementById('total-time').textContent = clock(state.seconds);
  const over = state.targetSeconds ? state.seconds - state.targetSeconds : 0;
  document.getElementById('total-against').textContent = !state.targetSeconds
    ? 'running time'
    : Math.abs(over) < 1
      ? `of ${clock(state.targetSeconds)}: just right`
      : over > 0
        ? `of ${clock(state.targetSeconds)}: too long by ${over < 60 ? `${Math.round(over)} s`
            : clock(over)}, about ${Math.round((over * state.words) / Math.max(1, state.seconds))} words`
        : `of ${clock(state.targetSeconds)}: ${clock(-over)} to spare`;
  document
    .getElementById('cue-list')
    .replaceChildren(
      ...state.cues
        .slice(0, MOST_LISTED)
        .map(cue =>
          element(
            'li',
            '',
            `${cue.number}, ${cue.role}, ${cue.seconds.toFixed(1)} seconds${cue.problem ? `: ${cue.problem}`
                : ''}${cue.notes.map(note => `. Note on ${note}`).join('')}`,
          ),
        ),
    );
}

onChange(state => {
  if (state) {
    // findings of an older text would underline the wrong words until the new ones come
    if (state.version !== script.proofed) script.findings = [];
    noted(state);
    totals(state);
    proof();
  }
  repaint();
});
onFindings(() => {
  script.proofed = script.version;
  repaint();
});

begin();
follow(() => {
  repaint();
  if (script.state) totals(script.state);
});
