// What the server's answers say.

/** What an answer says. One that isn't ours, as a proxy's page, is told as what it is: the server did answer. */
export function answered(text, status) {
  if (!text) return null;
  try { return JSON.parse(text); } catch {
    return { sentence: `The answer (status ${status}) isn’t Logophon’s. If a proxy stands before it, see what it says; else reload the page.` };
  }
}
