// The languages of a project.

import { askOnce, outcome } from '../ask.js';

const project = document.querySelector('main').dataset.project;
const told = document.getElementById('another-told');

document.getElementById('another').addEventListener('submit', async event => {
  event.preventDefault();
  const made = await outcome(
    askOnce(event.target, `/projects/${project}/languages`, new FormData(event.target)),
    sentence => {
      told.textContent = sentence;
    },
  );
  if (made) location.assign(made.address);
});
