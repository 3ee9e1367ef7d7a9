// Hears of changes that were made elsewhere: in another window, by a job, by another server.

const AGAIN_MS = 2000;
const EVERYTHING = { kinds: ['content', 'status', 'delivery', 'findings', 'house'], programme: { all: true } };

/**
 * Listens while the page can be seen: a hidden one would take one of the few connections that a browser has, and looks again
 * when it is shown.
 * @param heard told {kinds, programme} of each change
 * @param met   told the stamp of the programme whenever the stream begins, also after a break
 */
export function listen(address, heard, met = () => {}) {
  let source = null;
  let again = null;
  let wasOpen = false;
  let over = false;

  function close() {
    source?.close();
    source = null;
    clearTimeout(again);
  }

  function open() {
    close();
    if (document.hidden || over) return;
    source = new EventSource(address);
    source.addEventListener('hello', event => {
      document.documentElement.dataset.live = 'true';
      met(JSON.parse(event.data).stamp, wasOpen);
      wasOpen = true;
    });
    source.addEventListener('changed', event => {
      const told = JSON.parse(event.data);
      if (told.kinds.includes('tidings')) document.dispatchEvent(new CustomEvent('logophon:tidings'));
      heard(told);
    });
    source.addEventListener('gone', () => { close(); document.dispatchEvent(new CustomEvent('logophon:gone')); });
    source.addEventListener('error', () => {
      // the browser comes again by itself after a break, but not after an answer that is none
      delete document.documentElement.dataset.live;
      clearTimeout(again);
      again = setTimeout(() => { if (over) return; heard(EVERYTHING); if (source?.readyState === EventSource.CLOSED) open(); }, AGAIN_MS);
    });
  }

  document.addEventListener('logophon:signed-out', () => { over = true; close(); });
  document.addEventListener('visibilitychange', () => { if (document.hidden) close(); else open(); });
  window.addEventListener('pagehide', close);
  window.addEventListener('pageshow', event => { if (event.persisted) open(); });
  open();
}
