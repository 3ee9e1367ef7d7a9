// The door of a link with a pass phrase.

import { ask } from '../ask.js';

const form = document.getElementById('enter');
const wrong = document.getElementById('wrong');

form.addEventListener('submit', async event => {
  event.preventDefault();
  try {
    await ask('POST', `${location.pathname}/phrase`, new FormData(form));
    location.reload();
  } catch (refusal) {
    wrong.textContent = refusal.message;
    wrong.hidden = false;
    form.phrase.select();
  }
});
form.phrase.focus();
