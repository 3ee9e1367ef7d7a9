// What every page shares: the token that shows a request is ours, sentences for what went wrong, and parts that are
// fetched anew.

// the ports of a machine share their cookies: each has its own name
const cookie = `logophon-token-${location.port || (location.protocol === 'https:' ? 443 : 80)}=`;
const token = () =>
  decodeURIComponent(
    document.cookie
      .split('; ')
      .find(part => part.startsWith(cookie))
      ?.slice(cookie.length) ?? '',
  );

/** What comes before addresses of the house: the workspace, where people have several. */
export const house = document.querySelector('meta[name=house]')?.content ?? '';

document.addEventListener('htmx:configRequest', event => {
  event.detail.headers['X-XSRF-TOKEN'] = token();
});

document.addEventListener('htmx:responseError', event => {
  let sentence = 'The server answered with an error. Reload the page.';
  try {
    sentence = JSON.parse(event.detail.xhr.responseText).sentence || sentence;
  } catch {
    /* not ours: keep the general sentence */
  }
  say(sentence);
  if (event.detail.xhr.status === 401) signedOut();
});
document.addEventListener('htmx:sendError', () =>
  say('Logophon doesn’t answer. If it was stopped, start it again; nothing is lost.'),
);

/** Shows a sentence in the transport's corner, where it doesn't cover what one works on. */
export function say(sentence) {
  const hint = document.querySelector('.transport .hint');
  if (!hint) return;
  hint.textContent = sentence;
  hint.classList.add('sentence');
}

/** What shows the server that a request is ours. */
export const rawHeaders = () => ({ Accept: 'application/json', 'X-XSRF-TOKEN': token() });

// a page that is gone back to is another page: what its forms make is new
addEventListener('pageshow', ({ persisted }) => {
  if (persisted)
    document.querySelectorAll('[name=idempotencyKey]').forEach(field => {
      field.value = crypto.randomUUID();
    });
});

/** Says something under the head of the page, once for each id, until it is taken away. */
export function underHead(id, ...content) {
  const there = document.getElementById(id);
  if (there) {
    there.replaceChildren(...content);
    return;
  }
  const told = element('p', 'notice brick');
  told.id = id;
  told.setAttribute('role', 'alert');
  told.append(...content);
  document.querySelector('header.head')?.after(told);
}

/** What is on the page stays; nothing more is asked for, over and over, that isn't given. */
export function signedOut() {
  if (document.getElementById('signed-out')) return;
  const door = element('a', '', 'sign in again in another window');
  door.href = '/sign-in';
  door.target = '_blank';
  underHead('signed-out', 'You are signed out. What is on this page stays: ', door, ', and go on.');
  document.dispatchEvent(new CustomEvent('logophon:signed-out'));
}

const newest = new WeakMap();

/**
 * Fetches a piece of a page into an element. Of several asked for at once the newest is shown.
 * @param free asked when it has come: false when what is there now must not be taken away any more
 * @returns true when it is this one
 */
export async function fill(target, address, free = () => true) {
  const turn = {};
  newest.set(target, turn);
  let response = null;
  try {
    response = await fetch(address, { headers: { 'HX-Request': 'true' } });
  } catch {
    /* said below */
  }
  const text = await response?.text();
  if (newest.get(target) !== turn || !free()) return false;
  if (!response?.ok) {
    let sentence = 'Logophon doesn’t answer. If it was stopped, start it again; nothing is lost.';
    try {
      sentence = JSON.parse(text).sentence || sentence;
    } catch {
      /* not ours: keep the general sentence */
    }
    say(sentence);
    return false;
  }
  target.innerHTML = text;
  htmx.process(target);
  return true;
}

const renewing = new Map();

const PATIENCE_MS = 5000;
// what is asked for by them is shown first, whatever else comes
const PRESSED = '#head .htmx-request, #filters.htmx-request';
const isPressed = part => part.isConnected && part.querySelector(PRESSED) !== null;

/** When what somebody has pressed in a part is answered. @returns false when that takes too long to wait for */
async function pressesAnswered(part) {
  const until = Date.now() + PATIENCE_MS;
  while (isPressed(part) && Date.now() < until) await new Promise(resolve => setTimeout(resolve, 20));
  return !isPressed(part);
}

/** Whether a part of the page is being asked for again. */
export const isRenewing = selector => renewing.has(selector);

/**
 * Asks again for a part of the page. While one is under way, only the last one asked for after it follows: it knows
 * most. What somebody presses there meanwhile is answered first, and a price that is its answer stays.
 * @param {string | (() => string)} address worked out anew when its answer has come: that counts if it is the same
 */
export function renew(selector, address) {
  const underWay = renewing.get(selector);
  if (underWay) {
    underWay.next = address;
    return underWay.done;
  }
  const turn = { next: address, done: null };
  renewing.set(selector, turn);
  let waits = true;
  turn.done = (async () => {
    while (turn.next && document.querySelector(selector)) {
      const where = turn.next;
      const addressNow = () => (typeof where === 'function' ? where() : where);
      const asked = addressNow();
      const part = document.querySelector(selector);
      turn.next = null;
      let late = false;
      let landed = false;
      const land = (/** @type {any} */ { detail }) => {
        if (detail.target !== part || detail.requestConfig.elt !== part) return;
        late = (waits && isPressed(part)) || addressNow() !== asked;
        landed = !late;
        detail.shouldSwap &&= landed;
      };
      document.addEventListener('htmx:beforeSwap', land);
      try {
        await htmx.ajax('GET', asked, { source: part, target: selector, swap: 'outerHTML' });
      } finally {
        document.removeEventListener('htmx:beforeSwap', land);
      }
      // another answer took the part's place meanwhile, or is about to: this one went nowhere
      if (landed || (!late && part.isConnected)) continue;
      waits = await pressesAnswered(part);
      // a price that a press was answered with stays
      if (!document.querySelector(`${selector} .priced`)) turn.next ??= where;
    }
  })().finally(() => renewing.delete(selector));
  return turn.done;
}

/** An element with a class and a text. */
export const element = (name, className, text) => {
  const made = document.createElement(name);
  if (className) made.className = className;
  if (text !== undefined) made.textContent = text;
  return made;
};

/** A button that isn't part of a form's sending. @param label for screen readers, where the text says too little */
export function button(className, text, act, label) {
  const made = element('button', className, text);
  made.type = 'button';
  if (label) made.setAttribute('aria-label', label);
  made.addEventListener('click', act);
  return made;
}

export const typing = target =>
  target.closest('input:not([type=range]), textarea, select, [contenteditable=true]') !== null;
