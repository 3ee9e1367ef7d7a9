// A version beside the first language: words are saved as they are left, and the table follows what happens elsewhere.

import { ask, outcome } from '../ask.js';
import { listen } from '../live.js';

const main = document.querySelector('main');
const base = `/projects/${main.dataset.project}/translation`;
const told = document.getElementById('told');
const agree = document.getElementById('agree');
const fields = () => [...document.querySelectorAll('textarea[data-cue]')];
const form = values => {
  const made = new FormData();
  Object.entries(values).forEach(([name, value]) => [value].flat().forEach(one => made.append(name, one)));
  return made;
};
let late = false;
let looking = false;
let asking = null;

const size = field => {
  field.style.height = 'auto';
  field.style.height = `${field.scrollHeight + 2}px`;
};
const written = field => field.value !== field.defaultValue;
const tell = sentence => {
  told.textContent = sentence;
};

/**
 * What is being written is never taken away: the table waits until it is saved. Where somebody only stands, they
 * stay.
 */
async function look() {
  if (looking || fields().some(written)) {
    late = true;
    return;
  }
  late = false;
  looking = true;
  let text = null;
  try {
    const response = await fetch(`${base}/rows`, { headers: { 'HX-Request': 'true' } });
    if (response.ok) text = await response.text();
  } catch {
    /* it is looked at again when the stream is back */
  }
  looking = false;
  // typed while it was on its way
  if (text === null || fields().some(written)) {
    late ||= text !== null;
    return;
  }
  const at = document.activeElement.matches('textarea[data-cue]') ? document.activeElement : null;
  const place = at && { cue: at.dataset.cue, from: at.selectionStart, to: at.selectionEnd };
  document.getElementById('rows').outerHTML = text;
  fields().forEach(size);
  const back = place && fields().find(field => field.dataset.cue === place.cue);
  if (back) {
    back.focus({ preventScroll: true });
    back.setSelectionRange(place.from, place.to);
  }
  if (late) look();
}

/** @param {(body?: any) => any} done */
async function act(address, values, done = look) {
  const body = await outcome(ask('POST', address, form(values)), tell);
  if (body) await done(body);
  return body !== null;
}

async function save(field) {
  if (!written(field)) {
    if (late) look();
    return;
  }
  const text = field.value;
  field.setAttribute('aria-busy', 'true');
  const saved = await act(`${base}/cues/${field.dataset.cue}`, { was: field.defaultValue, text }, () => {
    field.defaultValue = text;
  });
  field.removeAttribute('aria-busy');
  if (saved) look();
}

document.addEventListener('input', event => {
  if (event.target.matches('textarea[data-cue]')) size(event.target);
});
document.addEventListener('focusout', event => {
  if (event.target.matches('textarea[data-cue]')) setTimeout(() => save(event.target));
});
document.addEventListener('keydown', event => {
  if (!event.target.matches('textarea[data-cue]')) return;
  // a cue is one paragraph: Enter goes to the next one
  if (event.key === 'Enter' && !event.isComposing) {
    event.preventDefault();
    const all = fields();
    const next = all[all.indexOf(event.target) + (event.shiftKey ? -1 : 1)];
    if (next) {
      next.focus();
      next.select();
    } else event.target.blur();
  }
  if (event.key === 'Escape') {
    event.target.value = event.target.defaultValue;
    size(event.target);
  }
});
document.addEventListener('click', event => {
  const seen = event.target.closest('[data-seen]');
  const cast = event.target.closest('[data-cast]');
  if (seen) act(`${base}/cues/${seen.dataset.seen}/seen`, {});
  if (cast) act(`/projects/${main.dataset.project}/cast`, { role: cast.dataset.cast, voice: cast.dataset.voice });
  if (event.target.closest('[data-bring]')) act(`${base}/bring`, {});
});
document.getElementById('texts').addEventListener('change', async event => {
  if (!event.target.files.length) return;
  await act(`${base}/texts`, { file: event.target.files[0] });
  event.target.value = '';
});

function offer({ money, characters }) {
  agree.textContent = `Translate for ${money} at most`;
  agree.dataset.characters = characters;
  agree.focus();
}

/** The price first; then some cues at a time, so that what has come can be seen, and the rest be stopped. */
async function translate(agreed) {
  const mine = (asking = {});
  let agreement = null;
  const skipped = [];
  let said = 0;
  for (;;) {
    let some;
    try {
      some = await ask(
        'POST',
        `${base}/service`,
        form({ agreed, skipped, ...(agreement ? { agreement } : {}) }),
      );
    } catch (refusal) {
      tell(refusal.message);
      agree.hidden = refusal.status !== 402;
      if (agree.hidden) await look();
      else offer(refusal.body);
      return;
    }
    agree.hidden = true;
    agreement = some.agreement;
    skipped.push(...some.skipped);
    said += some.said;
    tell(
      some.left
        ? `${said} translated, ${some.left} to go.`
        : `${said} translated${skipped.length ? `; there is no translation for ${skipped.length} of them` : ''}.`,
    );
    await look();
    if (!some.left || asking !== mine) return;
  }
}
document.getElementById('ask')?.addEventListener('click', () => translate(0));
agree.addEventListener('click', () => translate(agree.dataset.characters));

const heard = ({ kinds }) => {
  if (kinds.some(kind => ['content', 'status'].includes(kind))) look();
};
listen(`/projects/${main.dataset.project}/events`, heard, (_, again) => {
  if (again) look();
});
listen(`/projects/${main.dataset.first}/events`, heard);
fields().forEach(size);
