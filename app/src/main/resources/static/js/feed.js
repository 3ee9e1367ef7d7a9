// The page of the feed: its address, and what is in it.

import { address } from './address.js';
import { house, renew } from './app.js';
import { ask, askOnce, outcome } from './ask.js';

const part = id => document.getElementById(`feed-${id}`);
const tell = sentence => {
  part('told').textContent = sentence;
};
const showAddress = address(part('address'), part('copy'), tell);

part('form')?.addEventListener('submit', async event => {
  event.preventDefault();
  const made = await outcome(askOnce(part('form'), `${house}/feed`, new FormData(part('form'))), tell);
  if (!made) return;
  showAddress(made.address);
  part('open').textContent = `The feed ${part('title').value} is on. A new URL ends the old one.`;
});
part('back')?.addEventListener('click', async () => {
  if (await outcome(ask('POST', `${house}/feed/take-back`, new FormData()), tell)) {
    part('open').textContent = 'There is no feed.';
    document.getElementById('sharing-link').hidden = true;
    part('back').remove();
  }
});
document.addEventListener('click', async event => {
  const out = event.target.closest('[data-out]');
  if (!out) return;
  await outcome(ask('POST', `${house}/feed/items/${out.dataset.out}/remove`, new FormData()), tell);
  renew('#feed-items', `${house}/feed/items`);
});
