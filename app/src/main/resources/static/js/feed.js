// The page of the feed: its address, and what is in it.

import { address } from './address.js';
import { ask, askOnce, house, renew } from './app.js';

const part = id => document.getElementById(`feed-${id}`);
const tell = sentence => {
  part('told').textContent = sentence;
};
const showAddress = address(part('address'), part('copy'), tell);

part('form')?.addEventListener('submit', async event => {
  event.preventDefault();
  const { status, body } = await askOnce(part('form'), `${house}/feed`, new FormData(part('form')));
  tell(body?.sentence ?? 'That did not work. Reload the page.');
  if (status !== 200) return;
  showAddress(body.address);
  part('open').textContent = `The feed ${part('title').value} is on. A new URL ends the old one.`;
});
part('back')?.addEventListener('click', async () => {
  const { status, body } = await ask('POST', `${house}/feed/take-back`, new FormData());
  tell(body?.sentence ?? 'That did not work. Reload the page.');
  if (status === 200) {
    part('open').textContent = 'There is no feed.';
    document.getElementById('sharing-link').hidden = true;
    part('back').remove();
  }
});
document.addEventListener('click', async event => {
  const out = event.target.closest('[data-out]');
  if (!out) return;
  const { body } = await ask('POST', `${house}/feed/items/${out.dataset.out}/remove`, new FormData());
  tell(body?.sentence ?? 'That did not work. Reload the page.');
  renew('#feed-items', `${house}/feed/items`);
});
