// Forms of the pages about people: each asks the address that it names, and says what came of it beside itself.

import { address } from './address.js';
import { house, renew } from './app.js';
import { askOnce, outcome } from './ask.js';

const whole = document.getElementById('told');
const copy = document.getElementById('link-copy');
const tell = (form, sentence) => {
  const told = form.querySelector('.told') ?? whole;
  if (!told) return;
  told.textContent = sentence;
  told.hidden = false;
};
const showLink = copy
  ? address(document.getElementById('link-address'), copy, sentence => tell(document.body, sentence))
  : () => {};

async function send(form) {
  const done = await outcome(askOnce(form, form.dataset.ask, new FormData(form)), sentence => tell(form, sentence));
  if (!done) {
    form.querySelector('[type=password]')?.select();
    if (form.dataset.then === 'list') renew('#people', `${house}/people/list`);
    return;
  }
  // a link to send is told; any other address is where to go
  if (done.sentence && done.address) showLink(done.address);
  else if (done.address) {
    location.assign(done.address);
    return;
  }
  if (form.dataset.then === 'list') renew('#people', `${house}/people/list`);
  if (form.dataset.then === 'reload') location.reload();
  form.querySelectorAll('[type=password]').forEach(field => {
    field.value = '';
  });
}

document.addEventListener('submit', event => {
  if (!event.target.dataset.ask) return;
  event.preventDefault();
  send(event.target);
});
document.addEventListener('change', event => {
  const form = event.target.closest('select')?.form;
  if (form?.dataset.then === 'list' && form.querySelector('button') === null) send(form);
});
