// What the server's answers say.

/**
 * What an answer says. One that isn't ours, as a proxy's page, is told as what it is: the server did answer. A refusal
 * has a sentence, whatever came with it.
 */
export function answered(text, status) {
  const body = read(text, status);
  return status < 400 || body?.sentence
    ? body
    : { ...body, sentence: `The server answered with an error (status ${status}). Reload the page, and try again.` };
}

function read(text, status) {
  if (!text) return null;
  try {
    return JSON.parse(text);
  } catch {
    return {
      sentence: `The answer (status ${status}) isn’t Logophon’s. ` +
        'If a proxy stands before it, see what it says; else reload the page.',
    };
  }
}
