// The Direct page: the score of the chosen cue, playing from any word, and the dials beside it.

import { ask, askPriced, renew, say, tieDials } from './app.js';
import { cast } from './casting.js';
import { bind, explain } from './keys.js';
import * as marks from './marks.js';
import * as player from './player.js';
import { drawScore } from './score.js';
import * as transport from './transport.js';

const project = document.querySelector('.transport').dataset.project;
let score = null;
let data = null;
let word = 0;
// the stage on which a render was asked for: what comes after it is played
let askedOn = null;
let level = 'cue';
// the take that was kept before the last render, to hear what it was like
let before = null;
let hearsBefore = false;

const stage = () => document.getElementById('stage');

async function enterStage() {
  const now = stage();
  if (!now) return;
  transport.goTo(now.dataset.cue);
  bindPanel(now);
  markCurrent();
  await transport.refresh();
  // while this one waited another stage may have come
  if (now !== stage()) return;
  const box = document.getElementById('score');
  score = null;
  data = null;
  if (now.dataset.take !== enterStage.take || now.dataset.cue !== enterStage.cue) {
    before = now.dataset.cue === enterStage.cue ? enterStage.take : null;
    hearsBefore = false;
  }
  enterStage.take = now.dataset.take;
  enterStage.cue = now.dataset.cue;
  const [taken] = await Promise.all([box?.dataset.score ? ask('GET', box.dataset.score) : null, marks.load(`/projects/${project}/cues/${now.dataset.cue}`)]);
  if (now !== stage()) return;
  if (taken && taken.status !== 200) say(taken.body.sentence);
  if (taken?.status === 200) {
    data = taken.body;
    await document.fonts.ready;
    draw();
  }
  if (askedOn && askedOn !== now && now.dataset.state !== 'state-rendering') {
    const wanted = askedOn.dataset.cue === now.dataset.cue && now.dataset.state === 'state-ready';
    askedOn = null;
    if (wanted) playFrom(word > 0 && data?.words[word] ? Math.max(0, data.words[word].from - 0.05) : 0);
  }
}

/** A take of other words shows no marks: they belong to the words of now. */
const fits = () => data !== null && marks.fits(data);

function draw() {
  const box = document.getElementById('score');
  if (!box || !data) return;
  score = drawScore(box, data, fits() ? marks.lines() : []);
  word = Math.min(word, Math.max(0, score.words.length - 1));
  if (fits()) marks.drag(score, box);
  show();
}

/** What is chosen, its exact values, and every mark in words. */
function show() {
  const bar = document.getElementById('markbar');
  const list = document.getElementById('marklist');
  if (!bar || !list) return;
  const shown = fits();
  bar.hidden = !shown;
  if (shown) {
    const { from, to, gap } = marks.selection();
    score?.choose(from, to, gap);
    if (!bar.contains(document.activeElement)) marks.showBar(bar, stage().dataset.styles.split(' '));
    else { const { name } = document.activeElement; marks.showBar(bar, stage().dataset.styles.split(' ')); bar.querySelector(`[name="${name}"]`)?.focus(); }
  }
  marks.showList(list);
  document.getElementById('nomarks').hidden = marks.lines().length > 0;
}

let settled = null;
marks.onChange(what => {
  if (what === 'selection') { show(); return; }
  const focused = document.activeElement?.closest?.('#score .word');
  draw();
  if (focused) score?.words[word]?.focus();
  // the cue is another one now: the list, the strip and the head say so; the stage knows already
  if (marks.state()) stage().dataset.state = marks.state();
  clearTimeout(settled);
  settled = setTimeout(async () => {
    await transport.refresh();
    const cue = transport.cueById(stage()?.dataset.cue);
    const state = document.getElementById('cuestate');
    if (cue && state) { state.className = `state ${cue.state}`; state.textContent = cue.word; }
    renew('#head', `/projects/${project}/render?step=DIRECT`);
  }, 250);
});

function select(index, focus = true) {
  if (!score?.words.length) return;
  score.words[word]?.setAttribute('tabindex', -1);
  word = Math.max(0, Math.min(score.words.length - 1, index));
  score.words[word].setAttribute('tabindex', 0);
  if (focus) score.words[word].focus();
}

/** Chooses a word or a gap, and the keyboard follows. */
function pick(index, options = {}) {
  if (!score?.words.length) return;
  select(index);
  if (fits()) marks.choose(word, options);
}

/** Plays the chosen cue alone, from a second on. @param until second at which it stops; the end when left out */
async function playFrom(seconds, until = Infinity) {
  const cue = transport.cueById(stage().dataset.cue);
  if (!cue?.sound) { say('This cue has no take yet: R renders one.'); return; }
  transport.halt();
  transport.goTo(cue.id);
  try {
    const whole = player.play(cue.sound, seconds);
    follow(until);
    await whole;
  } catch (error) {
    say(error.message);
  }
  score?.place(null);
}

function follow(until) {
  const step = () => {
    const seconds = player.position();
    if (seconds !== null && seconds >= until) { player.stop(); score?.place(null); return; }
    if (seconds === null && !player.isPlaying()) { if (started) { score?.place(null); return; } } else { started = true; place(seconds); }
    requestAnimationFrame(step);
  };
  let started = false;
  requestAnimationFrame(step);
}

function place(seconds) {
  score?.place(seconds);
  score?.words.forEach((group, i) => group.classList.toggle('now', seconds !== null && seconds >= data.words[i].from && seconds < data.words[i].to));
}

document.addEventListener('logophon:playhead', event => {
  if (event.detail.id === stage()?.dataset.cue) place(event.detail.seconds);
});
document.addEventListener('logophon:cue', event => {
  document.querySelector(`#cuelist a[data-cue="${event.detail.id}"]`)?.click();
});
const list = document.getElementById('cuelist');

function listItem(cue) {
  const item = document.createElement('li');
  const link = document.createElement('a');
  link.href = `/projects/${project}/direct?cue=${cue.id}`;
  link.dataset.cue = cue.id;
  const piece = (className, text) => { const span = document.createElement('span'); span.className = className; span.textContent = text; return span; };
  const below = piece(`below ${cue.colour}`, '');
  below.append(piece('role', cue.role), piece('figures soft seconds', ''), piece('state', ''));
  link.append(piece('figures', cue.number), piece('words', cue.words), below);
  item.append(link);
  return item;
}

function showList(cues) {
  const links = list.querySelectorAll('a');
  if (links.length !== cues.length || cues.some((cue, i) => links[i].dataset.cue !== cue.id)) {
    list.replaceChildren(...cues.map(listItem));
  }
  list.querySelectorAll('a').forEach((link, i) => {
    const cue = cues[i];
    const state = link.querySelector('.state');
    state.className = `state ${cue.state}`;
    state.textContent = cue.state === 'state-ready' ? '' : cue.word;
    link.querySelector('.seconds').textContent = `${cue.measured ? '' : '≈ '}${cue.seconds.toFixed(1)} s`;
  });
  markCurrent();
}

function markCurrent() {
  list?.querySelectorAll('a').forEach(link => {
    if (link.dataset.cue === stage()?.dataset.cue) {
      if (!link.hasAttribute('aria-current')) { link.setAttribute('aria-current', 'true'); link.scrollIntoView({ block: 'nearest' }); }
    } else {
      link.removeAttribute('aria-current');
    }
  });
}

list?.addEventListener('click', event => {
  const link = event.target.closest('a');
  if (!link || event.ctrlKey || event.metaKey || event.shiftKey) return;
  event.preventDefault();
  history.pushState(null, '', link.href);
  renew('#stage', link.href);
});
window.addEventListener('popstate', () => location.reload());

document.addEventListener('logophon:programme', event => {
  showList(event.detail.cues);
  const cue = event.detail.cues.find(c => c.id === stage()?.dataset.cue);
  // the stage shows a cue that a batch has just finished: show what it became
  if (cue && stage().dataset.state !== cue.state && stage().dataset.state !== 'state-rendering') reload();
});

function reload() {
  renew('#stage', `/projects/${project}/direct?cue=${stage().dataset.cue}`);
}

async function nobody(role) {
  const form = new FormData();
  form.append('role', role);
  form.append('voice', '');
  const { status, body } = await ask('POST', `/projects/${project}/cast`, form);
  say(body?.sentence ?? 'That did not work. Reload the page.');
  return status === 200;
}

function bindPanel(now) {
  const voice = now.querySelector('#voice');
  if (voice) {
    // the list is long and the same for every cue: it comes once with the page
    voice.replaceChildren(document.getElementById('voice-list').content.cloneNode(true));
    voice.value = voice.dataset.voice;
    voice.addEventListener('change', async () => {
      const done = voice.value ? await cast(project, voice.dataset.role, voice.value) : await nobody(voice.dataset.role);
      if (!done) { voice.value = voice.dataset.voice; return; }
      reload();
      renew('#head', `/projects/${project}/render?step=DIRECT`);
    });
  }
  tieDials(now);
  const tabs = [...now.querySelectorAll('[role=tab]')];
  const choose = name => {
    level = name;
    tabs.forEach(tab => {
      const chosen = tab.id === `tab-${name}`;
      tab.setAttribute('aria-selected', chosen);
      tab.tabIndex = chosen ? 0 : -1;
      document.getElementById(tab.getAttribute('aria-controls')).hidden = !chosen;
    });
    const rests = document.getElementById('role-rests');
    if (rests) rests.hidden = name !== 'role';
  };
  tabs.forEach((tab, i) => {
    tab.addEventListener('click', () => choose(tab.id.slice(4)));
    tab.addEventListener('keydown', event => {
      const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
      if (!step) return;
      event.preventDefault();
      event.stopPropagation();
      const next = tabs[(i + step + tabs.length) % tabs.length];
      choose(next.id.slice(4));
      next.focus();
    });
  });
  choose(document.getElementById(`tab-${level}`) ? level : 'cue');
  now.querySelector('#role-rests')?.addEventListener('change', async event => {
    const form = new FormData(event.currentTarget);
    form.append('role', event.currentTarget.dataset.role);
    form.append('version', event.currentTarget.dataset.version);
    const { status, body } = await ask('POST', `/projects/${project}/roles/rests`, form);
    if (status !== 200) say(body?.sentence ?? 'That did not work. Reload the page.');
    reload();
    renew('#head', `/projects/${project}/render?step=DIRECT`);
  });
  const price = now.querySelector('#render-paid');
  price?.addEventListener('click', () => { askedOn = now; });
  // what costs is agreed to on purpose: R shows the price, Enter on it pays
  price?.focus();
  now.querySelector('#play-cue').addEventListener('click', () => player.isPlaying() ? player.stop() : playFrom(0));
  now.querySelector('#render-cue').addEventListener('click', () => { askedOn = now; });
  now.querySelectorAll('.takes .play').forEach(button => button.addEventListener('click', async () => {
    transport.halt();
    try { await player.play(`/projects/${project}/takes/${button.dataset.take}/sound/${Date.now()}.wav`); } catch (error) { say(error.message); }
  }));
  now.querySelector('#try-voice')?.addEventListener('click', async event => {
    const select = now.querySelector('#voice');
    if (!select.value) { say('Choose a voice first, then try it.'); return; }
    transport.halt();
    event.target.disabled = true;
    const { status, body } = await askPriced(`/projects/${project}/cast/audition`, { role: select.dataset.role, voice: select.value });
    event.target.disabled = false;
    if (status !== 200) { say((body?.sentence ?? 'This voice can’t be heard now.') + (status === 402 ? ' Press Try again to hear it.' : '')); return; }
    try { await player.play(body.sound); } catch (error) { say(error.message); }
  });
}

document.addEventListener('click', async event => {
  const suggestion = event.target.closest('[data-suggest]');
  if (suggestion) { marks.suggest(suggestion.dataset.suggest, scope()); return; }
  if (event.target.closest('#show-ssml')) {
    await marks.settled();
    const answer = await fetch(`/projects/${project}/cues/${stage().dataset.cue}/ssml`);
    document.getElementById('ssml-text').value = answer.ok ? await answer.text() : 'This cue can’t be written as SSML now.';
    document.getElementById('ssml').showModal();
    return;
  }
  if (event.target.closest('#ssml-copy')) {
    try { await navigator.clipboard.writeText(document.getElementById('ssml-text').value); say('Copied.'); } catch { document.getElementById('ssml-text').select(); say('Press Ctrl+C to copy.'); }
    return;
  }
  const box = event.target.closest('#score');
  if (!box) return;
  const dragged = box.dataset.dragged;
  delete box.dataset.dragged;
  if (dragged) return;
  const group = event.target.closest('.word');
  const rest = event.target.closest('.rest');
  const lane = event.target.closest('.lane');
  if (rest) pick(Number(rest.dataset.gap), { gap: true });
  if (lane) { marks.choose(Number(lane.dataset.from)); marks.choose(Number(lane.dataset.to), { extend: true }); }
  if (!group) return;
  pick(Number(group.dataset.word), { extend: event.shiftKey });
  if (!event.shiftKey) playFrom(data.words[word].from);
});

function playChosen() {
  const { from, to } = marks.selection();
  if (!data?.words[from]) return;
  playFrom(data.words[from].from, data.words[to].to);
}

/** Renders what was changed, and plays it from the chosen word. */
async function render() {
  await marks.settled();
  document.getElementById('render-cue')?.click();
}

async function once() {
  const { status, body } = await ask('POST', `/projects/${project}/cues/${stage().dataset.cue}/more`, new FormData());
  if (status !== 200) { say(body?.sentence ?? 'That did not work. Reload the page.'); return; }
  render();
}

async function hearBefore() {
  if (!before) { say('Render a change first: then this plays what it was like before, and again what it is now.'); return; }
  hearsBefore = !hearsBefore;
  say(hearsBefore ? 'As it was before.' : 'As it is now.');
  transport.halt();
  try {
    await player.play(hearsBefore ? `/projects/${project}/takes/${before}/sound/${before}.wav` : transport.cueById(stage().dataset.cue).sound, data?.words[word]?.from ?? 0);
  } catch (error) { say(error.message); }
}

function nextChanged() {
  const links = [...document.querySelectorAll('#cuelist a')];
  const current = links.findIndex(link => link.hasAttribute('aria-current'));
  const wanted = [...links.slice(current + 1), ...links.slice(0, current + 1)].find(link => link.querySelector('.state').textContent !== '');
  if (wanted) wanted.click(); else say('No cue is changed.');
}

const step = by => {
  const links = [...document.querySelectorAll('#cuelist a')];
  links[links.findIndex(link => link.hasAttribute('aria-current')) + by]?.click();
};
const elsewhere = event => event.target.closest?.('input, select, [role=tab], .strip') !== null && event.target.closest?.('input, select, [role=tab], .strip') !== undefined;
const onWord = event => event.target.closest?.('#score .word');
const walk = (event, by, extend) => {
  if (elsewhere(event)) return false;
  pick(extend ? marks.edge() + by : onWord(event) ? word + by : word, { extend });
  return true;
};
/** How far suggestions reach: this cue unless somebody chose more. */
const scope = () => document.getElementById('suggest-scope')?.value ?? 'CUE';
const KEYS = [
  { group: 'Move', keys: ['ArrowLeft'], what: 'the word before', act: event => walk(event, -1, false) },
  { group: 'Move', keys: ['ArrowRight'], what: 'the next word', act: event => walk(event, 1, false) },
  { group: 'Move', keys: ['Shift+ArrowLeft', 'Shift+ArrowRight'], what: 'choose one word more, or one less', act: event => walk(event, event.key === 'ArrowLeft' ? -1 : 1, true) },
  { group: 'Move', keys: ['ArrowDown'], what: 'the gap after the word', act: event => onWord(event) ? marks.choose(word, { gap: true }) : false },
  { group: 'Move', keys: ['ArrowUp'], what: 'back to the word', act: event => onWord(event) ? marks.choose(word) : false },
  { group: 'Move', keys: ['[', ']'], what: 'the cue before, the next cue', act: event => step(event.key === ']' ? 1 : -1) },
  { group: 'Move', keys: ['N'], what: 'the next cue that is changed', act: nextChanged },
  { group: 'Hear', keys: ['Space', 'Enter'], what: 'play from the word, or stop', act: event => onWord(event) ? (player.isPlaying() ? player.stop() : playFrom(data.words[word].from)) : false },
  { group: 'Hear', keys: ['Shift+Space'], what: 'play what is chosen', act: playChosen },
  { group: 'Hear', keys: ['R'], what: 'render, and play from the word', act: render },
  { group: 'Hear', keys: ['J'], what: 'as it was before, and as it is now', act: hearBefore },
  { group: 'Hear', keys: ['M'], what: 'once more, where the role is lively', act: once },
  ...[['U', 'D', 'pitch', 'half a semitone'], ['F', 'S', 'pace', '2 %'], ['L', 'K', 'loudness', '1 dB']].flatMap(([up, down, kind, by]) => [
    { group: 'Words', keys: [up, down], what: `${kind} up, down by ${by}`, act: event => { marks.nudge(kind, event.key.toUpperCase() === up ? 1 : -1); } },
    { group: 'Words', keys: [`Shift+${up}`, `Shift+${down}`], what: `${kind}, fine`, act: event => { marks.nudge(kind, event.key.toUpperCase() === up ? 1 : -1, true); } },
  ]),
  { group: 'Words', keys: ['E'], what: 'stress: moderate, strong, reduced, none', act: marks.cycleStress },
  { group: 'Words', keys: ['H'], what: 'whisper', act: marks.toggleWhisper },
  { group: 'Gaps', keys: ['.', ','], what: 'the pause after it longer, shorter by 0.05 s', act: event => { marks.nudge('pause', event.key === '.' ? 1 : -1); } },
  { group: 'Gaps', keys: ['Alt+.', 'Alt+,'], what: 'the pause, fine', act: event => { marks.nudge('pause', event.key === '.' ? 1 : -1, true); } },
  { group: 'Gaps', keys: ['B'], what: 'breath: light, normal, deep, none', act: marks.cycleBreath },
  { group: 'Suggestions', keys: ['G'], what: 'suggest for this cue', act: () => { marks.suggest('', scope()); } },
  { group: 'Suggestions', keys: ['T'], what: 'take them all', act: () => { marks.suggest('/take', scope()); } },
  { group: 'Suggestions', keys: ['C'], what: 'clear what was suggested', act: () => { marks.suggest('/clear', scope()); } },
  { group: 'Marks', keys: ['X', 'Delete'], what: 'take the marks off', act: marks.clear },
  { group: 'Marks', keys: ['Ctrl+C'], what: 'copy the marks of what is chosen', act: event => onWord(event) && window.getSelection().isCollapsed ? marks.copy() : false },
  { group: 'Marks', keys: ['Ctrl+V'], what: 'put them on the words from here', act: event => { if (!onWord(event)) return false; marks.paste(); return true; } },
  { group: 'Marks', keys: ['Ctrl+Z'], what: 'undo, also after a reload', act: () => { marks.history('undo', project); } },
  { group: 'Marks', keys: ['Ctrl+Shift+Z', 'Ctrl+Y'], what: 'do it again', act: () => { marks.history('redo', project); } },
  { group: 'Marks', keys: ['?'], what: 'these keys', act: () => { const dialog = document.getElementById('keys'); explain(dialog, KEYS); dialog.showModal(); } },
];
bind(KEYS);
document.getElementById('show-keys')?.addEventListener('click', () => { const dialog = document.getElementById('keys'); explain(dialog, KEYS); dialog.showModal(); });
document.addEventListener('htmx:afterSettle', event => { if (event.detail.target.id === 'stage' || event.detail.elt?.id === 'stage') enterStage(); });
let resizing = null;
window.addEventListener('resize', () => { clearTimeout(resizing); resizing = setTimeout(draw, 80); });

// the head shows a render that was asked for here, and what a change of direction did to the others
let headFor = stage() ? `${stage().dataset.cue}/${stage().dataset.state}` : '';
document.addEventListener('htmx:afterSettle', event => {
  if (event.detail.elt?.id !== 'stage') return;
  const key = `${stage().dataset.cue}/${stage().dataset.state}`;
  if (key === headFor) return;
  headFor = key;
  renew('#head', `/projects/${project}/render?step=DIRECT`);
});

enterStage();
