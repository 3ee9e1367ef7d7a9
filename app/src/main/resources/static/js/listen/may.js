// What whoever listens may do besides: who only listens is shown no more than that.

const frame = document.querySelector('.frame').dataset;

export const edits = frame.edits !== 'false';

/** True for a note that somebody may change: their own, or any where they edit. */
export const changes = note => edits || (note.writer !== '' && note.writer === frame.me);
