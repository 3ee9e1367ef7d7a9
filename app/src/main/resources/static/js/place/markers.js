// Scenes and notes on the timeline: where a scene begins, and on which word somebody remarked something.

import { scoreOf } from '../scores.js';
import { timedAt } from '../timed.js';

const times = new Map();

/** Seconds from the clip's start: of its word once the take's words are known, by its share of the text until then. */
function wordSeconds(note, row, came) {
  const key = `${row.score} ${note.place}`;
  if (row.score && !times.has(key)) {
    times.set(key, null);
    scoreOf(row.score).then(score => {
      if (!score?.words.length) return;
      times.set(key, score.words[Math.max(0, timedAt(score, note.place))].from);
      came();
    });
  }
  return times.get(key) ?? row.seconds * Math.min(1, note.place / Math.max(1, row.letters));
}

/** @returns [{kind: scene or note, seconds, text, said}] @param came told when a place is known better */
export function markers(table, came) {
  const found = [];
  table.rows.forEach((row, i) => {
    if (row.scene && row.scene !== table.rows[i - 1]?.scene)
      found.push({ kind: 'scene', seconds: row.startSeconds, text: row.scene, said: `Scene “${row.scene}” begins` });
  });
  const rows = new Map(table.rows.map(row => [row.id, row]));
  table.notes.forEach(note => {
    const row = rows.get(note.cue);
    if (row)
      found.push({
        kind: 'note',
        cue: row.id,
        seconds: row.startSeconds + wordSeconds(note, row, came),
        text: note.word,
        said: `Note on “${note.word}”: ${note.remark}`,
      });
  });
  return found;
}
