// The Direct page: the score of the chosen cue, playing from any word, and the dials beside it.

import { ask, askPriced, renew, say, tieDials, typing } from './app.js';
import { cast } from './casting.js';
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
  if (box) {
    const { status, body } = await ask('GET', box.dataset.score);
    if (now !== stage()) return;
    if (status !== 200) { say(body.sentence); return; }
    data = body;
    await document.fonts.ready;
    draw();
  }
  if (askedOn && askedOn !== now && now.dataset.state !== 'state-rendering') {
    const wanted = askedOn.dataset.cue === now.dataset.cue && now.dataset.state === 'state-ready';
    askedOn = null;
    if (wanted) playFrom(0);
  }
}

function draw() {
  const box = document.getElementById('score');
  if (!box || !data) return;
  score = drawScore(box, data);
  word = Math.min(word, Math.max(0, score.words.length - 1));
}

function select(index, focus = true) {
  if (!score?.words.length) return;
  score.words[word]?.setAttribute('tabindex', -1);
  word = Math.max(0, Math.min(score.words.length - 1, index));
  score.words[word].setAttribute('tabindex', 0);
  if (focus) score.words[word].focus();
}

/** Plays the chosen cue alone, from a second on. */
async function playFrom(seconds) {
  const cue = transport.cueById(stage().dataset.cue);
  if (!cue?.sound) { say('This cue has no take yet: R renders one.'); return; }
  transport.halt();
  transport.goTo(cue.id);
  try {
    const whole = player.play(cue.sound, seconds);
    follow();
    await whole;
  } catch (error) {
    say(error.message);
  }
  score?.place(null);
}

function follow() {
  const step = () => {
    const seconds = player.position();
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

document.addEventListener('click', event => {
  const group = event.target.closest('#score .word');
  if (!group) return;
  select(Number(group.dataset.word));
  playFrom(data.words[word].from);
});
document.addEventListener('keydown', event => {
  if (event.defaultPrevented || typing(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
  const onWord = event.target.closest?.('#score .word');
  if ((event.key === ' ' || event.key === 'Enter') && onWord) {
    event.preventDefault();
    if (player.isPlaying()) player.stop(); else playFrom(data.words[Number(onWord.dataset.word)].from);
  } else if ((event.key === 'ArrowRight' || event.key === 'ArrowLeft') && !event.target.closest?.('input, [role=tab], .strip')) {
    event.preventDefault();
    select(onWord ? word + (event.key === 'ArrowRight' ? 1 : -1) : word);
  } else if (event.key === 'r' || event.key === 'R') {
    event.preventDefault();
    document.getElementById('render-cue')?.click();
  } else if (event.key === '[' || event.key === ']') {
    const links = [...document.querySelectorAll('#cuelist a')];
    const current = links.findIndex(link => link.hasAttribute('aria-current'));
    links[current + (event.key === ']' ? 1 : -1)]?.click();
  }
}, true);
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
