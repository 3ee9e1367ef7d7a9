// Sends sound as it is, without a form around it: it may be large, and is never held whole on the other side.

import { answered } from './answer.js';
import { rawHeaders } from './app.js';

/** Status and body, as asking gives them. @param unanswered what to say when nobody answers */
export async function send(address, sound, unanswered = 'Logophon doesn’t answer. Send it again when it does.') {
  try {
    const response = await fetch(address, {
      method: 'POST',
      headers: { ...rawHeaders(), 'Content-Type': 'application/octet-stream' },
      body: sound,
    });
    return { status: response.status, body: answered(await response.text(), response.status) };
  } catch {
    return { status: 0, body: { sentence: unanswered } };
  }
}
