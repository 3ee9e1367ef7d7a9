// The editor of the script: it draws only what is seen, so that a key stroke in a long script costs what it does in a
// short one.

import { Annotation, EditorState, StateEffect, StateField } from '@codemirror/state';
import { Decoration, EditorView, keymap, placeholder } from '@codemirror/view';
import { standardKeymap } from '@codemirror/commands';
import { dressing } from './dressing.js';

const setDress = StateEffect.define();
const elsewhere = Annotation.define();

// decorations move with what is typed, until the server has said what the text has become
const dressed = StateField.define({
  create: () => Decoration.none,
  update(now, transaction) {
    for (const effect of transaction.effects) if (effect.is(setDress)) return effect.value;
    return now.map(transaction.changes);
  },
  provide: field => EditorView.decorations.from(field),
});

/** The one stretch in which two texts differ. */
function difference(before, after) {
  let head = 0;
  const shortest = Math.min(before.length, after.length);
  while (head < shortest && before[head] === after[head]) head++;
  let tail = 0;
  while (tail < shortest - head && before[before.length - 1 - tail] === after[after.length - 1 - tail]) tail++;
  return { from: head, to: before.length - tail, insert: after.slice(head, after.length - tail) };
}

/**
 * @param text   to begin with
 * @param most   characters that it can hold
 * @param typed  told when somebody has changed the text here
 * @param moved  told when the caret is somewhere else
 * @param full   told when what was typed or pasted has no room
 */
export function editor(parent, { text, most, nonce, typed, moved, full }) {
  const view = new EditorView({
    parent,
    state: EditorState.create({
      doc: text,
      extensions: [
        EditorView.cspNonce.of(nonce),
        EditorView.lineWrapping,
        keymap.of(standardKeymap),
        dressed,
        placeholder('Paste the script here, drop files on it, or start typing.'),
        EditorView.contentAttributes.of({
          id: 'script',
          'aria-label': 'Script',
          'aria-describedby': 'how',
          spellcheck: 'false',
          autocapitalize: 'sentences',
        }),
        EditorState.transactionFilter.of(transaction => {
          if (
            !transaction.docChanged ||
            transaction.newDoc.length <= most ||
            transaction.newDoc.length < transaction.startState.doc.length
          )
            return transaction;
          full();
          return [];
        }),
        EditorView.updateListener.of(update => {
          if (update.docChanged && !update.transactions.some(transaction => transaction.annotation(elsewhere))) typed();
          else if (update.selectionSet) moved();
        }),
        // files that are dropped are opened as documents, not typed in
        EditorView.domEventHandlers({ drop: event => event.dataTransfer?.files.length > 0 }),
      ],
    }),
  });

  return {
    dom: view.contentDOM,
    focus: () => view.focus(),
    text: () => view.state.doc.toString(),
    /** What {@link isAt} compares with: the text as it is now, without writing it out. */
    mark: () => view.state.doc,
    isAt: mark => view.state.doc.eq(mark),
    caret: () => view.state.selection.main.from,
    /** Chooses a stretch, and brings it into view where it isn't. */
    select(from, to) {
      const end = Math.min(to, view.state.doc.length);
      const anchor = Math.min(from, end);
      view.dispatch({ selection: { anchor, head: end }, effects: EditorView.scrollIntoView(anchor, { y: 'center' }) });
      view.focus();
    },
    /** Shows another text; the caret stays with its words. */
    show(other) {
      const before = view.state.doc.toString();
      if (before !== other) view.dispatch({ changes: difference(before, other), annotations: elsewhere.of(true) });
    },
    /** Gives the text its looks. @param state of exactly this text @param findings in it */
    dress: (state, findings) => view.dispatch({ effects: setDress.of(dressing(state, findings, view.state.doc)) }),
  };
}
