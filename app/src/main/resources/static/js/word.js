// What somebody wants to be told, and how.

import { ask } from './app.js';
import { byBrowser, choose } from './tidings.js';

const form = document.getElementById('wish');
const told = document.getElementById('told');
const browser = document.getElementById('browser');

browser.checked = byBrowser();
browser.addEventListener('change', async () => {
  if (browser.checked && Notification.permission !== 'granted') await Notification.requestPermission();
  choose(browser.checked);
  if (browser.checked && !byBrowser()) {
    browser.checked = false;
    told.textContent = 'Your browser doesn’t let this page notify you. Its settings for this site can allow it.';
  }
});
form.addEventListener('submit', async event => {
  event.preventDefault();
  const { body } = await ask('POST', '/word', new FormData(form));
  told.textContent = body?.sentence ?? 'That did not work. Reload the page.';
});
