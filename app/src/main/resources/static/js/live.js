// Hears of changes that were made elsewhere: in another window, by a job, by another server; and says it when nobody
// can be heard.

import { underHead } from './app.js';

const AGAIN_MS = 2000;
// the browser comes again after three seconds, and a server that ends is followed by another
const LOST_MS = 6000;
const EVERYTHING = { kinds: ['content', 'status', 'delivery', 'findings', 'house'], programme: { all: true } };

const GONE =
  'Logophon doesn’t answer. What is on this page stays, and is saved when it does. If it was stopped, start it again.';

/** @param sentence why nothing can be saved now; empty when it can */
function away(sentence) {
  if (sentence) underHead('away', sentence);
  else document.getElementById('away')?.remove();
}

/**
 * Listens while the page can be seen: a hidden one would take one of the few connections that a browser has, and looks
 * again when it is shown.
 * @param heard told {kinds, programme} of each change
 * @param met   told the stamp of the programme whenever the stream begins, also after a break
 */
export function listen(address, heard, met = (/** @type {string} */ _stamp, /** @type {boolean} */ _again) => {}) {
  let source = null;
  let again = null;
  let lost = null;
  let wasOpen = false;
  let over = false;

  function close() {
    source?.close();
    source = null;
    clearTimeout(again);
    unlost();
  }

  function unlost() {
    clearTimeout(lost);
    lost = null;
  }

  function open() {
    if (document.hidden || over) {
      close();
      return;
    }
    source?.close();
    clearTimeout(again);
    source = new EventSource(address);
    source.addEventListener('hello', event => {
      document.documentElement.dataset.live = 'true';
      unlost();
      away('');
      met(JSON.parse(event.data).stamp, wasOpen);
      wasOpen = true;
    });
    source.addEventListener('changed', event => {
      const told = JSON.parse(event.data);
      if (told.kinds.includes('tidings')) document.dispatchEvent(new CustomEvent('logophon:tidings'));
      heard(told);
    });
    source.addEventListener('away', event => away(JSON.parse(event.data).sentence));
    source.addEventListener('gone', () => {
      close();
      document.dispatchEvent(new CustomEvent('logophon:gone'));
    });
    source.addEventListener('error', () => {
      // the browser comes again by itself after a break, but not after an answer that is none
      delete document.documentElement.dataset.live;
      lost ??= setTimeout(() => away(GONE), LOST_MS);
      clearTimeout(again);
      again = setTimeout(() => {
        if (over) return;
        heard(EVERYTHING);
        if (source?.readyState === EventSource.CLOSED) open();
      }, AGAIN_MS);
    });
  }

  document.addEventListener('logophon:signed-out', () => {
    over = true;
    close();
  });
  document.addEventListener('visibilitychange', () => {
    if (document.hidden) close();
    else open();
  });
  window.addEventListener('pagehide', close);
  window.addEventListener('pageshow', event => {
    if (event.persisted) open();
  });
  open();
}
