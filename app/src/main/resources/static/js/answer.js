// What the server's answers say.

/** What was asked for and isn't done. Its message says why; its status is 0 where nobody answered. */
export class Refusal extends Error {
  constructor(status, body) {
    super(body.sentence);
    this.name = 'Refusal';
    this.status = status;
    this.body = body;
  }
}

/**
 * What an answer says. One that isn't ours, as a proxy's page, is told as what it is: the server did answer.
 * @throws a refusal, which has a sentence, whatever came with it
 */
export function answered(text, status) {
  const body = read(text, status);
  if (status < 400) return body;
  const sentence = `The server answered with an error (status ${status}). Reload the page, and try again.`;
  throw new Refusal(status, body?.sentence ? body : { ...body, sentence });
}

function read(text, status) {
  if (!text) return null;
  try {
    return JSON.parse(text);
  } catch {
    throw new Refusal(status, {
      sentence: `The answer (status ${status}) isn’t Logophon’s. ` +
        'If a proxy stands before it, see what it says; else reload the page.',
    });
  }
}
