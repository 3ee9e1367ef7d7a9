// What somebody wants to be told, and how.

import { ask, outcome } from './ask.js';
import { byBrowser, choose } from './notifications.js';

const form = document.getElementById('settings');
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
form.addEventListener('submit', event => {
  event.preventDefault();
  outcome(ask('POST', '/notifications', new FormData(form)), sentence => {
    told.textContent = sentence;
  });
});
