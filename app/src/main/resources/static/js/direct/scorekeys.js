// The keys of the score: one table, which binds them and from which their page is made.

import { say } from '../app.js';
import { explain } from '../keys.js';
import * as player from '../player.js';

const elsewhere = event => Boolean(event.target.closest?.('input, select, [role=tab], .strip'));
const onWord = event => event.target.closest?.('#score .word');

/** @param page what the keys do to it */
export function scoreKeys({
  project,
  list,
  marks,
  scope,
  pick,
  playWord,
  playChosen,
  render,
  hearBefore,
  once,
  zoomBy,
  word,
}) {
  const walk = (event, by, extend) => {
    if (elsewhere(event)) return false;
    pick(extend ? marks.edge() + by : onWord(event) ? word() + by : word(), { extend });
    return true;
  };
  const showKeys = () => {
    const dialog = document.getElementById('keys');
    explain(dialog, table);
    dialog.showModal();
  };
  const table = [
    { group: 'Move', keys: ['ArrowLeft'], what: 'the word before', act: event => walk(event, -1, false) },
    { group: 'Move', keys: ['ArrowRight'], what: 'the next word', act: event => walk(event, 1, false) },
    {
      group: 'Move',
      keys: ['Shift+ArrowLeft', 'Shift+ArrowRight'],
      what: 'extend or shrink the selection',
      act: event => walk(event, event.key === 'ArrowLeft' ? -1 : 1, true),
    },
    {
      group: 'Move',
      keys: ['ArrowDown'],
      what: 'the gap after the word',
      act: event => (onWord(event) ? marks.choose(word(), { gap: true }) : false),
    },
    {
      group: 'Move',
      keys: ['ArrowUp'],
      what: 'back to the word',
      act: event => (onWord(event) ? marks.choose(word()) : false),
    },
    {
      group: 'Move',
      keys: ['[', ']'],
      what: 'the cue before, the next cue',
      act: event => list.step(event.key === ']' ? 1 : -1),
    },
    { group: 'Move', keys: ['N'], what: 'the next cue that is changed', act: list.nextChanged },
    {
      group: 'Hear',
      keys: ['Space', 'Enter'],
      what: 'play from the word, or stop',
      act: event => (onWord(event) ? (player.isPlaying() ? player.stop() : playWord()) : false),
    },
    { group: 'Hear', keys: ['Shift+Space'], what: 'play the selection', act: playChosen },
    { group: 'Hear', keys: ['R'], what: 'render, and play from the word', act: render },
    { group: 'Hear', keys: ['J'], what: 'before and after', act: hearBefore },
    { group: 'Hear', keys: ['M'], what: 'a new take, where the role is lively', act: once },
    ...[
      ['U', 'D', 'pitch', 'half a semitone'],
      ['F', 'S', 'pace', '2 %'],
      ['L', 'K', 'loudness', '1 dB'],
    ].flatMap(([up, down, kind, by]) => [
      {
        group: 'Words',
        keys: [up, down],
        what: `${kind} up, down by ${by}`,
        act: event => {
          marks.nudge(kind, event.key.toUpperCase() === up ? 1 : -1);
        },
      },
      {
        group: 'Words',
        keys: [`Shift+${up}`, `Shift+${down}`],
        what: `${kind}, fine`,
        act: event => {
          marks.nudge(kind, event.key.toUpperCase() === up ? 1 : -1, true);
        },
      },
    ]),
    { group: 'Words', keys: ['E'], what: 'stress: moderate, strong, reduced, none', act: marks.cycleStress },
    { group: 'Words', keys: ['H'], what: 'whisper', act: marks.toggleWhisper },
    {
      group: 'Words',
      keys: ['Q'],
      what: 'voice of the quotation',
      act: () => {
        const quoted = document.querySelector('#quotations select');
        if (quoted) quoted.focus();
        else say('There is no quotation in this cue.');
      },
    },
    {
      group: 'Gaps',
      keys: ['.', ','],
      what: 'the pause after it longer, shorter by 0.05 s',
      act: event => {
        marks.nudge('pause', event.key === '.' ? 1 : -1);
      },
    },
    {
      group: 'Gaps',
      keys: ['Alt+.', 'Alt+,'],
      what: 'the pause, fine',
      act: event => {
        marks.nudge('pause', event.key === '.' ? 1 : -1, true);
      },
    },
    { group: 'Gaps', keys: ['B'], what: 'breath: light, normal, deep, none', act: marks.cycleBreath },
    {
      group: 'Suggestions',
      keys: ['G'],
      what: 'suggest for this cue',
      act: () => {
        marks.suggest('', scope());
      },
    },
    {
      group: 'Suggestions',
      keys: ['T'],
      what: 'accept all suggestions',
      act: () => {
        marks.suggest('/take', scope());
      },
    },
    {
      group: 'Suggestions',
      keys: ['C'],
      what: 'clear suggestions',
      act: () => {
        marks.suggest('/clear', scope());
      },
    },
    { group: 'Marks', keys: ['X', 'Delete'], what: 'remove the marks', act: marks.clear },
    {
      group: 'Marks',
      keys: ['Alt+ArrowLeft', 'Alt+ArrowRight'],
      what: 'move them by a word',
      act: event => (onWord(event) ? void marks.move(event.key === 'ArrowLeft' ? -1 : 1) : false),
    },
    {
      group: 'Marks',
      keys: ['Ctrl+C'],
      what: 'copy the marks of the selection',
      act: event => (onWord(event) && window.getSelection().isCollapsed ? marks.copy() : false),
    },
    {
      group: 'Marks',
      keys: ['Ctrl+V'],
      what: 'paste them on the words from here',
      act: event => {
        if (!onWord(event)) return false;
        marks.paste();
        return true;
      },
    },
    {
      group: 'Marks',
      keys: ['Ctrl+Z'],
      what: 'undo, also after a reload',
      act: () => {
        marks.history('undo', project);
      },
    },
    {
      group: 'Marks',
      keys: ['Ctrl+Shift+Z', 'Ctrl+Y'],
      what: 'redo',
      act: () => {
        marks.history('redo', project);
      },
    },
    {
      group: 'Marks',
      keys: ['+', '-'],
      what: 'the score wider, narrower',
      act: event => {
        zoomBy(event.key === '+' ? 1 : -1);
      },
    },
    { group: 'Marks', keys: ['?'], what: 'these keys', act: showKeys },
  ];
  return { table, explain: showKeys };
}
