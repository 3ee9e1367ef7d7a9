// The door of a link with a pass phrase.

import { ask } from '../app.js';

const form = document.getElementById('enter');
const wrong = document.getElementById('wrong');

form.addEventListener('submit', async event => {
  event.preventDefault();
  const { status, body } = await ask('POST', `${location.pathname}/phrase`, new FormData(form));
  if (status === 200) {
    location.reload();
    return;
  }
  wrong.textContent = body?.sentence ?? 'That did not work. Reload the page.';
  wrong.hidden = false;
  form.phrase.select();
});
form.phrase.focus();
