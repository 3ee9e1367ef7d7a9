// The programme from above: its cues, what lies under them and how loud, and the sounds in its gaps.

const SVG = 'http://www.w3.org/2000/svg';
const WIDTH = 1000;
const CUES = 26;
const LANE = 40;
// dB against the voice at the foot of a lane, and at its top
const FLOOR = -45;
const TOP = 3;
// the bed rises only where nobody speaks for longer
const REST = 0.6;

const make = (name, attributes, text) => {
  const node = document.createElementNS(SVG, name);
  Object.entries(attributes).forEach(([key, value]) => node.setAttribute(key, value));
  if (text) node.textContent = text;
  return node;
};

/** @param cues of the programme @param beds that lie there @param gaps sounds in gaps, each of a cue */
export function drawOverview(svg, cues, beds, gaps) {
  const ends = cues.map(cue => cue.start + cue.seconds);
  const length = Math.max(1, ...ends);
  const x = seconds => (seconds / length) * WIDTH;
  const heard = beds.filter(bed => !bed.problem);
  const height = CUES + 6 + Math.max(1, heard.length) * (LANE + 6);
  svg.setAttribute('viewBox', `0 0 ${WIDTH} ${height}`);
  svg.style.height = `${height}px`;
  svg.replaceChildren(
    ...cues.map(cue =>
      make('rect', {
        class: `cue role-${cue.colour}`,
        x: x(cue.start),
        y: 2,
        width: Math.max(0.8, x(cue.seconds) - 1),
        height: CUES - 4,
      }),
    ),
  );
  gaps.forEach(gap => {
    const cue = cues.find(one => one.id === gap.cue);
    if (!cue) return;
    const at = x(cue.start + cue.seconds * Math.min(1, gap.share ?? 1));
    const mark = make('path', { class: gap.problem ? 'gap silent' : 'gap', d: `M${at} 0v${CUES}` });
    mark.append(make('title', {}, `${gap.name} after “${gap.after}” in cue ${gap.number}`));
    svg.append(mark);
  });
  heard.forEach((bed, lane) => {
    const top = CUES + 6 + lane * (LANE + 6);
    svg.append(make('rect', { class: 'lane', x: 0, y: top, width: WIDTH, height: LANE }));
    const shape = make('polygon', { class: 'bed', points: outline(bed, cues, top, x) });
    shape.append(make('title', {}, `${bed.name}: ${bed.level} dB against the voice`));
    svg.append(shape);
  });
  if (!heard.length) svg.append(make('rect', { class: 'lane', x: 0, y: CUES + 6, width: WIDTH, height: LANE }));
}

/** Loudness from its start to its end: it comes, is lowered while somebody speaks, rises, and goes. */
function outline(bed, cues, top, x) {
  const level = decibels => top + LANE - Math.max(0, Math.min(1, (decibels - FLOOR) / (TOP - FLOOR))) * LANE;
  const foot = top + LANE;
  const points = [
    [bed.start, foot],
    [Math.min(bed.end, bed.start + bed.fadeIn), level(at(bed, cues, bed.start + bed.fadeIn))],
  ];
  const going = Math.max(bed.start + bed.fadeIn, bed.end - bed.fadeOut);
  for (const [from, to] of rests(cues)) {
    if (from <= bed.start + bed.fadeIn || to >= going) continue;
    points.push(
      [from, level(bed.level)],
      [Math.min(to, from + 0.4), level(bed.level + bed.rise)],
      [Math.max(from, to - 0.05), level(bed.level + bed.rise)],
      [to, level(bed.level)],
    );
  }
  points.push([going, level(at(bed, cues, going))], [bed.end, foot]);
  return points.map(([seconds, y]) => `${x(seconds).toFixed(1)},${y.toFixed(1)}`).join(' ');
}

const rests = cues =>
  cues
    .slice(0, -1)
    .map((cue, i) => [cue.start + cue.seconds, cues[i + 1].start])
    .filter(([from, to]) => to - from > REST);

const at = (bed, cues, seconds) =>
  rests(cues).some(([from, to]) => seconds > from && seconds < to) ? bed.level + bed.rise : bed.level;
