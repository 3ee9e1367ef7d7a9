// The languages of a project.

import { askOnce } from '../app.js';

const project = document.querySelector('main').dataset.project;
const told = document.getElementById('another-told');

document.getElementById('another').addEventListener('submit', async event => {
  event.preventDefault();
  const { status, body } = await askOnce(event.target, `/projects/${project}/languages`, new FormData(event.target));
  if (status === 200) {
    location.assign(body.address);
    return;
  }
  told.textContent = body?.sentence ?? 'That did not work. Reload the page.';
});
