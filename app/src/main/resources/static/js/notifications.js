// Word of what is done: in a corner of the page, and by the browser while nobody looks at it, where that was chosen
// here.

import { element, house } from './app.js';

const AWAY_MS = 15000;
const SHOWN_MS = 20000;
const KEY = 'logophon-word';
let last = Number(sessionStorage.getItem(KEY) ?? -1);
let corner = null;
let asking = false;

/** Chosen in this browser, for it alone. */
export const byBrowser = () =>
  localStorage.getItem(KEY) === 'browser' && 'Notification' in window && Notification.permission === 'granted';
export const choose = on => localStorage.setItem(KEY, on ? 'browser' : 'page');

function show(line) {
  if (!corner) {
    corner = element('div', 'notifications');
    corner.setAttribute('role', 'status');
    document.body.append(corner);
  }
  const told = element('p');
  const link = element('a', '', line.project);
  link.href = line.address;
  told.append(link, ` ${line.sentence} `);
  const away = element('button', 'btn-quiet', 'Close');
  away.type = 'button';
  away.addEventListener('click', () => told.remove());
  told.append(away);
  corner.append(told);
  setTimeout(() => told.remove(), SHOWN_MS);
}

function notify(line) {
  const note = new Notification(line.project, { body: line.sentence, tag: `logophon-${line.id}` });
  note.addEventListener('click', () => {
    window.focus();
    location.assign(line.address);
  });
}

async function look() {
  if (asking) return;
  asking = true;
  try {
    const answer = await fetch(`${house}/notifications/new?after=${last}`, { headers: { Accept: 'application/json' } });
    if (!answer.ok) return;
    for (const line of await answer.json()) {
      last = Math.max(last, line.id);
      if (!document.hidden) show(line);
      else if (byBrowser()) notify(line);
    }
    sessionStorage.setItem(KEY, last);
  } catch {
    /* it is told when the server answers again */
  } finally {
    asking = false;
  }
}

document.addEventListener('logophon:tidings', look);
// a hidden page holds no stream: it asks now and then, where its browser shall tell
setInterval(() => {
  if (document.hidden && byBrowser()) look();
}, AWAY_MS);
