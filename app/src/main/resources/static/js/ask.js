// How a page asks the server: what is done has a body, what isn't is thrown with its sentence.

import { answered, Refusal } from './answer.js';
import { rawHeaders, say, signedOut } from './app.js';

export { Refusal };

// what nobody caught is said all the same
addEventListener('unhandledrejection', event => {
  if (!(event.reason instanceof Refusal)) return;
  event.preventDefault();
  say(event.reason.message);
});

/** Fields as a form sends them. */
export function formOf(fields) {
  const form = new FormData();
  Object.entries(fields).forEach(([name, value]) => form.append(name, value));
  return form;
}

/**
 * Asks the server; a form goes as it is, anything else as JSON.
 * @returns the body of its answer, null where that is empty
 * @throws a refusal
 */
export function ask(method, address, body, key = '') {
  const form = body instanceof FormData;
  return answerOf(
    fetch(address, {
      method,
      headers: {
        ...rawHeaders(),
        ...(body && !form ? { 'Content-Type': 'application/json' } : {}),
        ...(key ? { 'Idempotency-Key': key } : {}),
      },
      body: form ? body : body ? JSON.stringify(body) : undefined,
    }),
    'Logophon doesn’t answer. Your text stays here and is saved when it does.',
  );
}

/**
 * Sends sound as it is, without a form around it: it may be large, and is never held whole on the other side.
 * @param unanswered what to say when nobody answers
 */
export const send = (address, sound, unanswered = 'Logophon doesn’t answer. Send it again when it does.') =>
  answerOf(
    fetch(address, {
      method: 'POST',
      headers: { ...rawHeaders(), 'Content-Type': 'application/octet-stream' },
      body: sound,
    }),
    unanswered,
  );

async function answerOf(fetched, unanswered) {
  let status = 0;
  let text = '';
  try {
    const response = await fetched;
    text = await response.text();
    ({ status } = response);
  } catch {
    throw new Refusal(0, { sentence: unanswered });
  }
  if (status === 401) signedOut();
  return answered(text, status);
}

/**
 * Says what came of something.
 * @param asked what ask gave
 * @param tell where it is said
 * @returns the body, or null where it was refused
 */
export async function outcome(asked, tell = say) {
  try {
    const body = await asked;
    if (body?.sentence) tell(body.sentence);
    return body ?? {};
  } catch (refusal) {
    if (!(refusal instanceof Refusal)) throw refusal;
    tell(refusal.message);
    return null;
  }
}

/** What is looked at in passing: its body, or null where it is refused; nothing is said of that. */
export const glance = asked =>
  asked.catch(refusal => {
    if (refusal instanceof Refusal) return null;
    throw refusal;
  });

/**
 * Asks for something new, as ask does. What a form or button asks for twice before it has an answer is made once.
 * @param holder the form or button
 */
export async function askOnce(holder, address, body) {
  holder.dataset.key ??= crypto.randomUUID();
  try {
    const made = await ask('POST', address, body, holder.dataset.key);
    delete holder.dataset.key;
    return made;
  } catch (refusal) {
    // one whose answer was lost is the same again
    if (refusal.status !== 0) delete holder.dataset.key;
    throw refusal;
  }
}

const offered = new Map();

/**
 * Asks for something that may cost. The first time its price is said, as a refusal of status 402; the same wish again
 * agrees to that price.
 * @param again what to press to agree
 * @param agrees false while somebody only passes by: then nothing is ever paid
 */
export async function askPriced(address, fields, again, agrees = true) {
  const wish = `${address}?${new URLSearchParams(fields)}`;
  const price = agrees ? offered.get(wish) : undefined;
  if (price !== undefined) offered.delete(wish);
  try {
    const body = await ask('POST', address, formOf({ ...fields, agreed: price ?? 0 }));
    if (price !== undefined) say(`Paid: ${price} characters. Hearing it again costs nothing.`);
    return body;
  } catch (refusal) {
    if (refusal.status === 402) {
      offered.set(wish, refusal.body.characters);
      refusal.message += ` ${again}`;
    }
    throw refusal;
  }
}
