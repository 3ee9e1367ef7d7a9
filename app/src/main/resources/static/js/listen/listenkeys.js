// The keys of Listen: one table, which binds them and from which their page is made.

import { edits } from './may.js';

/** @param page what the keys do to it */
export function listenKeys(page) {
  const { ear } = page;
  const onControl = event => Boolean(event.target.closest?.('button, a, summary, select, input, [role=tab]'));
  const free = (event, act) => {
    if (onControl(event)) return false;
    act();
    return true;
  };
  const showKeys = () => {
    const dialog = document.getElementById('keys');
    page.explain(dialog, table);
    dialog.showModal();
  };
  const walk = (event, by, extend) => {
    if (event.target.closest?.('[role=tab], .strip, select')) return false;
    const to = extend ? page.chosenEnd() + by : (ear.playing() ? page.word() : page.chosenEnd()) + by;
    page.choose(to, extend);
    if (ear.playing() && !extend) ear.fromWord(Math.max(0, to));
    return true;
  };
  const jump = way => {
    const at = ear.step(way, page.open);
    if (at !== undefined) page.place(at);
  };
  const all = [
    {
      group: 'Hear',
      keys: ['Space'],
      what: 'this cue from here, or stop',
      act: event => free(event, () => ear.toggle(ear.at())),
    },
    {
      group: 'Hear',
      keys: ['Shift+Space'],
      what: 'on through the programme, or stop',
      act: event => free(event, () => ear.toggleOn(ear.at())),
    },
    {
      group: 'Hear',
      keys: [',', '.'],
      what: '2 seconds back, on',
      act: event => {
        jump(event.key === '.' ? 1 : -1);
      },
    },
    {
      group: 'Hear',
      keys: ['ArrowLeft', 'ArrowRight'],
      what: 'a word back, on',
      act: event => walk(event, event.key === 'ArrowRight' ? 1 : -1, false),
    },
    {
      group: 'Hear',
      keys: ['Shift+ArrowLeft', 'Shift+ArrowRight'],
      what: 'extend or shrink the selection',
      act: event => walk(event, event.key === 'ArrowRight' ? 1 : -1, true),
    },
    {
      group: 'Hear',
      keys: ['L'],
      what: 'loop the chosen words, or stop',
      act: () => {
        ear.toggleRound();
      },
    },
    {
      group: 'Hear',
      keys: ['[', ']'],
      what: 'the cue before, the next cue',
      act: event => {
        page.step(event.key === ']' ? 1 : -1);
      },
    },
    {
      group: 'Hear',
      keys: ['-', '+'],
      what: 'slower, faster at the same pitch',
      act: event => {
        page.faster(event.key === '+' ? 1 : -1);
      },
    },
    { group: 'Hear', keys: ['O'], what: 'only cues not approved', act: page.onlyNew },
    {
      group: 'Judge',
      keys: ['Enter'],
      what: 'approve the cue as heard, and go on',
      act: event => free(event, page.approve),
    },
    { group: 'Judge', keys: ['Shift+Enter'], what: 'withdraw the approval', act: event => free(event, page.withdraw) },
    { group: 'Judge', keys: ['N'], what: 'stop, and write a note at this word', act: page.note },
    {
      group: 'Takes',
      keys: ['1', '2', '3', '4', '5', '6', '7', '8', '9'],
      what: 'play that take from the same word',
      act: event => {
        page.hear(Number(event.key) - 1);
      },
    },
    { group: 'Takes', edits: true, keys: ['K'], what: 'keep this take', act: page.keep },
    {
      group: 'Takes',
      edits: true,
      keys: ['M'],
      what: 'a new take',
      act: () => {
        page.more(1);
      },
    },
    {
      group: 'Takes',
      edits: true,
      keys: ['Shift+M'],
      what: '5 new takes',
      act: () => {
        page.more(5);
      },
    },
    { group: 'Takes', edits: true, keys: ['S'], what: 'star, or remove the star', act: page.star },
    { group: 'Takes', edits: true, keys: ['T'], what: 'name, labels and note of the take', act: page.describe },
    { group: 'Takes', keys: ['H'], what: 'hide the takes’ names', act: page.hide },
    { group: 'Takes', edits: true, keys: ['Delete'], what: 'delete this take', act: page.remove },
    {
      group: 'Takes',
      keys: ['V'],
      what: 'the other version of the programme, at the same word',
      act: () => {
        ear.switchVersion();
      },
    },
    { group: 'Page', keys: ['?'], what: 'these keys', act: showKeys },
  ];
  const table = all.filter(key => edits || !key.edits);
  return { table, explain: showKeys };
}
